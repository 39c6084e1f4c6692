import type { Side } from '../measures/protocol.ts';
import type { HeldPose, PersonRecord } from '../person/person.ts';
import { findDecision } from './findDecision.ts';
import { findLevelHeld, readSession } from './readSession.ts';
import type { Session } from './session.ts';

/** A pose and side as it was last held. */
interface LastHeld {
  readonly pose: string;
  readonly side: Side;
  readonly at: string;
  readonly level: string | null;
}

/** The level that was decided on since it was held; without such a decision, the one that was held. */
function findLevelNow(
  sessions: readonly Session[],
  { pose, side, at, level }: LastHeld,
): string | null {
  const decision = findDecision(sessions, pose, side);
  const isLater = decision !== null && decision.at >= at;
  return isLater && decision.level !== undefined ? decision.level : level;
}

/** Every pose and side that was really held in a logged session, with the level that the record leads to. */
function findHeldPoses(sessions: readonly Session[]): readonly HeldPose[] {
  const latest = new Map<string, LastHeld>();
  for (const session of sessions) {
    for (const { plan, notes, at } of readSession(session).holds) {
      const { pose, side } = plan;
      const key = `${pose} ${side}`;
      const isHeld = notes.outcome !== 'skipped' && notes.outcome !== 'swapped';
      if (at === null || !isHeld || at < (latest.get(key)?.at ?? '')) continue;
      latest.set(key, { pose, side, at, level: findLevelHeld({ plan, notes }) });
    }
  }
  // The latest first: a side that was never held follows the other one.
  return [...latest.values()]
    .sort((a, b) => b.at.localeCompare(a.at))
    .map((each) => ({ pose: each.pose, side: each.side, level: findLevelNow(sessions, each) }));
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
