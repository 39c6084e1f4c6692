import clsx from 'clsx';
import { toTenths } from '../../core/units/rounding.ts';
import { useState } from 'react';
import type { MeasureUse } from '../../core/body/body.ts';
import { getProtocol } from '../../core/measures/protocols/index.ts';
import { isCalledOn, nameJoint } from '../../core/setup/jointReport.ts';
import type { JointReport, SetUp } from '../../core/setup/setUp.ts';
import { findUsesBehind } from '../../core/conditions/motionMeasures.ts';
import { writeDate } from '../shared/writeValue.ts';
import { vessels as say } from './words.ts';

const MOST_VESSELS = 5;
const TALLEST_PX = 100;
const WIDTH = 44;

/** Asked more than was measured. */
const isOver = ({ askedDeg, measuredDeg }: JointReport): boolean =>
  (measuredDeg ?? 0) - (askedDeg ?? 0) < -0.5;
/** Asked more than is left when what is held back stays free. */
const usesHeldBack = ({ toSpareDeg }: JointReport): boolean => (toSpareDeg ?? 0) < -0.5;

const HELD_BACK_WORDS: Readonly<Record<NonNullable<JointReport['heldBackFor']>, string>> = {
  measuring: say.becauseMeasuringError,
  experience: say.byExperience,
  'least-margin': say.asLeastMargin,
  caution: say.becauseCaution,
  pose: say.becausePoseUsesOnly,
};

/** “31° usable: 38° measured, 7° held back by experience”. */
function sayUsable({ hasDeg, measuredDeg, heldBackDeg, heldBackFor }: JointReport): string {
  const usable = say.usable((hasDeg ?? 0).toFixed(0));
  if (measuredDeg === null || heldBackDeg === null || heldBackDeg < 0.5) return usable;
  const why = heldBackFor === null ? '' : ` ${HELD_BACK_WORDS[heldBackFor]}`;
  return say.measuredHeldBack(usable, measuredDeg.toFixed(0), heldBackDeg.toFixed(0), why);
}

/**
 * What each joint is asked against what it has, as water in a vessel as tall as what it
 * has. Pointing at one, reaching it by key or pressing it says where its brim comes from.
 */
export function Vessels({ setUp }: { setUp: SetUp }) {
  const [told, setTold] = useState<string | null>(null);
  const shown = setUp.joints.filter(isCalledOn).slice(0, MOST_VESSELS);
  const [first] = shown;
  if (first === undefined) return null;
  const tallest = Math.max(
    ...shown.flatMap((each) => [each.measuredDeg ?? each.hasDeg ?? 0, each.askedDeg ?? 0]),
  );
  return (
    <>
      <p className="m-0 min-h-[5.8em] print:min-h-0" data-testid="vessel-told" aria-live="polite">
        <Told
          joint={shown.find((each) => nameJoint(each, setUp) === told) ?? first}
          isFirst={told === null}
          setUp={setUp}
        />
      </p>
      <ul className="mt-1 mb-2 grid grid-cols-[repeat(5,minmax(0,1fr))] gap-[0.4rem] max-phone:grid-cols-[repeat(3,minmax(0,1fr))]">
        {shown.map((joint, i) => {
          const name = nameJoint(joint, setUp);
          return (
            <Vessel
              key={name}
              joint={joint}
              name={name}
              scale={TALLEST_PX / tallest}
              limiting={i === 0}
              onTell={(isTold) => {
                setTold((now) => (isTold ? name : now === name ? null : now));
              }}
            />
          );
        })}
      </ul>
    </>
  );
}

interface ToldProps {
  joint: JointReport;
  /** Nothing is pointed at: it is the joint that runs out first. */
  isFirst: boolean;
  setUp: SetUp;
}

/** Asked, has, and the readings it comes from: which, when and how sure. */
function Told({ joint, isFirst, setUp }: ToldProps) {
  const behind = findUsesBehind(joint, setUp.provenance.measures);
  const end = isOver(joint)
    ? say.askedForMoreThan
    : usesHeldBack(joint)
      ? say.usesSomeWhatHeld
      : isFirst
        ? say.limitingJoint
        : '';
  return (
    <>
      {isFirst && say.the}
      <strong>{nameJoint(joint, setUp)}</strong>
      {say.asked(
        end,
        (joint.askedDeg ?? 0).toFixed(0),
        sayUsable(joint),
        behind.length === 0 ? say.sameForEveryone : say.from,
        behind.map(sayUse).join('; '),
        behind.length === 0 ? '' : '.',
      )}
    </>
  );
}

const SOURCE_WORDS: Readonly<Record<Exclude<MeasureUse['source'], 'measured'>, string>> = {
  'other-side': say.measuredOtherSide,
  estimated: say.estimatedFromOtherLengths,
  default: say.notMeasuredSameValue,
  provisional: say.notMeasuredTakenFrom,
};

function sayUse({ measure, side, value, error, source, takenAt }: MeasureUse): string {
  const name = getProtocol(measure).name.toLowerCase();
  const which = side === null ? name : `${name}, ${side},`;
  const written = `${which} ${value.toFixed(0)}°`;
  if (source !== 'measured') return `${written} (${SOURCE_WORDS[source]})`;
  const when = takenAt === null ? '' : `, ${writeDate(takenAt)}`;
  return `${written} ± ${error.toFixed(1)}°${when}`;
}

/**
 * Whole degrees, rounded down so that none is promised that is not there; the solver's last
 * hundredths do not take one.
 */
const wholeDegrees = (spareDeg: number): number => Math.floor(toTenths(Math.abs(spareDeg)));

function sayMargin(joint: JointReport): string {
  if (isOver(joint)) return say.beyondItsRange;
  return usesHeldBack(joint) ? say.usesWhatHeldBack : 'margin';
}

/** Hatches what is held back, so that it does not depend on colour alone. */
function HeldBack({ from, to, width }: { from: number; to: number; width: number }) {
  const step = 3;
  const strokes = Array.from({ length: Math.ceil((to - from) / step) }, (_, i) => from + i * step);
  return (
    <g className="stroke-ink stroke-[0.6]">
      <line x1={2} x2={width - 2} y1={to} y2={to} />
      {strokes.map((y) => (
        <line key={y} x1={3} x2={width - 3} y1={Math.min(to, y + step)} y2={y} />
      ))}
    </g>
  );
}

interface VesselProps {
  joint: JointReport;
  name: string;
  /** Pixels a degree, the same for every vessel, so that heights can be compared. */
  scale: number;
  limiting: boolean;
  onTell: (isTold: boolean) => void;
}

function Vessel({ joint, name, scale, limiting, onTell }: VesselProps) {
  const asked = joint.askedDeg ?? 0;
  const has = joint.hasDeg ?? 0;
  const spare = joint.toSpareDeg ?? 0;
  const brim = Math.max(0, joint.measuredDeg ?? has) * scale;
  const usable = Math.max(0, has) * scale;
  const level = Math.max(0, asked) * scale;
  const base = TALLEST_PX + 8;
  const wave = `M 3 ${String(base - level)} q 6.3 -3 12.6 0 t 12.6 0 t 12.6 0 V ${String(base)} H 3 Z`;
  const tell = (): void => {
    onTell(true);
  };
  const leave = (): void => {
    onTell(false);
  };
  return (
    <li className="grid content-start justify-items-center text-center text-[0.85rem] leading-[1.2]">
      <button
        type="button"
        className={clsx('grid w-full cursor-pointer justify-items-center', limiting && 'font-bold')}
        data-testid="vessel"
        onMouseEnter={tell}
        onMouseLeave={leave}
        onFocus={tell}
        onBlur={leave}
        onClick={tell}
      >
        <svg
          className="h-auto w-11 overflow-visible"
          viewBox={`0 0 ${String(WIDTH)} ${String(base + 3)}`}
          aria-hidden
        >
          <path className={limiting ? 'fill-water' : 'fill-shallow'} d={wave} />
          {brim - usable > 0.5 && <HeldBack from={base - brim} to={base - usable} width={WIDTH} />}
          <path
            className={clsx('fill-none stroke-ink', limiting ? 'stroke-3' : 'stroke-[1.2]')}
            d={`M 2 ${String(base - brim)} V ${String(base)} H ${String(WIDTH - 2)} V ${String(base - brim)}`}
          />
        </svg>
        <span
          className={clsx(
            'font-serif text-[1.35rem] leading-[normal] normal-nums',
            limiting ? 'font-bold' : 'font-medium',
          )}
        >
          {wholeDegrees(spare)}°
        </span>
        <span className="font-normal text-faint">{sayMargin(joint)}</span>
        <span>{name}</span>
        <span className="sr-only">{say.askedOf(asked.toFixed(0), sayUsable(joint))}</span>
      </button>
    </li>
  );
}
