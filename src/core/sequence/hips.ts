import type { AnyPose } from '../poses/anyPose.ts';
import { standsTogether } from './feetPlaces.ts';

/** What a body brings along from the poses before. */
export interface Hips {
  /** Of the last pose with a family, until the hips have come back to the middle. */
  readonly family: 'open' | 'closed' | 'neutral';
  /** They were open while standing, and no lunge has come since. */
  readonly needsLunge: boolean;
}

export const HIPS_AT_REST: Hips = { family: 'neutral', needsLunge: false };

/** Poses in which both hips come back to the middle; in a wide stance they do not. */
const isSymmetric = (any: AnyPose): boolean =>
  !any.hasSides && (any.kind !== 'standing' || standsTogether(any.pose));

/**
 * The hips after a pose was entered. A lunge that is only passed through lies between open and
 * closed hips: the flip counts where the way ends in closed ones.
 *
 * @param before the hips in the pose that is left
 * @param any the pose that is entered
 * @param isPassed whether it is only passed through
 * @returns the hips in it
 */
export function enterPose(before: Hips, any: AnyPose, isPassed: boolean): Hips {
  const isLunge = any.kind === 'standing' && any.pose.isLunge === true;
  const isLow = any.kind !== 'standing' && any.height !== 'standing';
  // A step on the floor is a rest, and ends the open pose; a pose passed through there would only bypass the lunge.
  const isCleared = isLunge || (isLow && !isPassed);
  const needsLunge = any.family === 'open' || (before.needsLunge && !isCleared);
  if (isSymmetric(any)) return { family: 'neutral', needsLunge };
  if (any.family === 'neutral' || (isLunge && isPassed)) return { ...before, needsLunge };
  return { family: any.family, needsLunge };
}

/**
 * Whether a pose may be entered: a pose on the hands may not while a lunge is still owed.
 *
 * @param hips in the pose that is left
 * @param to the pose that is entered
 * @returns false while a lunge has to come first
 */
export const mayEnter = (hips: Hips, to: AnyPose): boolean =>
  !(hips.needsLunge && to.kind === 'linking' && to.pose.standsOnHands);
