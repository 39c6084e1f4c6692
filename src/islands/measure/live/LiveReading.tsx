import clsx from 'clsx';
import { LIVE_ROW, ON_THE_RIGHT } from '../liveRow.ts';
import { toTenths } from '../../../core/units/rounding.ts';
import { useEffect, useMemo, useRef, useState, type CSSProperties } from 'react';
import { useLiveQuery } from 'dexie-react-hooks';
import type {
  AngleReader,
  CapturedAngle,
  ReaderState,
} from '../../../core/instruments/angleReader.ts';
import { checkValue } from '../../../core/measures/checkReading.ts';
import type { Protocol } from '../../../core/measures/protocol.ts';
import type { Reading } from '../../../core/measures/reading.ts';
import type { PersonRecord } from '../../../core/person/person.ts';
import type { Problem } from '../../../core/problems/problem.ts';
import { removeReading, saveReading } from '../../../data/readings.ts';
import { getConfirmation, setConfirmation, type Confirmation } from '../../../data/settings.ts';
import { useWrite } from '../../shared/useWrite.tsx';
import { ProblemList } from '../../shared/ProblemList.tsx';
import type { HowTaken } from '../HowTaken.tsx';
import { questionTaken } from '../questionTaken.ts';
import { findNextSlot, type Slot } from '../slots.ts';
import { confirmAloud } from './confirm.ts';
import { PhoneStart } from './PhoneStart.tsx';
import { inclinometerSource, phoneSource, type PhoneAxis } from './sources.ts';
import { StandInPanel } from './StandInPanel.tsx';
import { useAngleReader } from './useAngleReader.ts';
import { useCaptureKeys } from './useCaptureKeys.ts';
import { Button } from '../../shared/ui/Button.tsx';
import { WordSelect } from '../../shared/ui/WordSelect.tsx';

interface LiveReadingProps {
  record: PersonRecord;
  protocol: Protocol;
  slots: readonly (readonly Slot[])[];
  how: HowTaken;
  way: 'inclinometer' | 'phone';
  onNext: () => void;
}

const ORDINALS = ['first', 'second', 'third'] as const;

const findReadingKey = (slot: Slot): string => `${slot.side ?? ''} ${String(slot.row)}`;

const nameSlot = ({ side, row }: Slot): string =>
  `${side === null ? '' : `${side}, `}${ORDINALS[row] ?? `${String(row + 1)}th`} reading`;

/** A large live angle that is taken when it rests, or by a key; hands stay on the person. */
export function LiveReading({ record, protocol, slots, how, way, onNext }: LiveReadingProps) {
  const [axis, setAxis] = useState<PhoneAxis>('long');
  const [hasTilt, setHasTilt] = useState(false);
  const [isPractising, setIsPractising] = useState(false);
  const [undoable, setUndoable] = useState<readonly string[]>([]);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [said, setSaid] = useState('');
  const { write, told } = useWrite();
  const confirmation = useLiveQuery(getConfirmation, []) ?? 'sound';
  const source = useMemo(() => {
    if (way === 'inclinometer') return isPractising ? inclinometerSource : null;
    return hasTilt ? phoneSource(axis) : null;
  }, [way, isPractising, hasTilt, axis]);
  // With a real person a simulation is for practice only: nothing of it counts.
  const isSimulated = way === 'inclinometer' && record.person.isMadeUp !== true;
  // What is on its way into the store keeps its place: the next capture must not take it.
  const [pending, setPending] = useState<ReadonlyMap<string, string>>(new Map());
  const panel = useRef<HTMLElement>(null);
  const open = slots.map((row) =>
    row.map((slot) =>
      pending.has(findReadingKey(slot)) && slot.reading === null
        ? { ...slot, reading: PENDING }
        : slot,
    ),
  );
  const next = findNextSlot(open);

  const take = (angle: CapturedAngle, from: AngleReader): void => {
    if (next === null) return;
    const value = toTenths(angle.deg);
    const found = checkValue(value, protocol, protocol.name);
    setProblems(found);
    if (found.some((each) => each.severity === 'error')) {
      from.rearm();
      return;
    }
    const id = crypto.randomUUID();
    setPending((now) => new Map([...now, [findReadingKey(next), id]]));
    setUndoable((ids) => [...ids, id]);
    const marks = [
      ...(angle.isPoor ? ['poor contact'] : []),
      ...(angle.zeroWasDue ? ['a new zero was due'] : []),
    ];
    const taken: Reading = {
      id,
      measure: protocol.id,
      side: next.side,
      value,
      unit: protocol.unit,
      raw: { by: angle.by, marks },
      instrument: way,
      posture: protocol.posture,
      state: how.state,
      takenBy: how.takenBy,
      takenAt: new Date().toISOString(),
      note: marks.join(', '),
      ...(isSimulated ? { isSimulated } : {}),
    };
    const question = questionTaken(record, taken);
    if (question !== null) setProblems([question]);
    write(async () => {
      await saveReading(record.person.id, taken);
      const words = `${nameSlot(next)}: ${String(value)}°`;
      setSaid(isSimulated ? `${words}, for practice only.` : `${words} is saved.`);
      confirmAloud(confirmation, words);
    }, taken);
  };
  const { state, isLost, reader } = useAngleReader(source, take);

  const takeNow = (): void => {
    if (next === null) {
      onNext();
      return;
    }
    const angle = reader.captureNow();
    if (angle !== null) take(angle, reader);
  };
  const undo = (): void => {
    const id = undoable.at(-1);
    if (id === undefined) return;
    setUndoable(undoable.slice(0, -1));
    setPending((now) => new Map([...now].filter(([, each]) => each !== id)));
    reader.rearm();
    write(async () => {
      await removeReading(record.person.id, id);
      setSaid('The last reading is undone.');
      confirmAloud(confirmation, 'undone', true);
    });
  };
  const zero = (): void => {
    reader.awaitZero();
  };
  useCaptureKeys({ onTake: takeNow, onUndo: undo, onZero: zero });
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
      aria-label="Live reading"
    >
      {way === 'inclinometer' && (
        <p className="max-w-none rounded-md bg-mist px-[0.9rem] py-2">
          <strong>Practice with a simulation.</strong>{' '}
          {isSimulated
            ? 'Its readings are marked, and count for nothing.'
            : 'This person is made up, so its readings count.'}
        </p>
      )}
      <div className={clsx(LIVE_ROW, next?.side === 'right' && ON_THE_RIGHT)}>
        <p className="m-0 font-serif text-[3.5rem] leading-none font-semibold max-phone:text-[2.6rem]">
          {next === null ? 'all taken' : (next.side ?? 'one side')}
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
        {told === null
          ? describeReading(state, isLost, next)
          : 'The last reading is not stored yet.'}
      </p>
      <p role="status" className="text-faint">
        {said}
      </p>
      {told}
      {problems.length > 0 && <ProblemList problems={problems} />}
      <div className="my-4 flex flex-wrap gap-3">
        <Button onClick={takeNow}>
          {next === null ? 'Next measure' : 'Take it'} <kbd>Space</kbd>
        </Button>
        <Button isPlain onClick={zero}>
          Zero <kbd>Z</kbd>
        </Button>
        <Button isPlain onClick={undo} disabled={undoable.length === 0}>
          Undo <kbd>⌫</kbd>
        </Button>
      </div>
      <p className="text-faint">
        <ConfirmationChoice value={confirmation} />
        {state?.batteryPercent != null && ` Battery ${String(state.batteryPercent)} %.`} A rest of
        three seconds takes it too.
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
      aria-label="Live reading"
    >
      <p className="min-h-[2.2em] text-[1.5rem]">No inclinometer is connected.</p>
      <p>Numbers can be typed below, or read by this phone.</p>
      <div className="my-4 flex flex-wrap gap-3">
        <Button isPlain onClick={onPractise}>
          Practise with a simulation
        </Button>
      </div>
    </section>
  );
}

/** Stands for a reading that is on its way into the store. */
const PENDING = { id: 'pending' } as Slot['reading'];

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

function describeReading(state: ReaderState | null, isLost: boolean, next: Slot | null): string {
  if (isLost)
    return 'The instrument is gone; it comes back by itself. What is taken is kept, and numbers can be typed.';
  if (state === null) return 'Waiting for the instrument.';
  if (state.zero === 'waiting for rest')
    return 'Hold it still at the start position: taking the zero.';
  if (next === null) return 'Every reading here is taken.';
  if (state.zero === 'missing') return 'Lay it at the start position and press Zero.';
  if (state.isPoor) return 'Poor contact: taken only by hand, and marked.';
  if (state.zero === 'due')
    return `Zero it again before the ${nameSlot(next)}: it may have drifted.`;
  if (!state.isArmed) return `Taken. Lead the limb back for the ${nameSlot(next)}.`;
  return `Ready for the ${nameSlot(next)}.`;
}

const CONFIRMATIONS: readonly { readonly value: Confirmation; readonly words: string }[] = [
  { value: 'sound', words: 'a tone' },
  { value: 'voice', words: 'a voice' },
  { value: 'none', words: 'no sound' },
];

function ConfirmationChoice({ value }: { value: Confirmation }) {
  const { write, told } = useWrite();
  return (
    <>
      <label>
        Confirmed by{' '}
        <WordSelect
          value={value}
          onChange={(event) => {
            const chosen = event.target.value as Confirmation;
            write(() => setConfirmation(chosen));
          }}
        >
          {CONFIRMATIONS.map((each) => (
            <option key={each.value} value={each.value}>
              {each.words}
            </option>
          ))}
        </WordSelect>
        .
      </label>
      {told}
    </>
  );
}
