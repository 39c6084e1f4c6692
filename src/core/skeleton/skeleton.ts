import type { Posture, Spine } from './posture.ts';
import type { FeetPose, ContactPlan, BackEnd } from './contacts.ts';
import { type Place, restsOnProp } from '../poses/poseDefinition.ts';
import { type LegPose, poseLeg, poseKneelingLeg, poseLiftedLeg } from './leg.ts';
import { poseLegOnLeg } from './legOnLeg.ts';
import { type ArmPose, poseArm } from './arm.ts';
import { type Rotation, compose } from '../geometry/rotation.ts';
import { type Vec3, addScaled } from '../geometry/vector.ts';
import { type Point2, findCorners } from '../geometry/polygon.ts';
import type { CanonicalBody } from './canonicalBody.ts';
import { palmOutline } from './foot.ts';
import { EAR_ABOVE_SHOULDER_PER_STATURE } from '../body/proportions.ts';
import { calcCentreOfMass } from './centreOfMass.ts';

export interface Skeleton {
  readonly posture: Posture;
  readonly feet: FeetPose;
  readonly legs: Readonly<Record<Place, LegPose>>;
  readonly arms: Readonly<Record<Place, ArmPose>>;
  /** The chest in the pelvis's frame, and in the world. */
  readonly spine: Rotation;
  readonly chest: Rotation;
  readonly chestCentre: Vec3;
  /** Ear canal. */
  readonly head: Vec3;
  readonly centreOfMass: Vec3;
  /** All that bears on the mat, seen from above, and those of its points that are corners of the base. */
  readonly outline: readonly Point2[];
  readonly corners: readonly number[];
}

function poseBackLeg(
  body: CanonicalBody,
  contacts: ContactPlan,
  posture: Posture,
  hip: Vec3,
  back: BackEnd,
  front: LegPose,
): LegPose {
  const { pelvis } = posture;
  const held = contacts.straightKnee.back;
  switch (back.kind) {
    case 'foot':
      return poseLeg(body, 'back', pelvis, hip, back.foot, held);
    case 'knee':
      return poseKneelingLeg(body, 'back', pelvis, hip, back.shin);
    case 'lifted': {
      const angles = {
        flexion: posture.parts.backHipFlexion,
        abduction: posture.parts.backHipAbduction,
        rotation: posture.parts.backHipRotation,
      };
      return poseLiftedLeg(body, 'back', pelvis, hip, angles, held ?? 0);
    }
    case 'on-front-leg':
      return poseLegOnLeg(
        body,
        'back',
        pelvis,
        hip,
        front,
        contacts.soleAt,
        posture.parts.backSoleHeight,
        posture.parts.backKneeOut,
      );
  }
}

/**
 * Chest against pelvis: flexion about the side axis (+ forward), side bend about the
 * floating forward axis (+ to the left), rotation about the trunk (+ to the left).
 */
function bendSpine({ flexion, sideBend, rotation }: Spine): Rotation {
  const [cf, sf] = [Math.cos(flexion), Math.sin(flexion)];
  const [cb, sb] = [Math.cos(sideBend), Math.sin(sideBend)];
  const [cr, sr] = [Math.cos(rotation), Math.sin(rotation)];
  // The three turns multiplied out.
  return {
    forward: [cf * cr - sf * sb * sr, cb * sr, -sf * cr - cf * sb * sr],
    left: [-cf * sr - sf * sb * cr, cb * cr, sf * sr - cf * sb * cr],
    up: [sf * cb, sb, cf * cb],
  };
}

function poseLegs(
  body: CanonicalBody,
  contacts: ContactPlan,
  posture: Posture,
  feet: FeetPose,
): Skeleton['legs'] {
  const { pelvis, pelvisCentre, parts } = posture;
  const { straightKnee } = contacts;
  const frontHip = addScaled(pelvisCentre, pelvis.left, -body.halfHips);
  const backHip = addScaled(pelvisCentre, pelvis.left, body.halfHips);
  const front = poseLeg(
    body,
    'front',
    pelvis,
    frontHip,
    feet.front,
    straightKnee.front,
    parts.frontKneeDrift,
  );
  const back = poseBackLeg(body, contacts, posture, backHip, feet.back, front);
  return { front, back };
}

/** The outline of the feet with that of the hands that bear on the floor or a prop. */
function addHands(
  feet: readonly Point2[],
  plans: ContactPlan['arms'],
  arms: Skeleton['arms'],
): readonly Point2[] {
  if (!plans.front.bears && !plans.back.bears) return feet;
  return [
    ...feet,
    ...(plans.front.bears ? palmOutline(arms.front.palm) : []),
    ...(plans.back.bears ? palmOutline(arms.back.palm) : []),
  ];
}

/**
 * Builds every joint centre of a posture. World frame, metres; the front leg is the right one.
 *
 * @param body lengths of the body as the solver sees it, metres
 * @param contacts the contacts with the mat, and what the arms do
 * @param posture metres and radians, solver frame
 * @param cornersNearby of a posture next to it, whose base has the same corners; null = they are found
 * @returns every joint with its angles
 */
export function buildSkeleton(
  body: CanonicalBody,
  contacts: ContactPlan,
  posture: Posture,
  cornersNearby: Skeleton['corners'] | null = null,
): Skeleton {
  const { pelvisCentre, pelvis } = posture;
  const plans = contacts.arms;
  const feet = contacts.feet(posture.parts);
  const legs = poseLegs(body, contacts, posture, feet);
  const spine = bendSpine(posture.spine);
  const chest = compose(pelvis, spine);
  const chestCentre = addScaled(pelvisCentre, chest.up, body.trunk);
  const frontShoulder = addScaled(chestCentre, chest.left, -body.halfShoulders);
  const backShoulder = addScaled(chestCentre, chest.left, body.halfShoulders);
  const shoulders = { front: frontShoulder, back: backShoulder };
  const armOf = (place: Place, least?: number): ArmPose =>
    poseArm(body, place, plans[place], chest, shoulders[place], legs, least);
  const arms = { front: armOf('front'), back: armOf('back') };
  if (restsOnProp(plans.front) && restsOnProp(plans.back)) {
    // One prop height serves both hands: the elbow of the lower shoulder bends.
    const [front, back] = [arms.front.palm[2], arms.back.palm[2]];
    if (front < back) arms.front = armOf('front', back);
    if (back < front) arms.back = armOf('back', front);
  }
  const head = addScaled(chestCentre, chest.up, EAR_ABOVE_SHOULDER_PER_STATURE * body.stature);
  const centreOfMass = calcCentreOfMass({ posture, legs, arms, chestCentre, head });
  const outline = addHands(feet.outline, plans, arms);
  const corners = cornersNearby ?? findCorners(outline);
  return {
    posture,
    feet,
    legs,
    arms,
    spine,
    chest,
    chestCentre,
    head,
    centreOfMass,
    outline,
    corners,
  };
}

/**
 * Where the base has its corners, seen from above, anticlockwise.
 *
 * @returns metres
 */
export const findBase = ({ outline, corners }: Skeleton): Point2[] =>
  corners.map((i) => outline[i]!);
