import type { Rotation } from '../geometry/rotation.ts';
import { dot, scale, type Vec3 } from '../geometry/vector.ts';
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

/** The direction away from the body's midline on this side. */
const lateralOf = (frame: Rotation, side: Side): Vec3 =>
  side === 'left' ? frame.left : scale(frame.left, -1);

/**
 * Thigh against pelvis: flexion about the pelvis's side axis, then abduction about
 * the floating forward axis, then rotation about the thigh. Axes and order of the
 * joint coordinate system, Wu et al. 2002; our positive directions are flexion,
 * abduction and external rotation.
 *
 * @param pelvis pelvis frame in the world
 * @param thighDown unit vector from hip centre to knee centre
 * @param kneeForward unit vector the knee points to, at right angles to the thigh
 */
export function calcHipAngles(
  pelvis: Rotation,
  thighDown: Vec3,
  kneeForward: Vec3,
  side: Side,
): HipAngles {
  const lateral = lateralOf(pelvis, side);
  const ahead = dot(thighDown, pelvis.forward);
  const down = -dot(thighDown, pelvis.up);
  const flexion = Math.atan2(ahead, down);
  const abduction = Math.asin(Math.max(-1, Math.min(1, dot(thighDown, lateral))));
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
    externalRotation: Math.atan2(dot(kneeForward, lateral), kneeAhead),
  };
}

/**
 * Shank against foot: dorsiflexion about the foot's side axis, then inversion.
 * A shank that leans over the big-toe side of a flat foot inverts the ankle.
 *
 * @param foot foot frame in the world
 * @param shankUp unit vector from ankle centre to knee centre
 */
export function calcAnkleAngles(foot: Rotation, shankUp: Vec3, side: Side): AnkleAngles {
  const medial = -dot(shankUp, lateralOf(foot, side));
  return {
    dorsiflexion: Math.atan2(dot(shankUp, foot.forward), dot(shankUp, foot.up)),
    inversion: Math.asin(Math.max(-1, Math.min(1, medial))),
  };
}
