import type { DepthDefinition } from '../poses/poseDefinition.ts';
import type { Experience } from '../person/person.ts';
import type { HouseRules } from '../rules/houseRules.ts';
import type { PoseTask } from '../solver/poseTask.ts';
import { getQuantity } from '../solver/quantities.ts';
import { WISH_STRETCH } from '../solver/residuals.ts';
import { hintOf, type Answer } from '../solver/run.ts';
import { settleFreely } from '../solver/solve.ts';
import { radiansFromDegrees } from '../units/brands.ts';
import { DepthSearch, type DepthHints, type WishAim } from './depthSearch.ts';
import { calcFirstStep } from './reserve.ts';

/** Why a recommended depth is what it is. */
type DepthReason =
  | { readonly kind: 'step'; readonly step: number }
  | { readonly kind: 'to-spare'; readonly spareDeg: number }
  | { readonly kind: 'deepest' };

/** Depths in degrees or centimetres, whichever the depth is told in. */
export interface HeldDepth {
  readonly kind: 'held';
  readonly answer: Answer;
  /** null = this pose has no depth. */
  readonly depth: number | null;
  readonly deepest: number | null;
  readonly reason: DepthReason;
  /** True when only the musts could be kept, so that a wish may be more than two tolerances off. */
  readonly wishesLetGo: boolean;
  readonly hints: DepthHints;
}

export type DepthAnswer =
  | HeldDepth
  | {
      readonly kind: 'cannot';
      readonly because: 'musts' | 'to-spare';
      /** The least broken posture, to name what stands in the way. */
      readonly answer: Answer;
      readonly deepest: number | null;
    };

/**
 * Where the least to spare sets the depth, the recommended one stays this far inside that
 * edge, degrees: at the very edge every wish is stretched to its end, and one degree less
 * lets them all go back. Our modelling choice.
 */
const EASE_INSIDE_SPARING = 1;
/**
 * That edge is looked for no farther than this beyond where the step ends, degrees or
 * centimetres: if it lies there or farther, the step sets the depth. More than the ease above.
 */
const BEYOND_STEP = 2;

/**
 * Finds how deep this person may go, and how deep to go now.
 *
 * Deepest: the largest depth with every must kept and no wish more than two
 * tolerances off (musts alone if there is none). Recommended: the smaller of the
 * deepest less the first step and the depth that leaves the least to spare.
 *
 * @param hints of a like task solved before
 * @param isTrial whether to give up at once, and with less to tell, where nothing can be held
 */
export function findDepth(
  task: PoseTask,
  depth: DepthDefinition,
  rules: HouseRules,
  experience: Experience,
  hints: DepthHints | null = null,
  isTrial = false,
): DepthAnswer {
  const { quantity, easiest } = depth;
  const { kind } = getQuantity(quantity);
  const search = new DepthSearch(task, depth, hints);
  const spareDeg = rules.depth === 'deepest' ? 0 : rules.minimumToSpareDeg;
  if (isTrial) {
    const anywhere = search.settleAnywhere(spareDeg);
    if (!anywhere.kept) {
      return { kind: 'cannot', because: 'to-spare', answer: anywhere, deepest: null };
    }
  }
  const bound = search.reach(0, false, 0, hints?.deepest ?? null);
  const { answer: deepest } = bound;
  if (!bound.isHeld) return { kind: 'cannot', because: 'musts', answer: deepest, deepest: null };
  const deepestDepth = search.depthOf(deepest);
  const held = (
    answer: Answer,
    { wishesWithin }: WishAim,
    reason: DepthReason,
    sparing: Answer,
  ): DepthAnswer => ({
    kind: 'held',
    answer,
    depth: search.depthOf(answer),
    deepest: deepestDepth,
    reason,
    wishesLetGo: wishesWithin === null,
    hints: hintsAt(deepest, sparing, answer),
  });

  if (rules.depth === 'deepest') {
    const inside = search.settleJustInside(deepestDepth, bound.aim, deepest);
    return held(inside, bound.aim, { kind: 'deepest' }, deepest);
  }
  const step = calcFirstStep(rules, experience, quantity === 'front-knee-bend', deepestDepth);
  const afterStep = Math.max(easiest, deepestDepth - step);
  // With degrees to spare a wish may have to go further than it would at the very edge.
  const reached = search.reach(
    spareDeg,
    bound.aim.wishesWithin === null,
    EASE_INSIDE_SPARING,
    hints?.sparing ?? hintOf(deepest),
    afterStep + BEYOND_STEP,
  );
  const { answer: sparing, aim } = reached;
  if (!reached.isHeld) {
    return { kind: 'cannot', because: 'to-spare', answer: sparing, deepest: deepestDepth };
  }
  const edge = search.depthOf(sparing) - (kind === 'angle' ? EASE_INSIDE_SPARING : 0);
  const toSpare = { kind: 'to-spare', spareDeg } as const;
  if (afterStep >= edge) {
    return held(search.settleJustInside(edge, aim, sparing), aim, toSpare, sparing);
  }
  const stepped = search.settle(afterStep, aim, sparing);
  if (stepped !== null) return held(stepped, aim, { kind: 'step', step }, sparing);
  return held(search.settleAbove(afterStep, edge, aim, sparing), aim, toSpare, sparing);
}

const hintsAt = (deepest: Answer, sparing: Answer, settled: Answer): DepthHints => ({
  deepest: hintOf(deepest),
  sparing: hintOf(sparing),
  settled: hintOf(settled),
});

/** The most wished-for posture of a pose without degrees of depth. */
export function findSetUpWithoutDepth(task: PoseTask, rules: HouseRules): DepthAnswer {
  const spareDeg = rules.depth === 'deepest' ? 0 : rules.minimumToSpareDeg;
  const settle = (toSpareDeg: number, wishesWithin: number | null): Answer =>
    settleFreely(task, { toSpare: radiansFromDegrees(toSpareDeg), wishesWithin });
  const held = (answer: Answer, wishesLetGo: boolean): DepthAnswer => ({
    kind: 'held',
    answer,
    depth: null,
    deepest: null,
    reason: { kind: 'to-spare', spareDeg },
    wishesLetGo,
    hints: hintsAt(answer, answer, answer),
  });
  const wished = settle(spareDeg, WISH_STRETCH);
  if (wished.kept) return held(wished, false);
  const letGo = settle(spareDeg, null);
  if (letGo.kept) return held(letGo, true);
  const bare = spareDeg === 0 ? letGo : settle(0, null);
  const because = bare.kept ? 'to-spare' : 'musts';
  return { kind: 'cannot', because, answer: because === 'musts' ? bare : letGo, deepest: null };
}
