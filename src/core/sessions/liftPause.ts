import { SIDES } from '../measures/protocol.ts';
import { hasSides } from '../poses/hasSides.ts';
import { judge } from './ladder.ts';
import { readSession } from './readSession.ts';
import type { NewEntry, Session } from './session.ts';
import { findSessionTime, toHolds } from './toHolds.ts';

/** What is added to which session. */
interface Addition {
  readonly session: string;
  readonly entries: readonly NewEntry[];
}

/**
 * What has to be noted so that a paused pose may be held again: every sign that stands on
 * it is cleared, and a pause for pain is overruled on every side, with who said so.
 *
 * @param sessions of this person, in any order
 * @param pose that was paused
 * @param by who cleared it
 * @param note why it is lifted
 * @returns entries to be added
 */
export function liftPause(
  sessions: readonly Session[],
  pose: string,
  by: string,
  note: string,
): readonly Addition[] {
  const signs = sessions.flatMap((session): Addition[] => {
    const entries = readSession(session)
      .holds.filter(
        ({ plan, notes, cleared }) => plan.pose === pose && notes.sign !== null && cleared === null,
      )
      .map(({ plan }): NewEntry => ({ kind: 'clear', hold: plan.id, by, note }));
    return entries.length === 0 ? [] : [{ session: session.id, entries }];
  });
  const latest = sessions
    .filter((each) =>
      readSession(each).holds.some(({ plan, at }) => plan.pose === pose && at !== null),
    )
    .reduce<Session | null>(
      (last, each) =>
        last === null || findSessionTime(each) > findSessionTime(last) ? each : last,
      null,
    );
  if (latest === null) return signs;
  const log = toHolds(sessions);
  const reason = note === '' ? `cleared by ${by}` : `cleared by ${by}: ${note}`;
  const sides = hasSides(pose) ? SIDES : (['right'] as const);
  const decisions = sides.map((side): NewEntry => {
    const verdict = judge(log, { pose, side, isStale: false });
    const kept = { changes: [], choice: 'overruled', kind: 'keep', held: null, reason } as const;
    return { kind: 'decide', decision: { pose, side, verdict, ...kept } };
  });
  return [...signs, { session: latest.id, entries: decisions }];
}
