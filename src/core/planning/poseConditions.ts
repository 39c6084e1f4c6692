import type { Must, Wish } from '../conditions/poseTask.ts';
import { getQuantity } from '../conditions/quantities.ts';
import type {
  AngleDefinition,
  ArmDefinition,
  MustDefinition,
  PoseDefinition,
  WishDefinition,
} from '../poses/poseDefinition.ts';
import type { QuantityId } from '../poses/quantityId.ts';
import type { HouseRules } from '../rules/houseRules.ts';
import type { ArmPlan } from '../skeleton/arm.ts';
import type { PartId } from '../skeleton/posture.ts';
import { metresFromCm, radiansFromDegrees } from '../units/brands.ts';
import { resolveRule } from './resolveRule.ts';

/** Half the width of a block on its tallest face. Common practice, no source. */
const HALF_BLOCK_CM = 3.75;
/** A hand is moved from under its shoulder by at most this. Our choice. */
const MOST_ASIDE_CM = 15;

/** Degrees and centimetres of a pose's data as radians and metres. */
function toScale(quantity: QuantityId, value: number): number {
  const { kind } = getQuantity(quantity);
  if (kind === 'percent') return value;
  return kind === 'angle' ? radiansFromDegrees(value) : metresFromCm(value);
}

/**
 * What has to hold, with the house rules filled in.
 *
 * @param must as the pose's data says it
 * @param rules house rules, all filled in
 * @returns radians or metres
 */
export function resolveMust(must: MustDefinition, rules: HouseRules): Must {
  const end = (value: MustDefinition['atLeast']): number | null =>
    value === undefined ? null : toScale(must.quantity, resolveRule(value, rules));
  return { quantity: must.quantity, atLeast: end(must.atLeast), atMost: end(must.atMost) };
}

/**
 * What is wished for, with the house rules filled in.
 *
 * @param wish as the pose's data says it
 * @param rules house rules, all filled in
 * @returns radians or metres
 */
export function resolveWish(wish: WishDefinition, rules: HouseRules): Wish {
  const { quantity } = wish;
  return {
    quantity,
    goal: toScale(quantity, resolveRule(wish.goal, rules)),
    sigma: toScale(quantity, resolveRule(wish.sigma, rules)),
  };
}

/**
 * What an arm does, in metres.
 *
 * @param arm as the pose's data says it
 * @param onCm what its hand stands on at least, cm; 0 = the floor
 * @returns what the solver takes
 */
export function resolveArm(arm: ArmDefinition, onCm: number): ArmPlan {
  return {
    reach: arm.reach,
    bears: arm.bears === true,
    clearFrontFoot: arm.clearOfFrontFoot === true ? metresFromCm(HALF_BLOCK_CM) : null,
    mostAside: metresFromCm(arm.mostAsideCm ?? MOST_ASIDE_CM),
    onHeight: metresFromCm(onCm),
    elbowOutward: arm.elbowOutward === true,
  };
}

/**
 * An angle's start, and whether the solver may move it.
 *
 * @param angle as the pose's data says it
 * @param rules house rules, all filled in
 * @param forced by a house rule, degrees; null = none
 * @returns radians
 */
export function resolveAngle(
  angle: AngleDefinition,
  rules: HouseRules,
  forced: number | null,
): { readonly rad: number; readonly free: boolean } {
  const chosen = resolveRule(angle.kind === 'free' ? angle.start : angle.at, rules);
  return {
    rad: radiansFromDegrees(forced ?? chosen),
    free: angle.kind === 'free' && forced === null,
  };
}

/**
 * Parts that this pose leaves to the solver beside pelvis and spine.
 *
 * @param pose the pose's data
 * @param stanceIsFree whether it is solved for
 * @param frontFootIsFree whether its turn is solved for
 * @param backFootIsFree whether its turn is solved for
 * @returns the parts beside pelvis and spine
 */
export function findFreeParts(
  pose: PoseDefinition,
  stanceIsFree: boolean,
  frontFootIsFree: boolean,
  backFootIsFree: boolean,
): PartId[] {
  const free: PartId[] = [];
  if (stanceIsFree) free.push('stance');
  if ((pose.mostWidening ?? 0) > 0) free.push('widening');
  if (frontFootIsFree) free.push('frontFootYaw');
  if (backFootIsFree) free.push('backFootYaw');
  if (pose.backHeelLift !== null) free.push('backHeelLift');
  if (pose.backContact === 'lifted') {
    free.push('backHipFlexion', 'backHipAbduction', 'backHipRotation');
  }
  if (pose.backContact === 'on-front-leg') free.push('backKneeOut');
  if (pose.backContact === 'on-front-leg' && pose.soleAt !== 'ankle') free.push('backSoleHeight');
  if (pose.backContact === 'shin-leaning-on-wall') free.push('backShinLean');
  return free;
}

/** A shin that leans back to a wall does so by up to this, degrees. Our choice. */
const MOST_SHIN_LEAN_DEG = 65;

/**
 * Ends of what is free, as musts.
 *
 * @param pose the pose's data
 * @param backFoot its angle in the pose's data
 * @param free the parts that are searched
 * @returns degrees or centimetres, as in the pose's data
 */
export function findPartMusts(
  pose: PoseDefinition,
  backFoot: AngleDefinition,
  free: readonly PartId[],
): MustDefinition[] {
  const musts: MustDefinition[] = [];
  const between = (quantity: QuantityId, from: number, to: number): void => {
    musts.push({ quantity, atLeast: from, atMost: to });
  };
  const { frontFootYaw: front, backHeelLift: lift } = pose;
  if (free.includes('widening')) between('widening', 0, pose.mostWidening ?? 0);
  if (free.includes('frontFootYaw') && front.kind === 'free') {
    between('front-foot-angle', front.from, front.to);
  }
  if (free.includes('backFootYaw') && backFoot.kind === 'free') {
    between('back-foot-angle', backFoot.from, backFoot.to);
  }
  if (free.includes('backShinLean')) between('back-shin-lean', 0, MOST_SHIN_LEAN_DEG);
  if (lift !== null) between('back-heel-lift', lift.from, lift.to);
  return musts;
}

/** A back foot that stands flat keeps its outer edge down. Our modelling choice. */
const MOST_INVERSION_DEG = 40;
const ROLLED_OUT: WishDefinition = { quantity: 'back-ankle-rolled-out', goal: 0, sigma: 2.5 };

/**
 * How far a flat back ankle may roll outward. It is a margin of ours: where limits are taken
 * as measured it does not count.
 *
 * @param rules house rules, all filled in
 * @returns none where limits are taken as measured
 */
export function findAnkleConditions(
  { backContact, origin }: PoseDefinition,
  rules: HouseRules,
): Pick<PoseDefinition, 'musts' | 'wishes'> {
  const standsBehind = backContact === 'flat' && origin !== 'mid-stance';
  if (!standsBehind || rules.limitMarginSem === 0) return { musts: [], wishes: [] };
  return {
    musts: [{ quantity: 'back-ankle-inversion', atMost: MOST_INVERSION_DEG }],
    wishes: [ROLLED_OUT],
  };
}
