import { toStoredLevel } from '../poses/level.ts';
import type { LedStep } from './ledFlow.ts';
import {
  EMPTY_NOTES,
  type Decision,
  type EndReason,
  type HoldNotes,
  type PlannedHold,
  type Session,
  type SessionEntry,
} from './session.ts';

export interface Clearance {
  readonly by: string;
  readonly at: string;
  readonly note: string;
}

/** One hold with everything that was noted of it. */
export interface LoggedHold {
  readonly plan: PlannedHold;
  readonly notes: HoldNotes;
  /** When it was last noted; null = not yet. */
  readonly at: string | null;
  readonly cleared: Clearance | null;
}

/** A session as its entries add up. */
export interface SessionState {
  readonly begunAt: string | null;
  readonly ended: { readonly at: string; readonly why: EndReason; readonly note: string } | null;
  readonly holds: readonly LoggedHold[];
  /** The steps of its flow, as it was last shortened; none = it leads through no flow. */
  readonly steps: readonly LedStep[];
  /** The latest of each pose and side. */
  readonly decisions: readonly (Decision & { readonly at: string })[];
  /** What “undo” would take back; null = nothing. */
  readonly lastNote: SessionEntry | null;
}

/**
 * The level that was really held: as it was noted, else as it was planned.
 *
 * @returns null = the usual one
 */
export const findLevelHeld = ({
  plan,
  notes,
}: Pick<LoggedHold, 'plan' | 'notes'>): string | null =>
  notes.level === null ? plan.level : toStoredLevel(notes.level);

const byTime = (a: SessionEntry, b: SessionEntry): number =>
  a.at.localeCompare(b.at) || a.id.localeCompare(b.id);

function applyNote(hold: LoggedHold, entry: SessionEntry): LoggedHold {
  switch (entry.kind) {
    case 'note':
      return { ...hold, at: entry.at, notes: { ...hold.notes, ...entry.change } };
    case 'error': {
      const others = hold.notes.errors.filter((each) => each !== entry.error);
      const errors = entry.isSeen ? [...others, entry.error] : others;
      return { ...hold, at: entry.at, notes: { ...hold.notes, errors } };
    }
    case 'felt': {
      const { place, how } = entry;
      const others = hold.notes.felt.filter((each) => each.place !== place);
      const felt = how === null ? others : [...others, { place, how }];
      return { ...hold, at: entry.at, notes: { ...hold.notes, felt } };
    }
    case 'clear':
      return { ...hold, cleared: { by: entry.by, at: entry.at, note: entry.note } };
    default:
      return hold;
  }
}

const CAN_BE_UNDONE: readonly SessionEntry['kind'][] = ['note', 'error', 'felt', 'shorten'];

/**
 * What a session's entries come to. Their order in the list does not matter: each carries
 * its time. Entries of holds that the plan does not know change nothing.
 *
 * @param session with its entries
 * @returns holds, decisions and where it stands
 */
export function readSession(session: Session): SessionState {
  const sorted = [...session.entries].sort(byTime);
  const undone = new Set(sorted.flatMap((each) => (each.kind === 'undo' ? [each.entry] : [])));
  const standing = sorted.filter((each) => !undone.has(each.id));
  const holds = session.holds.map((plan): LoggedHold => {
    const blank: LoggedHold = { plan, notes: EMPTY_NOTES, at: null, cleared: null };
    return standing
      .filter((each) => 'hold' in each && each.hold === plan.id)
      .reduce(applyNote, blank);
  });
  const decisions = new Map<string, SessionState['decisions'][number]>();
  for (const each of standing) {
    if (each.kind !== 'decide') continue;
    decisions.set(`${each.decision.pose} ${each.decision.side}`, { ...each.decision, at: each.at });
  }
  const end = standing.findLast((each) => each.kind === 'end');
  return {
    begunAt: standing.find((each) => each.kind === 'begin')?.at ?? null,
    ended: end === undefined ? null : { at: end.at, why: end.why, note: end.note },
    holds,
    steps: standing.findLast((each) => each.kind === 'shorten')?.steps ?? session.flow?.steps ?? [],
    decisions: [...decisions.values()],
    lastNote: standing.findLast(({ kind }) => CAN_BE_UNDONE.includes(kind)) ?? null,
  };
}

/**
 * The time of the next entry: now, but never before the last one, so that a clock that was
 * set back does not turn the order round.
 *
 * @param session with its entries
 * @param now ISO date in UTC
 * @returns ISO date
 */
export function findNextTime(session: Session, now: string): string {
  const last = session.entries.reduce((latest, { at }) => (at > latest ? at : latest), '');
  return now > last ? now : new Date(Date.parse(last) + 1).toISOString();
}

/**
 * Two copies of one session made one: every entry of both, the plan of the first.
 *
 * @param session with its entries
 * @param other the same session elsewhere
 * @returns the same whichever comes first
 */
export function mergeSessions(session: Session, other: Session): Session {
  const known = new Set(session.entries.map((each) => each.id));
  const added = other.entries.filter((each) => !known.has(each.id));
  return { ...session, entries: [...session.entries, ...added].sort(byTime) };
}
