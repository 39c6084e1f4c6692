import { metresFromCm } from '../units/brands.ts';
import { writeLengthNumber, type LengthUnit } from '../units/readQuantity.ts';

/**
 * A length of the drawing as a teacher sets it: half centimetres, or quarter inches.
 *
 * @param cm centimetres
 * @param unit centimetres or inches
 * @returns the number without its unit
 * @example
 * writeSettable(104.7, 'cm') // → "104.5"
 */
export function writeSettable(cm: number, unit: LengthUnit): string {
  const shown = unit === 'cm' ? Math.round(cm * 2) / 2 : cm;
  return writeLengthNumber(metresFromCm(shown), unit, 1);
}

/**
 * An angle as it stands in a drawing.
 *
 * @param degrees the angle
 * @returns whole degrees with their sign
 * @example
 * writeDegrees(71.6) // → "72°"
 */
export const writeDegrees = (degrees: number): string => `${String(Math.round(degrees))}°`;
