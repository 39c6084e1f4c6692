import { dequal } from 'dequal/lite';
import type { PersonRecord, RevisedRecord } from '../core/person/person.ts';

const latest = new Map<string, RevisedRecord>();
let count = 0;

/**
 * Gives a loaded record its revision. A record that equals the one loaded before stays that
 * one, so that whatever was worked out of it holds on.
 *
 * @param query which query loaded it; each counts its own revisions
 */
export function reviseRecord(query: string, record: PersonRecord): RevisedRecord {
  const key = `${query} ${record.person.id}`;
  const before = latest.get(key);
  if (before !== undefined) {
    const { revision, ...known } = before;
    if (dequal(known, record)) return before;
  }
  count += 1;
  const revised = { ...record, revision: String(count) };
  latest.set(key, revised);
  return revised;
}
