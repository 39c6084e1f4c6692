import { type BackContact, type Place } from '../poses/poseDefinition.ts';
import { type Figure } from './figure.ts';
import {
  EAR_ABOVE_SHOULDER_PER_STATURE,
  HIP_CENTRE,
  NECK_ABOVE_SHOULDER_PER_STATURE,
} from '../body/proportions.ts';
import { findCorners, type Point2 } from '../geometry/polygon.ts';
import { compose, toWorld, type Rotation } from '../geometry/rotation.ts';
import { add, addScaled, type Vec3 } from '../geometry/vector.ts';
import { poseArm, type ArmPlan, type ArmPose } from './arm.ts';
import { calcCentreOfMass } from './centreOfMass.ts';
import {
  kneeOutline,
  palmOutline,
  placeFlatFoot,
  placeKneelingShin,
  placeLiftedFoot,
  soleOutline,
  type FootPose,
  type KneelingShin,
} from './foot.ts';
import {
  poseKneelingLeg,
  poseLeg,
  poseLegOnLeg,
  poseLiftedLeg,
  type LegPose,
  type SolePlace,
} from './leg.ts';
import { haveSameFeet, type Moved, type Parts, type Posture, type Spine } from './posture.ts';

/** What stands where and what hangs free, with this person's rules filled in. */
export interface ContactPlan {
  readonly feet: (parts: Parts) => FeetPose;
  readonly soleAt: SolePlace;
  readonly arms: Readonly<Record<Place, ArmPlan>>;
  /** Knee bend a straight leg is held at, radians; null = this leg bends. */
  readonly straightKnee: Readonly<Record<Place, number | null>>;
}

/** What the back leg ends at. */
type BackEnd =
  | { readonly kind: 'foot'; readonly foot: FootPose }
  | { readonly kind: 'knee'; readonly shin: KneelingShin }
  | { readonly kind: 'lifted' }
  | { readonly kind: 'on-front-leg' };

/** What stands on the mat and the base it makes. */
interface FeetPose {
  readonly front: FootPose;
  readonly back: BackEnd;
  /** Of all that bears: its points in one order whatever the posture. */
  readonly outline: readonly Point2[];
}

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

/**
 * Places what stands on the mat: the front heel centre at the origin, the back foot (its
 * ball with the heel up, its knee when that is down) by stance length and width.
 * Remembers its last answer, because a solver moves the rest of the body far more often
 * than the feet.
 *
 * @param width across the mat between heel centres, metres, + on the back leg's own side
 * @param frontBallHeight of a block under the ball of the front foot, metres
 */
export function planFeet(
  figure: Figure,
  contact: BackContact,
  width: (backFootYaw: number) => number,
  frontBallHeight = 0,
): ContactPlan['feet'] {
  let last: { readonly at: Parts; readonly feet: FeetPose } | null = null;
  let front: { readonly yaw: number; readonly foot: FootPose; readonly sole: Point2[] } | null =
    null;
  return (parts) => {
    if (last !== null && haveSameFeet(last.at, parts)) return last.feet;
    const { frontFootYaw: yaw } = parts;
    if (front?.yaw !== yaw) {
      const foot = placeFlatFoot(figure, [0, 0, 0], yaw, frontBallHeight);
      front = { yaw, foot, sole: soleOutline(figure, foot) };
    }
    const across = width(parts.backFootYaw) + parts.widening;
    const back = placeBackEnd(figure, contact, parts, [-parts.stance, across]);
    // From the back foot forward: its corners are found by sorting along the mat.
    const outline = [...outlineOfEnd(figure, back), ...front.sole];
    const feet = { front: front.foot, back, outline };
    last = { at: parts, feet };
    return feet;
  };
}

function placeBackEnd(
  figure: Figure,
  contact: BackContact,
  { backFootYaw, backHeelLift, backShinLean }: Parts,
  [x, y]: Point2,
): BackEnd {
  switch (contact) {
    case 'flat': {
      const foot = placeFlatFoot(figure, [x, y, 0], backFootYaw);
      if (backHeelLift === 0) return { kind: 'foot', foot };
      // Pushed too far, a heel that should be down comes up about its ball. Its place still
      // counts for the base, so that the base does not leap when the heel leaves the floor.
      const lifted = placeLiftedFoot(figure, foot.ball, backFootYaw, backHeelLift);
      return { kind: 'foot', foot: { ...lifted, bearsFrom: 0 } };
    }
    case 'ball':
      return { kind: 'foot', foot: placeLiftedFoot(figure, [x, y, 0], backFootYaw, backHeelLift) };
    case 'lifted':
    case 'on-front-leg':
      return { kind: contact };
    default:
      return { kind: 'knee', shin: placeKneelingShin(figure, [x, y], contact, backShinLean) };
  }
}

function outlineOfEnd(figure: Figure, back: BackEnd): Point2[] {
  if (back.kind === 'foot') return soleOutline(figure, back.foot);
  if (back.kind !== 'knee') return [];
  const { knee, foot } = back.shin;
  return [...kneeOutline(knee), ...soleOutline(figure, foot)];
}

function poseBackLeg(
  figure: Figure,
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
      return poseLeg(figure, 'back', pelvis, hip, back.foot, held);
    case 'knee':
      return poseKneelingLeg(figure, 'back', pelvis, hip, back.shin);
    case 'lifted': {
      const angles = {
        flexion: posture.parts.backHipFlexion,
        abduction: posture.parts.backHipAbduction,
        rotation: posture.parts.backHipRotation,
      };
      return poseLiftedLeg(figure, 'back', pelvis, hip, angles, held ?? 0);
    }
    case 'on-front-leg':
      return poseLegOnLeg(
        figure,
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

/** Of postures that differ in their parts alone. */
const haveSameFrontLeg = (a: Parts, b: Parts): boolean =>
  a.frontFootYaw === b.frontFootYaw && a.frontKneeDrift === b.frontKneeDrift;

function poseLegs(
  figure: Figure,
  contacts: ContactPlan,
  posture: Posture,
  feet: FeetPose,
  beside: Beside | null,
): Skeleton['legs'] {
  if (beside?.moved === 'spine') return beside.skeleton.legs;
  const { pelvis, pelvisCentre } = posture;
  const { straightKnee } = contacts;
  const frontHip = addScaled(pelvisCentre, pelvis.left, -figure.halfHips);
  const backHip = addScaled(pelvisCentre, pelvis.left, figure.halfHips);
  const front =
    beside?.moved === 'parts' && haveSameFrontLeg(beside.skeleton.posture.parts, posture.parts)
      ? beside.skeleton.legs.front
      : poseLeg(
          figure,
          'front',
          pelvis,
          frontHip,
          feet.front,
          straightKnee.front,
          posture.parts.frontKneeDrift,
        );
  const back = poseBackLeg(figure, contacts, posture, backHip, feet.back, front);
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

/** A posture that differs by next to nothing from one that was built, in what one unknown moves. */
export interface Beside {
  readonly skeleton: Skeleton;
  readonly moved: Moved;
}

/**
 * Builds every joint centre of a posture. World frame, metres; the front leg is the right one.
 *
 * @param beside what does not move is taken over from there, and so are the corners of its base
 */
export function buildSkeleton(
  figure: Figure,
  contacts: ContactPlan,
  posture: Posture,
  beside: Beside | null = null,
): Skeleton {
  const { pelvisCentre, pelvis } = posture;
  const plans = contacts.arms;
  const built = beside?.skeleton;
  const moved = beside?.moved;
  const feet = built !== undefined && moved !== 'parts' ? built.feet : contacts.feet(posture.parts);
  const legs = poseLegs(figure, contacts, posture, feet, beside);
  const spine = built !== undefined && moved !== 'spine' ? built.spine : bendSpine(posture.spine);
  const chest = built !== undefined && moved === 'parts' ? built.chest : compose(pelvis, spine);
  const chestCentre = addScaled(pelvisCentre, chest.up, figure.trunk);
  const frontShoulder = addScaled(chestCentre, chest.left, -figure.halfShoulders);
  const backShoulder = addScaled(chestCentre, chest.left, figure.halfShoulders);
  const shoulders = { front: frontShoulder, back: backShoulder };
  const armOf = (place: Place, least?: number): ArmPose =>
    poseArm(figure, place, plans[place], chest, shoulders[place], legs, least);
  const arms = { front: armOf('front'), back: armOf('back') };
  if (plans.front.reach === 'down' && plans.back.reach === 'down') {
    // One prop height serves both hands: the elbow of the lower shoulder bends.
    const [front, back] = [arms.front.palm[2], arms.back.palm[2]];
    if (front < back) arms.front = armOf('front', back);
    if (back < front) arms.back = armOf('back', front);
  }
  const head = addScaled(chestCentre, chest.up, EAR_ABOVE_SHOULDER_PER_STATURE * figure.stature);
  const centreOfMass = calcCentreOfMass({ posture, legs, arms, chestCentre, head });
  const outline = addHands(feet.outline, plans, arms);
  const corners = built?.corners ?? findCorners(outline);
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

/** Where the base has its corners, seen from above, anticlockwise. */
export const findBase = ({ outline, corners }: Skeleton): Point2[] =>
  corners.map((i) => outline[i]!);

/** Bony points that are reported but play no part in a solve. */
export interface BonyPoints {
  readonly neck: Vec3;
  readonly asis: Readonly<Record<Place, Vec3>>;
  readonly sacrum: Vec3;
}

export function findBonyPoints(
  figure: Figure,
  {
    posture,
    chest,
    chestCentre,
  }: Pick<Skeleton, 'chest' | 'chestCentre'> & {
    readonly posture: Pick<Posture, 'pelvis' | 'pelvisCentre'>;
  },
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
