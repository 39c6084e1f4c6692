import { type WorkingStep, term } from '../planning/working.ts';
import { metresFromCm } from '../units/brands.ts';
import { writeLength, type LengthUnit } from '../units/readQuantity.ts';
import type { Setting } from './setUp.ts';

/** Nine tenths of a normal distribution lie within this many standard deviations (tables of the normal distribution). */
const NINE_IN_TEN = 1.645;
/** Nothing on a mat is set more exactly than this, cm or degrees. Our choice. */
const LEAST = 1;
/** What a tape or an eye sees anyway, which goes without saying. Our choice. */
const UNSAID = { cm: 1, deg: 4 } as const;
const CM_PER_INCH = 2.54;

type Uncertain = Pick<Setting, 'plusMinus' | 'unit'>;

/**
 * What a number is worth: within this of it, nine repeats of the measuring in ten would fall.
 *
 * @param setting of a set-up
 * @returns whole cm or degrees, at least one; null while the error is not known
 * @example
 * calcGiveOrTake({ plusMinus: 1.73, unit: 'cm' }) // → 3
 */
export const calcGiveOrTake = ({ plusMinus }: Uncertain): number | null =>
  plusMinus === null ? null : Math.max(LEAST, Math.round(plusMinus * NINE_IN_TEN));

/**
 * “give or take 3 cm”.
 *
 * @param setting of a set-up
 * @param unit centimetres or inches
 * @returns null while the error is not known
 */
export function sayGiveOrTake(setting: Uncertain, unit: LengthUnit): string | null {
  const within = calcGiveOrTake(setting);
  if (within === null) return null;
  if (setting.unit === 'deg') return `give or take ${String(within)}°`;
  const inches = Math.max(0.5, Math.round((within / CM_PER_INCH) * 2) / 2);
  const cm = unit === 'cm' ? within : inches * CM_PER_INCH;
  return `give or take ${writeLength(metresFromCm(cm), unit, 1)}`;
}

/**
 * The same, where it is more than a tape or an eye sees anyway.
 *
 * @param setting of a set-up
 * @param unit centimetres or inches
 * @returns null when it goes without saying
 */
export const sayWideGiveOrTake = (setting: Uncertain, unit: LengthUnit): string | null =>
  (calcGiveOrTake(setting) ?? 0) > UNSAID[setting.unit] ? sayGiveOrTake(setting, unit) : null;

/**
 * How it is worked out, as a line beneath a number's sum.
 *
 * @param setting of a set-up
 * @returns none while the error is not known
 */
export function calcGiveOrTakeSteps({ plusMinus, unit }: Uncertain): readonly WorkingStep[] {
  if (plusMinus === null) return [];
  const expression = `${String(NINE_IN_TEN)} × ${plusMinus.toFixed(2)}`;
  const text = 'give or take, nine repeats in ten: 1.645 standard errors';
  return [{ ...term(text, expression, plusMinus * NINE_IN_TEN, unit), kind: 'limit' }];
}
