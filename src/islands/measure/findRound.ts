import { isMeasureId, type MeasureId } from '../../core/measures/protocols/index.ts';
import { FULL_ROUND, sortByPosture } from '../../core/measures/rounds.ts';
import { findShortRound, POSES } from '../../core/poses/catalogue/index.ts';

/** Which measures are taken: the short round, all there are, or the few that a re-check names. */
export function findRound(query: URLSearchParams): {
  kind: RoundKind;
  measures: readonly MeasureId[];
} {
  const only = query.get('only')?.split(',').filter(isMeasureId) ?? [];
  if (only.length > 0) return { kind: 'recheck', measures: sortByPosture(only) };
  return query.get('round') === 'full'
    ? { kind: 'full', measures: FULL_ROUND }
    : { kind: 'short', measures: findShortRound(findPoses(query)) };
}

export const ALL_POSES = POSES.map((each) => each.id);

/** The poses that are meant to be set up; all of them unless some were chosen. */
export function findPoses(query: URLSearchParams): readonly string[] {
  const chosen =
    query
      .get('for')
      ?.split(',')
      .filter((each) => ALL_POSES.includes(each)) ?? [];
  return chosen.length === 0 ? ALL_POSES : chosen;
}

export type RoundKind = 'short' | 'full' | 'recheck';
