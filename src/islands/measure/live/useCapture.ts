import { useState, type ReactNode } from 'react';
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
import { toTenths } from '../../../core/units/rounding.ts';
import { removeReading, saveReading } from '../../../data/readings.ts';
import type { Confirmation } from '../../../data/settings.ts';
import { useWrite } from '../../shared/useWrite.tsx';
import type { HowTaken } from '../HowTaken.tsx';
import { questionTaken } from '../questionTaken.ts';
import { findNextSlot, type Slot } from '../slots.ts';
import { confirmAloud } from './confirm.ts';
import { nameSlot } from './liveWords.ts';
import type { InstrumentSource } from './sources.ts';
import { useAngleReader } from './useAngleReader.ts';

interface CaptureOptions {
  readonly record: PersonRecord;
  readonly protocol: Protocol;
  readonly slots: readonly (readonly Slot[])[];
  readonly how: HowTaken;
  readonly way: 'inclinometer' | 'phone';
  /** Practice with a real person: marked, and counting for nothing. */
  readonly isSimulated: boolean;
  readonly confirmation: Confirmation;
  /** null = nothing is connected. */
  readonly source: InstrumentSource | null;
}

interface Capture {
  /** The reading that is taken next; null = all are taken. */
  readonly next: Slot | null;
  /** null = the instrument has not spoken yet. */
  readonly state: ReaderState | null;
  readonly isLost: boolean;
  readonly problems: readonly Problem[];
  /** What was last taken or undone, in a sentence. */
  readonly said: string;
  /** Shown while a reading could not be stored; null = all is stored. */
  readonly refusal: ReactNode;
  readonly canUndo: boolean;
  readonly takeNow: () => void;
  readonly undo: () => void;
  readonly zero: () => void;
}

const findReadingKey = (slot: Slot): string => `${slot.side ?? ''} ${String(slot.row)}`;

/** Stands for a reading that is on its way into the store. */
const PENDING = { id: 'pending' } as Slot['reading'];

/** Takes live angles into the readings of a measure, one after another, and takes them back. */
export function useCapture(options: CaptureOptions): Capture {
  const { record, protocol, slots, how, way, isSimulated, confirmation, source } = options;
  const [undoable, setUndoable] = useState<readonly string[]>([]);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [said, setSaid] = useState('');
  const { write, told } = useWrite();
  // What is on its way into the store keeps its place: the next capture must not take it.
  const [pending, setPending] = useState<ReadonlyMap<string, string>>(new Map());
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
  return {
    next,
    state,
    isLost,
    problems,
    said,
    refusal: told,
    canUndo: undoable.length > 0,
    takeNow,
    undo,
    zero,
  };
}
