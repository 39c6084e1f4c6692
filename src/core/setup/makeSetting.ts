import { toTenths } from '../units/rounding.ts';
import type { Setting } from './setUp.ts';
import type { SettingId } from './settingKinds.ts';
import { closeSum, type WorkingStep } from '../planning/working.ts';

/**
 * A setting whose value is the sum of its terms; limits are listed beneath.
 *
 * @param id which setting
 * @param unit centimetres or degrees
 * @param from the point or line it is measured from
 * @param to the point or line it is measured to
 * @param terms the lines of its sum
 * @param limits lines beneath the sum
 * @returns rounded to what can be set
 */
export function makeSetting(
  id: SettingId,
  unit: Setting['unit'],
  from: string,
  to: string,
  terms: readonly WorkingStep[],
  limits: readonly WorkingStep[],
): Setting {
  const working = closeSum(id.replaceAll('-', ' '), terms, unit);
  const value = toTenths(working.at(-1)!.value);
  return { id, value, unit, from, to, plusMinus: null, working: [...working, ...limits] };
}
