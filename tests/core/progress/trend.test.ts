import * as simple from 'simple-statistics';
import { describe, expect, it } from 'vitest';
import { calcTrend, getT975 } from '../../../src/core/progress/trend.ts';
import { makeRandom } from '../../support/random.ts';

/** Probability density of Student's t, up to its constant. */
const density = (t: number, df: number): number => (1 + t ** 2 / df) ** (-(df + 1) / 2);

/** Area under a density by Simpson's rule. */
function integrate(of: (x: number) => number, from: number, to: number, steps = 20_000): number {
  const width = (to - from) / steps;
  let sum = of(from) + of(to);
  for (let i = 1; i < steps; i += 1) sum += of(from + i * width) * (i % 2 === 1 ? 4 : 2);
  return (sum * width) / 3;
}

describe('a line through values over time', () => {
  it('is the one of simple-statistics', () => {
    const random = makeRandom(77);
    for (let run = 0; run < 50; run += 1) {
      const points = Array.from(
        { length: 5 + Math.floor(random() * 8) },
        (_, i) => [i * 20 + random() * 10, 60 + random() * 20] as const,
      );
      const trend = calcTrend(points)!;
      const { m, b } = simple.linearRegression(points.map(([x, y]) => [x, y]));
      expect(trend.slope).toBeCloseTo(m, 9);
      expect(trend.intercept).toBeCloseTo(b, 9);
    }
  });

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

  it('takes its t from the distribution itself, within a thousandth of the area', () => {
    for (let df = 1; df <= 60; df += 1) {
      const t = getT975(df);
      // The tail of few degrees of freedom is long: x = tan(u) brings it in.
      const onCircle = (u: number): number => density(Math.tan(u), df) / Math.cos(u) ** 2;
      const edge = Math.PI / 2 - 1e-9;
      const share = integrate(onCircle, 0, Math.atan(t)) / integrate(onCircle, 0, edge);
      expect(Math.abs(share - 0.95), `df ${String(df)}`).toBeLessThan(0.001);
    }
  });
});
