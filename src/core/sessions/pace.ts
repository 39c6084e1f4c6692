/** A breath is no shorter and no longer than this, seconds. Our choice. */
const SHORTEST = 2;
const LONGEST = 20;
/** So many taps in a row make a pace: three breaths between them. Our choice. */
const TAPS = 4;

/**
 * A pace of breathing within its bounds.
 *
 * @param seconds a breath
 * @returns seconds a breath
 * @example
 * clampPace(60) // → 20
 */
export const clampPace = (seconds: number): number =>
  Math.min(LONGEST, Math.max(SHORTEST, Math.round(seconds * 2) / 2));

/**
 * Seconds a breath from taps along with it: the middle one of the last gaps, so that one
 * tap that was missed does not count.
 *
 * @param taps milliseconds, oldest first
 * @returns null with fewer than three taps
 */
export function calcPace(taps: readonly number[]): number | null {
  const recent = taps.slice(-TAPS);
  if (recent.length < 3) return null;
  const gaps = recent.slice(1).map((tap, i) => (tap - recent[i]!) / 1000);
  const sorted = gaps.toSorted((a, b) => a - b);
  return clampPace(sorted[Math.floor((sorted.length - 1) / 2)]!);
}
