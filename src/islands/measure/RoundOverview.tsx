import { useState } from 'react';
import { judgeMeasuring } from '../../core/cautions/measuring.ts';
import { calcMeasureSet, measureKey, sidesOf } from '../../core/measures/measureSet.ts';
import { getProtocol, type MeasureId } from '../../core/measures/protocols/index.ts';
import { SIDES } from '../../core/measures/protocol.ts';
import { findNotDone } from '../../core/person/notDone.ts';
import {
  isMinor,
  type Person,
  type PersonRecord,
  type RevisedRecord,
} from '../../core/person/person.ts';
import { findShortRound, POSES } from '../../core/poses/catalogue/index.ts';
import { useQuery } from '../shared/useQuery.ts';
import { BodyView } from './BodyView.tsx';
import { ALL_POSES, findPoses, type RoundKind } from './findRound.ts';
import { CrossChecks } from './CrossChecks.tsx';
import { RoundWords } from './HowTaken.tsx';
import { REASON_WORDS } from './NotTaken.tsx';
import { RecheckView } from './RecheckView.tsx';
import { Button, ButtonLink, WordButton } from '../shared/ui/Button.tsx';
import { roundOverview as say } from './words.ts';

function countReadings(record: PersonRecord, measure: MeasureId): string {
  const set = calcMeasureSet(record.readings);
  const sides = sidesOf(getProtocol(measure).sided);
  const allowed = sides.filter(
    (side) => judgeMeasuring(record.person, getProtocol(measure), side).verdict !== 'blocked',
  );
  if (allowed.length === 0) return say.notAllowed;
  const left = allowed.flatMap((side) => {
    const open = findNotDone(record, measure, side);
    if (open !== null) return [`${side === null ? '' : `${side} `}${REASON_WORDS[open.reason]}`];
    return set.has(measureKey(measure, side))
      ? []
      : [side === null ? say.notYet : say.notYetOf(side)];
  });
  if (left.length === 0) return 'done';
  return left.length === SIDES.length && left.every((each) => each.endsWith(say.notYet))
    ? say.notYet
    : left.join(', ');
}

const TITLES: Readonly<Record<RoundKind, string>> = {
  short: say.shortRound,
  full: say.fullRound,
  recheck: say.reMeasure,
};

interface OverviewProps {
  record: RevisedRecord;
  kind: RoundKind;
  round: readonly MeasureId[];
  onGo: (measure: MeasureId) => void;
}

/** What a round asks for, what is left of it, and what is known so far. */
export function RoundOverview({ record, kind, round, onGo }: OverviewProps) {
  const states = round.map((measure) => ({ measure, state: countReadings(record, measure) }));
  const left = states.filter(({ state }) => state.includes('not yet'));
  const next = left[0]?.measure ?? round[0]!;
  const [wantsAll, setWantsAll] = useState(false);
  const [query] = useQuery();
  const poseIds = findPoses(query);
  const seeSetUp = (
    <ButtonLink
      isPlain={left.length > 0}
      href={`/set-up?id=${encodeURIComponent(record.person.id)}`}
    >
      {say.seeSetUp}
    </ButtonLink>
  );
  return (
    <section>
      <h1>{TITLES[kind]}</h1>
      <RoundChoice kind={kind} />
      {kind === 'short' && <PoseChoice chosen={poseIds} />}
      <p>
        <RoundWords />
        {say.bothKeptWithEach}
      </p>
      <GuardianLine person={record.person} />
      <CrossChecks record={record} measure={null} />
      <p>
        {say.oneReadingPerSide(
          left.length === 0
            ? kind === 'short'
              ? say.everythingPosesNeedMeasured
              : say.everythingHereMeasured
            : say.measuresLeft(left.length, round.length),
        )}
      </p>
      <div className="my-4 flex flex-wrap gap-3">
        {left.length === 0 && seeSetUp}
        <Button
          isPlain={left.length === 0}
          onClick={() => {
            onGo(next);
          }}
        >
          {left.length === round.length
            ? 'Begin'
            : left.length === 0
              ? say.measureAgain
              : say.continue}
          {': '}
          {getProtocol(next).name.toLowerCase()}
        </Button>
        {left.length > 0 && left.length < round.length && seeSetUp}
      </div>
      {kind !== 'recheck' && left.length < round.length && (
        <RecheckView key={poseIds.join()} record={record} poseIds={poseIds} />
      )}
      <ol className="my-3 grid max-w-192 list-decimal grid-cols-[repeat(2,minmax(0,1fr))] gap-x-12 gap-y-[0.4rem] pl-[1.8rem] max-phone:grid-cols-1">
        {states
          .filter(({ state }) => wantsAll || state !== 'done' || left.length === 0)
          .map(({ measure, state }) => (
            <li key={measure}>
              <WordButton
                onClick={() => {
                  onGo(measure);
                }}
              >
                {getProtocol(measure).name}
              </WordButton>{' '}
              <span className="text-faint">{state}</span>
            </li>
          ))}
      </ol>
      {left.length > 0 && left.length < round.length && (
        <WordButton
          className="text-faint"
          onClick={() => {
            setWantsAll(!wantsAll);
          }}
        >
          {wantsAll ? say.showWhatLeft : say.showAll}
        </WordButton>
      )}
      {record.readings.length > 0 && <BodyView record={record} />}
    </section>
  );
}

/** Under 18 nobody is measured alone. */
function GuardianLine({ person }: { person: Person }) {
  if (!isMinor(person, new Date().toISOString())) return null;
  const { guardian } = person.intake;
  return (
    <p className="font-semibold">
      {say.underNoEndRange(guardian === '' ? say.noGuardianNamedYet : `: ${guardian}.`)}
    </p>
  );
}

/** The poses a short round is for: fewer poses, fewer measures. */
function PoseChoice({ chosen }: { chosen: readonly string[] }) {
  const [, setQuery] = useQuery();
  const isAll = chosen.length === ALL_POSES.length;
  const toggle = (id: string): void => {
    const without = chosen.filter((each) => each !== id);
    const next = isAll ? [id] : without.length < chosen.length ? without : [...chosen, id];
    setQuery({
      for: next.length === 0 || next.length === ALL_POSES.length ? null : next.join(','),
    });
  };
  return (
    <details className="*:[div]:max-w-248 *:[div]:columns-[14rem]">
      <summary>
        {say.forWord(
          isAll ? say.everyPose : chosen.length === 1 ? say.onePose : say.poses(chosen.length),
          findShortRound(chosen).length,
        )}
      </summary>
      <div>
        {POSES.map(({ id, name }) => (
          <label className="flex min-h-11 cursor-pointer items-center gap-[0.6rem]" key={id}>
            <input
              type="checkbox"
              checked={!isAll && chosen.includes(id)}
              onChange={() => {
                toggle(id);
              }}
            />{' '}
            {name}
          </label>
        ))}
      </div>
    </details>
  );
}

/** Which round this is, and the two others. */
function RoundChoice({ kind }: { kind: RoundKind }) {
  const [, setQuery] = useQuery();
  const offers = [
    { kind: 'short', words: say.whatPosesNeed, query: { round: null, only: null } },
    { kind: 'full', words: 'everything', query: { round: 'full', only: null } },
  ] as const;
  return (
    <p>
      {say.measure}
      {offers
        .filter((each) => each.kind !== kind)
        .map(({ kind: id, words, query }, i) => (
          <span key={id}>
            {i > 0 && say.or}
            <WordButton
              onClick={() => {
                setQuery(query);
              }}
            >
              {words}
            </WordButton>
          </span>
        ))}
      {say.instead}
    </p>
  );
}
