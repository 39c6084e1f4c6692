import { radiansFromDegrees, metresFromCm } from '../units/brands.ts';
import type { PoseDefinition } from '../poses/poseDefinition.ts';
import type { PoseTask } from '../conditions/poseTask.ts';
import type { Skeleton } from '../skeleton/skeleton.ts';
import type { Give, GiveId, JointReport } from '../setup/setUp.ts';
import type { QuantityId } from '../poses/quantityId.ts';
import { getQuantity } from '../conditions/quantities.ts';
import { toScaled } from '../conditions/violation.ts';
import { FOOT } from '../body/proportions.ts';
import { type PoseSide, nameJoint } from '../setup/jointReport.ts';

/**
 * What gives when a pose is pushed, and how much of it costs as much as one unit of
 * anything else: 5° of list, 10° of pelvis turn, 2 cm of back heel, 3 cm of knee drift,
 * 10° of rounding, 20° of chest. Common practice, no source; the costs are our choice.
 */
export const COST = {
  list: radiansFromDegrees(5),
  turn: radiansFromDegrees(10),
  heel: metresFromCm(2),
  drift: metresFromCm(3),
  rounding: radiansFromDegrees(10),
  chest: radiansFromDegrees(20),
} as const;

/** Compensations below this share of their cost are not reported. */
const WORTH_TELLING = 0.15;

const BEYOND_LIMIT_DEG = 0.5;

/**
 * Whether a pose keeps its front knee over the ankle.
 *
 * @param pose the pose's data
 * @returns true when that is a must
 */
export const stacksKnee = (pose: PoseDefinition): boolean =>
  pose.musts.some((must) => must.quantity === 'front-knee-beside-ankle');

/**
 * What gives when a depth is forced: every part that moves off what was planned.
 *
 * @param task that was solved
 * @param pose the pose's data
 * @param planned the planned posture
 * @param pushed the forced one
 * @returns the largest first
 */
export function findGives(
  task: PoseTask,
  pose: PoseDefinition,
  planned: Skeleton,
  pushed: Skeleton,
): Give[] {
  const change = (quantity: QuantityId): number =>
    getQuantity(quantity).calc(pushed) - getQuantity(quantity).calc(planned);
  const give = (id: GiveId, quantity: QuantityId, moved: number, cost: number): Give => ({
    id,
    amount: toScaled(quantity, moved),
    unit: getQuantity(quantity).kind === 'length' ? 'cm' : 'deg',
    cost: Math.abs(moved) / cost,
  });
  const lift = pushed.posture.parts.backHeelLift - planned.posture.parts.backHeelLift;
  const heel = (FOOT.ball - FOOT.heelCentre) * task.body.footLength * Math.sin(lift);
  const gives: Give[] = [
    give('pelvis-drops', 'pelvis-level', change('pelvis-level'), COST.list),
    give('pelvis-turns', 'pelvis-turn', change('pelvis-turn'), COST.turn),
    give('heel-lifts', 'stance', heel, COST.heel),
    ...(stacksKnee(pose)
      ? [give('knee-drifts', 'stance', change('front-knee-beside-ankle'), COST.drift)]
      : []),
    give('back-rounds', 'spine-flexion', change('spine-flexion'), COST.rounding),
    ...(pose.chestTarget === null
      ? []
      : [give('chest-short', 'chest-turn', change('chest-turn'), COST.chest)]),
  ];
  return gives.filter((each) => each.cost > WORTH_TELLING).sort((a, b) => b.cost - a.cost);
}

const GIVE_WORDS: Readonly<Record<GiveId, (amount: number) => string>> = {
  'pelvis-drops': (amount) => `the ${amount > 0 ? 'front' : 'back'} side of the pelvis drops`,
  'pelvis-turns': (amount) =>
    `the pelvis turns ${amount > 0 ? 'further open' : 'toward the front leg'} by`,
  'heel-lifts': () => 'the back heel lifts',
  'knee-drifts': (amount) => `the front knee drifts ${amount > 0 ? 'in' : 'out'}`,
  'back-rounds': (amount) => (amount > 0 ? 'the low back rounds' : 'the low back hollows'),
  'chest-short': () => 'the chest swings by',
};

function write({ amount, unit }: Give): string {
  const size = Math.abs(amount);
  return unit === 'deg' ? `${size.toFixed(0)}°` : `${size.toFixed(1)} cm`;
}

/**
 * What gives, as a sentence.
 *
 * @param gives the largest first
 * @param joints what each is asked and has
 * @param of pose and side, by which joints are named
 * @param wasHeld whether the forced posture keeps every limit
 * @returns words for a teacher
 */
export function describeGive(
  gives: readonly Give[],
  joints: readonly JointReport[],
  of: PoseSide,
  wasHeld: boolean,
): string {
  const parts = gives.map((each) => `${GIVE_WORDS[each.id](each.amount)} ${write(each)}`);
  for (const each of joints) {
    if ((each.toSpareDeg ?? 0) < -BEYOND_LIMIT_DEG) {
      const over = (-(each.toSpareDeg ?? 0)).toFixed(0);
      parts.push(`the ${nameJoint(each, of)} is asked for ${over}° more than it has`);
    }
  }
  if (parts.length === 0) {
    return wasHeld ? 'No compensation needed.' : 'The body cannot reach this at all.';
  }
  const text = parts.join(', ');
  return `${text.charAt(0).toUpperCase()}${text.slice(1)}.`;
}
