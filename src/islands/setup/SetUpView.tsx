import { useEffect } from 'react';
import { otherSide, type Side } from '../../core/measures/protocol.ts';
import type { PersonRecord } from '../../core/person/person.ts';
import { findPose, POSES } from '../../core/poses/catalogue/index.ts';
import { findLyingPose } from '../../core/poses/lying/index.ts';
import type { LyingPose } from '../../core/poses/lying/lyingPose.ts';
import type { PoseDefinition } from '../../core/poses/poseDefinition.ts';
import type { HouseRules } from '../../core/rules/houseRules.ts';
import type { SetUp } from '../../core/setup/setUp.ts';
import type { LengthUnit } from '../../core/units/readQuantity.ts';
import { Missing } from '../shared/Missing.tsx';
import { PersonSentence } from '../shared/PersonSentence.tsx';
import { ProblemList } from '../shared/ProblemList.tsx';
import { useQuery } from '../shared/useQuery.ts';
import { useRecord, useUnit } from '../shared/useRecord.ts';
import { Beside } from './Beside.tsx';
import { FrontView } from './FrontView.tsx';
import { FurtherView } from './FurtherView.tsx';
import { MovableSheet } from './MovableSheet.tsx';
import { MoveControls, MovedSentence } from './Moving.tsx';
import { NoSetUp } from './NoSetUp.tsx';
import { PoseShelf } from './PoseShelf.tsx';
import { SettingsList } from './SettingsList.tsx';
import { useIsNarrow } from './useIsNarrow.ts';
import { useMoved, type MovedSetUp } from './useMoved.ts';
import { usePlanned } from './usePlanned.ts';

/** The set-up sheet: pose, side, the measured drawing, what is asked and what is left. */
export function SetUpView() {
  const [query, setQuery] = useQuery();
  const record = useRecord(query.get('id'));
  const lying = findLyingPose(query.get('pose') ?? '');
  const pose = findPose(query.get('pose') ?? '') ?? POSES[0]!;
  const level = pose.levels.find((each) => each.id === query.get('level'))?.id ?? null;
  const side: Side = query.get('side') === 'left' ? 'left' : 'right';
  const deepest = query.get('depth') === 'deepest';
  const provisional = query.get('provisional') === 'yes';
  useShortcuts({
    s: () => {
      setQuery({ side: otherSide(side) });
    },
    d: () => {
      setQuery({ depth: deepest ? null : 'deepest' });
    },
    n: () => {
      setQuery({ pose: POSES[(POSES.indexOf(pose) + 1) % POSES.length]!.id, level: null });
    },
    p: () => {
      setQuery({
        pose: POSES[(POSES.indexOf(pose) + POSES.length - 1) % POSES.length]!.id,
        level: null,
      });
    },
  });
  if (record === undefined || record === null) return <Missing loading={record === undefined} />;
  const rules: Partial<HouseRules> = {
    depth: deepest ? 'deepest' : 'recommended',
    ...(provisional ? { provisional } : {}),
  };
  return (
    <>
      <PersonSentence person={record.person} here="set-up" />
      <div className="set-up">
        <PoseShelf
          record={record}
          poseId={lying?.id ?? pose.id}
          side={side}
          rules={rules}
          onChoose={(id) => {
            setQuery({ pose: id, level: null });
          }}
        />
        <Planned
          record={record}
          pose={lying ?? pose}
          side={side}
          rules={rules}
          level={lying === null ? level : null}
          onLevel={(id) => {
            setQuery({ level: id });
          }}
          onSide={() => {
            setQuery({ side: otherSide(side) });
          }}
          onDepth={() => {
            setQuery({ depth: deepest ? null : 'deepest' });
          }}
          onProvisional={(on) => {
            setQuery({ provisional: on ? 'yes' : null });
          }}
        />
      </div>
    </>
  );
}

/** Single keys, off while something is typed. */
function useShortcuts(actions: Readonly<Record<string, () => void>>): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      const { target } = event;
      const typing =
        target instanceof HTMLElement && target.closest('input, textarea, select') !== null;
      if (typing || event.ctrlKey || event.metaKey || event.altKey) return;
      actions[event.key]?.();
    };
    window.addEventListener('keydown', onKey);
    return () => {
      window.removeEventListener('keydown', onKey);
    };
  }, [actions]);
}

interface PlannedProps {
  record: PersonRecord;
  pose: PoseDefinition | LyingPose;
  side: Side;
  rules: Partial<HouseRules>;
  level: string | null;
  onLevel: (level: string | null) => void;
  onSide: () => void;
  onDepth: () => void;
  onProvisional: (on: boolean) => void;
}

function Planned(props: PlannedProps) {
  const { record, pose, side, rules, level, onLevel, onSide, onDepth, onProvisional } = props;
  const request = { record, poseId: pose.id, side, rules, level };
  const { result, working } = usePlanned(request);
  const isStanding = 'starts' in pose;
  const planned = result?.ok === true && result.value.pose === pose.id ? result.value : null;
  const turn = planned?.settings.find((each) => each.id === 'back-foot-angle')?.value ?? 0;
  const moved = useMoved(request, isStanding, turn);
  const setUp = planned === null ? null : (moved.answer?.setUp ?? planned);
  const problems = result?.ok === false ? result.problems : [];
  const isDeepest = rules.depth === 'deepest';
  return (
    <>
      <section className="sheet-column">
        <div className="sheet-title">
          <h1>{pose.name}</h1>
          <p className="sanskrit" lang="sa">
            {pose.sanskrit}
          </p>
        </div>
        <p className="sheet-sentence">
          <button type="button" className="word-button" onClick={onSide}>
            {isStanding ? saySide(pose, side) : `${side} leg`}
            <span className="sr-only">, change to {otherSide(side)}</span>
          </button>
          {isStanding && (
            <>
              {', '}
              <button type="button" className="word-button" onClick={onDepth}>
                {isDeepest ? 'the deepest safe set-up' : 'as recommended'}
                <span className="sr-only">, change to {isDeepest ? 'recommended' : 'deepest'}</span>
              </button>
            </>
          )}
          {isStanding && <Levels pose={pose} level={level} onLevel={onLevel} />}
          {setUp !== null && isStanding && <DepthWords setUp={setUp} pose={pose} />}
          {rules.provisional === true && (
            <>
              {' '}
              <strong>Provisional: what is not measured is taken as stiff.</strong>{' '}
              <button
                type="button"
                className="word-button"
                onClick={() => {
                  onProvisional(false);
                }}
              >
                leave
              </button>
            </>
          )}
        </p>
        {setUp === null ? (
          <NoSetUp
            personId={record.person.id}
            problems={problems}
            working={working}
            onProvisional={() => {
              onProvisional(true);
            }}
          />
        ) : (
          <>
            {isStanding && planned !== null && planned.status !== 'failed' && (
              <MoveControls pose={pose} recommended={planned} moved={moved} />
            )}
            <Sheet
              personId={record.person.id}
              pose={isStanding ? pose : null}
              setUp={setUp}
              ghost={setUp === planned ? null : planned}
              faded={working}
              heelLines={moved.heelLines}
              onMove={moved.move}
            />
          </>
        )}
      </section>
      {setUp !== null && (
        <Beside
          pose={isStanding ? pose : null}
          setUp={setUp}
          record={record}
          moved={<MovedSentence moved={moved} />}
          guidance={pose.guidance}
          onward={<FurtherView request={request} isStanding={isStanding} />}
        />
      )}
    </>
  );
}

/** “left foot in front”, or “standing on the left leg”. */
const saySide = (pose: PoseDefinition, side: Side): string =>
  pose.backContact === 'lifted' || pose.backContact === 'on-front-leg'
    ? `standing on the ${side} leg`
    : `${side} foot in front`;

interface LevelsProps {
  pose: PoseDefinition;
  level: string | null;
  onLevel: (level: string | null) => void;
}

/** Its names stand in a sentence, so they begin small. */
const small = (name: string): string => name.charAt(0).toLowerCase() + name.slice(1);

/** The levels of a pose, the usual one first: one word group of the sentence that opens to a list. */
function Levels({ pose, level, onLevel }: LevelsProps) {
  if (pose.levels.length === 0) return null;
  return (
    <>
      {', '}
      <select
        className="word-select"
        aria-label="Level"
        value={level ?? ''}
        onChange={(event) => {
          onLevel(event.target.value === '' ? null : event.target.value);
        }}
      >
        <option value="">as usual</option>
        {pose.levels.map(({ id, name }) => (
          <option key={id} value={id}>
            {small(name)}
          </option>
        ))}
      </select>
    </>
  );
}

function DepthWords({ setUp, pose }: { setUp: SetUp; pose: PoseDefinition }) {
  if (setUp.depth?.value == null) return <>.</>;
  const { value, deepest, textbook, unit } = setUp.depth;
  const write = (number: number): string => `${number.toFixed(0)}${unit === 'deg' ? '°' : ' cm'}`;
  return (
    <>
      : {pose.depth?.words} {write(value)} of a safe {write(deepest ?? 0)}
      <span className="sr-only">; in the books {write(textbook)}</span>.
    </>
  );
}

interface SheetProps {
  personId: string;
  /** null = a lying or seated form, which is told in numbers. */
  pose: PoseDefinition | null;
  setUp: SetUp;
  ghost: SetUp | null;
  faded: boolean;
  heelLines: MovedSetUp['heelLines'];
  onMove: MovedSetUp['move'];
}

function Sheet({ personId, pose, setUp, ghost, faded, heelLines, onMove }: SheetProps) {
  const unit = useUnit();
  const narrow = useIsNarrow();
  if (pose === null && setUp.status !== 'failed') return <NumbersOnly setUp={setUp} unit={unit} />;
  if (pose === null || setUp.status === 'failed') {
    return (
      <div
        className={
          setUp.problems.some((each) => each.code === 'stop-sign') ? 'stop-panel' : 'empty'
        }
      >
        <h2>No set-up</h2>
        <ProblemList problems={setUp.problems} />
        <div className="button-row">
          <a className="button plain" href={`/person?id=${encodeURIComponent(personId)}`}>
            What to mind
          </a>
          <a className="button plain" href={`/measure?id=${encodeURIComponent(personId)}`}>
            Measures
          </a>
        </div>
      </div>
    );
  }
  const labelMm = narrow ? 8.5 : 5.3;
  return (
    <>
      <MovableSheet
        pose={pose}
        setUp={setUp}
        ghost={ghost}
        unit={unit}
        labelMm={labelMm}
        faded={faded}
        heelLines={heelLines}
        onMove={onMove}
      />
      <FrontView pose={pose} setUp={setUp} unit={unit} labelMm={labelMm} />
    </>
  );
}

/** Marks, supports and straps of a lying or seated form. */
function NumbersOnly({ setUp, unit }: { setUp: SetUp; unit: LengthUnit }) {
  return (
    <div className="numbers-only">
      <SettingsList setUp={setUp} unit={unit} />
      {setUp.problems.length > 0 && <ProblemList problems={setUp.problems} />}
    </div>
  );
}
