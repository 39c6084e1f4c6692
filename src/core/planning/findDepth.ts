import type { DepthDefinition } from '../poses/poseDefinition.ts';
import type { Experience } from '../person/person.ts';
import type { HouseRules } from '../rules/houseRules.ts';
import { getQuantity } from '../conditions/quantities.ts';
import { calcWishOff } from '../conditions/violation.ts';
import { toWarmStart, type Solution } from '../solver/run.ts';
import { settleFreely } from '../solver/solve.ts';
import { withLimits, type BuiltTask } from './buildTask.ts';
import { DepthSearch, wishesWithinAt, type DepthWarmStarts, type WishAim } from './depthSearch.ts';
import { calcFirstStep } from './reserve.ts';

/** Why a recommended depth is what it is. */
type DepthReason =
  | { readonly kind: 'step'; readonly step: number }
  | { readonly kind: 'held-back' }
  | { readonly kind: 'deepest' };

/** Depths in the depth's own unit, degrees or centimetres. */
export interface HeldDepth {
  readonly kind: 'held';
  readonly answer: Solution;
  /** null = this pose has no depth. */
  readonly depth: number | null;
  readonly deepest: number | null;
  readonly reason: DepthReason;
  /** How much farther than their usual tolerance the wishes may be off; 1 = no farther. */
  readonly stretch: number;
  readonly warmStarts: DepthWarmStarts;
}

export type DepthAnswer =
  | HeldDepth
  | {
      readonly kind: 'cannot';
      readonly because: 'musts' | 'held-back';
      /** The least broken posture, to name what stands in the way. */
      readonly answer: Solution;
      readonly deepest: number | null;
    };

/**
 * Where what is held back sets the depth, the recommended one stays this far inside that
 * edge, degrees: at the very edge every wish is stretched to its end, and one degree less
 * lets them all go back. Our modelling choice.
 */
const EASE_INSIDE_SPARING = 1;
/**
 * That edge is looked for no farther than this beyond where the step ends, degrees or
 * centimetres: if it lies there or farther, the step sets the depth. More than the ease above.
 */
const BEYOND_STEP = 2;

/** What a depth depends on beside the task. */
export interface DepthRequest {
  readonly rules: HouseRules;
  readonly experience: Experience;
  /** Whether a session of this pose was logged: then there is no first step any more. */
  readonly isHeldBefore: boolean;
}

/**
 * Finds how deep this person may go, and how deep to go now.
 *
 * Deepest: the largest depth inside the safe limits with every must kept and every wish
 * within its stretch. Recommended: the largest depth that leaves free all that is held
 * back, and the first time no deeper than the deepest less the first step.
 *
 * @param built the task and its limits
 * @param depth the pose's depth
 * @param warmStarts of a similar task that was solved before
 * @returns the held posture with both depths, or why there is none
 */
export function findDepth(
  built: BuiltTask,
  depth: DepthDefinition,
  { rules, experience, isHeldBefore }: DepthRequest,
  warmStarts: DepthWarmStarts | null = null,
): DepthAnswer {
  const { quantity, easiest } = depth;
  const { kind } = getQuantity(quantity);
  const safe = new DepthSearch(withLimits(built, 'safe'), depth, warmStarts);
  const bound = safe.reach({ near: warmStarts?.deepest ?? null });
  const { answer: deepest } = bound;
  if (!bound.isHeld) return { kind: 'cannot', because: 'musts', answer: deepest, deepest: null };
  const deepestDepth = safe.depthOf(deepest);
  const held = (
    answer: Solution,
    stretch: number,
    reason: DepthReason,
    edge: Solution,
  ): DepthAnswer => ({
    kind: 'held',
    answer,
    depth: safe.depthOf(answer),
    deepest: deepestDepth,
    reason,
    stretch,
    warmStarts: warmStartsAt(deepest, edge, answer, stretch),
  });

  if (built.usable === 'safe') {
    const inside = safe.settleJustInside(deepestDepth, aimAt(bound.stretch), deepest);
    return held(inside, bound.stretch, { kind: 'deepest' }, deepest);
  }
  const step = isHeldBefore
    ? 0
    : calcFirstStep(rules, experience, quantity === 'front-knee-bend', deepestDepth);
  const afterStep = Math.max(easiest, deepestDepth - step);
  const search = new DepthSearch(withLimits(built, 'recommended'), depth, warmStarts);
  const reached = search.reach({
    ease: EASE_INSIDE_SPARING,
    near: warmStarts?.sparing ?? toWarmStart(deepest),
    enough: afterStep + BEYOND_STEP,
    stretch: bound.stretch,
  });
  const { answer: sparing, stretch } = reached;
  if (!reached.isHeld) {
    return { kind: 'cannot', because: 'held-back', answer: sparing, deepest: deepestDepth };
  }
  const aim = aimAt(stretch);
  const edge = search.depthOf(sparing) - (kind === 'angle' ? EASE_INSIDE_SPARING : 0);
  const heldBack = { kind: 'held-back' } as const;
  if (afterStep >= edge) {
    return held(search.settleJustInside(edge, aim, sparing), stretch, heldBack, sparing);
  }
  const stepped = search.settle(afterStep, aim, sparing);
  if (stepped !== null) return held(stepped, stretch, { kind: 'step', step }, sparing);
  return held(search.settleAbove(afterStep, edge, aim, sparing), stretch, heldBack, sparing);
}

const aimAt = (stretch: number): WishAim => ({
  toSpare: 0,
  wishesWithin: wishesWithinAt(stretch),
});

const warmStartsAt = (
  deepest: Solution,
  sparing: Solution,
  settled: Solution,
  stretch: number,
): DepthWarmStarts => ({
  deepest: toWarmStart(deepest),
  sparing: toWarmStart(sparing),
  settled: toWarmStart(settled),
  stretch,
});

/**
 * The farthest depth that leaves some degrees free at every joint inside its safe limit.
 *
 * @param built the task and its limits
 * @param depth the pose's depth
 * @param toSpareDeg degrees that stay free at every joint
 * @returns null when nothing can be held so
 */
export function findDepthToSpare(
  built: BuiltTask,
  depth: DepthDefinition,
  toSpareDeg: number,
): number | null {
  const search = new DepthSearch(withLimits(built, 'safe'), depth, null);
  const { answer, isHeld } = search.reach({ toSpareDeg });
  return isHeld ? search.depthOf(answer) : null;
}

/**
 * The most wished-for posture of a pose without degrees of depth.
 *
 * @param built the task and its limits
 * @returns the held posture, or why there is none
 */
export function findSetUpWithoutDepth(built: BuiltTask): DepthAnswer {
  const settle = (kind: BuiltTask['usable'], wishesWithin: number | null): Solution =>
    settleFreely(withLimits(built, kind), { toSpare: 0, wishesWithin });
  const held = (answer: Solution, stretch: number): DepthAnswer => ({
    kind: 'held',
    answer,
    depth: null,
    deepest: null,
    reason: { kind: 'held-back' },
    stretch,
    warmStarts: warmStartsAt(answer, answer, answer, stretch),
  });
  const wished = settle(built.usable, wishesWithinAt(1));
  if (wished.kept) return held(wished, 1);
  const letGo = settle(built.usable, null);
  if (letGo.kept) {
    // Wishes pull as least squares do, so that what they cost changes smoothly with the body.
    const offs = built.task.wishes.map((wish) => Math.abs(calcWishOff(wish, letGo.skeleton)));
    return held(letGo, Math.max(1, ...offs.map((off) => off / wishesWithinAt(1))));
  }
  const safe = built.usable === 'safe' ? letGo : settle('safe', null);
  const because = safe.kept ? 'held-back' : 'musts';
  return { kind: 'cannot', because, answer: because === 'musts' ? safe : letGo, deepest: null };
}
