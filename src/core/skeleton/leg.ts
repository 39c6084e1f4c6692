import { type FootPose, hangFoot, type KneelingShin } from './foot.ts';
import {
  type Vec3,
  turnAbout,
  subtract,
  length,
  scale,
  normalise,
  rejectFrom,
  combine,
  addScaled,
  dot,
} from '../geometry/vector.ts';
import {
  type HipAngles,
  type AnkleAngles,
  calcHipAngles,
  calcAnkleAngles,
} from '../body/jointAngles.ts';
import { type CanonicalBody, limbOf, canonicalSide } from './canonicalBody.ts';
import type { Place } from '../poses/poseDefinition.ts';
import { type Rotation, toWorld } from '../geometry/rotation.ts';
import type { Side } from '../measures/protocol.ts';

export interface LegPose {
  readonly foot: FootPose;
  readonly hip: Vec3;
  readonly knee: Vec3;
  readonly kneeFlexion: number;
  /**
   * Distance beyond what the leg spans, metres. `must-close`: from hip to a foot or knee
   * that stands still, has to be 0. `may-bend`: beyond thigh and shank together, must not
   * be positive.
   */
  readonly overreach: number;
  readonly closure: 'must-close' | 'may-bend';
  /** Its ankle carries weight: a kneeling or lifted leg's lies as it can, and is no limit. */
  readonly ankleBears: boolean;
  readonly hipAngles: HipAngles;
  readonly ankleAngles: AnkleAngles;
}

const FADE_FROM_RAD = (10 * Math.PI) / 180;

const FADE_TO_RAD = (30 * Math.PI) / 180;

/**
 * How far the thigh–foot angle counts: fully in a straight leg, not at all once the
 * knee is bent and the shin can turn under it. The fade between 10° and 30° keeps the
 * solver smooth. Our modelling choice.
 */
function straightShare(kneeFlexionRad: number): number {
  const t = (FADE_TO_RAD - kneeFlexionRad) / (FADE_TO_RAD - FADE_FROM_RAD);
  return Math.max(0, Math.min(1, t));
}

/** Hip-to-ankle distance of a leg whose knee is bent by this much. */
const reachAtKnee = (thigh: number, shank: number, kneeFlexionRad: number): number =>
  Math.sqrt(thigh * thigh + shank * shank + 2 * thigh * shank * Math.cos(kneeFlexionRad));

/**
 * Poses a leg between a given hip centre and a given foot: the knee by the law of
 * cosines, bending in the plane that holds the foot's direction. A straight leg is a
 * strut of fixed bend, because the law of cosines has no slope where a knee is straight.
 *
 * @param body lengths of the body as the solver sees it, metres
 * @param place front or back leg
 * @param pelvis pelvis frame, world
 * @param hip hip centre, world
 * @param foot the placed foot
 * @param heldKnee bend a straight leg is held at, radians; null = the knee bends as it must
 * @param drift turn of the knee inward, out of the plane that holds the foot's direction
 * @returns angles in radians, points in metres
 */
export function poseLeg(
  body: CanonicalBody,
  place: Place,
  pelvis: Rotation,
  hip: Vec3,
  foot: FootPose,
  heldKnee: number | null,
  drift = 0,
): LegPose {
  const { thighFootAngle } = limbOf(body, place);
  const side = canonicalSide(place);
  // The foot points outward of the knee, so the knee points inward of the foot.
  const turnOfKnee = (legDown: Vec3, kneeFlexion: number): Vec3 => {
    const byFoot = thighFootAngle * straightShare(kneeFlexion);
    const inward = (side === 'right' ? -1 : 1) * (byFoot + drift);
    return inward === 0 ? foot.pointing : turnAbout(foot.pointing, legDown, inward);
  };
  return bendLeg(body, place, pelvis, hip, foot, heldKnee, turnOfKnee);
}

/**
 * The two-link chain itself; `facing` says where the knee points.
 *
 * @param body lengths of the body as the solver sees it, metres
 * @param place front or back leg
 * @param pelvis pelvis in the world
 * @param hip hip centre in the world, metres
 * @param foot the placed foot
 * @param heldKnee its bend, radians; null = it follows from the distance
 * @param facing which way the knee points
 * @returns angles in radians, points in metres
 */
export function bendLeg(
  body: CanonicalBody,
  place: Place,
  pelvis: Rotation,
  hip: Vec3,
  foot: FootPose,
  heldKnee: number | null,
  facing: (legDown: Vec3, kneeFlexion: number) => Vec3,
): LegPose {
  const { thigh, shank } = limbOf(body, place);
  const side = canonicalSide(place);
  const span = subtract(foot.ankle, hip);
  const distance = length(span);
  const legDown = scale(span, 1 / distance);
  const reach = heldKnee === null ? distance : reachAtKnee(thigh, shank, heldKnee);
  const cosKnee = (reach * reach - thigh * thigh - shank * shank) / (2 * thigh * shank);
  const kneeFlexion = heldKnee ?? Math.acos(Math.max(-1, Math.min(1, cosKnee)));
  const bulgeDirection = normalise(rejectFrom(facing(legDown, kneeFlexion), legDown));

  const along = (thigh * thigh - shank * shank + reach * reach) / (2 * reach);
  // Both are one height of one triangle; of the first, a straight leg leaves only the rounding.
  const bulge =
    heldKnee === null
      ? Math.sqrt(Math.max(0, thigh * thigh - along * along))
      : (thigh * shank * Math.sin(heldKnee)) / reach;
  // Along the thigh and at right angles to it, both in the leg's plane.
  const size = Math.sqrt(along * along + bulge * bulge);
  const thighDown = combine(legDown, along / size, bulgeDirection, bulge / size);
  const kneeForward = combine(legDown, -bulge / size, bulgeDirection, along / size);
  const knee = addScaled(hip, thighDown, size);
  return {
    foot,
    hip,
    knee,
    kneeFlexion,
    overreach: heldKnee === null ? distance - thigh - shank : distance - reach,
    closure: heldKnee === null ? 'may-bend' : 'must-close',
    ankleBears: foot.bearsFrom !== null,
    hipAngles: calcHipAngles(pelvis, thighDown, kneeForward, side),
    ankleAngles: calcAnkleAngles(foot.frame, normalise(subtract(knee, foot.ankle)), side),
  };
}

/** Unit vectors of a thigh, from hip angles in the order and directions of jointAngles.ts. */
function findThigh(
  pelvis: Rotation,
  side: Side,
  { flexion, abduction, rotation }: LiftedAngles,
): { readonly down: Vec3; readonly kneeForward: Vec3 } {
  const sign = side === 'left' ? 1 : -1;
  const [cf, sf] = [Math.cos(flexion), Math.sin(flexion)];
  const [ca, sa] = [Math.cos(abduction), Math.sin(abduction)];
  const down = toWorld(pelvis, [ca * sf, sign * sa, -ca * cf]);
  const floating = toWorld(pelvis, [cf, 0, sf]);
  const lateral = toWorld(pelvis, [-sa * sf, sign * ca, sa * cf]);
  const kneeForward = combine(floating, Math.cos(rotation), lateral, Math.sin(rotation));
  return { down, kneeForward };
}

export interface LiftedAngles {
  readonly flexion: number;
  readonly abduction: number;
  /** External rotation. */
  readonly rotation: number;
}

/**
 * A straight leg in the air, posed by its hip angles; its foot is at a right angle.
 *
 * @param body lengths of the body as the solver sees it, metres
 * @param place front or back leg
 * @param pelvis pelvis in the world
 * @param hip hip centre in the world, metres
 * @param angles of the hip, radians
 * @param heldKnee its bend, radians
 * @returns angles in radians, points in metres
 */
export function poseLiftedLeg(
  body: CanonicalBody,
  place: Place,
  pelvis: Rotation,
  hip: Vec3,
  angles: LiftedAngles,
  heldKnee: number,
): LegPose {
  const { thigh, shank } = limbOf(body, place);
  const { down, kneeForward } = findThigh(pelvis, canonicalSide(place), angles);
  const knee = addScaled(hip, down, thigh);
  const [c, s] = [Math.cos(heldKnee), Math.sin(heldKnee)];
  const shankDown = combine(down, c, kneeForward, -s);
  const toesTo = combine(kneeForward, c, down, s);
  const ankle = addScaled(knee, shankDown, shank);
  return {
    foot: hangFoot(body, ankle, toesTo, scale(shankDown, -1)),
    hip,
    knee,
    kneeFlexion: heldKnee,
    overreach: -1,
    closure: 'may-bend',
    ankleBears: false,
    hipAngles: {
      flexion: angles.flexion,
      abduction: angles.abduction,
      externalRotation: angles.rotation,
    },
    ankleAngles: { dorsiflexion: 0, inversion: 0 },
  };
}

/**
 * A leg whose knee is down and whose shin stands still: the thigh has to span from hip to knee.
 *
 * @param body lengths of the body as the solver sees it, metres
 * @param place front or back leg
 * @param pelvis pelvis in the world
 * @param hip hip centre in the world, metres
 * @returns angles in radians, points in metres
 */
export function poseKneelingLeg(
  body: CanonicalBody,
  place: Place,
  pelvis: Rotation,
  hip: Vec3,
  { knee, foot }: KneelingShin,
): LegPose {
  const side = canonicalSide(place);
  const span = subtract(knee, hip);
  const distance = length(span);
  const thighDown = scale(span, 1 / distance);
  const shankDown = normalise(subtract(foot.ankle, knee));
  const kneeForward = normalise(rejectFrom(scale(shankDown, -1), thighDown));
  return {
    foot,
    hip,
    knee,
    kneeFlexion: Math.acos(Math.max(-1, Math.min(1, dot(thighDown, shankDown)))),
    overreach: distance - limbOf(body, place).thigh,
    closure: 'must-close',
    ankleBears: false,
    hipAngles: calcHipAngles(pelvis, thighDown, kneeForward, side),
    ankleAngles: calcAnkleAngles(foot.frame, scale(shankDown, -1), side),
  };
}
