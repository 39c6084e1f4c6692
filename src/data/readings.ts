import type { Reading } from '../core/measures/reading.ts';
import { db } from './database.ts';

/** Stores a reading, new or corrected; resolved only when it is safely written. */
export async function saveReading(personId: string, reading: Reading): Promise<void> {
  await db.readings.put({ ...reading, personId });
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
