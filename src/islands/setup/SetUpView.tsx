import { useEffect, useState, type ReactNode } from 'react';
import { drawSheet } from '../../core/drawing/sheet.ts';
import { getProtocol, isMeasureId } from '../../core/measures/protocols/index.ts';
import { SHORT_ROUND } from '../../core/measures/shortRound.ts';
import { otherSide, type Side } from '../../core/measures/protocol.ts';
import type { PersonRecord } from '../../core/person/person.ts';
import { findPose, POSES } from '../../core/poses/catalogue/index.ts';
import { findLyingPose, type LyingPose } from '../../core/poses/lyingCatalogue.ts';
import type { PoseDefinition } from '../../core/poses/poseDefinition.ts';
import type { Problem } from '../../core/problems/problem.ts';
import type { HouseRules } from '../../core/rules/houseRules.ts';
import type { SetUp } from '../../core/setup/setUp.ts';
import { metresFromCm } from '../../core/units/brands.ts';
import { writeLength, type LengthUnit } from '../../core/units/readQuantity.ts';
import { Missing } from '../shared/Missing.tsx';
import { PersonSentence } from '../shared/PersonSentence.tsx';
import { ProblemList } from '../shared/ProblemList.tsx';
import { saveFile } from '../shared/saveFile.ts';
import { useQuery } from '../shared/useQuery.ts';
import { useRecord, useUnit } from '../shared/useRecord.ts';
import { FurtherView } from './FurtherView.tsx';
import { PoseShelf } from './PoseShelf.tsx';
import { SettingsList, Working } from './SettingsList.tsx';
import { SheetDrawing } from './SheetDrawing.tsx';
import { useIsNarrow } from './useIsNarrow.ts';
import { usePlanned } from './usePlanned.ts';
import { Vessels } from './Vessels.tsx';

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
  const setUp = result?.ok === true && result.value.pose === pose.id ? result.value : null;
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
        {isStanding && <Levels pose={pose} level={level} onLevel={onLevel} />}
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
          <Sheet
            personId={record.person.id}
            pose={isStanding ? pose : null}
            setUp={setUp}
            faded={working}
          />
        )}
      </section>
      {setUp !== null && (
        <Beside
          pose={isStanding ? pose : null}
          setUp={setUp}
          record={record}
          onward={isStanding ? <FurtherView request={request} /> : null}
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

/** The levels of a pose, the usual one first. */
function Levels({ pose, level, onLevel }: LevelsProps) {
  if (pose.levels.length === 0) return null;
  const choices = [{ id: null, name: 'As usual' }, ...pose.levels];
  return (
    <p className="levels" role="group" aria-label="Level">
      {choices.map(({ id, name }) => (
        <button
          key={id ?? 'usual'}
          type="button"
          className="word-button"
          aria-pressed={id === level}
          onClick={() => {
            onLevel(id);
          }}
        >
          {name}
        </button>
      ))}
    </p>
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
  faded: boolean;
}

function Sheet({ personId, pose, setUp, faded }: SheetProps) {
  const unit = useUnit();
  const narrow = useIsNarrow();
  if (pose === null && setUp.status !== 'failed') return <NumbersOnly setUp={setUp} unit={unit} />;
  const drawing =
    pose === null ? null : drawSheet(pose, setUp, { unit, labelMm: narrow ? 8.5 : 5.3 });
  if (drawing === null) {
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
  return <SheetDrawing drawing={drawing} faded={faded} />;
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

interface BesideProps {
  pose: PoseDefinition | null;
  setUp: SetUp;
  record: PersonRecord;
  /** What is looked up only when it is opened. */
  onward: ReactNode;
}

function Beside({ pose, setUp, record, onward }: BesideProps) {
  const unit = useUnit();
  const solved = setUp.status !== 'failed';
  return (
    <aside className="beside">
      {solved && pose !== null && (
        <>
          <h2>What it asks, and what is left</h2>
          <Vessels joints={setUp.joints} side={setUp.side} />
          <h2>Set it in this order</h2>
          <SettingsList setUp={setUp} unit={unit} />
          <MatFit setUp={setUp} unit={unit} />
          {setUp.problems.length > 0 && (
            <>
              <h2>To know</h2>
              <ProblemList problems={setUp.problems} />
            </>
          )}
        </>
      )}
      {setUp.adaptations.length > 0 && (
        <>
          <h2>Changed for this person</h2>
          <ul className="plain-list">
            {setUp.adaptations.map((each) => (
              <li key={each.caution}>
                <strong>{each.name}.</strong> {each.change}{' '}
                <span className="quiet">{each.reason}</span>
              </li>
            ))}
          </ul>
        </>
      )}
      {setUp.cautions.length > 0 && (
        <>
          <h2>With this person</h2>
          <ul className="plain-list">
            {setUp.cautions.map((each) => (
              <li key={each.id}>
                <strong>{each.name}.</strong> {each.advice}
              </li>
            ))}
          </ul>
        </>
      )}
      {solved && onward}
      {solved && pose !== null && <More pose={pose} setUp={setUp} record={record} />}
    </aside>
  );
}

/** Whether the stance fits the mat, in the teacher's units. */
function MatFit({ setUp, unit }: { setUp: SetUp; unit: LengthUnit }) {
  if (setUp.mat === null || !setUp.mat.fits) return null;
  const { lengthCm, widthCm } = setUp.mat;
  const size = [lengthCm, widthCm].map((cm) => writeLength(metresFromCm(cm), unit, 0)).join(' by ');
  return <p className="quiet">It fits a mat of {size}.</p>;
}

function More({
  pose,
  setUp,
  record,
}: {
  pose: PoseDefinition;
  setUp: SetUp;
  record: PersonRecord;
}) {
  const [mark] = useState(() => new Date().toISOString().slice(0, 10));
  const fileName = `${record.person.name} ${pose.id} ${setUp.side} ${mark}.json`;
  return (
    <>
      <details className="more">
        <summary>How the depth was found</summary>
        <Working steps={setUp.depth?.working ?? []} />
      </details>
      <details className="more">
        <summary>What to look at, in order</summary>
        <ol className="look-list">
          {pose.lookAt.map((each) => (
            <li key={each.at}>
              <strong>{each.at}.</strong> {each.look} <span className="quiet">{each.change}</span>
            </li>
          ))}
        </ol>
      </details>
      <details className="more">
        <summary>In and out</summary>
        <p>{pose.wayIn.join(' ')}</p>
        <p>{pose.wayOut.join(' ')}</p>
      </details>
      <details className="more">
        <summary>Which measures it rests on</summary>
        <ul className="plain-list">
          {setUp.provenance.measures.map((each) => (
            <li key={`${each.measure} ${each.side ?? ''}`}>
              {getProtocol(each.measure).name}
              {each.side === null ? '' : `, ${each.side}`}: {each.value.toFixed(1)} ±{' '}
              {each.error.toFixed(1)} <span className="quiet">{each.source.replace('-', ' ')}</span>
            </li>
          ))}
        </ul>
      </details>
      <div className="button-row">
        <button
          type="button"
          className="button plain"
          onClick={() => {
            saveFile(fileName, `${JSON.stringify(setUp, null, 2)}\n`);
          }}
        >
          Save this set-up as a file
        </button>
      </div>
      <p className="quiet">
        Keys: s other side, d recommended or deepest, n next pose, p the one before. A plan, not a
        diagnosis: pain, numbness or a catching joint ends the pose.
      </p>
    </>
  );
}

interface NoSetUpProps {
  personId: string;
  problems: readonly Problem[];
  working: boolean;
  onProvisional: () => void;
}

/** Why there is nothing to draw yet, and the way on. */
function NoSetUp({ personId, problems, working, onProvisional }: NoSetUpProps) {
  if (problems.length === 0) return <p className="quiet">{working ? 'Working it out…' : ''}</p>;
  const missing = problems.filter((each) => each.code === 'missing-measure');
  const first = SHORT_ROUND.find((measure) =>
    missing.some((each) => each.path.startsWith(measure)),
  );
  const measure = `/measure?id=${encodeURIComponent(personId)}`;
  return (
    <div className="empty">
      <h2>{missing.length > 0 ? 'Not yet' : 'No set-up'}</h2>
      {missing.length > 0 ? (
        <>
          <p>This pose needs a few more readings:</p>
          <ul className="plain-list">
            {missing.map((each) => (
              <li key={each.path}>{nameMissing(each.path)}</li>
            ))}
          </ul>
          <div className="button-row">
            <a className="button" href={first === undefined ? measure : `${measure}&step=${first}`}>
              Measure now
            </a>
            <button type="button" className="button plain" onClick={onProvisional}>
              A provisional set-up
            </button>
          </div>
          <p className="quiet">
            Provisional: what is missing is taken from a stiff body and marked. It needs stature,
            trochanter height, hip opening and straight-leg raise.
          </p>
        </>
      ) : (
        <ProblemList problems={problems} />
      )}
    </div>
  );
}

function nameMissing(path: string): string {
  const [id = '', side] = path.split(' ');
  const name = isMeasureId(id) ? getProtocol(id).name : id;
  return side === undefined ? name : `${name}, ${side}`;
}
