import type { Protocol } from '../../core/measures/protocol.ts';
import type { Result } from '../../core/problems/problem.ts';
import { cmFromMetres, degreesFromRadians } from '../../core/units/brands.ts';
import { readAngle, readLength, type LengthUnit } from '../../core/units/readQuantity.ts';

/** What was typed for a measure, in the measure's own unit. */
export function readTyped(text: string, protocol: Protocol, unit: LengthUnit): Result<number> {
  if (protocol.unit === 'cm') {
    const length = readLength(text, unit, protocol.name);
    return length.ok ? { ok: true, value: cmFromMetres(length.value) } : length;
  }
  const angle = readAngle(text, protocol.name);
  return angle.ok ? { ok: true, value: degreesFromRadians(angle.value) } : angle;
}

/** Files keep a tenth. */
export const toTenth = (value: number): number => Math.round(value * 10) / 10;
