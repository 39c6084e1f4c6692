import type { PersonRecord } from '../person/person.ts';
import { withHeldPoses } from './heldPoses.ts';
import type { Session } from './session.ts';
import { adaptToday } from './today.ts';

/**
 * The person that a session's set-ups were planned for: with the poses that were held before it, and
 * with what is sore on its day. Whatever is solved again in the session starts from this record.
 *
 * @param record the person with all readings
 * @param sessions all of this person
 * @param session the one that runs
 * @returns a copy of the record
 */
export function recordOfSession(
  record: PersonRecord,
  sessions: readonly Session[],
  { id, today }: Pick<Session, 'id' | 'today'>,
): PersonRecord {
  const before = sessions.filter((each) => each.id !== id);
  return adaptToday(withHeldPoses(record, before), today).record;
}
