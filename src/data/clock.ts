import { findLater, tick, type Stamp } from '../core/merge/clock.ts';
import { db } from './database.ts';
import { CLOCK } from './stamping.ts';

/**
 * What is changed after a merge counts as later than all that came in with it.
 *
 * @returns the stamp of this moment
 */
export async function moveClockPast(stamps: readonly Stamp[]): Promise<Stamp> {
  const clock = await db.clock.get(CLOCK);
  const device = clock?.device ?? crypto.randomUUID().slice(0, 8);
  const seen = stamps.reduce(findLater, clock?.last ?? '');
  const last = tick(seen, Date.now(), device);
  await db.clock.put({ id: CLOCK, device, last });
  return last;
}
