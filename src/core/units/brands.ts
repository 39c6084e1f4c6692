/**
 * Branded numbers: the compiler refuses a length where an angle is asked, and a
 * bare number where a unit is asked. The core keeps metres and radians; files
 * and screens keep centimetres, degrees and seconds.
 */
declare const unit: unique symbol;

export type Metres = number & { readonly [unit]: 'metre' };
export type Radians = number & { readonly [unit]: 'radian' };

/** Exact by definition: 1 inch = 25.4 mm (international yard and pound agreement, 1959). */
export const METRES_PER_INCH = 0.0254;
export const INCHES_PER_FOOT = 12;
export const CM_PER_METRE = 100;
export const DEGREES_PER_RADIAN = 180 / Math.PI;

/**
 * Centimetres as metres.
 *
 * @param cm centimetres
 * @returns metres
 * @example
 * metresFromCm(82) // → 0.82
 */
export const metresFromCm = (cm: number): Metres => (cm / CM_PER_METRE) as Metres;
/**
 * Metres as centimetres.
 *
 * @param metres metres
 * @returns centimetres
 * @example
 * cmFromMetres(1.05) // → 105
 */
export const cmFromMetres = (metres: number): number => metres * CM_PER_METRE;
/**
 * Degrees as radians.
 *
 * @param degrees degrees
 * @returns radians
 */
export const radiansFromDegrees = (degrees: number): Radians =>
  (degrees / DEGREES_PER_RADIAN) as Radians;
/**
 * Radians as degrees.
 *
 * @param radians radians
 * @returns degrees
 */
export const degreesFromRadians = (radians: number): number => radians * DEGREES_PER_RADIAN;
