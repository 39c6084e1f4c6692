import type { MeasureValue } from './measureValue.ts';
import { calcSmallestRealChange } from './readingErrors.ts';

/** One value against another of the same measure: the other side, or an earlier date. */
export interface Comparison {
  /** The first less the second, in the measure's unit. */
  readonly difference: number;
  /** A smaller difference is what repeats of nothing show, too. */
  readonly smallestReal: number;
  /**
   * Cold against warm, one posture against another, or one measurer against another, is no
   * comparison at all.
   */
  readonly verdict: 'real' | 'noise' | 'other-state' | 'other-posture' | 'other-measurer';
}

/**
 * How a value compares with an earlier one of the same measure and side.
 *
 * @param value the newer
 * @param other the earlier
 * @returns change or noise, or why the two are not compared
 */
export function compareValues(value: MeasureValue, other: MeasureValue): Comparison {
  const difference = value.value - other.value;
  const smallestReal = calcSmallestRealChange(value.error, other.error);
  if (value.state !== other.state) return { difference, smallestReal, verdict: 'other-state' };
  if (value.posture !== other.posture) {
    return { difference, smallestReal, verdict: 'other-posture' };
  }
  if (value.takenBy !== null && other.takenBy !== null && value.takenBy !== other.takenBy) {
    return { difference, smallestReal, verdict: 'other-measurer' };
  }
  return {
    difference,
    smallestReal,
    verdict: Math.abs(difference) > smallestReal ? 'real' : 'noise',
  };
}
