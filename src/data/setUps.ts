import type { KeptSetUp } from '../core/whatIf/keptSetUp.ts';
import { db } from './database.ts';

/** Every set-up kept for a person, latest first. */
export async function listSetUps(personId: string): Promise<KeptSetUp[]> {
  const rows = await db.setUps.where('personId').equals(personId).toArray();
  return rows
    .map(({ personId: _owner, ...kept }) => kept)
    .sort((a, b) => b.keptAt.localeCompare(a.keptAt));
}

export async function keepForPerson(personId: string, kept: KeptSetUp): Promise<void> {
  await db.setUps.put({ ...kept, personId });
}

/** @returns what was removed, so that it can be put back */
export async function removeSetUp(personId: string, id: string): Promise<KeptSetUp | null> {
  return db.transaction('rw', db.setUps, async () => {
    const row = await db.setUps.get([personId, id]);
    if (row === undefined) return null;
    await db.setUps.delete([personId, id]);
    const { personId: _owner, ...kept } = row;
    return kept;
  });
}
