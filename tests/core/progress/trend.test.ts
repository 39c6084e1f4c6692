import { describe, expect, it } from 'vitest';
import { calcTrend } from '../../../src/core/progress/trend.ts';

/**
 * Student's t, two-sided 95 %, by degrees of freedom: NIST/SEMATECH e-Handbook of Statistical
 * Methods, 1.3.6.7.2.
 */
const T_975: readonly (readonly [number, number])[] = [
  [3, 3.182],
  [4, 2.776],
  [5, 2.571],
  [8, 2.306],
  [10, 2.228],
  [20, 2.086],
  [30, 2.042],
  [60, 2],
  [100, 1.984],
];

describe('a line through values over time', () => {
  it('and its band are those of an example by hand', () => {
    // x = 0 … 4, y = 1, 3, 2, 5, 4: x̄ = 2, ȳ = 3, Σ(x − x̄)(y − ȳ) = 8, Σ(x − x̄)² = 10, slope 0.8,
    // intercept 1.4; residuals −0.4, 0.8, −1, 1.2, −0.6, squares 3.6; s = √(3.6 / 3) = 1.0954.
    const trend = calcTrend([
      [0, 1],
      [1, 3],
      [2, 2],
      [3, 5],
      [4, 4],
    ])!;
    expect(trend.slope).toBeCloseTo(0.8, 12);
    expect(trend.intercept).toBeCloseTo(1.4, 12);
    // In the middle: 3.182 · 1.0954 · √(1/5); at the ends: √(1/5 + 4/10).
    expect(trend.calcHalfWidth(2)).toBeCloseTo(3.182 * 1.0954 * Math.sqrt(0.2), 3);
    expect(trend.calcHalfWidth(4)).toBeCloseTo(3.182 * 1.0954 * Math.sqrt(0.6), 3);
  });

  it('is not drawn through fewer than five points, nor through one day', () => {
    const points = [0, 1, 2, 3].map((x) => [x, x] as const);
    expect(calcTrend(points)).toBeNull();
    expect(calcTrend([0, 1, 2, 3, 4].map((y) => [3, y] as const))).toBeNull();
  });

  it.each(T_975)('has the band of the published t at %i degrees of freedom', (df, t) => {
    // Values that lie 1 above and below a level line in turns: no slope but what the ends leave.
    const points = Array.from({ length: df + 2 }, (_, i) => [i, i % 2 === 0 ? 1 : -1] as const);
    const { slope, intercept, calcHalfWidth } = calcTrend(points)!;
    const squares = points.reduce((sum, [x, y]) => sum + (y - intercept - slope * x) ** 2, 0);
    const atMiddle = Math.sqrt(squares / df / points.length);
    expect(calcHalfWidth((df + 1) / 2) / atMiddle).toBeCloseTo(t, 3);
  });

  it('loses no digits to large dates', () => {
    const points = [1, 3, 2, 5, 4].map((y, x) => [x + 20_000_000, y] as const);
    expect(calcTrend(points)!.slope).toBeCloseTo(0.8, 9);
  });
});
