import type { Side } from '../measures/protocol.ts';
import { hasSides } from '../poses/hasSides.ts';
import { sideOfPlace } from '../solver/figure.ts';
import { calcDemands, type Demand } from '../solver/demands.ts';
import type { Limits, Motion } from '../solver/limits.ts';
import type { Skeleton } from '../solver/skeleton.ts';
import { degreesFromRadians } from '../units/brands.ts';
import type { JointReport, SetUp } from './setUp.ts';

const toHundredths = (degrees: number): number => Math.round(degrees * 100) / 100;

function reportDemand(demand: Demand, frontSide: Side): JointReport {
  const { has } = demand;
  const askedDeg = demand.asked === null ? null : degreesFromRadians(demand.asked);
  const hasDeg = has === null ? null : degreesFromRadians(has);
  const spare = askedDeg === null || hasDeg === null ? null : hasDeg - askedDeg;
  return {
    joint: demand.joint,
    side: demand.place === null ? null : sideOfPlace(demand.place, frontSide),
    motion: demand.motion,
    askedDeg: askedDeg === null ? null : toHundredths(askedDeg),
    hasDeg: hasDeg === null ? null : toHundredths(hasDeg),
    toSpareDeg: spare === null ? null : toHundredths(spare),
  };
}

/** The two directions of one motion: only the one with less to spare is told. */
const OPPOSITES: Partial<Record<Motion, Motion>> = {
  extension: 'flexion',
  adduction: 'abduction',
  'internal-rotation': 'external-rotation',
};

/** One name for a motion and its opposite. */
export const nameMotionPair = (motion: Motion): Motion => OPPOSITES[motion] ?? motion;

function motionKey({ joint, side, motion }: JointReport): string {
  const spinePair = joint === 'spine' && (motion === 'side-bend' || motion === 'axial-rotation');
  return [joint, spinePair ? '' : side, nameMotionPair(motion)].join(' ');
}

function tellsMore(a: JointReport, b: JointReport): JointReport {
  if (a.toSpareDeg !== null && b.toSpareDeg !== null) return b.toSpareDeg < a.toSpareDeg ? b : a;
  return (b.askedDeg ?? 0) > (a.askedDeg ?? 0) ? b : a;
}

/** Every motion once, in the direction that has less to spare; least to spare first. */
export function calcJointReports(
  skeleton: Skeleton,
  limits: Limits,
  frontSide: Side,
): JointReport[] {
  const byMotion = new Map<string, JointReport>();
  for (const demand of calcDemands(skeleton, limits)) {
    const report = reportDemand(demand, frontSide);
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
 */
export const isCalledOn = ({ askedDeg, toSpareDeg }: JointReport): boolean =>
  toSpareDeg !== null && ((askedDeg ?? 0) > CALLS_ON_FROM_DEG || toSpareDeg < NEARLY_OUT_DEG);

/** The joint with the least to spare; null when no limit is known. */
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
 * "back hip extension": named by its place in the pose, as it is spoken of on the mat; "left hip
 * extension" in a pose that is held once, where neither leg is in front.
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
  const place = report.side === side ? 'front' : 'back';
  return `${hasSides(pose) ? place : (report.side ?? '')} ${report.joint} ${motion}`;
}
