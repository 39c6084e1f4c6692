import { toHundredths } from '../units/rounding.ts';
import type { PoseDefinition } from '../poses/poseDefinition.ts';
import type { AsFound } from '../rules/houseRules.ts';
import type { PoseTask } from '../conditions/poseTask.ts';
import { getQuantity } from '../conditions/quantities.ts';
import { toScaled } from '../conditions/violation.ts';
import type { Skeleton } from '../skeleton/skeleton.ts';
import { metresFromCm, radiansFromDegrees } from '../units/brands.ts';
import { withLimits } from '../planning/buildTask.ts';
import type { Plan } from '../setup/planSetUp.ts';
import type { Force } from '../planning/poseRequest.ts';
import type { Pushed } from './pushed.ts';
import type { PushedReport } from '../setup/setUp.ts';

/**
 * A forced posture as a set-up tells it.
 *
 * @param to what it is pushed to, in words
 * @returns what gives, joint by joint
 */
export const reportPushed = (to: string, { gives, joints, sentence }: Pushed): PushedReport => ({
  to,
  gives: gives.map((each) => ({
    ...each,
    amount: toHundredths(each.amount),
    cost: toHundredths(each.cost),
  })),
  joints,
  sentence,
});

/**
 * The task with limits as they were measured: a body that is pushed uses all it has, and
 * no margin or reserve holds it back.
 *
 * @returns a changed copy of the task
 */
export function withBareLimits({ answer }: Plan): PoseTask {
  return withLimits(answer.built, 'measured');
}

/**
 * A given posture as a force; what was not noted stays as planned or free.
 *
 * @param asFound what the student does now
 * @param pose the pose's data
 * @param planned the planned posture
 * @returns metres and radians
 */
export function toForce(asFound: AsFound, pose: PoseDefinition, planned: Skeleton): Force {
  const parts: { -readonly [Name in keyof Force['parts']]: Force['parts'][Name] } = {};
  const { stanceCm, widthCm, backFootDeg, depth, handCm } = asFound;
  const hasStance = planned.legs.back.closure === 'must-close' && pose.backContact !== 'lifted';
  if (stanceCm !== null && hasStance) parts.stance = metresFromCm(stanceCm);
  const onFoot = pose.backContact === 'flat' || pose.backContact === 'ball';
  if (backFootDeg !== null && onFoot) parts.backFootYaw = radiansFromDegrees(backFootDeg);
  if (widthCm !== null) {
    const { back, front } = planned.legs;
    const ruled = back.foot.heel[1] - front.foot.heel[1] - planned.posture.parts.widening;
    parts.widening = metresFromCm(widthCm) - ruled;
  }
  const quantities: Force['quantities'][number][] = [];
  if (depth !== null && pose.depth !== null) {
    const { quantity } = pose.depth;
    quantities.push({ quantity, value: depth / toScaled(quantity, 1) });
    // A twist is moved on the lean it was planned on, unless the hand decides how far that is.
    if (pose.firstDepth !== null && handCm === null) {
      const first = pose.firstDepth.quantity;
      quantities.push({ quantity: first, value: getQuantity(first).calc(planned) });
    }
  }
  if (handCm !== null) quantities.push({ quantity: 'hand-height', value: metresFromCm(handCm) });
  return { parts, quantities };
}
