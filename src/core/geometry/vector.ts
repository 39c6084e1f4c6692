/** Vectors in metres (or unit directions): [x along the mat, y to its left, z up]. */
export type Vec3 = readonly [number, number, number];

/**
 * Sum of two vectors.
 *
 * @param a any vector
 * @param b in the same frame
 * @returns a + b
 */
export const add = (a: Vec3, b: Vec3): Vec3 => [a[0] + b[0], a[1] + b[1], a[2] + b[2]];
/**
 * Difference of two vectors.
 *
 * @param a any vector
 * @param b in the same frame
 * @returns a − b
 */
export const subtract = (a: Vec3, b: Vec3): Vec3 => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
/**
 * A vector times a number.
 *
 * @param a any vector
 * @param by the factor
 * @returns by · a
 */
export const scale = (a: Vec3, by: number): Vec3 => [a[0] * by, a[1] * by, a[2] * by];
/**
 * a + by · b, the step most used in building a skeleton.
 *
 * @param a any vector
 * @param b in the same frame
 * @param by the factor
 * @returns in the same frame
 */
export const addScaled = (a: Vec3, b: Vec3, by: number): Vec3 => [
  a[0] + by * b[0],
  a[1] + by * b[1],
  a[2] + by * b[2],
];
/**
 * byA · a + byB · b.
 *
 * @param a any vector
 * @param byA factor of a
 * @param b in the same frame
 * @param byB factor of b
 * @returns in the same frame
 */
export const combine = (a: Vec3, byA: number, b: Vec3, byB: number): Vec3 => [
  byA * a[0] + byB * b[0],
  byA * a[1] + byB * b[1],
  byA * a[2] + byB * b[2],
];
/**
 * From a (share 0) to b (share 1).
 *
 * @param a any vector
 * @param b in the same frame
 * @param share 0 to 1
 * @returns on the line through both
 * @example
 * lerp([0, 0, 0], [2, 4, 6], 0.5) // → [1,2,3]
 */
export const lerp = (a: Vec3, b: Vec3, share: number): Vec3 => addScaled(a, subtract(b, a), share);
/**
 * Scalar product.
 *
 * @param a any vector
 * @param b in the same frame
 * @returns a · b
 */
export const dot = (a: Vec3, b: Vec3): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
/**
 * Vector product, by the right-hand rule.
 *
 * @param a any vector
 * @param b in the same frame
 * @returns a × b
 * @example
 * cross([1, 0, 0], [0, 1, 0]) // → [0,0,1]
 */
export const cross = (a: Vec3, b: Vec3): Vec3 => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];
/**
 * Length of a vector.
 *
 * @param a any vector
 * @returns in the unit of its components
 */
export const length = (a: Vec3): number => Math.sqrt(dot(a, a));
/**
 * Distance of two points.
 *
 * @param a any point
 * @param b in the same frame
 * @returns in the unit of their components
 * @example
 * distance([0, 0, 0], [3, 4, 0]) // → 5
 */
export const distance = (a: Vec3, b: Vec3): number => {
  const [x, y, z] = [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
  return Math.sqrt(x * x + y * y + z * z);
};

/**
 * Unit vector along a; the zero vector stays zero, so that a solver's bad start cannot make NaN.
 *
 * @param a any vector
 * @returns of length 1, or zero
 */
export function normalise(a: Vec3): Vec3 {
  const size = length(a);
  return size < 1e-12 ? [0, 0, 0] : scale(a, 1 / size);
}

/**
 * The part of a at right angles to the unit vector `axis`.
 *
 * @param a any vector
 * @param axis a unit vector
 * @returns in the same frame
 */
export const rejectFrom = (a: Vec3, axis: Vec3): Vec3 => addScaled(a, axis, -dot(a, axis));

/**
 * Turns a about the unit vector `axis` by the right-hand rule (Rodrigues).
 *
 * @param a any vector
 * @param axis a unit vector
 * @param angleRad radians, by the right-hand rule
 * @returns in the same frame
 */
export function turnAbout(a: Vec3, axis: Vec3, angleRad: number): Vec3 {
  const c = Math.cos(angleRad);
  const s = Math.sin(angleRad);
  const along = dot(a, axis) * (1 - c);
  const side = cross(axis, a);
  return [
    a[0] * c + side[0] * s + axis[0] * along,
    a[1] * c + side[1] * s + axis[1] * along,
    a[2] * c + side[2] * s + axis[2] * along,
  ];
}

/**
 * Mirror image across the mat's long centre line: left becomes right.
 *
 * @param a any vector
 * @returns with y turned round
 * @example
 * mirror([1, 2, 3]) // → [1,-2,3]
 */
export const mirror = (a: Vec3): Vec3 => [a[0], -a[1], a[2]];

/**
 * The angle between two directions.
 *
 * @param a any length but 0
 * @param b any length but 0
 * @returns radians, 0 to π
 */
export const angleBetween = (a: Vec3, b: Vec3): number =>
  Math.acos(Math.max(-1, Math.min(1, dot(a, b) / (length(a) * length(b)))));
