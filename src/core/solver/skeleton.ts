import { type Place } from '../poses/poseDefinition.ts';
import { type Figure } from './figure.ts';
import {
  EAR_ABOVE_SHOULDER_PER_STATURE,
  FOOT,
  HIP_CENTRE,
  NECK_ABOVE_SHOULDER_PER_STATURE,
} from '../body/proportions.ts';
import { convexHull, distanceInside, type Point2 } from '../geometry/polygon.ts';
import {
  aboutForward,
  aboutLeft,
  aboutUp,
  compose,
  toWorld,
  type Rotation,
} from '../geometry/rotation.ts';
import { add, addScaled, type Vec3 } from '../geometry/vector.ts';
import { poseArm, type ArmPlan, type ArmPose } from './arm.ts';
import { calcCentreOfMass } from './centreOfMass.ts';
import { placeFlatFoot, placeLiftedFoot, poseLeg, type FootPose, type LegPose } from './leg.ts';
import type { Posture } from './posture.ts';

/** The feet and hands of a pose, with this person's rules filled in. */
export interface ContactPlan {
  readonly feet: (stance: number, backFootYaw: number, backHeelLift: number) => FeetPose;
  readonly arms: Readonly<Record<Place, ArmPlan>>;
  /** Knee bend a straight leg is held at, radians; null = this leg bends. */
  readonly straightKnee: Readonly<Record<Place, number | null>>;
}

/** Both feet on the mat and the base they make. */
interface FeetPose {
  readonly front: FootPose;
  readonly back: FootPose;
  readonly base: readonly Point2[];
}

export interface Skeleton {
  readonly posture: Posture;
  readonly legs: Readonly<Record<Place, LegPose>>;
  readonly arms: Readonly<Record<Place, ArmPose>>;
  readonly chest: Rotation;
  readonly chestCentre: Vec3;
  /** Ear canal. */
  readonly head: Vec3;
  readonly centreOfMass: Vec3;
  readonly base: readonly Point2[];
  /** Distance of the weight point inside the base's nearest edge. */
  readonly weightInside: number;
}

/** Half the foot's width at fractions of its length. Our choice: a plain sole. */
const SOLE: readonly (readonly [number, number])[] = [
  [0, 0.3],
  [FOOT.heelCentre, 0.36],
  [FOOT.ball, 0.5],
  [0.92, 0.36],
  [FOOT.toe, 0.12],
];

/** Corner points of what bears on the floor of a foot, seen from above. */
export function soleOutline(figure: Figure, foot: FootPose): Point2[] {
  const [px, py] = foot.pointing;
  const corners: Point2[] = [];
  for (const [fraction, half] of SOLE) {
    if (fraction < foot.bearsFrom) continue;
    const behindToe = (fraction - FOOT.toe) * figure.footLength;
    for (const across of [-half * figure.footWidth, half * figure.footWidth]) {
      corners.push([
        foot.toe[0] + px * behindToe - py * across,
        foot.toe[1] + py * behindToe + px * across,
      ]);
    }
  }
  return corners;
}

/**
 * Places the feet of one person's pose: the front heel centre at the origin, the back
 * foot (or its ball, with the heel up) by stance length and width. Remembers its last answer, because a solver moves
 * the rest of the body far more often than the feet.
 *
 * @param width across the mat between heel centres, metres, + on the back leg's own side
 * @param backHeelIsUp the back foot stands on its ball, and stance runs to there
 */
export function planFeet(
  figure: Figure,
  frontFootYaw: number,
  width: (backFootYaw: number) => number,
  backHeelIsUp: boolean,
): ContactPlan['feet'] {
  const front = placeFlatFoot(figure, [0, 0, 0], frontFootYaw);
  const frontSole = soleOutline(figure, front);
  let last: { stance: number; yaw: number; lift: number; feet: FeetPose } | null = null;
  return (stance, yaw, lift) => {
    if (last?.stance === stance && last.yaw === yaw && last.lift === lift) return last.feet;
    const place: Vec3 = [-stance, width(yaw), 0];
    const back = backHeelIsUp
      ? placeLiftedFoot(figure, place, yaw, lift)
      : placeFlatFoot(figure, place, yaw);
    const base = convexHull([...frontSole, ...soleOutline(figure, back)]);
    last = { stance, yaw, lift, feet: { front, back, base } };
    return last.feet;
  };
}

/**
 * Chest against pelvis: flexion about the side axis (+ forward), side bend about the
 * floating forward axis (+ to the left), rotation about the trunk (+ to the left).
 */
function poseChest(posture: Posture): Rotation {
  const bent = compose(aboutLeft(posture.spineFlexion), aboutForward(-posture.spineSideBend));
  return compose(posture.pelvis, compose(bent, aboutUp(posture.spineRotation)));
}

/** Builds every joint centre of a posture. World frame, metres; the front leg is the right one. */
export function buildSkeleton(figure: Figure, contacts: ContactPlan, posture: Posture): Skeleton {
  const { pelvis, pelvisCentre } = posture;
  const { straightKnee, arms: plans } = contacts;
  const feet = contacts.feet(posture.stance, posture.backFootYaw, posture.backHeelLift);
  const frontHip = addScaled(pelvisCentre, pelvis.left, -figure.halfHips);
  const backHip = addScaled(pelvisCentre, pelvis.left, figure.halfHips);
  const legs = {
    front: poseLeg(figure, 'front', pelvis, frontHip, feet.front, straightKnee.front),
    back: poseLeg(figure, 'back', pelvis, backHip, feet.back, straightKnee.back),
  };
  const chest = poseChest(posture);
  const chestCentre = addScaled(pelvisCentre, chest.up, figure.trunk);
  const frontShoulder = addScaled(chestCentre, chest.left, -figure.halfShoulders);
  const backShoulder = addScaled(chestCentre, chest.left, figure.halfShoulders);
  const arms = {
    front: poseArm(figure, 'front', plans.front, chest, frontShoulder, feet.front),
    back: poseArm(figure, 'back', plans.back, chest, backShoulder, feet.front),
  };
  const head = addScaled(chestCentre, chest.up, EAR_ABOVE_SHOULDER_PER_STATURE * figure.stature);
  const centreOfMass = calcCentreOfMass({ posture, legs, arms, chestCentre, head });
  return {
    posture,
    legs,
    arms,
    chest,
    chestCentre,
    head,
    centreOfMass,
    base: feet.base,
    weightInside: distanceInside(feet.base, [centreOfMass[0], centreOfMass[1]]),
  };
}

/** Bony points that are reported but play no part in a solve. */
export interface BonyPoints {
  readonly neck: Vec3;
  readonly asis: Readonly<Record<Place, Vec3>>;
  readonly sacrum: Vec3;
}

export function findBonyPoints(
  figure: Figure,
  { posture, chest, chestCentre }: Skeleton,
): BonyPoints {
  const { pelvis, pelvisCentre } = posture;
  const above = HIP_CENTRE.below * figure.hipBoneWidth;
  const ahead = HIP_CENTRE.behind * figure.hipBoneWidth;
  const onPelvis = (forward: number, left: number): Vec3 =>
    add(pelvisCentre, toWorld(pelvis, [forward, left, above]));
  return {
    neck: addScaled(chestCentre, chest.up, NECK_ABOVE_SHOULDER_PER_STATURE * figure.stature),
    asis: {
      front: onPelvis(ahead, -figure.hipBoneWidth / 2),
      back: onPelvis(ahead, figure.hipBoneWidth / 2),
    },
    sacrum: onPelvis(ahead - figure.pelvisDepth, 0),
  };
}
