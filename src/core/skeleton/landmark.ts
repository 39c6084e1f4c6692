import type { Side } from '../measures/protocol.ts';

/**
 * [x, y, z] in cm, z up. Standing: x along the mat to its front, y to its left. Lying: x from the
 * wall at the feet toward the head.
 */
export type LandmarkCm = readonly [number, number, number];

/**
 * The name of a landmark that there is on both sides.
 *
 * @param joint as “knee”
 * @param side left or right
 * @returns its name among the landmarks of a set-up
 * @example
 * nameLandmark('knee', 'left') // → "kneeLeft"
 */
export const nameLandmark = (joint: string, side: Side): string =>
  `${joint}${side === 'left' ? 'Left' : 'Right'}`;
