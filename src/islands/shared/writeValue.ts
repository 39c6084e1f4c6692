import { toTenths } from '../../core/units/rounding.ts';
import { writeLength, type LengthUnit } from '../../core/units/readQuantity.ts';
import type { Unit } from '../../core/measures/protocol.ts';
import { metresFromCm } from '../../core/units/brands.ts';

const dateFormat = new Intl.DateTimeFormat(undefined, {
  day: 'numeric',
  month: 'long',
  year: 'numeric',
});

/** A date in the person's own locale. */
export const writeDate = (iso: string): string => dateFormat.format(new Date(iso));

/** A measure's value in the chosen units. */
export function writeValue(value: number, unit: Unit, lengthUnit: LengthUnit): string {
  if (unit === 'cm') return writeLength(metresFromCm(value), lengthUnit, 1);
  return unit === 'deg' ? `${String(toTenths(value))}°` : `${String(value)} s`;
}
