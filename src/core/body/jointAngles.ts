import type { Rotation } from '../geometry/rotation.ts';
import { dot, type Vec3 } from '../geometry/vector.ts';
import type { Side } from '../measures/protocol.ts';

/** Radians; negative flexion is extension, and so on for each pair. */
export interface HipAngles {
  readonly flexion: number;
  readonly abduction: number;
  /** null within 2° of 90° abduction, where flexion and rotation cannot be told apart. */
  readonly externalRotation: number | null;
}

export interface AnkleAngles {
  readonly dorsiflexion: number;
  readonly inversion: number;
}

const SINGULAR_WITHIN_RAD = (2 * Math.PI) / 180;

/** How far a direction points away from the body's midline on this side. */
const calcLateral = (direction: Vec3, frame: Rotation, side: Side): number =>
  side === 'left' ? dot(direction, frame.left) : -dot(direction, frame.left);

/**
 * Thigh against pelvis: flexion about the pelvis's side axis, then abduction about
 * the floating forward axis, then rotation about the thigh. Axes and order of the
 * joint coordinate system, Wu et al. 2002; our positive directions are flexion,
 * abduction and external rotation.
 *
 * @param pelvis pelvis frame in the world
 * @param thighDown unit vector from hip centre to knee centre
 * @param kneeForward unit vector the knee points to, at right angles to the thigh
 * @param side left or right
 * @returns radians
 */
export function calcHipAngles(
  pelvis: Rotation,
  thighDown: Vec3,
  kneeForward: Vec3,
  side: Side,
): HipAngles {
  const ahead = dot(thighDown, pelvis.forward);
  const down = -dot(thighDown, pelvis.up);
  const flexion = Math.atan2(ahead, down);
  const abduction = Math.asin(Math.max(-1, Math.min(1, calcLateral(thighDown, pelvis, side))));
  if (Math.PI / 2 - Math.abs(abduction) < SINGULAR_WITHIN_RAD) {
    return { flexion, abduction, externalRotation: null };
  }
  // The floating axis points along down · forward + ahead · up. The thigh's own lateral axis is
  // the pelvis's without its part along the thigh, which the knee's direction does not see.
  // Both are longer or shorter than 1 by the same factor, which the angle does not see.
  const kneeAhead = down * dot(kneeForward, pelvis.forward) + ahead * dot(kneeForward, pelvis.up);
  return {
    flexion,
    abduction,
    externalRotation: Math.atan2(calcLateral(kneeForward, pelvis, side), kneeAhead),
  };
}

/**
 * Shank against foot: dorsiflexion about the foot's side axis, then inversion.
 * A shank that leans over the big-toe side of a flat foot inverts the ankle.
 *
 * @param foot foot frame in the world
 * @param shankUp unit vector from ankle centre to knee centre
 * @param side left or right
 * @returns radians
 */
export function calcAnkleAngles(foot: Rotation, shankUp: Vec3, side: Side): AnkleAngles {
  const medial = -calcLateral(shankUp, foot, side);
  return {
    dorsiflexion: Math.atan2(dot(shankUp, foot.forward), dot(shankUp, foot.up)),
    inversion: Math.asin(Math.max(-1, Math.min(1, medial))),
  };
}
