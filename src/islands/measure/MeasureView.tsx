import { useState } from 'react';
import { judgeMeasuring } from '../../core/cautions/measuring.ts';
import { calcMeasureSet, measureKey, sidesOf } from '../../core/measures/measureSet.ts';
import { getProtocol, isMeasureId, type MeasureId } from '../../core/measures/protocols/index.ts';
import { FULL_ROUND, SHORT_ROUND, sortByPosture } from '../../core/measures/rounds.ts';
import type { Person, PersonRecord } from '../../core/person/person.ts';
import { changePerson } from '../../data/people.ts';
import { Missing } from '../shared/Missing.tsx';
import { PersonSentence } from '../shared/PersonSentence.tsx';
import { StopSigns } from '../shared/StopSigns.tsx';
import { findNotDone } from '../../core/person/notDone.ts';
import { SIDES } from '../../core/measures/protocol.ts';
import { findStopSigns } from '../../core/cautions/stopSigns.ts';
import { ProblemList } from '../shared/ProblemList.tsx';
import { useQuery } from '../shared/useQuery.ts';
import { useRecord } from '../shared/useRecord.ts';
import { BodyView } from './BodyView.tsx';
import { RecheckView } from './RecheckView.tsx';
import { MeasureStep } from './MeasureStep.tsx';
import { REASON_WORDS } from './NotTaken.tsx';
import { RoundWords } from './HowTaken.tsx';

/** Which measures are taken: the short round, all there are, or the few that a re-check names. */
function findRound(query: URLSearchParams): { kind: RoundKind; measures: readonly MeasureId[] } {
  const only = query.get('only')?.split(',').filter(isMeasureId) ?? [];
  if (only.length > 0) return { kind: 'recheck', measures: sortByPosture(only) };
  return query.get('round') === 'full'
    ? { kind: 'full', measures: FULL_ROUND }
    : { kind: 'short', measures: SHORT_ROUND };
}

type RoundKind = 'short' | 'full' | 'recheck';

/** A round: stop signs first, then one measure a screen. */
export function MeasureView() {
  const [query, setQuery] = useQuery();
  const record = useRecord(query.get('id'));
  if (record === undefined || record === null) return <Missing loading={record === undefined} />;
  const { person } = record;
  const { kind, measures } = findRound(query);
  // A measure that is linked to may lie outside the short round: then all are gone through.
  const round = measures.includes(query.get('step') as MeasureId) ? measures : FULL_ROUND;
  const step = round.find((each) => each === query.get('step')) ?? null;
  const go = (measure: MeasureId | null): void => {
    setQuery({ step: measure });
  };
  return (
    <>
      <PersonSentence person={person} here="measure" />
      {person.cautionsAskedAt === null || findStopSigns(person).length > 0 ? (
        <AskFirst person={person} />
      ) : step === null ? (
        <RoundOverview record={record} kind={kind} round={measures} onGo={go} />
      ) : (
        <MeasureStep key={step} record={record} measure={step} round={round} onGo={go} />
      )}
    </>
  );
}

function AskFirst({ person }: { person: Person }) {
  const stops = findStopSigns(person);
  const noneOfThese = (): void => {
    void changePerson(person.id, () => ({ cautionsAskedAt: new Date().toISOString() }));
  };
  return (
    <section>
      <h1>Before the first measure</h1>
      <p>
        Ask these in your own words. A yes to one of the first three groups means no measuring and
        no set-up until it is cleared. Ask before you touch.
      </p>
      {stops.length > 0 ? (
        <div className="stop-panel" role="alert">
          <h2>Stop here</h2>
          <ProblemList problems={stops} />
        </div>
      ) : (
        <button type="button" className="button" onClick={noneOfThese}>
          None of these, go on
        </button>
      )}
      <StopSigns person={person} />
    </section>
  );
}

function countReadings(record: PersonRecord, measure: MeasureId): string {
  const set = calcMeasureSet(record.readings);
  const sides = sidesOf(getProtocol(measure).sided);
  const allowed = sides.filter(
    (side) => judgeMeasuring(record.person, getProtocol(measure), side).verdict !== 'blocked',
  );
  if (allowed.length === 0) return 'not allowed';
  const left = allowed.flatMap((side) => {
    const open = findNotDone(record, measure, side);
    if (open !== null) return [`${side === null ? '' : `${side} `}${REASON_WORDS[open.reason]}`];
    return set.has(measureKey(measure, side))
      ? []
      : [side === null ? 'not yet' : `${side} not yet`];
  });
  if (left.length === 0) return 'done';
  return left.length === SIDES.length && left.every((each) => each.endsWith('not yet'))
    ? 'not yet'
    : left.join(', ');
}

const TITLES: Readonly<Record<RoundKind, string>> = {
  short: 'A short round',
  full: 'A full round',
  recheck: 'A re-check',
};

interface OverviewProps {
  record: PersonRecord;
  kind: RoundKind;
  round: readonly MeasureId[];
  onGo: (measure: MeasureId) => void;
}

function RoundOverview({ record, kind, round, onGo }: OverviewProps) {
  const states = round.map((measure) => ({ measure, state: countReadings(record, measure) }));
  const left = states.filter(({ state }) => state.includes('not yet'));
  const next = left[0]?.measure ?? round[0]!;
  const [wantsAll, setWantsAll] = useState(false);
  return (
    <section>
      <h1>{TITLES[kind]}</h1>
      <RoundChoice kind={kind} />
      <p>
        <RoundWords />. Both are kept with each reading.
      </p>
      <ConsentLine person={record.person} />
      <p>
        {left.length === 0
          ? kind === 'short'
            ? 'Everything the poses need is measured.'
            : 'Everything here is measured.'
          : `${String(left.length)} of ${String(round.length)} measures are left.`}{' '}
        One reading a side is enough to begin; two make it surer. Stop at the first firm resistance;
        never press.
      </p>
      <div className="button-row">
        <button
          type="button"
          className="button"
          onClick={() => {
            onGo(next);
          }}
        >
          {left.length === round.length ? 'Begin' : left.length === 0 ? 'Measure again' : 'Go on'}
          {': '}
          {getProtocol(next).name.toLowerCase()}
        </button>
        {left.length < round.length && (
          <a className="button plain" href={`/set-up?id=${encodeURIComponent(record.person.id)}`}>
            See the set-up
          </a>
        )}
      </div>
      {kind !== 'recheck' && left.length < round.length && <RecheckView record={record} />}
      <ol className="round-list">
        {states
          .filter(({ state }) => wantsAll || state !== 'done' || left.length === 0)
          .map(({ measure, state }) => (
            <li key={measure}>
              <button
                type="button"
                className="word-button"
                onClick={() => {
                  onGo(measure);
                }}
              >
                {getProtocol(measure).name}
              </button>{' '}
              <span className="quiet">{state}</span>
            </li>
          ))}
      </ol>
      {left.length > 0 && left.length < round.length && (
        <button
          type="button"
          className="word-button quiet"
          onClick={() => {
            setWantsAll(!wantsAll);
          }}
        >
          {wantsAll ? 'Show only what is left' : 'Show what is done too'}
        </button>
      )}
      {record.readings.length > 0 && <BodyView record={record} />}
    </section>
  );
}

/** Said once, before anything is kept; nothing waits for it. */
function ConsentLine({ person }: { person: Person }) {
  if (person.intake.consentToData !== null) return null;
  return (
    <p className="quiet">
      Nobody has noted yet that {person.name} agrees to these numbers being kept.{' '}
      <button
        type="button"
        className="word-button"
        onClick={() => {
          void changePerson(person.id, ({ intake }) => ({
            intake: { ...intake, consentToData: new Date().toISOString() },
          }));
        }}
      >
        They agree
      </button>
    </p>
  );
}

/** Which round this is, and the two others. */
function RoundChoice({ kind }: { kind: RoundKind }) {
  const [, setQuery] = useQuery();
  const offers = [
    { kind: 'short', words: 'what the poses need', query: { round: null, only: null } },
    { kind: 'full', words: 'everything', query: { round: 'full', only: null } },
  ] as const;
  return (
    <p>
      Measure{' '}
      {offers
        .filter((each) => each.kind !== kind)
        .map(({ kind: id, words, query }, i) => (
          <span key={id}>
            {i > 0 && ', or '}
            <button
              type="button"
              className="word-button"
              onClick={() => {
                setQuery(query);
              }}
            >
              {words}
            </button>
          </span>
        ))}{' '}
      instead.
    </p>
  );
}
