import { describe, expect, it } from 'vitest';
import {
  findReferenceBand,
  questionAgainstBand,
} from '../../../src/core/measures/referenceBands.ts';

describe('published ranges as reference', () => {
  // Soucie et al. 2011, means by sex and age; from memory.
  it.each([
    ['hip-flexion', 'female', 30, 133.8],
    ['hip-flexion', 'male', 50, 127.2],
    ['hip-extension', 'female', 69, 16.7],
    ['hip-extension', 'male', 20, 17.4],
    ['knee-flexion', 'male', 44, 137.7],
    ['knee-flexion', 'female', 45, 137.8],
  ] as const)('%s of a %s of %d has its mean %d in the middle', (measure, sex, age, mean) => {
    const band = findReferenceBand(measure, sex, age)!;
    expect(band.mean).toBe(mean);
    // 8 to 10° of spread among people, three to either side.
    expect(band.high - mean).toBeGreaterThanOrEqual(24);
    expect(band.high - mean).toBeLessThanOrEqual(30);
    expect(mean - band.low).toBeCloseTo(band.high - mean, 9);
    expect(band.source).toContain('from memory');
  });

  // Greene & Heckman for the AAOS, 1994; from memory.
  it.each([
    ['hip-abduction', 45],
    ['hip-adduction', 30],
    ['hip-internal-rotation', 45],
    ['hip-external-rotation', 45],
    ['trunk-side-bend', 35],
    ['hip-flexion', 120],
  ] as const)('%s falls back on %d for everyone', (measure, mean) => {
    expect(findReferenceBand(measure, null, null)).toMatchObject({ mean, who: 'adults' });
    expect(findReferenceBand(measure, 'female', 16)?.mean).toBe(mean);
  });

  // Springer et al. 2007; from memory.
  it('knows seconds on one leg by age', () => {
    expect(findReferenceBand('single-leg-balance', null, 72)?.mean).toBe(21.5);
    expect(findReferenceBand('single-leg-balance', 'male', 39)?.mean).toBe(44.7);
    expect(findReferenceBand('single-leg-balance', null, null)).toBeNull();
  });

  it('asks about what lies outside, and only that', () => {
    const band = findReferenceBand('hip-flexion', 'female', 30);
    expect(questionAgainstBand(95, 'hip-flexion', band)?.message).toBe(
      'Hip flexion: 95° is outside the range of women of 20 to 44, 107 to 161°.',
    );
    expect(questionAgainstBand(110, 'hip-flexion', band)).toBeNull();
    expect(questionAgainstBand(10, 'hip-opening', null)).toBeNull();
  });

  it('says nothing where nothing is published', () => {
    expect(findReferenceBand('hip-opening', 'female', 30)).toBeNull();
    expect(findReferenceBand('stature', 'female', 30)).toBeNull();
  });
});
