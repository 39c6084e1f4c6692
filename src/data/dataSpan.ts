import { dateOf, findLater, UNKNOWN, type Stamp } from '../core/merge/clock.ts';
import { db } from './database.ts';
import { CLOCK } from './stamping.ts';

/** From the oldest to the newest change of anybody who is not made up; null = there is none. */
export async function findDataSpan(): Promise<{
  readonly oldest: string;
  readonly newest: string;
} | null> {
  const people = await db.people.toArray();
  const own = people.filter(({ person }) => person.isMadeUp !== true);
  if (own.length === 0) return null;
  const last = (await db.clock.get(CLOCK))?.last ?? UNKNOWN;
  let oldest: Stamp = last;
  for (const { id } of own) {
    const stamps = await db.stamps.where('personId').equals(id).toArray();
    for (const { stamp } of stamps) if (stamp !== UNKNOWN && stamp < oldest) oldest = stamp;
  }
  return { oldest: dateOf(oldest), newest: dateOf(findLater(last, oldest)) };
}
