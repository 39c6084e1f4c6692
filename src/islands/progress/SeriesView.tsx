import { useMemo } from 'react';
import { getProtocol } from '../../core/measures/protocols/index.ts';
import { calcSmallestRealChange } from '../../core/measures/readingErrors.ts';
import { findChange, nameSeries, sayChange, writeDifference } from '../../core/progress/change.ts';
import type { Series } from '../../core/progress/series.ts';
import { calcTrend, LEAST_POINTS } from '../../core/progress/trend.ts';
import type { Session } from '../../core/sessions/session.ts';
import { findSessionTime } from '../../core/sessions/toHolds.ts';
import { useUnit } from '../shared/useRecord.ts';
import { writeDate, writeValue } from '../shared/writeValue.ts';
import { LineChart, type ChartBand, type ChartLine } from '../shared/LineChart.tsx';
import { TableHead } from '../shared/ui/TableHead.tsx';
import { SelectField } from '../shared/ui/SelectField.tsx';
import { Table } from '../shared/ui/Table.tsx';
import { seriesView as say } from './words.ts';

interface SeriesViewProps {
  series: Series;
  /** The other side; null = there is none. */
  other: Series | null;
  all: readonly Series[];
  sessions: readonly Session[];
  onChoose: (key: string) => void;
}

const MS_PER_DAY = 86_400_000;
const UNIT_WORDS = { deg: '°', cm: ' cm', s: ' s' } as const;
const STEPS = 24;

const toLine = ({ side, values }: Series, isSecond: boolean): ChartLine => ({
  name: side ?? 'value',
  isSecond,
  points: values.map(({ takenAt, value, error }) => ({ x: Date.parse(takenAt), y: value, error })),
});

/** Where the latest value would have to lie to be more than measuring error, and the trend with its band. */
function findBands({ values }: Series): ChartBand[] {
  const [first] = values;
  const latest = values.at(-1);
  if (first === undefined || latest === undefined || values.length < 2) return [];
  const [from, to] = [Date.parse(first.takenAt), Date.parse(latest.takenAt)];
  const mdc = calcSmallestRealChange(first.error, latest.error);
  const edge = (x: number) => ({ x, low: first.value - mdc, high: first.value + mdc });
  const noise: ChartBand = { name: '', kind: 'noise', points: [edge(from), edge(to)] };
  const trend = calcTrend(
    values.map(({ takenAt, value }) => [(Date.parse(takenAt) - from) / MS_PER_DAY, value] as const),
  );
  if (trend === null) return [noise];
  const points = Array.from({ length: STEPS + 1 }, (_, i) => {
    const day = ((to - from) / MS_PER_DAY) * (i / STEPS);
    const y = trend.intercept + trend.slope * day;
    const half = trend.calcHalfWidth(day);
    return { x: from + day * MS_PER_DAY, low: y - half, high: y + half };
  });
  return [noise, { name: '', kind: 'trend', points }];
}

/** One measure over time, drawn and as a table. */
export function SeriesView({ series, other, all, sessions, onChoose }: SeriesViewProps) {
  const unit = useUnit();
  const { unit: own } = getProtocol(series.measure);
  const change = findChange(series);
  const lines = useMemo(
    () => [toLine(series, false), ...(other === null ? [] : [toLine(other, true)])],
    [series, other],
  );
  const bands = useMemo(() => findBands(series), [series]);
  const marks = useMemo(
    () => sessions.map((each) => Date.parse(findSessionTime(each))),
    [sessions],
  );
  const sentence =
    change === null
      ? say.oneDateSoFar(nameSeries(series))
      : sayChange(series, change, writeDate(change.first.takenAt));
  const hasTrend = series.values.length >= LEAST_POINTS;
  return (
    <>
      <SelectField
        label={say.measure}
        value={series.key}
        options={all.map(
          (each) => [each.key, `${nameSeries(each)} (${String(each.values.length)})`] as const,
        )}
        onChange={onChoose}
      />
      <p className="mb-1 min-h-[3em]">
        <strong>{sentence}</strong>
      </p>
      <LineChart
        lines={lines}
        bands={bands}
        marks={marks}
        unit={UNIT_WORDS[own]}
        label={sentence}
      />
      <p className="text-faint">
        {say.eachWithOneStandard(
          other === null
            ? 'Circles'
            : say.circlesSquaresDashed(series.side ?? '', other.side ?? ''),
          hasTrend ? say.blueTrendLineWith : say.trendLineNeedsDates(LEAST_POINTS),
        )}
      </p>
      <details>
        <summary>{say.asTable}</summary>
        <div className="overflow-x-auto">
          <Table look="list" data-testid="holds">
            <caption className="sr-only">{nameSeries(series)}</caption>
            <TableHead
              columns={[
                'Date',
                'Value',
                'One standard error',
                'Readings',
                'Against the first',
                'Smallest real change',
              ]}
            />
            <tbody>
              {series.values.map((each) => {
                const first = series.values[0]!;
                return (
                  <tr key={each.takenAt}>
                    <th scope="row">{writeDate(each.takenAt)}</th>
                    <td>{writeValue(each.value, own, unit)}</td>
                    <td>{writeValue(each.error, own, unit)}</td>
                    <td>{each.readingIds.length}</td>
                    <td>{each === first ? '' : writeDifference(each.value - first.value, own)}</td>
                    <td>
                      {each === first
                        ? ''
                        : writeValue(calcSmallestRealChange(first.error, each.error), own, unit)}
                    </td>
                  </tr>
                );
              })}
            </tbody>
          </Table>
        </div>
        <p className="text-faint">{say.smallestRealChangeFirst}</p>
      </details>
    </>
  );
}
