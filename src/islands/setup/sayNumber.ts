import type { Setting } from '../../core/setup/setUp.ts';
import { metresFromCm } from '../../core/units/brands.ts';
import { writeLength, type LengthUnit } from '../../core/units/readQuantity.ts';

/** The plain name of a number: `stance length`. */
export const sayNumber = (id: string): string => id.replaceAll('-', ' ');

/** A number with its unit, to a tenth: for tables, where nothing is rounded to be set. */
export const writeNumber = (
  value: number,
  unit: Setting['unit'],
  lengthUnit: LengthUnit,
): string =>
  unit === 'deg' ? `${value.toFixed(0)}°` : writeLength(metresFromCm(value), lengthUnit, 1);
