import { toTenths } from '../units/rounding.ts';
import type { PropItem } from '../props/propList.ts';
import { findNearestAbove, findStacks, findStrap, type Stack } from '../props/stacks.ts';
import type { SetUp, SupportProp } from './setUp.ts';
import { findSettingKind } from './settingKinds.ts';

/**
 * `tall block (23 cm) on pad (3 cm)`.
 *
 * @returns words for the teacher
 */
export const nameStack = ({ props }: Stack): string =>
  props.map(({ name, heightCm }) => `${name} (${String(heightCm)} cm)`).join(' on ');

/**
 * One prop or stack, or one strap, for everything that a set-up is leant on or held with.
 *
 * @param props what the studio has
 * @returns one entry for each support
 */
export function findSupportProps({ settings }: SetUp, props: readonly PropItem[]): SupportProp[] {
  return settings.flatMap(({ id, value }): SupportProp[] => {
    if (value <= 0) return [];
    const servedBy = findSettingKind(id)?.servedBy;
    if (servedBy === 'strap') {
      const strap = findStrap(props, value);
      const beyond = strap?.lengthCm == null ? 0 : strap.lengthCm - value;
      const name = strap === null ? null : `${strap.name} (${String(strap.lengthCm)} cm)`;
      return [{ setting: id, neededCm: value, name, beyondCm: toTenths(beyond) }];
    }
    if (servedBy === undefined) return [];
    const stack = findNearestAbove(findStacks(props, servedBy), value);
    const name = stack === null ? null : nameStack(stack);
    const beyond = stack === null ? 0 : Math.max(0, stack.heightCm - value);
    return [{ setting: id, neededCm: value, name, beyondCm: toTenths(beyond) }];
  });
}
