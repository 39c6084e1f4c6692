import { lerp, mirror, subtract, type Vec3 } from '../geometry/vector.ts';
import type { Side } from '../measures/protocol.ts';
import { PLACES, type PoseDefinition } from '../poses/poseDefinition.ts';
import { sideOfPlace, type CanonicalBody } from '../skeleton/canonicalBody.ts';
import { findBonyPoints } from '../skeleton/bonyPoints.ts';
import type { Skeleton } from '../skeleton/skeleton.ts';
import { cmFromMetres } from '../units/brands.ts';
import { nameLandmark, type LandmarkCm } from '../skeleton/landmark.ts';

/** Files keep a hundredth of a millimetre, so that lengths and angles can be rebuilt from them. */
const toFile = (metres: number): number => Math.round(cmFromMetres(metres) * 1000) / 1000;

/**
 * A point of the solver’s own frame, about its origin, as it stands in the world of the real person:
 * mirrored when the left leg is in front.
 *
 * @param point metres
 * @param frontSide the side of the front leg
 * @returns cm
 */
export function toRealCm(point: Vec3, frontSide: Side): LandmarkCm {
  const [x, y, z] = frontSide === 'left' ? mirror(point) : point;
  return [toFile(x), toFile(y) + 0, toFile(z)];
}

/**
 * Where the world's origin lies in the solver's own frame, whose origin is the front heel:
 * there too, or midway between the heels of a pose that has no front foot.
 *
 * @returns metres
 */
export function findOrigin({ origin }: PoseDefinition, { legs }: Skeleton): Vec3 {
  if (origin === undefined) return [0, 0, 0];
  const [x, y] = lerp(legs.front.foot.heel, legs.back.foot.heel, 0.5);
  return [x, y, 0];
}

/**
 * Every joint centre and bony point by name, cm, world frame.
 *
 * @param canonicalBody lengths of the body as the solver sees it, metres
 * @param skeleton the posed body, metres and radians, solver frame
 * @param frontSide the side of the front leg
 * @param origin of the world, in the solver's frame
 * @returns found by names such as `kneeLeft`
 */
export function calcLandmarks(
  canonicalBody: CanonicalBody,
  skeleton: Skeleton,
  frontSide: Side,
  origin: Vec3,
): Readonly<Record<string, LandmarkCm>> {
  const bony = findBonyPoints(canonicalBody, skeleton);
  const landmarks: Record<string, LandmarkCm> = {};
  const put = (name: string, point: Vec3): void => {
    landmarks[name] = toRealCm(subtract(point, origin), frontSide);
  };
  for (const place of PLACES) {
    const side = sideOfPlace(place, frontSide);
    const putOn = (joint: string, point: Vec3): void => {
      put(nameLandmark(joint, side), point);
    };
    const leg = skeleton.legs[place];
    const arm = skeleton.arms[place];
    putOn('hip', leg.hip);
    putOn('knee', leg.knee);
    putOn('ankle', leg.foot.ankle);
    putOn('heel', leg.foot.heel);
    putOn('ball', leg.foot.ball);
    putOn('toe', leg.foot.toe);
    putOn('shoulder', arm.shoulder);
    putOn('elbow', arm.elbow);
    putOn('wrist', arm.wrist);
    putOn('hand', arm.palm);
    putOn('asis', bony.asis[place]);
  }
  put('sacrum', bony.sacrum);
  put('pelvisCentre', skeleton.posture.pelvisCentre);
  put('chestCentre', skeleton.chestCentre);
  put('neck', bony.neck);
  put('head', skeleton.head);
  put('centreOfMass', skeleton.centreOfMass);
  return landmarks;
}
