/** One day of practice at home, as the person reported it. */
export interface HomeDay {
  /** The same line of the same sheet again has the same id. */
  readonly id: string;
  /** ISO date without a time. */
  readonly day: string;
  /** Ids of poses. */
  readonly poses: readonly string[];
  /** In their own words; empty = they wrote none. */
  readonly words: string;
  readonly by: 'file' | 'typed';
  /** When it came into the record, ISO date. */
  readonly takenInAt: string;
}

/**
 * Days with more days; a line that came in before is replaced by what it says now.
 *
 * @param days those that are known
 * @param more those that come in
 * @returns the oldest first
 */
export function addHomeDays(
  days: readonly HomeDay[],
  more: readonly HomeDay[],
): readonly HomeDay[] {
  const ids = new Set(more.map(({ id }) => id));
  return [...days.filter(({ id }) => !ids.has(id)), ...more].toSorted(
    (a, b) => a.day.localeCompare(b.day) || a.id.localeCompare(b.id),
  );
}

/** The day begins this much earlier where it begins first, hours. */
const EARLIEST_ZONE_HOURS = 14;

/**
 * Whether a day has not begun anywhere on Earth.
 *
 * @param day ISO date without a time
 * @param now ISO date; the core has no clock
 * @returns false for today, wherever the person lives
 */
export const isToCome = (day: string, now: string): boolean =>
  day > new Date(Date.parse(now) + EARLIEST_ZONE_HOURS * 3_600_000).toISOString().slice(0, 10);

/**
 * Takes back what came in, whatever has come in since.
 *
 * @param days as they are now
 * @param taken those that came in
 * @param before as they were before
 * @returns the oldest first
 */
export function takeBackHomeDays(
  days: readonly HomeDay[],
  taken: readonly HomeDay[],
  before: readonly HomeDay[],
): readonly HomeDay[] {
  const ids = new Set(taken.map(({ id }) => id));
  return addHomeDays(
    days.filter(({ id }) => !ids.has(id)),
    before.filter(({ id }) => ids.has(id)),
  );
}
