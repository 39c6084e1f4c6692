/** A line through values over time, with how sure it is. */
export interface Trend {
  /** Change a day. */
  readonly slope: number;
  readonly intercept: number;
  /** Half the width of the 95 % band of the line at a day. */
  readonly calcHalfWidth: (day: number) => number;
  readonly points: number;
}

/** A line through fewer points tells more of their errors than of the person. Our choice. */
export const LEAST_POINTS = 5;

/**
 * Student's t, two-sided 95 %, by degrees of freedom from 1. Published in every table of
 * the t distribution, for one the NIST/SEMATECH e-Handbook of Statistical Methods, 1.3.6.7.2.
 */
const T_975: readonly number[] = [
  12.706, 4.303, 3.182, 2.776, 2.571, 2.447, 2.365, 2.306, 2.262, 2.228, 2.201, 2.179, 2.16, 2.145,
  2.131, 2.12, 2.11, 2.101, 2.093, 2.086, 2.08, 2.074, 2.069, 2.064, 2.06, 2.056, 2.052, 2.048,
  2.045, 2.042,
];

/**
 * Beyond the table, its first correction to the normal distribution: 1.96 + 2.37 / df.
 *
 * @param degreesOfFreedom at least 1
 * @returns Student's t at 97.5 %
 */
export const getT975 = (degreesOfFreedom: number): number =>
  T_975[degreesOfFreedom - 1] ?? 1.96 + 2.37 / degreesOfFreedom;

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
  const meanX = points.reduce((sum, [x]) => sum + x, 0) / n;
  const meanY = points.reduce((sum, [, y]) => sum + y, 0) / n;
  const spread = points.reduce((sum, [x]) => sum + (x - meanX) ** 2, 0);
  if (spread === 0) return null;
  const slope = points.reduce((sum, [x, y]) => sum + (x - meanX) * (y - meanY), 0) / spread;
  const intercept = meanY - slope * meanX;
  const residual = points.reduce((sum, [x, y]) => sum + (y - intercept - slope * x) ** 2, 0);
  const scatter = Math.sqrt(residual / (n - 2));
  const t = getT975(n - 2);
  return {
    slope,
    intercept,
    points: n,
    calcHalfWidth: (day) => t * scatter * Math.sqrt(1 / n + (day - meanX) ** 2 / spread),
  };
}
