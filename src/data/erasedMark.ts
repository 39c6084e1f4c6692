import { dateOf } from '../core/merge/clock.ts';
import { db } from './database.ts';

/** The path of what is left of someone erased: that they were, and when. */
export const ERASED = 'erased';

/** When someone was erased in this browser, ISO; null = they were not. */
export async function findErasedAt(id: string): Promise<string | null> {
  const mark = await db.stamps.get([id, ERASED]);
  return mark === undefined ? null : dateOf(mark.stamp);
}
