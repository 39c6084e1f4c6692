import { toHundredths } from '../units/rounding.ts';
import type { Side } from '../measures/protocol.ts';
import type { PoseDefinition } from '../poses/poseDefinition.ts';
import { hasSides } from '../poses/hasSides.ts';
import { sideOfPlace } from '../skeleton/canonicalBody.ts';
import { calcDemands, type Demand } from '../conditions/demands.ts';
import { nameMotionPair, type Limits } from '../conditions/limits.ts';
import { findUsesBehind } from '../conditions/motionMeasures.ts';
import type { Skeleton } from '../skeleton/skeleton.ts';
import { degreesFromRadians } from '../units/brands.ts';
import type { BuiltTask } from '../planning/buildTask.ts';
import type { HeldBackReason, PlanningRange, PlanningRanges } from '../planning/ranges.ts';
import type { JointReport, SetUp } from './setUp.ts';

/** One motion under the limits as measured, the safe ones and those that are used. */
interface Demands {
  readonly measured: Demand;
  readonly safe: Demand;
  readonly used: Demand;
}

const toDegrees = (radians: number | null): number | null =>
  radians === null ? null : toHundredths(degreesFromRadians(radians));

const differ = (a: number | null, b: number | null): number | null =>
  a === null || b === null ? null : toHundredths(degreesFromRadians(a - b));

function reportDemand(
  { measured, safe, used }: Demands,
  frontSide: Side,
  findReason: HeldBackFinder,
): JointReport {
  const side = used.place === null ? null : sideOfPlace(used.place, frontSide);
  const { joint, motion } = used;
  const heldBackDeg = differ(measured.has, used.has);
  return {
    joint,
    side,
    motion,
    askedDeg: toDegrees(used.asked),
    measuredDeg: toDegrees(measured.has),
    heldBackDeg,
    heldBackFor: (heldBackDeg ?? 0) > 0 ? findReason({ joint, motion, side }) : null,
    hasDeg: toDegrees(used.has),
    toSpareDeg: differ(used.has, used.asked),
    safeDeg: toDegrees(safe.has),
  };
}

/** Why a part of the range behind a motion is held back; null = nothing is known of it. */
type HeldBackFinder = (
  motion: Pick<JointReport, 'joint' | 'motion' | 'side'>,
) => HeldBackReason | null;

/**
 * Finds the reason of the range that holds back most of those behind a motion.
 *
 * @param ranges ranges as they are planned with
 * @param usable which limits the set-up uses
 * @returns a function of joint, side and motion
 */
export const makeHeldBackFinder =
  (
    ranges: PlanningRanges,
    usable: BuiltTask['usable'],
    { trunkShares = {} }: PoseDefinition,
  ): HeldBackFinder =>
  (motion) => {
    const isShared =
      motion.joint === 'spine' &&
      ((motion.motion === 'extension' && trunkShares.extension !== undefined) ||
        (motion.motion === 'axial-rotation' && trunkShares.rotation !== undefined));
    if (isShared) return 'pose';
    const behind = [...ranges.values()].filter(
      ({ use }) => findUsesBehind(motion, [use]).length > 0,
    );
    const heldBack = ({ use, [usable]: { limit } }: PlanningRange): number => use.value - limit;
    const [most] = behind.sort((a, b) => heldBack(b) - heldBack(a));
    // Rounding of the back and the toes are stated for everyone.
    return most === undefined ? 'least-margin' : most[usable].reason;
  };

function motionKey({ joint, side, motion }: JointReport): string {
  const spinePair = joint === 'spine' && (motion === 'side-bend' || motion === 'axial-rotation');
  return [joint, spinePair ? '' : side, nameMotionPair(motion)].join(' ');
}

function tellsMore(a: JointReport, b: JointReport): JointReport {
  if (a.toSpareDeg !== null && b.toSpareDeg !== null) return b.toSpareDeg < a.toSpareDeg ? b : a;
  return (b.askedDeg ?? 0) > (a.askedDeg ?? 0) ? b : a;
}

/** Limits of a posture's joints: as measured, safe, and those that are used. */
export interface ReportLimits {
  readonly measured: Limits;
  readonly safe: Limits;
  readonly used: Limits;
  readonly findReason: HeldBackFinder;
}

/**
 * Reports against one list of limits alone, with nothing held back.
 *
 * @param limits of the person, radians
 * @returns the same list three times
 */
export const withoutHoldingBack = (limits: Limits): ReportLimits => ({
  measured: limits,
  safe: limits,
  used: limits,
  findReason: () => null,
});

/**
 * Every motion once, in the direction that has less to spare; least to spare first.
 *
 * @param skeleton the posed body, metres and radians, solver frame
 * @param limits measured, safe and used
 * @param frontSide the side of the front leg
 * @returns degrees
 */
export function calcJointReports(
  skeleton: Skeleton,
  limits: ReportLimits,
  frontSide: Side,
): JointReport[] {
  const byMotion = new Map<string, JointReport>();
  const demands = calcDemands(skeleton, limits.used);
  const under = (other: Limits): readonly Demand[] =>
    other === limits.used ? demands : calcDemands(skeleton, other);
  const measured = under(limits.measured);
  const safe = under(limits.safe);
  for (const [i, used] of demands.entries()) {
    const each = { measured: measured[i]!, safe: safe[i]!, used };
    const report = reportDemand(each, frontSide, limits.findReason);
    const key = motionKey(report);
    const other = byMotion.get(key);
    byMotion.set(key, other === undefined ? report : tellsMore(other, report));
  }
  const orderOf = (report: JointReport): number => report.toSpareDeg ?? Infinity;
  return [...byMotion.values()].sort((a, b) => orderOf(a) - orderOf(b));
}

/** A pose calls on a joint that it asks more than this of, or leaves less than that, degrees. Our choice. */
const CALLS_ON_FROM_DEG = 1;
const NEARLY_OUT_DEG = 5;

/**
 * Whether a pose really calls on a joint with a known limit. A low back that may round 10° and
 * is asked nothing is not what ends a pose, though nothing else has as little to spare.
 *
 * @returns false when nothing of the joint is asked
 */
export const isCalledOn = ({ askedDeg, toSpareDeg }: JointReport): boolean =>
  toSpareDeg !== null && ((askedDeg ?? 0) > CALLS_ON_FROM_DEG || toSpareDeg < NEARLY_OUT_DEG);

/**
 * The joint with the least to spare; null when no limit is known.
 *
 * @param joints what each joint is asked and has
 * @returns joint, side, motion and degrees
 */
export function findLimiting(joints: readonly JointReport[]): SetUp['limiting'] {
  const first = joints.find((each) => each.toSpareDeg !== null);
  if (first === undefined) return null;
  const { joint, side, motion, toSpareDeg } = first;
  return { joint, side, motion, toSpareDeg };
}

const MOTION_WORDS: Readonly<Record<string, string>> = {
  'axial-rotation': 'rotation',
};

/** Which pose, and the side in front. */
export type PoseSide = Pick<SetUp, 'pose' | 'side'>;

/**
 * A leg as it is spoken of on the mat.
 *
 * @param side left or right
 * @param of the pose, and the side in front
 * @returns front or back; left or right in a pose that is held once, where neither leg is in front
 */
export const nameLeg = (side: Side, { pose, side: front }: PoseSide): string =>
  hasSides(pose) ? (side === front ? 'front' : 'back') : side;

/**
 * "back hip extension": named by its place in the pose, as it is spoken of on the mat; "left hip
 * extension" in a pose that is held once, where neither leg is in front.
 *
 * @param report of the joint
 * @returns words for the teacher
 */
export function nameJoint(
  report: Pick<JointReport, 'joint' | 'side' | 'motion'>,
  { pose, side }: PoseSide,
): string {
  const motion = MOTION_WORDS[report.motion] ?? report.motion.replace('-', ' ');
  if (report.joint === 'spine') {
    const twist = report.motion === 'axial-rotation' ? ` to the ${report.side ?? ''}` : '';
    return `spine ${motion}${twist}`;
  }
  const leg = report.side === null ? '' : nameLeg(report.side, { pose, side });
  return `${leg} ${report.joint} ${motion}`;
}
