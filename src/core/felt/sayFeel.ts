import { SIDES, type Side } from '../measures/protocol.ts';
import { hasSides } from '../poses/hasSides.ts';
import type { SetUp } from '../setup/setUp.ts';
import { findExpected } from './judgeFelt.ts';

const list = new Intl.ListFormat('en', { type: 'conjunction' });

const GENTLY = 'A stretch with an easy breath. If it is sharp, or tingles, come out.';

/**
 * What a person may feel in their own set-ups, in their own words: places, and no numbers.
 *
 * @param sides the set-ups; null = that side is not held
 * @returns a sentence a side, and how it should feel
 */
export function sayFeel(sides: Readonly<Record<Side, SetUp | null>>): readonly string[] {
  const lines = SIDES.toReversed().flatMap((side) => {
    const setUp = sides[side];
    const places = setUp === null ? [] : findExpected(setUp).map(({ place }) => `the ${place}`);
    if (setUp === null || places.length === 0) return [];
    const words = list.format(places);
    return [hasSides(setUp.pose) ? `Held ${side}: ${words}.` : `You may feel ${words}.`];
  });
  return [...new Set(lines), GENTLY];
}
