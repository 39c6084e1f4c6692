import type { PoseDefinition } from '../poses/poseDefinition.ts';
import type { Experience } from '../person/person.ts';
import type { HouseRules } from '../rules/houseRules.ts';
import type { PoseTask } from '../solver/poseTask.ts';
import type { Posture } from '../solver/posture.ts';
import { getQuantity } from '../solver/quantities.ts';
import { WISH_STRETCH, type Aim } from '../solver/residuals.ts';
import { reachFarthest, settleAt, type Answer } from '../solver/solve.ts';
import { degreesFromRadians, radiansFromDegrees } from '../units/brands.ts';
import { calcFirstStep } from './reserve.ts';

type WishAim = Omit<Aim, 'toward'>;

/** Why a recommended depth is what it is. */
type DepthReason =
  | { readonly kind: 'step'; readonly stepDeg: number }
  | { readonly kind: 'to-spare'; readonly spareDeg: number }
  | { readonly kind: 'deepest' };

export type DepthAnswer =
  | {
      readonly kind: 'held';
      readonly answer: Answer;
      readonly depthDeg: number;
      readonly deepestDeg: number;
      readonly reason: DepthReason;
      /** True when only the musts could be kept, so that a wish may be more than two tolerances off. */
      readonly wishesLetGo: boolean;
    }
  | {
      readonly kind: 'cannot';
      readonly because: 'musts' | 'to-spare';
      /** The least broken posture, to name what stands in the way. */
      readonly answer: Answer;
      readonly deepestDeg: number | null;
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
/** Halvings between a depth that cannot be held and one that can: to about 0.1°. */
const HALVINGS = 8;
/**
 * Finds how deep this person may go, and how deep to go now.
 *
 * Deepest: the largest depth with every must kept and no wish more than two
 * tolerances off (musts alone if there is none). Recommended: the smaller of the
 * deepest less the first step and the depth that leaves the least to spare.
 */
export function findDepth(
  task: PoseTask,
  pose: PoseDefinition,
  rules: HouseRules,
  experience: Experience,
): DepthAnswer {
  const { quantity, easiest, textbook } = pose.depth;
  const depthOf = (answer: Answer): number =>
    degreesFromRadians(getQuantity(quantity).calc(answer.skeleton));
  const reach = (toSpareDeg: number, wishesWithin: number | null, near: Posture | null): Answer =>
    reachFarthest(
      task,
      { quantity, from: radiansFromDegrees(easiest), to: radiansFromDegrees(textbook) },
      { toSpare: radiansFromDegrees(toSpareDeg), wishesWithin },
      near,
    );
  const holdsDepth = (answer: Answer): boolean => answer.kept && depthOf(answer) >= easiest;

  const bound = reach(0, WISH_STRETCH, null);
  const wishesBroken = !holdsDepth(bound);
  const deepest = wishesBroken ? reach(0, null, null) : bound;
  if (!holdsDepth(deepest)) {
    return { kind: 'cannot', because: 'musts', answer: deepest, deepestDeg: null };
  }
  const deepestDeg = depthOf(deepest);

  const settle = (depth: number, aim: WishAim, near: Answer): Answer | null => {
    const value = radiansFromDegrees(depth);
    const answer = settleAt(task, quantity, value, aim, near.skeleton.posture);
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
    for (let halving = 0; halving < HALVINGS; halving += 1) {
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
  const held = (answer: Answer, wishesLetGo: boolean, reason: DepthReason): DepthAnswer => ({
    kind: 'held',
    answer,
    depthDeg: depthOf(answer),
    deepestDeg,
    reason,
    wishesLetGo,
  });

  if (rules.depth === 'deepest') {
    const aim = { toSpare: 0, wishesWithin: wishesBroken ? null : WISH_STRETCH };
    return held(settleJustInside(deepestDeg, aim, deepest), wishesBroken, { kind: 'deepest' });
  }
  const spareDeg = rules.minimumToSpareDeg;
  // With degrees to spare a wish may have to go further than it would at the very edge.
  const stretches = wishesBroken ? [null] : [WISH_STRETCH, null];
  for (const wishesWithin of stretches) {
    const sparing = reach(spareDeg, wishesWithin, deepest.skeleton.posture);
    if (!sparing.kept || depthOf(sparing) - EASE_INSIDE_SPARING < easiest) continue;
    const aim = { toSpare: radiansFromDegrees(spareDeg), wishesWithin };
    const stepDeg = calcFirstStep(rules, experience, quantity === 'front-knee-bend', deepestDeg);
    const afterStep = Math.max(easiest, deepestDeg - stepDeg);
    const sparingDeg = depthOf(sparing) - EASE_INSIDE_SPARING;
    const letGo = wishesWithin === null;
    if (afterStep < sparingDeg) {
      const stepped = settle(afterStep, aim, sparing);
      if (stepped !== null) return held(stepped, letGo, { kind: 'step', stepDeg });
      const above = settleAbove(afterStep, sparingDeg, aim, sparing);
      return held(above, letGo, { kind: 'to-spare', spareDeg });
    }
    const capped = settleJustInside(sparingDeg, aim, sparing);
    return held(capped, letGo, { kind: 'to-spare', spareDeg });
  }
  const least = reach(spareDeg, null, deepest.skeleton.posture);
  return { kind: 'cannot', because: 'to-spare', answer: least, deepestDeg };
}
