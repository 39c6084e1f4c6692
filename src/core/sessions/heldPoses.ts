import type { HeldPose, PersonRecord } from '../person/person.ts';
import { readSession } from './readSession.ts';
import type { Session } from './session.ts';

/** Every pose that was really held in a logged session, with the level it was last held at. */
function findHeldPoses(sessions: readonly Session[]): readonly HeldPose[] {
  const latest = new Map<string, { readonly at: string; readonly level: string | null }>();
  for (const session of sessions) {
    for (const { plan, notes, at } of readSession(session).holds) {
      const isHeld = notes.outcome !== 'skipped' && notes.outcome !== 'swapped';
      if (at === null || !isHeld || at < (latest.get(plan.pose)?.at ?? '')) continue;
      latest.set(plan.pose, { at, level: notes.level ?? plan.level });
    }
  }
  return [...latest].map(([pose, { level }]) => ({ pose, level }));
}

/**
 * A record that knows what was held before.
 *
 * @param record the person with all readings
 * @param sessions of this person, in any order
 * @returns a copy with the poses
 */
export const withHeldPoses = (
  record: PersonRecord,
  sessions: readonly Session[],
): PersonRecord => ({ ...record, held: findHeldPoses(sessions) });
