import { withoutMember } from '../core/classes/yogaClass.ts';
import { db } from './database.ts';
import { ERASED } from './erasedMark.ts';
import { moveClockPast } from './clock.ts';
import { toPaceKey } from './settings.ts';

/** How long a removed person can be brought back. */
export const REMOVED_DAYS = 30;

const MS_PER_DAY = 86_400_000;

const PERSONAL = [
  db.readings,
  db.setUps,
  db.sessions,
  db.frozenSetUps,
  db.appointments,
  db.flows,
  db.pictures,
  db.undo,
];

/**
 * Erases everything of a person: readings, sessions, set-ups, pictures, what was kept for
 * undoing, their history, and their name in every class. Only a bare mark of the id stays, so that a later file can ask
 * before it brings them back.
 */
export async function erasePerson(id: string): Promise<void> {
  await db.transaction('rw', db.tables, async () => {
    await db.people.delete(id);
    for (const table of PERSONAL) await table.filter(({ personId }) => personId === id).delete();
    await db.settings.delete(toPaceKey(id));
    await db.classes.toCollection().modify((row) => Object.assign(row, withoutMember(row, id)));
    // The times of their changes name fields and records: these go too.
    await db.stamps.where('personId').equals(id).delete();
    const stamp = await moveClockPast([]);
    await db.stamps.put({ personId: id, path: ERASED, stamp, isRemoved: true });
  });
}

/**
 * Erases everyone who was removed more than 30 days ago.
 *
 * @param now milliseconds since 1970
 */
export async function eraseOverdue(now: number): Promise<void> {
  const oldest = new Date(now - REMOVED_DAYS * MS_PER_DAY).toISOString();
  const overdue = await db.people
    .filter(({ deletedAt }) => deletedAt !== null && deletedAt < oldest)
    .primaryKeys();
  for (const id of overdue) await erasePerson(id);
}

/** Someone whose data is older than what is kept. */
export interface PastRetention {
  readonly id: string;
  readonly name: string;
  /** ISO date of their latest reading, session or appointment, or of their last change. */
  readonly lastAt: string;
}

/**
 * Everyone for whom nothing was written for longer than the period chosen, the longest first.
 *
 * @param months the period; null = no period is set
 * @param now milliseconds since 1970
 */
export async function listPastRetention(
  months: number | null,
  now: number,
): Promise<PastRetention[]> {
  if (months === null) return [];
  const limit = new Date(now);
  limit.setUTCMonth(limit.getUTCMonth() - months);
  const found: PastRetention[] = [];
  for (const { id, person, updatedAt, deletedAt } of await db.people.toArray()) {
    if (deletedAt !== null) continue;
    const [readings, sessions, appointments] = await Promise.all([
      db.readings.where('personId').equals(id).toArray(),
      db.sessions.where('personId').equals(id).toArray(),
      db.appointments.where('personId').equals(id).toArray(),
    ]);
    const dates = [
      ...readings.map(({ takenAt }) => takenAt),
      ...sessions.map(({ plannedAt }) => plannedAt),
      ...appointments.map(({ start }) => start),
    ];
    // Someone with nothing dated counts from the last change.
    const lastAt = dates.length === 0 ? updatedAt : dates.reduce((a, b) => (a > b ? a : b));
    if (Date.parse(lastAt) < limit.getTime()) found.push({ id, name: person.name, lastAt });
  }
  return found.sort((a, b) => a.lastAt.localeCompare(b.lastAt));
}
