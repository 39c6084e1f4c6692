import { USUAL_PROPS } from '../props/propList.ts';
import { findHandProp } from '../setup/handProp.ts';
import { findSettingKind } from '../setup/settingKinds.ts';
import type { SetUp } from '../setup/setUp.ts';
import { findSupportProps, nameStack } from '../setup/supportProps.ts';

/**
 * What to fetch before a set-up is begun, in words.
 *
 * @param setUp the set-up
 * @returns one line a prop
 * @example
 * listProps(setUp) // → []
 */
export function listProps(setUp: SetUp): readonly string[] {
  const hand = findHandProp(setUp, USUAL_PROPS);
  const isOnFloor = hand?.stack == null || hand.stack.props.length === 0;
  const others = findSupportProps(setUp, USUAL_PROPS).flatMap(({ name }) => name ?? []);
  const wall = setUp.settings.some(({ id }) => findSettingKind(id)?.needsWall === true)
    ? ['a wall']
    : [];
  return [...(isOnFloor ? [] : [nameStack(hand.stack)]), ...others, ...wall];
}
