import { quantile, sampleStandardDeviation } from 'simple-statistics';
import { describe, expect, it } from 'vitest';
import { compareValues } from '../../../src/core/measures/compareValues.ts';
import { adviseLegLengths } from '../../../src/core/measures/legLengths.ts';
import type { MeasureValue } from '../../../src/core/measures/measureValue.ts';
import {
  calcSmallestRealChange,
  calcStandardError,
} from '../../../src/core/measures/readingErrors.ts';
import { makeRandom } from '../../support/random.ts';

const value = (number: number, changes: Partial<MeasureValue> = {}): MeasureValue => ({
  measure: 'straight-leg-raise',
  side: 'left',
  value: number,
  error: 3.2,
  within: { within: 2.5, repeats: 0 },
  readingIds: ['a'],
  spread: 0,
  takenAt: '2026-11-02T09:10:00Z',
  state: 'cold',
  posture: null,
  takenBy: null,
  ...changes,
});

describe('one value against another', () => {
  it('is real beyond 1.96 · √(error₁² + error₂²), by hand 8.87° for one reading each', () => {
    expect(compareValues(value(84), value(75)).verdict).toBe('real');
    expect(compareValues(value(83.8), value(75)).verdict).toBe('noise');
    expect(compareValues(value(75), value(84))).toMatchObject({ difference: -9, verdict: 'real' });
    expect(calcSmallestRealChange(3.2, 3.2)).toBeCloseTo(8.87, 2);
  });

  it('is no comparison between cold and warm, or between two postures', () => {
    expect(compareValues(value(90, { state: 'warm' }), value(60)).verdict).toBe('other-state');
    const seated = value(90, { posture: 'seated' });
    expect(compareValues(seated, value(60)).verdict).toBe('other-posture');
  });

  /** simple-statistics, a general-purpose library, on made-up days without change. */
  it.each([
    ['range', 2, 2.5, 1],
    ['range', 2, 2.5, 2],
    ['ankle', 1.5, 1.5, 2],
    ['length', 0.3, 0.3, 1],
    ['floor', 1.5, 1, 2],
    ['balance', 5, 5, 1],
  ] as const)(
    '%s: nine and a half in ten repeats of nothing lie inside it',
    (kind, between, within, n) => {
      const random = makeRandom(77 + n);
      const normal = (): number =>
        Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
      const day = (): number => {
        const own = between * normal();
        const readings = Array.from({ length: n }, () => own + within * normal());
        return readings.reduce((sum, each) => sum + each, 0) / n;
      };
      const apart = Array.from({ length: 30_000 }, () => Math.abs(day() - day()));
      const error = calcStandardError(kind, n);
      expect(quantile(apart, 0.95) / calcSmallestRealChange(error, error)).toBeGreaterThan(0.97);
      expect(quantile(apart, 0.95) / calcSmallestRealChange(error, error)).toBeLessThan(1.03);
      const days = Array.from({ length: 30_000 }, day);
      expect(error / sampleStandardDeviation(days)).toBeCloseTo(1, 1);
    },
  );
});

describe('two leg lengths', () => {
  const leg = (cm: number): MeasureValue =>
    value(cm, { measure: 'leg-length', error: 0.36, state: null });

  it.each([
    [86, 86.4, 'unclear'],
    [86, 86.9, 'unclear'],
    [86, 87.2, 'to-note'],
    [88, 86, 'to-note'],
    [86, 88.3, 'to-be-seen'],
  ] as const)('%f and %f cm: %s', (left, right, advice) => {
    expect(adviseLegLengths(leg(left), leg(right))).toBe(advice);
    expect(adviseLegLengths(leg(right), leg(left))).toBe(advice);
  });

  it('are ordinary when they really differ, but by less than a centimetre', () => {
    const sure = (cm: number): MeasureValue => ({ ...leg(cm), error: 0.2 });
    expect(adviseLegLengths(sure(86), sure(86.8))).toBe('ordinary');
  });
});
