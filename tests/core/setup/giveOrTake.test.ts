import { describe, expect, it } from 'vitest';
import {
  calcGiveOrTake,
  calcGiveOrTakeSteps,
  sayGiveOrTake,
  sayWideGiveOrTake,
} from '../../../src/core/setup/giveOrTake.ts';

/** Half of nine tenths lies within 1.645 standard deviations: table of the normal distribution, from memory. */
const Z = 1.645;

describe('what a number is worth', () => {
  it('is nine tenths of the repeats in whole centimetres, never less than one', () => {
    for (const plusMinus of [0.1, 0.3, 0.8, 1.73, 2.7, 4.3]) {
      const within = calcGiveOrTake({ plusMinus, unit: 'cm' })!;
      expect(within).toBe(Math.max(1, Math.round(Z * plusMinus)));
    }
    expect(calcGiveOrTake({ plusMinus: null, unit: 'cm' })).toBeNull();
  });

  it('covers nine of ten draws of a normal error', () => {
    // Sums of twelve uniform numbers are normal enough, by a fixed congruential sequence.
    let seed = 7;
    const random = (): number => {
      seed = (seed * 16_807) % 2_147_483_647;
      return seed / 2_147_483_647;
    };
    const draws = Array.from({ length: 20_000 }, () => {
      let sum = -6;
      for (let i = 0; i < 12; i += 1) sum += random();
      return 2 * sum;
    });
    const [step] = calcGiveOrTakeSteps({ plusMinus: 2, unit: 'cm' });
    const share = draws.filter((each) => Math.abs(each) <= step!.value).length / draws.length;
    expect(share).toBeGreaterThan(0.89);
    expect(share).toBeLessThan(0.91);
  });

  it('is said in the teacher’s unit, and left unsaid where a tape or an eye sees no better', () => {
    const stance = { plusMinus: 1.73, unit: 'cm' } as const;
    expect(sayGiveOrTake(stance, 'cm')).toBe('give or take 3 cm');
    expect(sayGiveOrTake(stance, 'in')).toBe('give or take 1 in');
    expect(sayWideGiveOrTake({ plusMinus: 0.3, unit: 'cm' }, 'cm')).toBeNull();
    expect(sayWideGiveOrTake({ plusMinus: 2, unit: 'deg' }, 'cm')).toBeNull();
    expect(sayWideGiveOrTake({ plusMinus: 4, unit: 'deg' }, 'cm')).toBe('give or take 7°');
  });
});
