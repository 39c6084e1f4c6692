import type { DepthDefinition } from '../poses/poseDefinition.ts';
import type { Experience } from '../person/person.ts';
import type { HouseRules } from '../rules/houseRules.ts';
import type { PoseTask } from '../solver/poseTask.ts';
import type { Posture } from '../solver/posture.ts';
import { getQuantity } from '../solver/quantities.ts';
import { toScaled, WISH_STRETCH, type Aim } from '../solver/residuals.ts';
import { reachFarthest, settleAt, settleFreely, type Answer } from '../solver/solve.ts';
import { radiansFromDegrees } from '../units/brands.ts';
import { calcFirstStep } from './reserve.ts';

type WishAim = Omit<Aim, 'toward'>;

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
  /** Postures at the deepest, from which a like task is solved sooner. */
  readonly hints: DepthHints;
}

export interface DepthHints {
  readonly deepest: Posture;
  readonly sparing: Posture;
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
 * The deepest set-up is settled this much inside its edge, degrees: at the edge itself
 * nothing is left to weigh, and a hair's breadth of depth decides every wish. A quarter
 * of what can be set gives the same answer from every start. Our modelling choice.
 */
const INSIDE_THE_EDGE = 0.25;
/**
 * Where the least to spare sets the depth, the recommended one stays this far inside that
 * edge, degrees: at the very edge every wish is stretched to its end, and one degree less
 * lets them all go back. Our modelling choice.
 */
const EASE_INSIDE_SPARING = 1;
/** Taken back, in turn, when the very edge cannot be held after all. Degrees. */
const STEPS_BACK = [0, 0.1, 0.3, 1, 3] as const;
/** A depth that cannot be held and one that can are brought as near to each other as this, degrees. */
const BRACKET = 0.1;

/**
 * Finds how deep this person may go, and how deep to go now.
 *
 * Deepest: the largest depth with every must kept and no wish more than two
 * tolerances off (musts alone if there is none). Recommended: the smaller of the
 * deepest less the first step and the depth that leaves the least to spare.
 *
 * @param hints of a like task solved before
 */
export function findDepth(
  task: PoseTask,
  { quantity, easiest, textbook }: DepthDefinition,
  rules: HouseRules,
  experience: Experience,
  hints: DepthHints | null = null,
): DepthAnswer {
  const { calc, kind } = getQuantity(quantity);
  const toOwn = (value: number): number => toScaled(quantity, value);
  const fromOwn = (value: number): number => value / toOwn(1);
  const depthOf = (answer: Answer): number => toOwn(calc(answer.skeleton));
  const reach = (toSpareDeg: number, wishesWithin: number | null, near: Posture | null): Answer =>
    reachFarthest(
      task,
      { quantity, from: fromOwn(easiest), to: fromOwn(textbook) },
      { toSpare: radiansFromDegrees(toSpareDeg), wishesWithin },
      near,
      // A task like one solved before lies near its answer, or is not worth a walk.
      hints === null,
    );
  const holdsDepth = (answer: Answer): boolean => answer.kept && depthOf(answer) >= easiest;

  const bound = reach(0, WISH_STRETCH, hints?.deepest ?? null);
  const wishesBroken = !holdsDepth(bound);
  const deepest = wishesBroken ? reach(0, null, null) : bound;
  if (!holdsDepth(deepest)) {
    return { kind: 'cannot', because: 'musts', answer: deepest, deepest: null };
  }
  const deepestDepth = depthOf(deepest);

  const settle = (depth: number, aim: WishAim, near: Answer): Answer | null => {
    const answer = settleAt(task, quantity, fromOwn(depth), aim, near.skeleton.posture);
    return answer.kept ? answer : null;
  };
  const settleJustInside = (edge: number, aim: WishAim, near: Answer): Answer => {
    for (const back of STEPS_BACK) {
      const answer = settle(edge - INSIDE_THE_EDGE - back, aim, near);
      if (answer !== null) return answer;
    }
    return near;
  };
  // A shallower pose can ask more: a knee that bends turns hip rotation into opening.
  const settleAbove = (shallow: number, edge: number, aim: WishAim, near: Answer): Answer => {
    let low = shallow;
    let best = settleJustInside(edge, aim, near);
    let high = depthOf(best);
    while (high - low > BRACKET) {
      const middle = (low + high) / 2;
      const answer = settle(middle, aim, best);
      if (answer === null) low = middle;
      else {
        best = answer;
        high = middle;
      }
    }
    return best;
  };
  const held = (
    answer: Answer,
    wishesLetGo: boolean,
    reason: DepthReason,
    sparing: Answer,
  ): DepthAnswer => ({
    kind: 'held',
    answer,
    depth: depthOf(answer),
    deepest: deepestDepth,
    reason,
    wishesLetGo,
    hints: { deepest: deepest.skeleton.posture, sparing: sparing.skeleton.posture },
  });

  if (rules.depth === 'deepest') {
    const aim = { toSpare: 0, wishesWithin: wishesBroken ? null : WISH_STRETCH };
    const inside = settleJustInside(deepestDepth, aim, deepest);
    return held(inside, wishesBroken, { kind: 'deepest' }, deepest);
  }
  const spareDeg = rules.minimumToSpareDeg;
  // With degrees to spare a wish may have to go further than it would at the very edge.
  const stretches = wishesBroken ? [null] : [WISH_STRETCH, null];
  let sparing = deepest;
  for (const wishesWithin of stretches) {
    sparing = reach(spareDeg, wishesWithin, hints?.sparing ?? deepest.skeleton.posture);
    if (!sparing.kept || depthOf(sparing) - EASE_INSIDE_SPARING < easiest) continue;
    const aim = { toSpare: radiansFromDegrees(spareDeg), wishesWithin };
    const isKneeBend = quantity === 'front-knee-bend';
    const step = calcFirstStep(rules, experience, isKneeBend, deepestDepth);
    const afterStep = Math.max(easiest, deepestDepth - step);
    const sparingDepth = depthOf(sparing) - (kind === 'angle' ? EASE_INSIDE_SPARING : 0);
    const letGo = wishesWithin === null;
    if (afterStep < sparingDepth) {
      const stepped = settle(afterStep, aim, sparing);
      if (stepped !== null) return held(stepped, letGo, { kind: 'step', step }, sparing);
      const above = settleAbove(afterStep, sparingDepth, aim, sparing);
      return held(above, letGo, { kind: 'to-spare', spareDeg }, sparing);
    }
    const capped = settleJustInside(sparingDepth, aim, sparing);
    return held(capped, letGo, { kind: 'to-spare', spareDeg }, sparing);
  }
  return { kind: 'cannot', because: 'to-spare', answer: sparing, deepest: deepestDepth };
}

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
    hints: { deepest: answer.skeleton.posture, sparing: answer.skeleton.posture },
  });
  const wished = settle(spareDeg, WISH_STRETCH);
  if (wished.kept) return held(wished, false);
  const letGo = settle(spareDeg, null);
  if (letGo.kept) return held(letGo, true);
  const bare = spareDeg === 0 ? letGo : settle(0, null);
  const because = bare.kept ? 'to-spare' : 'musts';
  return { kind: 'cannot', because, answer: because === 'musts' ? bare : letGo, deepest: null };
}
