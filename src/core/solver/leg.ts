import { type Place } from '../poses/poseDefinition.ts';
import { CANONICAL_SIDE, type Figure } from './figure.ts';
import {
  calcAnkleAngles,
  calcHipAngles,
  type AnkleAngles,
  type HipAngles,
} from '../body/jointAngles.ts';
import { FOOT } from '../body/proportions.ts';
import { aboutLeft, aboutUp, compose, type Rotation } from '../geometry/rotation.ts';
import {
  addScaled,
  length,
  normalise,
  rejectFrom,
  scale,
  subtract,
  turnAbout,
  type Vec3,
} from '../geometry/vector.ts';

export interface FootPose {
  readonly frame: Rotation;
  /** Where the foot points on the floor, whatever its heel does. */
  readonly pointing: Vec3;
  /** What of the foot bears on the floor, from this fraction of its length on. */
  readonly bearsFrom: number;
  readonly heel: Vec3;
  readonly ankle: Vec3;
  readonly ball: Vec3;
  readonly toe: Vec3;
}

export interface LegPose {
  readonly foot: FootPose;
  readonly hip: Vec3;
  readonly knee: Vec3;
  readonly kneeFlexion: number;
  /**
   * Hip-to-ankle distance beyond what the leg spans: beyond its knee's held bend for a
   * straight leg (must be 0), beyond thigh and shank together for a bent one (must not be positive).
   */
  readonly overreach: number;
  readonly hipAngles: HipAngles;
  readonly ankleAngles: AnkleAngles;
}

/** A foot flat on the floor, its heel centre at `heel`. */
export function placeFlatFoot(figure: Figure, heel: Vec3, yawRad: number): FootPose {
  const frame = aboutUp(yawRad);
  const ahead = (fraction: number): Vec3 =>
    addScaled(heel, frame.forward, (fraction - FOOT.heelCentre) * figure.footLength);
  return {
    frame,
    pointing: frame.forward,
    bearsFrom: 0,
    heel,
    ankle: addScaled(ahead(FOOT.ankle), frame.up, figure.ankleHeight),
    ball: ahead(FOOT.ball),
    toe: ahead(FOOT.toe),
  };
}

/**
 * A foot on its ball and toes: the heel is lifted about the ball, the toes lie flat.
 *
 * @param ball on the floor
 * @param liftRad angle of the sole against the floor, + heel up
 */
export function placeLiftedFoot(
  figure: Figure,
  ball: Vec3,
  yawRad: number,
  liftRad: number,
): FootPose {
  const { forward: pointing } = aboutUp(yawRad);
  const frame = compose(aboutUp(yawRad), aboutLeft(liftRad));
  const { footLength } = figure;
  const heel = addScaled(ball, frame.forward, (FOOT.heelCentre - FOOT.ball) * footLength);
  const under = addScaled(ball, frame.forward, (FOOT.ankle - FOOT.ball) * footLength);
  return {
    frame,
    pointing,
    bearsFrom: FOOT.ball,
    heel,
    ankle: addScaled(under, frame.up, figure.ankleHeight),
    ball,
    toe: addScaled(ball, pointing, (FOOT.toe - FOOT.ball) * footLength),
  };
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
 * @param hip hip centre, world
 * @param pelvis pelvis frame, world
 * @param heldKnee bend a straight leg is held at, radians; null = the knee bends as it must
 */
export function poseLeg(
  figure: Figure,
  place: Place,
  pelvis: Rotation,
  hip: Vec3,
  foot: FootPose,
  heldKnee: number | null,
): LegPose {
  const { thigh, shank, thighFootAngle } = figure[place];
  const side = CANONICAL_SIDE[place];
  const span = subtract(foot.ankle, hip);
  const distance = length(span);
  const legDown = scale(span, 1 / distance);
  const reach = heldKnee === null ? distance : reachAtKnee(thigh, shank, heldKnee);
  const cosKnee = (reach * reach - thigh * thigh - shank * shank) / (2 * thigh * shank);
  const kneeFlexion = heldKnee ?? Math.acos(Math.max(-1, Math.min(1, cosKnee)));

  // The foot points outward of the knee, so the knee points inward of the foot.
  const inward = (side === 'right' ? -1 : 1) * thighFootAngle * straightShare(kneeFlexion);
  const facing = inward === 0 ? foot.pointing : turnAbout(foot.pointing, legDown, inward);
  const bulgeDirection = normalise(rejectFrom(facing, legDown));

  const along = (thigh * thigh - shank * shank + reach * reach) / (2 * reach);
  const bulge = Math.sqrt(Math.max(0, thigh * thigh - along * along));
  const knee = addScaled(addScaled(hip, legDown, along), bulgeDirection, bulge);

  const thighDown = normalise(subtract(knee, hip));
  const kneeForward = normalise(rejectFrom(bulgeDirection, thighDown));
  return {
    foot,
    hip,
    knee,
    kneeFlexion,
    overreach: heldKnee === null ? distance - thigh - shank : distance - reach,
    hipAngles: calcHipAngles(pelvis, thighDown, kneeForward, side),
    ankleAngles: calcAnkleAngles(foot.frame, normalise(subtract(knee, foot.ankle)), side),
  };
}
