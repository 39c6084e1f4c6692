import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';

/** One seed for everyone: the same person gives the same bands. */
const SEED = 1905;

/** Uniform numbers in [0, 1), the same every time. */
export function makeSeeded(): () => number {
  const generator = xoroshiro128plus(SEED);
  return () => uniformFloat64(generator);
}
