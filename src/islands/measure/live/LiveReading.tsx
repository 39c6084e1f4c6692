import clsx from 'clsx';
import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useMemo, useRef, useState, type CSSProperties } from 'react';
import type { ReaderState } from '../../../core/instruments/angleReader.ts';
import type { Protocol } from '../../../core/measures/protocol.ts';
import type { PersonRecord } from '../../../core/person/person.ts';
import { getConfirmation } from '../../../data/settings.ts';
import { ProblemList } from '../../shared/ProblemList.tsx';
import { Button } from '../../shared/ui/Button.tsx';
import type { HowTaken } from '../HowTaken.tsx';
import { LIVE_ROW, ON_THE_RIGHT } from '../liveRow.ts';
import type { Slot } from '../slots.ts';
import { ConfirmationChoice } from './ConfirmationChoice.tsx';
import { describeReading } from './liveWords.ts';
import { PhoneStart } from './PhoneStart.tsx';
import { inclinometerSource, phoneSource, type PhoneAxis } from './sources.ts';
import { StandInPanel } from './StandInPanel.tsx';
import { useCapture } from './useCapture.ts';
import { useCaptureKeys } from './useCaptureKeys.ts';
import { liveReading as say } from '../words.ts';

interface LiveReadingProps {
  record: PersonRecord;
  protocol: Protocol;
  slots: readonly (readonly Slot[])[];
  how: HowTaken;
  way: 'inclinometer' | 'phone';
  onNext: () => void;
}

/** A large live angle that is taken when it rests, or by a key; hands stay on the person. */
export function LiveReading({ record, protocol, slots, how, way, onNext }: LiveReadingProps) {
  const [axis, setAxis] = useState<PhoneAxis>('long');
  const [hasTilt, setHasTilt] = useState(false);
  const [isPractising, setIsPractising] = useState(false);
  const confirmation = useLiveQuery(getConfirmation, []) ?? 'sound';
  const source = useMemo(() => {
    if (way === 'inclinometer') return isPractising ? inclinometerSource : null;
    return hasTilt ? phoneSource(axis) : null;
  }, [way, isPractising, hasTilt, axis]);
  // With a real person a simulation is for practice only: nothing of it counts.
  const isSimulated = way === 'inclinometer' && record.person.isMadeUp !== true;
  const panel = useRef<HTMLElement>(null);
  const capture = useCapture({
    record,
    protocol,
    slots,
    how,
    way,
    isSimulated,
    confirmation,
    source,
  });
  const { next, state, problems, refusal } = capture;
  const takeNow = next === null ? onNext : capture.takeNow;
  useCaptureKeys({ onTake: takeNow, onUndo: capture.undo, onZero: capture.zero });
  useEffect(() => {
    panel.current?.focus();
  }, [isPractising]);

  if (way === 'phone' && !hasTilt)
    return <PhoneStart axis={axis} onAxis={setAxis} onStart={setHasTilt} />;
  if (way === 'inclinometer' && !isPractising)
    return (
      <NoInclinometer
        onPractise={() => {
          setIsPractising(true);
        }}
      />
    );
  return (
    <section
      className="mb-4 outline-none [&_kbd]:rounded-[3px] [&_kbd]:border [&_kbd]:border-current [&_kbd]:px-[0.35rem] [&_kbd]:font-sans [&_kbd]:text-[0.8rem] [&_kbd]:leading-[normal] [&_kbd]:opacity-80"
      ref={panel}
      tabIndex={-1}
      aria-label={say.liveReading}
    >
      {way === 'inclinometer' && (
        <p className="max-w-none rounded-md bg-mist px-[0.9rem] py-2">
          <strong>{say.practisingWithSimulation}</strong>{' '}
          {isSimulated ? say.itsReadingsMarkedNot : say.personMadeUpSo}
        </p>
      )}
      <div className={clsx(LIVE_ROW, next?.side === 'right' && ON_THE_RIGHT)}>
        <p className="m-0 font-serif text-[3.5rem] leading-none font-semibold max-phone:text-[2.6rem]">
          {next === null ? say.allSaved : (next.side ?? say.oneSide)}
        </p>
        <Rest state={state} />
        <p
          className="m-0 min-w-[5.2ch] text-right text-[7rem] leading-none whitespace-nowrap max-phone:min-w-[4.4ch] max-phone:text-[4.2rem] [&_span]:text-[3rem]"
          aria-hidden={state?.deg == null}
        >
          {state?.deg == null ? '–' : state.deg.toFixed(1)}
          <span>°</span>
        </p>
      </div>
      <p className="min-h-[2.2em] text-[1.5rem]">
        {refusal === null ? describeReading(state, capture.isLost, next) : say.lastReadingNotSaved}
      </p>
      <p role="status" className="text-faint">
        {capture.said}
      </p>
      {refusal}
      {problems.length > 0 && <ProblemList problems={problems} />}
      <div className="my-4 flex flex-wrap gap-3">
        <Button onClick={takeNow}>
          {next === null ? say.nextMeasure : say.save} <kbd>{say.space}</kbd>
        </Button>
        <Button isPlain onClick={capture.zero}>
          {say.zero}
          <kbd>Z</kbd>
        </Button>
        <Button isPlain onClick={capture.undo} disabled={!capture.canUndo}>
          {say.undo}
          <kbd>⌫</kbd>
        </Button>
      </div>
      <p className="text-faint">
        <ConfirmationChoice value={confirmation} />
        {state?.batteryPercent != null && say.battery(state.batteryPercent)}
        {say.holdStillForSeconds}
      </p>
      {way === 'inclinometer' && <StandInPanel />}
    </section>
  );
}

/** Without an instrument there is no number; a simulation is for practice. */
function NoInclinometer({ onPractise }: { onPractise: () => void }) {
  return (
    <section
      className="mb-4 outline-none [&_kbd]:rounded-[3px] [&_kbd]:border [&_kbd]:border-current [&_kbd]:px-[0.35rem] [&_kbd]:font-sans [&_kbd]:text-[0.8rem] [&_kbd]:leading-[normal] [&_kbd]:opacity-80"
      aria-label={say.liveReading}
    >
      <p className="min-h-[2.2em] text-[1.5rem]">{say.noInclinometerConnected}</p>
      <p>{say.typeNumberBelowUse}</p>
      <div className="my-4 flex flex-wrap gap-3">
        <Button isPlain onClick={onPractise}>
          {say.practiseWithSimulation}
        </Button>
      </div>
    </section>
  );
}

/** How much of the rest that a capture needs has passed: water in an upright vessel. */
function Rest({ state }: { state: ReaderState | null }) {
  const held = state !== null && state.isArmed ? state.held : 0;
  return (
    <span
      className="h-28 w-[26px] rounded-b-lg border-2 border-t-0 border-ink bg-[linear-gradient(var(--color-shallow),var(--color-shallow))] bg-[length:100%_calc(var(--held)*100%)] bg-bottom bg-no-repeat"
      aria-hidden
      style={{ '--held': held } as CSSProperties}
    />
  );
}
