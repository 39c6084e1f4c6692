import jstat from 'jstat';
import { linearRegression, mean, sum, sumNthPowerDeviations } from 'simple-statistics';

/** A line through values over time, with how sure it is. */
export interface Trend {
  /** Change a day. */
  readonly slope: number;
  readonly intercept: number;
  /** Half the width of the 95 % band of the line at a day. */
  readonly calcHalfWidth: (day: number) => number;
  readonly points: number;
}

/** A line through fewer points says more about their errors than about the person. Our choice. */
export const LEAST_POINTS = 5;

/** Two-sided 95 %. */
const UPPER_TAIL = 0.975;

/**
 * Least-squares line through values by day, with the 95 % confidence band of the line:
 * t · s · √(1/n + (x − x̄)² / Σ(x − x̄)²).
 *
 * @param points [day, value]
 * @returns null with fewer than {@link LEAST_POINTS} points, or all of one day
 */
export function calcTrend(points: readonly (readonly [number, number])[]): Trend | null {
  const n = points.length;
  if (n < LEAST_POINTS) return null;
  const days = points.map(([day]) => day);
  const middle = mean(days);
  const spread = sumNthPowerDeviations(days, 2);
  if (spread === 0) return null;
  // Days are counted from their middle, so that large dates cost no digits.
  const centred = points.map(([day, value]) => [day - middle, value]);
  const { m: slope, b: height } = linearRegression(centred);
  const residual = sum(centred.map(([day, value]) => (value! - height - slope * day!) ** 2));
  const scatter = Math.sqrt(residual / (n - 2));
  const t = jstat.studentt.inv(UPPER_TAIL, n - 2);
  return {
    slope,
    intercept: height - slope * middle,
    points: n,
    calcHalfWidth: (day) => t * scatter * Math.sqrt(1 / n + (day - middle) ** 2 / spread),
  };
}
