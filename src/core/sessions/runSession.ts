import type { LoggedHold, SessionState } from './readSession.ts';
import { stopPose, type Response } from './respond.ts';
import type { NewEntry, Position, Session } from './session.ts';

const STAGES = ['set', 'breathe', 'log'] as const satisfies readonly Position['stage'][];

/** Where a running session stands. */
export interface RunningSession {
  readonly session: Session;
  readonly holds: readonly LoggedHold[];
  readonly position: Position;
  /** The index of the hold it stands at. */
  readonly index: number;
}

/** What one press does: what is noted, and where the session goes; null = it stays. */
export interface SessionMove {
  readonly entries: readonly NewEntry[];
  readonly to: Position | null;
}

/** The first stage of a hold; one that is written down afterwards is only logged. */
const openHold = ({ heldAt }: Session, hold: string): Position => ({
  hold,
  stage: heldAt === null ? 'set' : 'log',
  breath: 0,
});

/**
 * A session at its own position, or at its first hold when it has not been moved yet.
 *
 * @param session with its entries
 * @returns hold, stage and place
 */
export function findRunning(session: Session, { holds }: SessionState): RunningSession {
  const position = session.position ?? openHold(session, session.holds[0]?.id ?? '');
  const index = Math.max(
    0,
    holds.findIndex(({ plan }) => plan.id === position.hold),
  );
  return { session, holds, position, index };
}

/** A hold that was passed over because its pose was stopped is not come back to. */
const isToCome = ({ notes }: LoggedHold): boolean => notes.outcome !== 'skipped';

const finish = (entries: readonly NewEntry[]): SessionMove => ({
  entries: [...entries, { kind: 'end', why: 'finished', note: '' }],
  to: null,
});

const goTo = (to: Position): SessionMove => ({ entries: [], to });

/**
 * Leaves the pose for the next one.
 *
 * @param entries what has to be noted with it
 * @param inPlace the hold that stands in for this pose; absent = the next pose
 * @returns where to go, with what is noted
 */
export function leavePose(
  { session, holds, index }: RunningSession,
  entries: readonly NewEntry[],
  inPlace?: string,
): SessionMove {
  const pose = holds[index]?.plan.pose;
  const next = holds.slice(index + 1).find((each) => isToCome(each) && each.plan.pose !== pose);
  const onward = inPlace ?? next?.plan.id;
  return onward === undefined ? finish(entries) : { entries, to: openHold(session, onward) };
}

/** What the hold comes to when it is left: as planned where nothing was noted. */
function noteOutcome({ plan, notes, at }: LoggedHold, breath: number): NewEntry {
  return {
    kind: 'note',
    hold: plan.id,
    change: {
      outcome: notes.outcome ?? 'done',
      breath: at === null ? 'easy' : notes.breath,
      breaths: notes.breaths ?? (breath > 0 ? breath : plan.breaths),
      rounds: notes.rounds ?? plan.rounds,
    },
  };
}

/**
 * One step on: from setting to breathing, to the log, to the next hold.
 *
 * @param running where it is
 * @param response to what was noted of this hold; anything but “ease” leaves the pose
 * @returns null when the session has no holds
 */
export function goOn(running: RunningSession, response: Response | null): SessionMove | null {
  const { session, holds, position, index } = running;
  const hold = holds[index];
  if (hold === undefined) return null;
  if (position.stage === 'set') return goTo({ ...position, stage: 'breathe', breath: 0 });
  if (position.stage === 'breathe') return goTo({ ...position, stage: 'log' });
  if (response !== null && response.kind !== 'ease') {
    return leavePose(running, stopPose(hold, holds, response));
  }
  const entry = noteOutcome(hold, position.breath);
  const next = holds.slice(index + 1).find(isToCome);
  return next === undefined
    ? finish([entry])
    : { entries: [entry], to: openHold(session, next.plan.id) };
}

/**
 * One step back: a stage of this hold, or the log of the one before; null = it is the first.
 *
 * @returns where to go
 */
export function goBack({ session, holds, position, index }: RunningSession): SessionMove | null {
  const stage = STAGES.indexOf(position.stage);
  if (stage > 0 && session.heldAt === null) {
    return goTo({ ...position, stage: STAGES[stage - 1]!, breath: 0 });
  }
  const before = holds[index - 1];
  return before === undefined ? null : goTo({ hold: before.plan.id, stage: 'log', breath: 0 });
}

/**
 * Takes the last note back and shows its hold; null = nothing was noted.
 *
 * @param state of the session
 * @returns where to go, with what is taken back
 */
export function undoLast({ position }: RunningSession, state: SessionState): SessionMove | null {
  const { lastNote } = state;
  if (lastNote === null) return null;
  const hold = 'hold' in lastNote ? lastNote.hold : position.hold;
  return {
    entries: [{ kind: 'undo', entry: lastNote.id }],
    to: { hold, stage: 'log', breath: 0 },
  };
}
