/**
 * A hybrid logical clock: a time that never runs behind anything this device has seen, so
 * that a change made after another one always counts as the later, even where one of the
 * two clocks is wrong. Source: Kulkarni, Demirbas, Madappa, Avva, Leone, “Logical physical
 * clocks”, OPODIS 2014.
 */

/**
 * When and where something was changed: milliseconds since 1970, a counter and the device,
 * written so that stamps sort as text. Empty = not known, before every other.
 */
export type Stamp = string;

export const UNKNOWN: Stamp = '';

const TIME_DIGITS = 13;
const COUNTER_DIGITS = 4;
const MOST_COUNTED = 16 ** COUNTER_DIGITS - 1;

const SHAPE = /^(\d{13})-([0-9a-f]{4})-(.+)$/;

const write = (ms: number, counter: number, device: string): Stamp =>
  `${String(ms).padStart(TIME_DIGITS, '0')}-${counter.toString(16).padStart(COUNTER_DIGITS, '0')}-${device}`;

const timeOf = (stamp: Stamp): number => Number(SHAPE.exec(stamp)?.[1] ?? 0);

/**
 * The stamp of a change made now.
 *
 * @param last the latest stamp that this device has made or seen
 * @param now milliseconds since 1970, of the device's own clock
 * @param device that makes it
 * @returns later than the last one, whatever the clock says
 */
export function tick(last: Stamp, now: number, device: string): Stamp {
  const [, time = '0', count = ''] = SHAPE.exec(last) ?? [];
  const seen = Number(time);
  if (now > seen) return write(now, 0, device);
  const next = count === '' ? 0 : Number.parseInt(count, 16) + 1;
  return next > MOST_COUNTED ? write(seen + 1, 0, device) : write(seen, next, device);
}

/**
 * The later of two stamps.
 *
 * @param a any stamp
 * @param b any stamp
 * @returns one of both
 */
export const findLater = (a: Stamp, b: Stamp): Stamp => (a > b ? a : b);

/**
 * The time of a stamp, ISO; 1970 where it is not known.
 *
 * @param stamp of a change
 * @returns to the millisecond
 */
export const dateOf = (stamp: Stamp): string => new Date(timeOf(stamp)).toISOString();
