/**
 * [x, y, z] in cm, z up. Standing: x along the mat to its front, y to its left. Lying: x from the
 * wall at the feet toward the head.
 */
export type LandmarkCm = readonly [number, number, number];
