import { CENTRE_FROM_PROXIMAL, MASS_SHARE } from '../body/masses.ts';
import type { Place } from '../poses/poseDefinition.ts';
import type { Vec3 } from '../geometry/vector.ts';
import type { ArmPose } from './arm.ts';
import type { LegPose } from './leg.ts';
import type { Posture } from './posture.ts';

/** Where the joints of a posed body are, world frame, metres. */
interface Joints {
  readonly posture: Posture;
  readonly legs: Readonly<Record<Place, LegPose>>;
  readonly arms: Readonly<Record<Place, ArmPose>>;
  readonly chestCentre: Vec3;
  readonly head: Vec3;
}

const LIMBS = 2;
/** All shares of body mass together; the table's sum is not quite 1. */
export const WHOLE_MASS_SHARE =
  MASS_SHARE.trunk +
  MASS_SHARE.headAndNeck +
  LIMBS *
    (MASS_SHARE.thigh +
      MASS_SHARE.shank +
      MASS_SHARE.foot +
      MASS_SHARE.upperArm +
      MASS_SHARE.forearm +
      MASS_SHARE.hand);

/** A segment's share of mass, split between its two ends so that its centre stays. */
interface Weights {
  readonly proximal: number;
  readonly distal: number;
}

function weigh(segment: keyof typeof CENTRE_FROM_PROXIMAL): Weights {
  const mass = MASS_SHARE[segment] / WHOLE_MASS_SHARE;
  const distal = mass * CENTRE_FROM_PROXIMAL[segment];
  return { proximal: mass - distal, distal };
}

const HEAD = MASS_SHARE.headAndNeck / WHOLE_MASS_SHARE;
const TRUNK = weigh('trunk');
const THIGH = weigh('thigh');
const SHANK = weigh('shank');
const FOOT = weigh('foot');
const UPPER_ARM = weigh('upperArm');
const FOREARM = weigh('forearm');
const HAND = weigh('hand');

/** Adds a segment; `sum` is written to, because this runs a thousand times a set-up. */
function addSegment(
  sum: [number, number, number],
  weights: Weights,
  proximal: Vec3,
  distal: Vec3,
): void {
  sum[0] += weights.proximal * proximal[0] + weights.distal * distal[0];
  sum[1] += weights.proximal * proximal[1] + weights.distal * distal[1];
  sum[2] += weights.proximal * proximal[2] + weights.distal * distal[2];
}

function addLimbs(sum: [number, number, number], leg: LegPose, arm: ArmPose): void {
  addSegment(sum, THIGH, leg.hip, leg.knee);
  addSegment(sum, SHANK, leg.knee, leg.foot.ankle);
  addSegment(sum, FOOT, leg.foot.heel, leg.foot.toe);
  addSegment(sum, UPPER_ARM, arm.shoulder, arm.elbow);
  addSegment(sum, FOREARM, arm.elbow, arm.wrist);
  addSegment(sum, HAND, arm.wrist, arm.palm);
}

/**
 * Whole-body centre of mass, summed over the posed segments. World frame, metres.
 *
 * @param joints centres, metres
 * @returns metres
 */
export function calcCentreOfMass(joints: Joints): Vec3 {
  const { head } = joints;
  const sum: [number, number, number] = [HEAD * head[0], HEAD * head[1], HEAD * head[2]];
  addSegment(sum, TRUNK, joints.posture.pelvisCentre, joints.chestCentre);
  addLimbs(sum, joints.legs.front, joints.arms.front);
  addLimbs(sum, joints.legs.back, joints.arms.back);
  return sum;
}
