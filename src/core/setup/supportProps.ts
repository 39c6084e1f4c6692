import { toTenths } from '../units/rounding.ts';
import type { PropItem } from '../props/propList.ts';
import {
  findLongestStrap,
  findNearestAbove,
  findRails,
  findStacks,
  findStrap,
  type Stack,
  type StrapLength,
} from '../props/stacks.ts';
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
 * `Strap (180 cm) and Strap (180 cm), joined`.
 *
 * @returns words for the teacher
 */
export const nameStraps = ({ straps }: StrapLength): string => {
  const names = straps.map(({ name, lengthCm }) => `${name} (${String(lengthCm)} cm)`);
  return names.length > 1 ? `${names.join(' and ')}, joined` : names.join('');
};

/** One thing of the cupboard, by its name and its height or length. */
interface Served {
  readonly name: string;
  readonly cm: number;
}

/** What serves a need, and the nearest below it where nothing does. */
function findServing(
  by: NonNullable<NonNullable<ReturnType<typeof findSettingKind>>['servedBy']>,
  neededCm: number,
  props: readonly PropItem[],
): { readonly found: Served | null; readonly nearest: Served | null } {
  if (by === 'strap') {
    const toServed = (strap: StrapLength | null): Served | null =>
      strap === null ? null : { name: nameStraps(strap), cm: strap.lengthCm };
    return {
      found: toServed(findStrap(props, neededCm)),
      nearest: toServed(findLongestStrap(props)),
    };
  }
  const stacks = by === 'rail' ? findRails(props) : findStacks(props, by);
  const toServed = (stack: Stack | null | undefined): Served | null =>
    stack == null || stack.props.length === 0
      ? null
      : { name: nameStack(stack), cm: stack.heightCm };
  return { found: toServed(findNearestAbove(stacks, neededCm)), nearest: toServed(stacks.at(-1)) };
}

/**
 * One prop or stack, or one strap, for everything that a set-up is leant on or held with.
 *
 * @param props what the studio has
 * @returns one entry for each support; where nothing serves, the nearest thing and what to improvise
 */
export function findSupportProps({ settings }: SetUp, props: readonly PropItem[]): SupportProp[] {
  return settings.flatMap(({ id, value }): SupportProp[] => {
    const kind = findSettingKind(id);
    if (value <= 0 || kind?.servedBy === undefined) return [];
    const { found, nearest } = findServing(kind.servedBy, value, props);
    if (found !== null) {
      const beyondCm = toTenths(Math.max(0, found.cm - value));
      return [{ setting: id, neededCm: value, name: found.name, beyondCm }];
    }
    const shortCm = toTenths(value - (nearest?.cm ?? 0));
    const substitute = {
      nearest: nearest?.name ?? null,
      shortCm,
      improvised: kind.improvised ?? '',
    };
    return [{ setting: id, neededCm: value, name: null, beyondCm: 0, substitute }];
  });
}
