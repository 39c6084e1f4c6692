import { findSettingKind } from '../setup/settingKinds.ts';
import type { SetUp } from '../setup/setUp.ts';
import { nameStack } from '../setup/supportProps.ts';

/**
 * What to fetch before a set-up is begun, in words.
 *
 * @param setUp the set-up
 * @returns one line a prop
 * @example
 * listProps(setUp) // → []
 */
export function listProps(setUp: SetUp): readonly string[] {
  const { handProp: hand, supportProps } = setUp;
  const isOnFloor = hand?.stack == null || hand.stack.props.length === 0;
  const others = supportProps.flatMap(({ name }) => name ?? []);
  const wall = setUp.settings.some(({ id }) => findSettingKind(id)?.needsWall === true)
    ? ['a wall']
    : [];
  return [...(isOnFloor ? [] : [nameStack(hand.stack)]), ...others, ...wall];
}
