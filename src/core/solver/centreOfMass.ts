import { CENTRE_FROM_PROXIMAL, MASS_SHARE } from '../body/masses.ts';
import { PLACES } from '../poses/poseDefinition.ts';
import type { Vec3 } from '../geometry/vector.ts';
import type { Skeleton } from './skeleton.ts';

type Joints = Pick<Skeleton, 'posture' | 'legs' | 'arms' | 'chestCentre' | 'head'>;

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

/** Adds a segment's share of mass at its centre; `sum` is written to, because this runs a thousand times a set-up. */
function addSegment(
  sum: [number, number, number],
  segment: keyof typeof CENTRE_FROM_PROXIMAL,
  proximal: Vec3,
  distal: Vec3,
): void {
  const mass = MASS_SHARE[segment] / WHOLE_MASS_SHARE;
  const toDistal = mass * CENTRE_FROM_PROXIMAL[segment];
  const toProximal = mass - toDistal;
  sum[0] += toProximal * proximal[0] + toDistal * distal[0];
  sum[1] += toProximal * proximal[1] + toDistal * distal[1];
  sum[2] += toProximal * proximal[2] + toDistal * distal[2];
}

/** Whole-body centre of mass, summed over the posed segments. World frame, metres. */
export function calcCentreOfMass(joints: Joints): Vec3 {
  const head = MASS_SHARE.headAndNeck / WHOLE_MASS_SHARE;
  const sum: [number, number, number] = [
    head * joints.head[0],
    head * joints.head[1],
    head * joints.head[2],
  ];
  addSegment(sum, 'trunk', joints.posture.pelvisCentre, joints.chestCentre);
  for (const place of PLACES) {
    const leg = joints.legs[place];
    addSegment(sum, 'thigh', leg.hip, leg.knee);
    addSegment(sum, 'shank', leg.knee, leg.foot.ankle);
    addSegment(sum, 'foot', leg.foot.heel, leg.foot.toe);
    const arm = joints.arms[place];
    addSegment(sum, 'upperArm', arm.shoulder, arm.elbow);
    addSegment(sum, 'forearm', arm.elbow, arm.wrist);
    addSegment(sum, 'hand', arm.wrist, arm.palm);
  }
  return sum;
}
