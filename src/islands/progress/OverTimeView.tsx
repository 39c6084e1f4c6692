import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo } from 'react';
import { listAsymmetries, sayAsymmetry } from '../../core/progress/asymmetry.ts';
import { findChange, sayChange } from '../../core/progress/change.ts';
import { listSeries, type Series } from '../../core/progress/series.ts';
import { listSessions } from '../../data/sessions.ts';
import { Missing } from '../shared/Missing.tsx';
import { PersonHeader } from '../shared/PersonHeader.tsx';
import { useQuery } from '../shared/useQuery.ts';
import { useRecord } from '../shared/useRecord.ts';
import { writeDate } from '../shared/writeValue.ts';
import { FeltTrendView } from '../felt/FeltTrendView.tsx';
import { DriftView } from './DriftView.tsx';
import { SeriesView } from './SeriesView.tsx';
import { overTimeView as say } from './words.ts';

/** What has changed and what is only measuring, measure by measure, left against right. */
export function OverTimeView() {
  const [query, setQuery] = useQuery();
  const record = useRecord(query.get('id'));
  const personId = record?.person.id ?? null;
  const sessions = useLiveQuery(
    () => (personId === null ? [] : listSessions(personId)),
    [personId],
  );
  const readings = record?.readings;
  const series = useMemo(() => listSeries(readings ?? []), [readings]);
  if (record === undefined || record === null) return <Missing loading={record === undefined} />;
  const told = series.flatMap((each) => {
    const change = findChange(each);
    return change === null ? [] : [{ series: each, change }];
  });
  const real = told.filter(({ change }) => change.verdict === 'real');
  const noise = told.filter(({ change }) => change.verdict !== 'real');
  const chosen =
    series.find(({ key }) => key === query.get('measure')) ??
    real[0]?.series ??
    noise[0]?.series ??
    series[0] ??
    null;
  const line = ({ series: each, change }: (typeof told)[number]) => (
    <li key={each.key}>
      <button
        type="button"
        className="min-h-11 cursor-pointer text-left aria-pressed:font-bold"
        aria-pressed={each === chosen}
        onClick={() => {
          setQuery({ measure: each.key });
        }}
      >
        {sayChange(each, change, writeDate(change.first.takenAt))}
      </button>
    </li>
  );
  const asymmetries = listAsymmetries(series);
  const apart = asymmetries.filter(({ isReal, wasReal }) => isReal || wasReal);
  return (
    <>
      <PersonHeader person={record.person} here="over-time" />
      {series.length === 0 ? (
        <p className="max-w-160 py-4">
          {say.noMeasuresYet}
          <a href={`/measure?id=${encodeURIComponent(record.person.id)}`}>{say.startShortRound}</a>
        </p>
      ) : (
        <div className="grid grid-cols-[minmax(0,2fr)_minmax(0,3fr)] gap-x-14 gap-y-6 pt-2 max-tablet:grid-cols-[minmax(0,1fr)]">
          <section>
            <h1>{say.whatHasChanged}</h1>
            {real.length === 0 ? (
              <p>{told.length === 0 ? say.eachMeasureHasOne : say.nothingHasChangedBy}</p>
            ) : (
              <ul className="*:border-b *:border-hair *:py-[0.2rem]">{real.map(line)}</ul>
            )}
            <h2>{say.leftRight}</h2>
            {apart.length === 0 ? (
              <p>{say.noClearDifferenceAny}</p>
            ) : (
              <ul className="*:border-b *:border-hair *:py-[0.2rem]">
                {apart.map((each) => (
                  <li key={each.left.key}>{sayAsymmetry(each)}</li>
                ))}
              </ul>
            )}
            {noise.length > 0 && (
              <details>
                <summary>{say.withoutClearChange(noise.length)}</summary>
                <ul className="*:border-b *:border-hair *:py-[0.2rem]">{noise.map(line)}</ul>
              </details>
            )}
          </section>
          <section>
            {chosen !== null && (
              <SeriesView
                series={chosen}
                other={findOther(series, chosen)}
                all={series}
                sessions={sessions ?? []}
                onChoose={(key) => {
                  setQuery({ measure: key });
                }}
              />
            )}
            <DriftView sessions={sessions ?? []} />
            <FeltTrendView sessions={sessions ?? []} />
          </section>
        </div>
      )}
    </>
  );
}

/** The same measure on the other side, in the same state and posture. */
const findOther = (series: readonly Series[], { measure, side, state, posture }: Series) =>
  side === null
    ? null
    : (series.find(
        (each) =>
          each.measure === measure &&
          each.side !== side &&
          each.state === state &&
          each.posture === posture,
      ) ?? null);
