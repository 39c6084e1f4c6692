import type { Reading } from '../core/measures/reading.ts';
import { db } from './database.ts';

/** Stores a reading, new or corrected; resolved only when it is safely written. */
export async function saveReading(personId: string, reading: Reading): Promise<void> {
  await db.readings.put({ ...reading, personId });
}

/**
 * Stores a reading, puts it right or removes it, but only over a value that was seen.
 *
 * @param reading the one that is changed, by its id
 * @param to null = it is removed
 * @param seen the values that it may have now
 * @returns what was stored meanwhile from elsewhere, and stays; null = it is done
 */
export function changeReading(
  personId: string,
  { id }: Reading,
  to: Reading | null,
  seen: readonly number[],
): Promise<Reading | null> {
  return db.transaction('rw', db.readings, async () => {
    const row = await db.readings.get([personId, id]);
    if (row !== undefined && row.value !== to?.value && !seen.includes(row.value)) {
      const { personId: _owner, ...theirs } = row;
      return theirs;
    }
    if (to === null) await db.readings.delete([personId, id]);
    else await db.readings.put({ ...to, personId });
    return null;
  });
}

/** Stores several readings, all or none. */
export async function saveReadings(personId: string, readings: readonly Reading[]): Promise<void> {
  await db.readings.bulkPut(readings.map((each) => ({ ...each, personId })));
}

export async function removeReading(personId: string, readingId: string): Promise<void> {
  await db.readings.delete([personId, readingId]);
}

/** When this person was last measured; null = never. */
export async function findLatestReading(personId: string): Promise<string | null> {
  const rows = await db.readings.where('personId').equals(personId).toArray();
  return rows.reduce<string | null>(
    (latest, each) => (latest === null || each.takenAt > latest ? each.takenAt : latest),
    null,
  );
}
