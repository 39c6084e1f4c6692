import type { LedStep } from './ledFlow.ts';
import type { LoggedHold, SessionState } from './readSession.ts';
import { stopPose, type Response } from './respond.ts';
import type { NewEntry, Position, Session } from './session.ts';

const STAGES = ['set', 'breathe', 'log'] as const satisfies readonly Position['stage'][];

/** What a session stands at: a hold, or a step of a flow, or both at once. */
export interface Turn {
  readonly id: string;
  /** What is logged; null = nothing is. */
  readonly hold: LoggedHold | null;
  /** null = it belongs to no flow. */
  readonly step: LedStep | null;
}

/** Where a running session stands. */
export interface RunningSession {
  readonly session: Session;
  readonly holds: readonly LoggedHold[];
  readonly turns: readonly Turn[];
  readonly position: Position;
  /** The index of the turn it stands at. */
  readonly index: number;
}

/** What one press does: what is noted, and where the session goes; null = it stays. */
export interface SessionMove {
  readonly entries: readonly NewEntry[];
  readonly to: Position | null;
}

/** The first stage of a turn; one that is written down afterwards is only logged. */
const openTurn = ({ heldAt }: Session, { id, hold }: Turn): Position => ({
  hold: id,
  stage: heldAt === null || hold === null ? 'set' : 'log',
  breath: 0,
});

/** The holds that replace a step’s own hold: they were added after it. */
function listReplacements(
  holds: readonly LoggedHold[],
  id: string,
  led: ReadonlySet<string>,
): readonly Turn[] {
  const at = holds.findIndex(({ plan }) => plan.id === id);
  if (at < 0) return [];
  const rest = holds.slice(at + 1);
  const end = rest.findIndex(({ plan }) => led.has(plan.id));
  const replacements = end < 0 ? rest : rest.slice(0, end);
  return replacements.map((hold) => ({ id: hold.plan.id, hold, step: null }));
}

/**
 * Everything that a session leads through, in order.
 *
 * @param session with its entries
 * @param state of the session
 * @returns its holds in order; in a flow its steps, each followed by the holds that replace it
 */
export function listTurns({ flow }: Session, { holds, steps }: SessionState): readonly Turn[] {
  if (flow === undefined) {
    return holds.map((hold) => ({ id: hold.plan.id, hold, step: null }));
  }
  // The hold of a step that was left out later is no replacement.
  const led = new Set([...flow.steps, ...steps].map(({ id }) => id));
  return steps.flatMap((step): readonly Turn[] => {
    const hold = holds.find(({ plan }) => plan.id === step.id) ?? null;
    return [{ id: step.id, hold, step }, ...listReplacements(holds, step.id, led)];
  });
}

/**
 * A session at its own position, or at its first turn when it has not been moved yet.
 *
 * @param session with its entries
 * @param state of the session
 * @returns turn, stage and place
 */
export function findRunning(session: Session, state: SessionState): RunningSession {
  const turns = listTurns(session, state);
  const [first] = turns;
  const position =
    session.position ??
    (first === undefined ? { hold: '', stage: 'set', breath: 0 } : openTurn(session, first));
  const index = Math.max(
    0,
    turns.findIndex(({ id }) => id === position.hold),
  );
  return { session, holds: state.holds, turns, position, index };
}

/**
 * The turns that are still to come. A hold that was passed over because its pose was stopped is not
 * come back to, nor a pose that only leads to it.
 */
function listToCome({ turns, index }: RunningSession): readonly Turn[] {
  return turns.filter((turn, i) => {
    if (i <= index) return false;
    const target = turn.step?.step === null ? turns.slice(i).find(isNoPassage) : turn;
    return target?.hold?.notes.outcome !== 'skipped';
  });
}

const isNoPassage = ({ step }: Turn): boolean => step?.step !== null;

/** What is only passed through has one stage. */
const isPassed = ({ hold, step }: Turn): boolean =>
  hold === null && (step?.step == null || step.step.manner.kind === 'passed');

const finish = (entries: readonly NewEntry[]): SessionMove => ({
  entries: [...entries, { kind: 'end', why: 'finished', note: '' }],
  to: null,
});

const goTo = (to: Position): SessionMove => ({ entries: [], to });

/**
 * Leaves the pose for the next one.
 *
 * @param running where it is
 * @param entries what has to be noted with it
 * @param inPlace the hold that stands in for this pose; absent = the next pose
 * @returns where to go, with what is noted
 */
export function leavePose(
  running: RunningSession,
  entries: readonly NewEntry[],
  inPlace?: string,
): SessionMove {
  const { session, turns, index } = running;
  const poseOf = ({ hold, step }: Turn): string | undefined => hold?.plan.pose ?? step?.place.pose;
  const here = turns[index];
  const pose = here === undefined ? undefined : poseOf(here);
  if (inPlace !== undefined) {
    // It may not be among the turns yet: it is stored with this move.
    const stage = session.heldAt === null ? 'set' : 'log';
    return { entries, to: { hold: inPlace, stage, breath: 0 } };
  }
  const next = listToCome(running).find((each) => poseOf(each) !== pose);
  return next === undefined ? finish(entries) : { entries, to: openTurn(session, next) };
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
  const { session, holds, turns, position, index } = running;
  const turn = turns[index];
  if (turn === undefined) return null;
  const { hold } = turn;
  const next = listToCome(running)[0];
  const leave = (entries: readonly NewEntry[]): SessionMove =>
    next === undefined ? finish(entries) : { entries, to: openTurn(session, next) };
  if (isPassed(turn)) return leave([]);
  if (position.stage === 'set') return goTo({ ...position, stage: 'breathe', breath: 0 });
  if (hold === null) return leave([]);
  if (position.stage === 'breathe') return goTo({ ...position, stage: 'log' });
  if (response !== null && response.kind !== 'ease') {
    return leavePose(running, stopPose(hold, holds, response));
  }
  return leave([noteOutcome(hold, position.breath)]);
}

/**
 * One step back: a stage of this turn, or the last stage of the one before; null = it is the first.
 *
 * @returns where to go
 */
export function goBack({ session, turns, position, index }: RunningSession): SessionMove | null {
  const stage = STAGES.indexOf(position.stage);
  if (stage > 0 && session.heldAt === null) {
    return goTo({ ...position, stage: STAGES[stage - 1]!, breath: 0 });
  }
  const before = turns[index - 1];
  if (before === undefined) return null;
  return goTo({ hold: before.id, stage: before.hold === null ? 'set' : 'log', breath: 0 });
}

/**
 * Takes the last note back and shows its hold; null = nothing was noted.
 *
 * @param state of the session
 * @returns where to go, with what is taken back
 */
export function undoLast(
  { session, position }: RunningSession,
  state: SessionState,
): SessionMove | null {
  const { lastNote } = state;
  if (lastNote === null) return null;
  const entries: readonly NewEntry[] = [{ kind: 'undo', entry: lastNote.id }];
  if (lastNote.kind !== 'shorten') {
    const hold = 'hold' in lastNote ? lastNote.hold : position.hold;
    return { entries, to: { hold, stage: 'log', breath: 0 } };
  }
  // A way that only the shorter flow takes is not there any more: it led to a step that is.
  const isThere = session.flow?.steps.some(({ id }) => id === position.hold) === true;
  if (isThere) return { entries, to: position };
  const at = state.steps.findIndex(({ id }) => id === position.hold);
  const target = state.steps.slice(Math.max(0, at)).find(({ step }) => step !== null);
  return {
    entries,
    to: target === undefined ? null : { hold: target.id, stage: 'set', breath: 0 },
  };
}
