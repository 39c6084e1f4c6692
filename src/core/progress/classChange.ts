import jStat from 'jstat';
import { getProtocol } from '../measures/protocols/index.ts';
import type { Reading } from '../measures/reading.ts';
import { findChange, nameSeries, writeDifference } from './change.ts';
import { listSeries } from './series.ts';

/** One in twenty people is named by chance. */
const ALPHA = 0.05;
/** The usual two-sided bound that a single comparison stands on. */
const Z_ONE = 1.96;

/** How somebody’s ranges changed from their first date to their latest. */
export type MemberChange =
  | { readonly kind: 'not-twice' }
  /** Nothing beyond what repeats of nothing show. */
  | { readonly kind: 'noise' }
  | { readonly kind: 'moved-on' | 'moved-back'; readonly words: string };

/**
 * Whether somebody moved on: their largest change of a range, held against the error of measuring.
 * Many ranges are compared, and the largest of many is large by chance: so the bound is that of
 * Bonferroni, one in twenty for all of them together (common statistics, no source).
 *
 * @param readings of one person, in any order
 * @returns with the range that changed most
 */
export function findMemberChange(readings: readonly Reading[]): MemberChange {
  const compared = listSeries(readings).flatMap((series) => {
    const change = findChange(series);
    const isRange = getProtocol(series.measure).unit === 'deg';
    if (!isRange || change === null || change.verdict === 'other-measurer') return [];
    // In units of the standard error of the difference.
    return [{ series, change, z: (Z_ONE * change.difference) / change.smallestReal }];
  });
  if (compared.length === 0) return { kind: 'not-twice' };
  const bound = jStat.normal.inv(1 - ALPHA / (2 * compared.length), 0, 1);
  const largest = compared.reduce((a, b) => (Math.abs(b.z) > Math.abs(a.z) ? b : a));
  if (Math.abs(largest.z) <= bound) return { kind: 'noise' };
  const words = `${nameSeries(largest.series)}: ${writeDifference(largest.change.difference, 'deg')}`;
  return { kind: largest.z > 0 ? 'moved-on' : 'moved-back', words };
}
