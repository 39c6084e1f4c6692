import type { Parts } from '../skeleton/posture.ts';
import { toWarmStart, type Solution, type WarmStart } from '../solver/run.ts';
import { pullFromWarmStart, reachFarthest } from '../solver/solve.ts';
import { radiansFromDegrees } from '../units/brands.ts';
import { buildTask, withLimits } from './buildTask.ts';
import { findStance, LEAST_STANCE_SHARE } from './stance.ts';
import { wishesWithinAt, type WishAim } from './depthSearch.ts';
import type { PoseRequest } from './poseRequest.ts';

/**
 * While the longest stance is looked for, wishes may stretch by one tolerance only and
 * every joint keeps two degrees more than it must, so that the depth found in it
 * afterwards still has room. Our modelling choice.
 */
const WISHES_IN_LONGEST = 1;
const MORE_TO_SPARE_IN_LONGEST_DEG = 2;
/** No stance is looked for below half of what its rule wants. Our modelling choice. */
const SHORTEST_SHARE = 0.5;

/**
 * Some stances are as long as can be, up to a rule: found once, then held.
 *
 * @param warmStart where the longest stance of a similar request was found
 * @returns the parts that are held, and where the longest stance was found
 */
export function findHeldStance(
  { pose, limited: { body, ranges }, side, rules }: PoseRequest,
  warmStart: WarmStart | null,
): { readonly held: Partial<Parts>; readonly longest: WarmStart | null } {
  const { definition, metres } = findStance(pose, body, side, rules);
  if (definition.kind !== 'longest-up-to' || metres === null) {
    return { held: {}, longest: null };
  }
  const built = buildTask(pose, body, ranges, side, rules);
  const task = withLimits(built, built.usable);
  const aim = {
    toSpare: radiansFromDegrees(MORE_TO_SPARE_IN_LONGEST_DEG),
    wishesWithin: WISHES_IN_LONGEST,
  };
  const shortest = SHORTEST_SHARE * metres;
  const least = LEAST_STANCE_SHARE * body.legLength[side];
  const isRecommended = rules.depth === 'recommended' && definition.of === 'leg-length';
  const from = isRecommended ? Math.min(metres, Math.max(shortest, least)) : shortest;
  const way = { quantity: 'stance', from, to: metres } as const;
  const find = (within: WishAim): Solution =>
    warmStart === null
      ? reachFarthest(task, way, within, null)
      : pullFromWarmStart(task, way, within, warmStart);
  const roomy = find(aim);
  // Where no stance leaves so much room, the longest that can be held at all.
  const answer = roomy.kept ? roomy : find({ toSpare: 0, wishesWithin: wishesWithinAt(1) });
  const stance = answer.kept ? Math.min(metres, answer.skeleton.posture.parts.stance) : metres;
  return { held: { stance }, longest: toWarmStart(answer) };
}
