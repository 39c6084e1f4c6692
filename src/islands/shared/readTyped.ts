import type { Protocol } from '../../core/measures/protocol.ts';
import type { Result } from '../../core/problems/problem.ts';
import { cmFromMetres, degreesFromRadians } from '../../core/units/brands.ts';
import { readAngle, readLength, type LengthUnit } from '../../core/units/readQuantity.ts';

/**
 * What was typed for a length or an angle, cm or degrees.
 *
 * @param name the field, named in the problem
 */
export function readTyped(
  text: string,
  { unit, name }: Pick<Protocol, 'unit' | 'name'>,
  lengthUnit: LengthUnit,
): Result<number> {
  if (unit === 'cm') {
    const length = readLength(text, lengthUnit, name);
    return length.ok ? { ok: true, value: cmFromMetres(length.value) } : length;
  }
  const angle = readAngle(text, name);
  return angle.ok ? { ok: true, value: degreesFromRadians(angle.value) } : angle;
}

/** Files keep a tenth. */
