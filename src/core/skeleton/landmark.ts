/** [x, y, z] in cm, world frame: x along the mat to its front, y to its left, z up. */
export type LandmarkCm = readonly [number, number, number];
