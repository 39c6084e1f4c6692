import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useMemo, useRef, useState } from 'react';
import type { RevisedRecord } from '../../core/person/person.ts';
import { countBreaths } from '../../core/sequence/flow.ts';
import { respond, type Response } from '../../core/sessions/respond.ts';
import {
  findRunning,
  goBack,
  goOn,
  leavePose,
  undoLast,
  type RunningSession,
  type SessionMove,
  type Turn,
} from '../../core/sessions/runSession.ts';
import { findNextOnSameFeet } from '../../core/sessions/sameFeet.ts';
import { recordOfSession } from '../../core/sessions/recordOfSession.ts';
import { toHolds } from '../../core/sessions/toHolds.ts';
import type { SessionState } from '../../core/sessions/readSession.ts';
import type { NewEntry, Session } from '../../core/sessions/session.ts';
import { reviseRecord } from '../../data/reviseRecord.ts';
import { addEntries, loadFrozen, moveTo } from '../../data/sessions.ts';
import { BreatheStage } from './BreatheStage.tsx';
import { LogStage } from './LogStage.tsx';
import { LeadIn, StepStage } from './LeadIn.tsx';
import { ShortenPanel } from './ShortenPanel.tsx';
import { namePose, nameSide } from '../shared/poseWords.ts';
import { SetStage } from './SetStage.tsx';
import { StaleNotice } from './StaleNotice.tsx';
import { useUsedSetUp } from './useUsedSetUp.ts';
import { useStepKeys } from './useStepKeys.ts';
import { useWakeLock } from './useWakeLock.ts';
import { ErrorTiles } from '../poseErrors/ErrorTiles.tsx';
import { LazyDetails } from '../shared/ui/LazyDetails.tsx';
import { useWrite } from '../shared/useWrite.tsx';
import { WordButton } from '../shared/ui/Button.tsx';
import { runView as say } from './words.ts';

interface RunViewProps {
  record: RevisedRecord;
  /** All of this person, this one among them. */
  sessions: readonly Session[];
  session: Session;
  state: SessionState;
  onLeave: () => void;
}

const STAGE_WORDS = { set: 'Set', breathe: 'Hold', log: say.whatSeen } as const;

/** A running session: one pose and side at a time. Where it stands and what is noted is stored first, then shown. */
export function RunView({ record, sessions, session, state, onLeave }: RunViewProps) {
  useWakeLock();
  const personId = record.person.id;
  const frozen = useLiveQuery(() => loadFrozen(personId, session.id), [personId, session.id]);
  const { write, told } = useWrite();
  const running = findRunning(session, state);
  const { position, index, turns } = running;
  const turn = turns[index];
  const hold = turn?.hold ?? null;
  const step = turn?.step ?? null;
  // Solved again as it was planned: with what is sore today, and what was held before.
  const recordToday = useMemo(() => {
    const { revision: _revision, ...known } = record;
    return reviseRecord('session', recordOfSession(known, sessions, session));
  }, [record, sessions, session]);
  const used = useUsedSetUp(recordToday, hold);
  const [isShortening, setIsShortening] = useState(false);
  const response = hold === null || hold.at === null ? null : respond(toHolds(sessions), hold.plan);

  // In a flow the feet stay where they are from one pose to the next.
  const onSameFeet =
    session.flow === undefined || hold === null ? [] : findNextOnSameFeet(state.holds, hold);

  const store = (move: SessionMove | null): void => {
    if (move === null) return;
    const { entries, to } = move;
    if (entries.length > 0) {
      write(() => addEntries(personId, session.id, entries, to ?? undefined), entries);
    } else if (to !== null) {
      write(() => moveTo(personId, session.id, to));
    }
  };
  const note = (entries: readonly NewEntry[]): void => {
    store({ entries, to: null });
  };
  const next = (): void => {
    store(goOn(running, response));
  };
  const back = (): void => {
    store(goBack(running));
  };
  const undo = (): void => {
    store(undoLast(running, state));
  };
  useStepKeys({ onNext: next, onBack: back, onUndo: undo });
  if (turn === undefined) return <NoHolds onLeave={onLeave} />;
  // The first step says where the front marks are.
  const begin = index === 0 ? (session.flow?.frontMarksCm ?? null) : null;
  const planned = frozen?.get(hold?.plan.id ?? step?.shows ?? '') ?? null;
  const shown = used ?? planned;
  return (
    <div
      className="flex h-[calc(100dvh-5rem)] flex-col gap-3 text-[1.5rem] leading-[1.3] max-tablet:h-[calc(100dvh-2.25rem)]"
      data-run
    >
      <RunHead
        running={running}
        turn={turn}
        onShorten={
          session.flow === undefined
            ? null
            : () => {
                setIsShortening(!isShortening);
              }
        }
        canUndo={state.lastNote !== null}
        onUndo={undo}
        onLeave={onLeave}
        onEnd={() => {
          note([{ kind: 'end', why: 'ended-early', note: '' }]);
        }}
      />
      {told}
      {isShortening && session.flow !== undefined && (
        <ShortenPanel
          record={record}
          sessions={sessions}
          session={session}
          flow={{ ...session.flow, steps: state.steps }}
          at={turn.id}
          onShorten={(entry) => {
            note([entry]);
          }}
          onClose={() => {
            setIsShortening(false);
          }}
        />
      )}
      <StaleNotice
        record={record}
        sessions={sessions}
        session={session}
        state={state}
        frozen={frozen}
      />
      <div
        className="min-h-0 flex-1 overflow-y-auto p-[3px]"
        role="group"
        tabIndex={0}
        aria-label={STAGE_WORDS[position.stage]}
      >
        {hold === null && step !== null && position.stage !== 'breathe' && (
          <StepStage key={turn.id} step={step} setUp={shown} begin={begin} />
        )}
        {hold !== null && position.stage === 'set' && (
          <SetStage
            key={turn.id}
            plan={used === null ? hold.plan : { ...hold.plan, settings: used.settings }}
            setUp={shown}
            leadIn={step === null ? null : <LeadIn step={step} begin={begin} />}
          />
        )}
        {position.stage === 'breathe' && (
          <BreatheStage
            key={turn.id}
            personId={personId}
            pose={hold?.plan.pose ?? step?.place.pose ?? ''}
            say={step?.say ?? ''}
            planned={countPlanned(turn)}
            breath={position.breath}
            onBreath={(breath) => {
              store({ entries: [], to: { ...position, breath } });
            }}
          />
        )}
        {hold !== null && position.stage !== 'log' && (
          <LazyDetails key={`watch ${turn.id}`} summary={say.watchFor}>
            {() => (
              <ErrorTiles
                record={recordToday}
                sessions={sessions}
                hold={hold}
                setUp={planned}
                onSameFeet={onSameFeet}
                onNote={note}
              />
            )}
          </LazyDetails>
        )}
        {hold !== null && position.stage === 'log' && (
          <LogStage
            key={turn.id}
            record={record}
            recordToday={recordToday}
            sessions={sessions}
            session={session}
            hold={hold}
            setUp={planned}
            held={shown}
            onSameFeet={onSameFeet}
            holds={state.holds}
            response={response}
            onNote={note}
            onPass={(entries, inPlace) => {
              store(leavePose(running, entries, inPlace));
            }}
          />
        )}
      </div>
      {position.stage === 'log' && response?.kind === 'ease' && (
        <p className="max-w-none rounded-md bg-mist px-[0.9rem] py-2" role="status">
          <strong>{response.words}</strong> {response.facts.join('; ')}.
        </p>
      )}
      <div className="flex gap-4 pt-1 pb-2 *:min-h-18 *:flex-1 *:cursor-pointer *:rounded-[10px] *:border-2 *:border-ink *:bg-sheet *:disabled:cursor-default *:disabled:opacity-45">
        <button type="button" disabled={index === 0 && position.stage === 'set'} onClick={back}>
          {say.back}
        </button>
        <NextButton key={`${turn.id} ${position.stage}`} onNext={next}>
          {sayNext(running, turn, response)}
        </NextButton>
      </div>
    </div>
  );
}

function NoHolds({ onLeave }: { onLeave: () => void }) {
  return (
    <p>
      {say.sessionHasNoHolds}
      <WordButton onClick={onLeave}>{say.back}</WordButton>
    </p>
  );
}

interface RunHeadProps {
  running: RunningSession;
  turn: Turn;
  /** null = it leads through no flow. */
  onShorten: (() => void) | null;
  canUndo: boolean;
  onUndo: () => void;
  onLeave: () => void;
  onEnd: () => void;
}

function RunHead({ running, turn, onShorten, canUndo, onUndo, onLeave, onEnd }: RunHeadProps) {
  const { hold, step } = turn;
  return (
    <header
      className="flex flex-wrap items-baseline gap-x-7 [&_button]:text-base max-tablet:[&_button]:min-h-11 [&_h1]:m-0 [&_p]:m-0"
      data-testid="run-head"
    >
      <h1>{hold === null ? step?.name : namePose(hold.plan.pose)}</h1>
      <p>{hold === null ? findSide(step) : nameSide(hold.plan.pose, hold.plan.side)}</p>
      <p className="mr-auto! text-faint" data-testid="place-in-session">
        {say.of(running.index + 1, running.turns.length)}
      </p>
      <WordButton onClick={onUndo} disabled={!canUndo}>
        {say.undo}
      </WordButton>
      {onShorten !== null && <WordButton onClick={onShorten}>{say.shorten}</WordButton>}
      <WordButton onClick={onLeave}>{say.pauseContinueLater}</WordButton>
      <WordButton onClick={onEnd}>{say.endSession}</WordButton>
    </header>
  );
}

/** The side of a step that is not logged, where it has one. */
const findSide = (step: Turn['step']): string | null =>
  step?.step?.kind === 'warm-up' ? step.step.side : (step?.place.side ?? null);

/** Breaths of a hold with its rounds, or of a step of a flow. */
const countPlanned = ({ hold, step }: Turn): number =>
  hold !== null
    ? hold.plan.breaths * hold.plan.rounds
    : step?.step == null
      ? 1
      : countBreaths(step.step);

/** What the next step is, on its button. */
function sayNext(running: RunningSession, turn: Turn, response: Response | null): string {
  const { position, turns, index } = running;
  const { hold, step } = turn;
  if (hold === null) {
    const next = turns[index + 1];
    const isWaiting = position.stage === 'set' && step?.step != null;
    if (isWaiting && step.step.manner.kind === 'held') return say.stay(countPlanned(turn));
    if (isWaiting && step.step.manner.kind === 'rhythm') return say.times(countPlanned(turn));
    return next === undefined
      ? say.end
      : say.next(next.step?.name ?? namePose(next.hold?.plan.pose ?? next.id));
  }
  const { plan, at } = hold;
  if (position.stage === 'set') {
    const rounds = plan.rounds > 1 ? ` × ${String(plan.rounds)}` : '';
    return say.hold(plan.breaths, rounds);
  }
  if (position.stage === 'breathe') return say.comeOutSafely;
  if (at === null) return say.asPlannedBreathEasy;
  return response !== null && response.kind !== 'ease' ? say.leavePose : say.saveNext;
}

/** Takes the focus whenever the step changes, so that Space and Enter lead on. */
function NextButton({ onNext, children }: { onNext: () => void; children: string }) {
  const button = useRef<HTMLButtonElement>(null);
  useEffect(() => {
    button.current?.focus({ preventScroll: true });
  }, []);
  return (
    <button
      type="button"
      className="flex-4! bg-ink! text-sheet"
      data-testid="run-next"
      ref={button}
      onClick={onNext}
    >
      {children}
    </button>
  );
}
