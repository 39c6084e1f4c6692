import { toTenths } from '../units/rounding.ts';
import type { PropItem } from '../props/propList.ts';
import { findNearestAbove, findStacks, findStrap, SERVES, type Stack } from '../props/stacks.ts';
import type { SettingId, SetUp, SupportProp } from './setUp.ts';

/**
 * What may serve each height. The nearest at or above is taken: higher is the easier side
 * for a seat, a wedge, a pad or a thigh.
 */
const BY_HEIGHT: Partial<Record<SettingId, readonly PropItem['kind'][]>> = {
  'thigh-support': SERVES.thigh,
  'heel-wedge': SERVES.heel,
  'knee-pad': SERVES.kneeOnMat,
  'front-ball-block': SERVES.ball,
  'knee-support': SERVES.lyingLimb,
  'back-heel-block': SERVES.lyingLimb,
  'bolster-height': SERVES.head,
  'head-support': SERVES.head,
  'seat-height': SERVES.lyingLimb,
};

const STRAPS: readonly SettingId[] = ['strap-length', 'strap-to-own', 'bind-strap'];

/** `tall block (23 cm) on pad (3 cm)`. */
export const nameStack = ({ props }: Stack): string =>
  props.map(({ name, heightCm }) => `${name} (${String(heightCm)} cm)`).join(' on ');

/** One prop or stack, or one strap, for everything that a set-up is leant on or held with. */
export function findSupportProps({ settings }: SetUp, props: readonly PropItem[]): SupportProp[] {
  return settings.flatMap(({ id, value }): SupportProp[] => {
    if (value <= 0) return [];
    if (STRAPS.includes(id)) {
      const strap = findStrap(props, value);
      const beyond = strap?.lengthCm == null ? 0 : strap.lengthCm - value;
      const name = strap === null ? null : `${strap.name} (${String(strap.lengthCm)} cm)`;
      return [{ setting: id, neededCm: value, name, beyondCm: toTenths(beyond) }];
    }
    const kinds = BY_HEIGHT[id];
    if (kinds === undefined) return [];
    const stack = findNearestAbove(findStacks(props, kinds), value);
    const name = stack === null ? null : nameStack(stack);
    const beyond = stack === null ? 0 : Math.max(0, stack.heightCm - value);
    return [{ setting: id, neededCm: value, name, beyondCm: toTenths(beyond) }];
  });
}
