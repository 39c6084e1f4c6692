import { compareValues } from '../measures/compareValues.ts';
import type { MeasureValue } from '../measures/measureValue.ts';
import { getProtocol } from '../measures/protocols/index.ts';
import { nameSeries, writeDifference } from './change.ts';
import type { Series } from './series.ts';

/** Left against right of one measure, at their first and at their latest common state. */
export interface Asymmetry {
  readonly measure: Series['measure'];
  readonly left: Series;
  readonly right: Series;
  /** Left less right. */
  readonly first: number;
  readonly latest: number;
  readonly smallestReal: number;
  readonly wasReal: boolean;
  readonly isReal: boolean;
}

const compareSides = (left: MeasureValue, right: MeasureValue) => compareValues(left, right);

/**
 * Every measure of two sides in one state and posture.
 *
 * @param series of one person
 * @returns the largest first
 */
export function listAsymmetries(series: readonly Series[]): readonly Asymmetry[] {
  return series
    .filter(({ side }) => side === 'left')
    .flatMap((left): Asymmetry[] => {
      const right = series.find(
        (each) =>
          each.side === 'right' &&
          each.measure === left.measure &&
          each.state === left.state &&
          each.posture === left.posture,
      );
      if (right === undefined) return [];
      const first = compareSides(left.values[0]!, right.values[0]!);
      const latest = compareSides(left.values.at(-1)!, right.values.at(-1)!);
      return [
        {
          measure: left.measure,
          left,
          right,
          first: first.difference,
          latest: latest.difference,
          smallestReal: latest.smallestReal,
          wasReal: first.verdict === 'real',
          isReal: latest.verdict === 'real',
        },
      ];
    });
}

/**
 * Left against right in a sentence.
 *
 * @returns words for the teacher
 */
export function sayAsymmetry({
  measure,
  left,
  latest,
  first,
  smallestReal,
  isReal,
  wasReal,
}: Asymmetry): string {
  const { unit } = getProtocol(measure);
  const name = nameSeries({ measure, side: null, state: left.state });
  const written = writeDifference(Math.abs(latest), unit).slice(2);
  const error = writeDifference(smallestReal, unit).slice(2);
  const side = latest > 0 ? 'left' : 'right';
  if (isReal) {
    return `${name}: ${side} ${written} more, beyond the ${error} of measuring error.`;
  }
  const before = writeDifference(Math.abs(first), unit).slice(2);
  return wasReal
    ? `${name}: the sides differed by ${before}; now no clear difference.`
    : `${name}: no clear difference.`;
}
