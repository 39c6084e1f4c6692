import type { PlannedPair } from '../core/sessions/toPlannedHold.ts';
import { findNextTime, mergeSessions, readSession } from '../core/sessions/readSession.ts';
import type { NewEntry, Position, Session, SessionEntry } from '../core/sessions/session.ts';
import type { Today } from '../core/sessions/today.ts';
import type { SetUp } from '../core/setup/setUp.ts';
import { db } from './database.ts';
import type { SessionRow } from './rows.ts';

const now = (): string => new Date().toISOString();

const toSession = ({ personId: _owner, ...session }: SessionRow): Session => session;

/** Every session of a person, the latest planned first. */
export async function listSessions(personId: string): Promise<Session[]> {
  const rows = await db.sessions.where('personId').equals(personId).toArray();
  return rows.map(toSession).sort((a, b) => b.plannedAt.localeCompare(a.plannedAt));
}

async function loadSession(personId: string, id: string): Promise<Session | null> {
  const row = await db.sessions.get([personId, id]);
  return row === undefined ? null : toSession(row);
}

/** The whole set-ups behind a session's holds, by hold. */
export async function loadFrozen(
  personId: string,
  sessionId: string,
): Promise<ReadonlyMap<string, SetUp>> {
  const rows = await db.frozenSetUps.where({ personId, sessionId }).toArray();
  return new Map(rows.map(({ hold, setUp }) => [hold, setUp]));
}

const frozenRows = (personId: string, sessionId: string, holds: readonly PlannedPair[]) =>
  holds.map(({ plan, setUp }) => ({ personId, sessionId, hold: plan.id, setUp }));

/** Of sessions that are ended the numbers stay; their postures make room for the next. */
async function forgetFrozen(personId: string): Promise<void> {
  const rows = await db.sessions.where('personId').equals(personId).toArray();
  for (const { id } of rows.filter((each) => readSession(each).ended !== null)) {
    await db.frozenSetUps.where({ personId, sessionId: id }).delete();
  }
}

/**
 * Stores a session that was just planned, with its set-ups.
 *
 * @param heldAt when it was held, to be written down afterwards; null = now
 * @param leads the flow that leads through the holds, or the class that it is part of
 */
export async function startSession(
  personId: string,
  holds: readonly PlannedPair[],
  today: Today | null,
  heldAt: string | null,
  leads: Pick<Session, 'flow' | 'class'> = {},
): Promise<string> {
  const id = crypto.randomUUID();
  const at = heldAt ?? now();
  const session: Session = {
    id,
    plannedAt: at,
    timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
    today,
    holds: holds.map(({ plan }) => plan),
    entries: [{ id: crypto.randomUUID(), at, kind: 'begin' }],
    position: null,
    heldAt,
    ...leads,
  };
  await db.transaction('rw', db.sessions, db.frozenSetUps, async () => {
    await forgetFrozen(personId);
    await db.sessions.add({ ...session, personId });
    await db.frozenSetUps.bulkPut(frozenRows(personId, id, holds));
  });
  return id;
}

/** Changes what is stored of a session, whatever another tab has stored meanwhile. */
async function changeSession(
  personId: string,
  id: string,
  change: (session: Session) => Partial<Session>,
): Promise<boolean> {
  return db.transaction('rw', db.sessions, async () => {
    const row = await db.sessions.get([personId, id]);
    if (row === undefined) return false;
    await db.sessions.put({ ...row, ...change(row) });
    return true;
  });
}

/**
 * Adds to a session's log. Resolved only when it is safely written: what the screen
 * confirms after this survives a crash.
 *
 * @returns false when the session is gone
 */
export const addEntries = (
  personId: string,
  id: string,
  entries: readonly NewEntry[],
  position?: Position,
): Promise<boolean> =>
  changeSession(personId, id, (session) => ({
    entries: entries.reduce<readonly SessionEntry[]>((all, entry) => {
      const time = findNextTime({ ...session, entries: all }, session.heldAt ?? now());
      return [...all, { ...entry, id: crypto.randomUUID(), at: time }];
    }, session.entries),
    ...(position === undefined ? {} : { position }),
  }));

export const moveTo = (personId: string, id: string, position: Position): Promise<boolean> =>
  changeSession(personId, id, () => ({ position }));

/** Puts set-ups that were solved again in place of those of the same holds. */
export async function replaceHolds(
  personId: string,
  id: string,
  holds: readonly PlannedPair[],
): Promise<void> {
  await db.transaction('rw', db.sessions, db.frozenSetUps, async () => {
    await changeSession(personId, id, (session) => ({
      holds: session.holds.map((old) => holds.find(({ plan }) => plan.id === old.id)?.plan ?? old),
    }));
    await db.frozenSetUps.bulkPut(frozenRows(personId, id, holds));
  });
}

/** @returns what was removed, so that it can be put back */
export async function removeSession(personId: string, id: string): Promise<Session | null> {
  return db.transaction('rw', db.sessions, async () => {
    const found = await loadSession(personId, id);
    await db.sessions.delete([personId, id]);
    return found;
  });
}

/** Takes sessions in. One that is here already gets the entries that it lacks. */
export async function mergeIn(personId: string, sessions: readonly Session[]): Promise<void> {
  await db.transaction('rw', db.sessions, async () => {
    for (const session of sessions) {
      const known = await loadSession(personId, session.id);
      const merged = known === null ? session : mergeSessions(known, session);
      await db.sessions.put({ ...merged, personId });
    }
  });
}

/** Puts a hold behind another one; one of the same id stays as it is. */
export async function insertHold(
  personId: string,
  id: string,
  after: string,
  pair: PlannedPair,
): Promise<void> {
  await db.transaction('rw', db.sessions, db.frozenSetUps, async () => {
    await changeSession(personId, id, ({ holds }) => {
      if (holds.some((each) => each.id === pair.plan.id)) return {};
      const at = holds.findIndex((each) => each.id === after) + 1;
      return { holds: [...holds.slice(0, at), pair.plan, ...holds.slice(at)] };
    });
    await db.frozenSetUps.bulkPut(frozenRows(personId, id, [pair]));
  });
}
