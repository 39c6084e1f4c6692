import { compareValues } from '../measures/compareValues.ts';
import type { MeasureValue } from '../measures/measureValue.ts';
import { getProtocol } from '../measures/protocols/index.ts';
import type { Series } from './series.ts';

/** The one claim of a series: its latest date against its first, never the best pair of many. */
export interface SeriesChange {
  readonly first: MeasureValue;
  readonly latest: MeasureValue;
  readonly difference: number;
  readonly smallestReal: number;
  readonly verdict: 'real' | 'noise' | 'other-measurer';
}

/** @returns null with fewer than two dates */
export function findChange({ values }: Series): SeriesChange | null {
  const [first] = values;
  const latest = values.at(-1);
  if (first === undefined || latest === undefined || values.length < 2) return null;
  const { difference, smallestReal, verdict } = compareValues(latest, first);
  const told = verdict === 'real' || verdict === 'other-measurer' ? verdict : 'noise';
  return { first, latest, difference, smallestReal, verdict: told };
}

/**
 * `straight-leg raise, left, warm`.
 *
 * @returns words for the teacher
 */
export function nameSeries({
  measure,
  side,
  state,
}: Pick<Series, 'measure' | 'side' | 'state'>): string {
  const parts = [getProtocol(measure).name, side, state === 'warm' ? 'warmed up' : state];
  return parts.filter((each) => each !== null).join(', ');
}

const UNITS = { deg: '°', cm: ' cm', s: ' s' } as const;

/**
 * A number with its unit and its sign: `+ 9°`, `− 0.4 cm`. Degrees and seconds are whole.
 *
 * @param value in the unit
 * @param unit centimetres, degrees or seconds
 * @returns text
 */
export function writeDifference(value: number, unit: keyof typeof UNITS): string {
  const digits = unit === 'cm' ? 1 : 0;
  const written = Math.abs(value).toFixed(digits);
  const sign = Number(written) === 0 ? '±' : value > 0 ? '+' : '−';
  return `${sign} ${written}${UNITS[unit]}`;
}

/**
 * A change in a sentence.
 *
 * @param series a measure over time
 * @param change of a measure
 * @param since the first date, as it is said
 * @returns words for the teacher
 */
export function sayChange(series: Series, change: SeriesChange, since: string): string {
  const { unit } = getProtocol(series.measure);
  const by = writeDifference(change.difference, unit);
  const error = `${change.smallestReal.toFixed(unit === 'cm' ? 1 : 0)}${UNITS[unit]}`;
  const start = `${nameSeries(series)}: ${by} since ${since}`;
  switch (change.verdict) {
    case 'real':
      return `${start}, more than the ${error} of measuring error.`;
    case 'noise':
      return `${start}, within the ${error} of measuring error: no clear change.`;
    case 'other-measurer':
      return `${start}, but measured by someone else: no clear change.`;
  }
}
