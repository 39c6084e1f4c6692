import type { PropItem } from '../props/propList.ts';
import { findHandProp } from './handProp.ts';
import type { SetUp } from './setUp.ts';
import { findSupportProps } from './supportProps.ts';

/**
 * A set-up with what of a cupboard serves its hand, its supports and its straps.
 *
 * @param setUp solved
 * @param cupboard what the studio has
 * @returns the same numbers
 */
export const withProps = (setUp: SetUp, cupboard: readonly PropItem[]): SetUp => ({
  ...setUp,
  handProp: findHandProp(setUp, cupboard),
  supportProps: findSupportProps(setUp, cupboard),
});
