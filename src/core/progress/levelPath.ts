import { findPose } from '../poses/catalogue/index.ts';
import { listLadder, USUAL_LEVEL } from '../poses/level.ts';
import type { Drift } from './drift.ts';

/** The levels of one pose and side over the sessions, as steps of its ladder. */
export interface LevelPath {
  /** Names of the ladder's levels, easiest first. */
  readonly ladder: readonly string[];
  /** Which of them was held when, 0 = the easiest; variants are on no ladder and left out. */
  readonly steps: readonly { readonly at: string; readonly step: number }[];
}

/**
 * The path of a pose up and down its ladder.
 *
 * @param drift one pose and side over the sessions
 * @returns null for a pose with one level, and where only variants were held
 */
export function findLevelPath({ pose: id, points }: Drift): LevelPath | null {
  const pose = findPose(id);
  const ladder = pose === null ? [] : listLadder(pose);
  const steps = points.flatMap(({ at, level }) => {
    const step = ladder.findIndex((each) => each.id === (level ?? USUAL_LEVEL));
    return step < 0 ? [] : [{ at, step }];
  });
  return ladder.length < 2 || steps.length === 0
    ? null
    : { ladder: ladder.map(({ name }) => name), steps };
}
