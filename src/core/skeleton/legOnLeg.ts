import { type CanonicalBody, limbOf, canonicalSide } from './canonicalBody.ts';
import { FOOT } from '../body/proportions.ts';
import type { Place } from '../poses/poseDefinition.ts';
import type { Rotation } from '../geometry/rotation.ts';
import { type Vec3, addScaled, subtract } from '../geometry/vector.ts';
import { type LegPose, bendLeg } from './leg.ts';
import { hangFoot } from './foot.ts';

/** A sole on the other leg stays this far off its knee, metres. Our modelling choice. */
const SOLE_OFF_KNEE = 0.04;

/** Half the depth of the standing leg where a sole rests on it, metres. Our modelling choice. */
const LEG_RADIUS = { ankle: 0.04, shin: 0.05, thigh: 0.07 } as const;

/** Where on the standing leg a sole rests. */
export type SolePlace = keyof typeof LEG_RADIUS;

/**
 * How high the ankle of a sole on the standing leg may be, metres, with the toes down: toes
 * on the floor; along the shin, the heel below the knee; along the thigh, the toes above the
 * knee and the heel below the groin. The standing leg counts as upright.
 *
 * @param body lengths of the body as the solver sees it, metres
 * @param soleAt where the sole rests
 * @returns metres above the floor
 */
export function findSoleHeights(
  body: CanonicalBody,
  soleAt: SolePlace,
): { readonly from: number; readonly to: number } {
  const toesToHeel = (1 - FOOT.ankle) * body.footLength;
  const { thigh, shank } = limbOf(body, 'front');
  const knee = body.ankleHeight + shank;
  switch (soleAt) {
    case 'ankle':
      return { from: toesToHeel, to: toesToHeel };
    case 'shin':
      return { from: toesToHeel, to: knee - SOLE_OFF_KNEE - FOOT.ankle * body.footLength };
    case 'thigh':
      return {
        from: knee + SOLE_OFF_KNEE + toesToHeel,
        to: knee + thigh - SOLE_OFF_KNEE - FOOT.ankle * body.footLength,
      };
  }
}

/**
 * A leg whose sole rests on the inside of the standing leg, toes down.
 *
 * @param body lengths of the body as the solver sees it, metres
 * @param place front or back leg
 * @param pelvis pelvis in the world
 * @param hip hip centre in the world, metres
 * @param standing the other leg
 * @param soleAt where the sole rests
 * @param height of its ankle above the mat, metres
 * @param kneeOutRad where its knee points: 0 = ahead, a right angle = straight out to its side
 * @returns angles in radians, points in metres
 */
export function poseLegOnLeg(
  body: CanonicalBody,
  place: Place,
  pelvis: Rotation,
  hip: Vec3,
  standing: LegPose,
  soleAt: SolePlace,
  height: number,
  kneeOutRad: number,
): LegPose {
  const outward = canonicalSide(place) === 'left' ? 1 : -1;
  const { foot, knee, hip: standingHip } = standing;
  const [low, high] = soleAt === 'thigh' ? [knee, standingHip] : [foot.ankle, knee];
  const beside = addScaled(low, subtract(high, low), (height - low[2]) / (high[2] - low[2]));
  const ankle: Vec3 = [
    beside[0],
    beside[1] + outward * (LEG_RADIUS[soleAt] + body.ankleHeight),
    beside[2],
  ];
  const resting = hangFoot(body, ankle, [0, 0, -1], [0, outward, 0]);
  const kneeTo: Vec3 = [Math.cos(kneeOutRad), outward * Math.sin(kneeOutRad), 0];
  return bendLeg(body, place, pelvis, hip, resting, null, () => kneeTo);
}
