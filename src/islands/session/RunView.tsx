import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useLayoutEffect, useRef } from 'react';
import type { PersonRecord } from '../../core/person/person.ts';
import { respond, stopPose } from '../../core/sessions/respond.ts';
import { toHolds } from '../../core/sessions/toHolds.ts';
import type { LoggedHold, SessionState } from '../../core/sessions/readSession.ts';
import type { NewEntry, Position, Session } from '../../core/sessions/session.ts';
import { addEntries, loadFrozen, moveTo } from '../../data/sessions.ts';
import { BACK_KEYS, NEXT_KEYS, PRESS_KEYS } from '../shared/pedal.ts';
import { BreatheStage } from './BreatheStage.tsx';
import { LogStage } from './LogStage.tsx';
import { namePose, nameSide } from '../shared/poseWords.ts';
import { SetStage } from './SetStage.tsx';
import { StaleNotice } from './StaleNotice.tsx';
import { useWakeLock } from './useWakeLock.ts';
import { useWrite } from '../shared/useWrite.tsx';

interface RunViewProps {
  record: PersonRecord;
  /** All of this person, this one among them. */
  sessions: readonly Session[];
  session: Session;
  state: SessionState;
  onLeave: () => void;
}

/** A hold that was passed over because its pose was stopped is not come back to. */
const isToCome = ({ notes }: LoggedHold): boolean => notes.outcome !== 'skipped';

const STAGE_WORDS = { set: 'Set', breathe: 'Hold', log: 'What was seen' } as const;
const STAGES = ['set', 'breathe', 'log'] as const;

/** Where a session stands that has not been moved yet. */
const findStart = ({ heldAt, holds }: Session): Position => ({
  hold: holds[0]?.id ?? '',
  stage: heldAt === null ? 'set' : 'log',
  breath: 0,
});

/** A running session: one pose and side at a time. Where it stands and what is noted is stored first, then shown. */
export function RunView({ record, sessions, session, state, onLeave }: RunViewProps) {
  useWakeLock();
  const personId = record.person.id;
  const frozen = useLiveQuery(() => loadFrozen(personId, session.id), [personId, session.id]);
  const { write, told } = useWrite();
  const position = session.position ?? findStart(session);
  const found = state.holds.findIndex(({ plan }) => plan.id === position.hold);
  const at = Math.max(0, found);
  const current = state.holds[at];

  const response =
    current === undefined || current.at === null ? null : respond(toHolds(sessions), current.plan);

  const note = (entries: readonly NewEntry[], to?: Position): void => {
    write(() => addEntries(personId, session.id, entries, to), entries);
  };
  const go = (to: Position): void => {
    write(() => moveTo(personId, session.id, to));
  };
  const after = (i: number): Position | null => {
    const next = state.holds.slice(i + 1).find(isToCome);
    if (next === undefined) return null;
    return { hold: next.plan.id, stage: session.heldAt === null ? 'set' : 'log', breath: 0 };
  };
  const finish = (entries: readonly NewEntry[]): void => {
    note([...entries, { kind: 'end', why: 'finished', note: '' }]);
  };
  /** On to the next pose, or to the hold that stands in for this one. */
  const pass = (entries: readonly NewEntry[], inPlace?: string): void => {
    const rest = state.holds.slice(at + 1);
    const onward =
      inPlace ??
      rest.find((each) => isToCome(each) && each.plan.pose !== current?.plan.pose)?.plan.id;
    if (onward === undefined) finish(entries);
    else note(entries, { hold: onward, stage: session.heldAt === null ? 'set' : 'log', breath: 0 });
  };
  const back = (): void => {
    const stage = STAGES.indexOf(position.stage);
    if (stage > 0 && session.heldAt === null) {
      go({ ...position, stage: STAGES[stage - 1]!, breath: 0 });
      return;
    }
    const before = state.holds[at - 1];
    if (before !== undefined) go({ hold: before.plan.id, stage: 'log', breath: 0 });
  };
  const next = (): void => {
    if (current === undefined) return;
    const { plan, notes } = current;
    if (position.stage === 'set') {
      go({ ...position, stage: 'breathe', breath: 0 });
    } else if (position.stage === 'breathe') {
      go({ ...position, stage: 'log' });
    } else if (response !== null && response.kind !== 'ease') {
      pass(stopPose(current, state.holds, response));
    } else {
      const isAsPlanned = current.at === null;
      const entry: NewEntry = {
        kind: 'note',
        hold: plan.id,
        change: {
          outcome: notes.outcome ?? 'done',
          breath: isAsPlanned ? 'easy' : notes.breath,
          breaths: notes.breaths ?? (position.breath > 0 ? position.breath : plan.breaths),
          rounds: notes.rounds ?? plan.rounds,
        },
      };
      const onward = after(at);
      if (onward === null) finish([entry]);
      else note([entry], onward);
    }
  };
  const undo = (): void => {
    if (state.lastNote !== null) {
      const held = 'hold' in state.lastNote ? state.lastNote.hold : position.hold;
      note([{ kind: 'undo', entry: state.lastNote.id }], { hold: held, stage: 'log', breath: 0 });
    }
  };
  // As soon as a step is shown: a key that comes at once is meant for it.
  useLayoutEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      const { target } = event;
      if (event.ctrlKey || event.metaKey || event.altKey || !(target instanceof Element)) return;
      if (target.closest('input, textarea, select, summary, a, dialog') !== null) return;
      const isOnButton = target.closest('button') !== null;
      if (NEXT_KEYS.includes(event.key)) next();
      else if (BACK_KEYS.includes(event.key)) back();
      else if (event.key === 'Backspace') undo();
      else if (PRESS_KEYS.includes(event.key) && !isOnButton) next();
      else return;
      event.preventDefault();
    };
    window.addEventListener('keydown', onKey);
    return () => {
      window.removeEventListener('keydown', onKey);
    };
  });
  if (current === undefined) {
    return (
      <p>
        This session has no holds.{' '}
        <button type="button" className="word-button" onClick={onLeave}>
          back
        </button>
      </p>
    );
  }
  const { plan } = current;
  const setUp = frozen?.get(plan.id) ?? null;
  return (
    <div className="run">
      <header className="run-head">
        <h1>{namePose(plan.pose)}</h1>
        <p>{nameSide(plan.pose, plan.side)}</p>
        <p className="quiet">
          {at + 1} of {state.holds.length}
        </p>
        <button
          type="button"
          className="word-button"
          onClick={undo}
          disabled={state.lastNote === null}
        >
          undo
        </button>
        <button type="button" className="word-button" onClick={onLeave}>
          leave, go on later
        </button>
        <button
          type="button"
          className="word-button"
          onClick={() => {
            note([{ kind: 'end', why: 'ended-early', note: '' }]);
          }}
        >
          end here
        </button>
      </header>
      {told}
      <StaleNotice
        record={record}
        sessions={sessions}
        session={session}
        state={state}
        frozen={frozen}
      />
      <div className="run-stage" role="group" tabIndex={0} aria-label={STAGE_WORDS[position.stage]}>
        {position.stage === 'set' && <SetStage key={plan.id} plan={plan} setUp={setUp} />}
        {position.stage === 'breathe' && (
          <BreatheStage
            key={plan.id}
            personId={personId}
            plan={plan}
            breath={position.breath}
            onBreath={(breath) => {
              go({ ...position, breath });
            }}
          />
        )}
        {position.stage === 'log' && (
          <LogStage
            key={plan.id}
            record={record}
            session={session}
            hold={current}
            holds={state.holds}
            response={response}
            onNote={note}
            onPass={pass}
          />
        )}
      </div>
      {position.stage === 'log' && response?.kind === 'ease' && (
        <p className="notice" role="status">
          <strong>{response.words}</strong> {response.facts.join('; ')}.
        </p>
      )}
      <div className="run-row">
        <button type="button" disabled={at === 0 && position.stage === 'set'} onClick={back}>
          back
        </button>
        <NextButton key={`${plan.id} ${position.stage}`} onNext={next}>
          {position.stage === 'set'
            ? `hold it: ${String(plan.breaths)} breaths${plan.rounds > 1 ? ` × ${String(plan.rounds)}` : ''}`
            : position.stage === 'breathe'
              ? 'out of it, safely'
              : current.at === null
                ? 'as planned, breath easy'
                : response !== null && response.kind !== 'ease'
                  ? 'leave this pose'
                  : 'noted, on'}
        </NextButton>
      </div>
    </div>
  );
}

/** Takes the focus whenever the step changes, so that Space and Enter lead on. */
function NextButton({ onNext, children }: { onNext: () => void; children: string }) {
  const button = useRef<HTMLButtonElement>(null);
  useEffect(() => {
    button.current?.focus({ preventScroll: true });
  }, []);
  return (
    <button type="button" className="run-next" ref={button} onClick={onNext}>
      {children}
    </button>
  );
}
