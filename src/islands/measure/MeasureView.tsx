import { useState } from 'react';
import { judgeMeasuring } from '../../core/cautions/measuring.ts';
import { calcMeasureSet, measureKey, sidesOf } from '../../core/measures/measureSet.ts';
import { getProtocol, type MeasureId } from '../../core/measures/protocols/index.ts';
import { SHORT_ROUND } from '../../core/measures/shortRound.ts';
import type { Person, PersonRecord } from '../../core/person/person.ts';
import { savePerson } from '../../data/people.ts';
import { Missing } from '../shared/Missing.tsx';
import { PersonSentence } from '../shared/PersonSentence.tsx';
import { StopSigns } from '../shared/StopSigns.tsx';
import { findStopSigns } from '../../core/cautions/stopSigns.ts';
import { ProblemList } from '../shared/ProblemList.tsx';
import { useQuery } from '../shared/useQuery.ts';
import { useRecord } from '../shared/useRecord.ts';
import { MeasureStep } from './MeasureStep.tsx';

/** The short round: stop signs first, then one measure a screen. */
export function MeasureView() {
  const [query, setQuery] = useQuery();
  const record = useRecord(query.get('id'));
  if (record === undefined || record === null) return <Missing loading={record === undefined} />;
  const { person } = record;
  const step = SHORT_ROUND.find((each) => each === query.get('step')) ?? null;
  const go = (measure: MeasureId | null): void => {
    setQuery({ step: measure });
  };
  return (
    <>
      <PersonSentence person={person} here="measure" />
      {person.cautionsAskedAt === null || findStopSigns(person).length > 0 ? (
        <AskFirst person={person} />
      ) : step === null ? (
        <RoundOverview record={record} onGo={go} />
      ) : (
        <MeasureStep key={step} record={record} measure={step} onGo={go} />
      )}
    </>
  );
}

function AskFirst({ person }: { person: Person }) {
  const stops = findStopSigns(person);
  const noneOfThese = (): void => {
    void savePerson({ ...person, cautionsAskedAt: new Date().toISOString() });
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
  const taken = allowed.filter((side) => set.has(measureKey(measure, side)));
  if (taken.length === 0) return 'not yet';
  if (taken.length < allowed.length) return `only ${taken[0] ?? ''}`;
  return 'done';
}

function RoundOverview({
  record,
  onGo,
}: {
  record: PersonRecord;
  onGo: (measure: MeasureId) => void;
}) {
  const states = SHORT_ROUND.map((measure) => ({ measure, state: countReadings(record, measure) }));
  const left = states.filter(({ state }) => state !== 'done' && state !== 'not allowed');
  const next = left[0]?.measure ?? SHORT_ROUND[0]!;
  const [wantsAll, setWantsAll] = useState(false);
  return (
    <section>
      <h1>A short round</h1>
      <p>
        {left.length === 0
          ? 'Everything the poses need is measured.'
          : `${String(left.length)} of ${String(SHORT_ROUND.length)} measures are left.`}{' '}
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
          {left.length === SHORT_ROUND.length
            ? 'Begin'
            : left.length === 0
              ? 'Measure again'
              : 'Go on'}
          {': '}
          {getProtocol(next).name.toLowerCase()}
        </button>
        {left.length < SHORT_ROUND.length && (
          <a className="button plain" href={`/set-up?id=${encodeURIComponent(record.person.id)}`}>
            See the set-up
          </a>
        )}
      </div>
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
      {left.length > 0 && left.length < SHORT_ROUND.length && (
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
    </section>
  );
}
