import { PLACES } from '../poses/poseDefinition.ts';
import { CENTRE_FROM_PROXIMAL, MASS_SHARE } from '../body/masses.ts';
import { addScaled, subtract, type Vec3 } from '../geometry/vector.ts';
import type { Skeleton } from './skeleton.ts';

type Joints = Pick<Skeleton, 'posture' | 'legs' | 'arms' | 'chestCentre' | 'head'>;

/** Whole-body centre of mass, summed over the posed segments. World frame, metres. */
export function calcCentreOfMass(joints: Joints): Vec3 {
  let total = 0;
  let sum: Vec3 = [0, 0, 0];
  const addSegment = (share: number, proximal: Vec3, distal: Vec3, centre: number): void => {
    total += share;
    sum = addScaled(sum, addScaled(proximal, subtract(distal, proximal), centre), share);
  };
  const { trunk, headAndNeck, thigh, shank, foot, upperArm, forearm, hand } = MASS_SHARE;
  addSegment(trunk, joints.posture.pelvisCentre, joints.chestCentre, CENTRE_FROM_PROXIMAL.trunk);
  addSegment(headAndNeck, joints.head, joints.head, 0);
  for (const place of PLACES) {
    const leg = joints.legs[place];
    addSegment(thigh, leg.hip, leg.knee, CENTRE_FROM_PROXIMAL.thigh);
    addSegment(shank, leg.knee, leg.foot.ankle, CENTRE_FROM_PROXIMAL.shank);
    addSegment(foot, leg.foot.heel, leg.foot.toe, CENTRE_FROM_PROXIMAL.foot);
    const arm = joints.arms[place];
    addSegment(upperArm, arm.shoulder, arm.elbow, CENTRE_FROM_PROXIMAL.upperArm);
    addSegment(forearm, arm.elbow, arm.wrist, CENTRE_FROM_PROXIMAL.forearm);
    addSegment(hand, arm.wrist, arm.palm, CENTRE_FROM_PROXIMAL.hand);
  }
  return [sum[0] / total, sum[1] / total, sum[2] / total];
}
