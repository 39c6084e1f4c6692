import type { Hold } from './log.ts';
import { findLevelHeld, readSession, type LoggedHold, type SessionState } from './readSession.ts';
import type { Session } from './session.ts';

/**
 * When a session was, for putting it among others.
 *
 * @param session with its entries
 * @returns ISO date
 */
export const findSessionTime = (session: Session): string =>
  readSession(session).begunAt ?? session.plannedAt;

/** One logged hold as the ladder reads it; null when nothing was noted. */
function toHold(session: Session, hold: LoggedHold, painNextMorning: boolean): Hold | null {
  const { plan, notes, at, cleared } = hold;
  if (at === null) return null;
  const { pain, sign } = notes;
  const asPlanned = notes.used === null;
  return {
    id: plan.id,
    sessionId: session.id,
    at,
    pose: plan.pose,
    side: plan.side,
    level: findLevelHeld(hold),
    outcome: notes.outcome ?? 'done',
    errors: notes.errors,
    breath: notes.breath,
    pain: pain === null ? null : { ...pain, nextMorning: pain.score > 0 && painNextMorning },
    sign: sign === null ? null : { id: sign, clearedBy: cleared?.by ?? null },
    toSpareDeg: asPlanned ? plan.toSpareDeg : notes.toSpareDeg,
    isAtBound: asPlanned ? plan.isAtBound : notes.isAtBound === true,
    hasInjuryNote: session.today?.isInjured === true,
  };
}

/**
 * Everything that was logged of one person, as the ladder reads it. Whether pain was still
 * there next morning is what was said before the session that came after.
 *
 * @param sessions of this person, in any order
 * @returns the oldest first
 */
export function toHolds(sessions: readonly Session[]): readonly Hold[] {
  const sorted = sessions
    .map((session) => ({ session, state: readSession(session), at: findSessionTime(session) }))
    .filter(({ state }) => state.holds.some((each) => each.at !== null))
    .sort((a, b) => a.at.localeCompare(b.at));
  const toldAfter = (i: number): boolean =>
    sessionAfter(sessions, sorted[i]!)?.today?.painNextMorning === true;
  return sorted.flatMap(({ session, state }, i) =>
    state.holds.flatMap((hold) => toHold(session, hold, toldAfter(i)) ?? []),
  );
}

/** The session that was planned or begun next, whether or not anything was noted in it. */
function sessionAfter(
  sessions: readonly Session[],
  { session, at }: { readonly session: Session; readonly at: string },
): Session | null {
  return sessions
    .filter((each) => each.id !== session.id && findSessionTime(each) > at)
    .reduce<Session | null>(
      (next, each) =>
        next === null || findSessionTime(each) < findSessionTime(next) ? each : next,
      null,
    );
}

/**
 * The latest hold of a pose and side that was really held, with its session.
 *
 * @param sessions of this person, in any order
 * @param pose which
 * @param side which
 * @returns null when it was never held
 */
export function findLastHeld(
  sessions: readonly Session[],
  pose: string,
  side: string,
): { readonly session: Session; readonly state: SessionState; readonly hold: LoggedHold } | null {
  let last: ReturnType<typeof findLastHeld> = null;
  for (const session of sessions) {
    const state = readSession(session);
    for (const hold of state.holds) {
      const { plan, at, notes } = hold;
      if (plan.pose !== pose || plan.side !== side || at === null) continue;
      if (notes.outcome === 'skipped' || notes.outcome === 'swapped') continue;
      if (last === null || at > (last.hold.at ?? '')) last = { session, state, hold };
    }
  }
  return last;
}
