import { READING } from './readingLook.ts';
import { toTenths } from '../../core/units/rounding.ts';
import { useRef, useState, type KeyboardEvent } from 'react';
import { checkValue } from '../../core/measures/checkReading.ts';
import type { Protocol, Side } from '../../core/measures/protocol.ts';
import { correctReading, type Reading } from '../../core/measures/reading.ts';
import type { PersonRecord } from '../../core/person/person.ts';
import type { Problem } from '../../core/problems/problem.ts';
import type { LengthUnit } from '../../core/units/readQuantity.ts';
import { changeReading } from '../../data/readings.ts';
import { writeValue } from '../shared/writeValue.ts';
import type { HowTaken } from './HowTaken.tsx';
import { questionTaken } from './questionTaken.ts';
import { readTyped } from '../shared/readTyped.ts';
import { UnitInput } from '../shared/ui/UnitInput.tsx';
import { useWrite } from '../shared/useWrite.tsx';
import { WordButton } from '../shared/ui/Button.tsx';
import { readingField as say } from './words.ts';

interface ReadingFieldProps {
  record: PersonRecord;
  protocol: Protocol;
  side: Side | null;
  row: number;
  reading: Reading | null;
  how: HowTaken;
  unit: LengthUnit;
  focusFirst: boolean;
  onEnter: (from: HTMLInputElement) => void;
}

/** One reading: type a number, Enter. It is saved at once; emptying the field removes it. */
export function ReadingField(props: ReadingFieldProps) {
  const { record, protocol, side, row, reading, how, unit, focusFirst, onEnter } = props;
  const personId = record.person.id;
  const [draft, setDraft] = useState<string | null>(null);
  const [problem, setProblem] = useState<Problem | null>(null);
  const { write, told } = useWrite();
  // Enter saves and moves on, and leaving the field saves too: what is typed is taken once.
  const untaken = useRef<string | null>(null);
  const [newId] = useState(() => crypto.randomUUID());
  // What is put right is written only over the values that this field has shown or stored.
  const seen = useRef<readonly number[]>([]);
  const [theirs, setTheirs] = useState<Reading | null>(null);
  const shown = draft ?? (reading === null ? '' : writeValue(reading.value, protocol.unit, unit));
  const ordinal = ['first', 'second', 'third'][row] ?? `${String(row + 1)}th`;
  const id = `reading-${side ?? 'only'}-${String(row)}`;

  /**
   * Takes what was typed; false when it cannot be read, and then it stays in the field.
   * The store is written behind it, so that quick hands never wait for it.
   */
  const take = (): boolean => {
    const text = untaken.current;
    if (text === null) return problem?.severity !== 'error';
    untaken.current = null;
    if (text.trim() === '') {
      if (reading === null) setDraft(null);
      else change(reading, null, text);
      setProblem(null);
      return true;
    }
    const typed = readTyped(text, protocol, unit);
    const found = typed.ok
      ? checkValue(toTenths(typed.value), protocol, protocol.name)
      : typed.problems;
    if (!typed.ok || found.some((each) => each.severity === 'error')) {
      setProblem(found[0] ?? null);
      return false;
    }
    const value = toTenths(typed.value);
    const taken = makeReading(value, text.trim());
    // What the person's own readings say comes before what most people have.
    setProblem(questionTaken(record, taken) ?? found[0] ?? null);
    change(reading, taken, text);
    return true;
  };

  /** Writes what was typed, unless another value was entered elsewhere since. */
  const change = (from: Reading | null, to: Reading | null, text: string): void => {
    write(async () => {
      const other = await changeReading(personId, from ?? to!, to, seen.current);
      setTheirs(other);
      if (other !== null) return;
      if (to !== null) seen.current = [...seen.current, to.value];
      // What was typed meanwhile stays in the field.
      setDraft((now) => (now === text ? null : now));
    }, to ?? undefined);
  };
  const keepMine = (other: Reading): void => {
    seen.current = [...seen.current, other.value];
    untaken.current = draft;
    setTheirs(null);
    take();
  };

  /** A new reading, or the one of this field put right with its first value kept. */
  const makeReading = (value: number, text: string): Reading => {
    const at = new Date().toISOString();
    if (reading !== null) {
      return { ...correctReading(reading, value, say.replaced, at), raw: { typed: text } };
    }
    return {
      id: newId,
      measure: protocol.id,
      side,
      value,
      unit: protocol.unit,
      raw: { typed: text },
      instrument: protocol.instruments[0] ?? 'other',
      posture: protocol.posture,
      state: how.state,
      takenBy: how.takenBy,
      takenAt: at,
      note: '',
    };
  };
  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>): void => {
    if (event.key !== 'Enter') return;
    event.preventDefault();
    if (take()) onEnter(event.currentTarget);
  };

  return (
    <div className="[&_label]:text-[1.1rem] [&_strong]:font-serif [&_strong]:text-[1.3rem] [&_strong]:font-semibold">
      <label htmlFor={id}>
        {side === null ? '' : <strong>{side}</strong>} {ordinal}
      </label>
      <UnitInput
        unit={protocol.unit === 'deg' ? '°' : protocol.unit === 'cm' ? unit : protocol.unit}
        id={id}
        className={`${READING} text-[2.6rem]`}
        data-reading
        data-testid="reading"
        // The round is walked with Enter; the first field waits for the first number.
        autoFocus={focusFirst}
        inputMode="text"
        autoComplete="off"
        value={shown}
        aria-invalid={problem?.severity === 'error'}
        aria-describedby={`${id}-state`}
        onChange={(event) => {
          if (draft === null && reading !== null) seen.current = [...seen.current, reading.value];
          untaken.current = event.target.value;
          setDraft(event.target.value);
        }}
        onKeyDown={onKeyDown}
        onBlur={take}
      />
      <p id={`${id}-state`} className="m-0 min-h-6 text-[0.95rem] text-faint" role="status">
        {problem !== null ? (
          <>
            {problem.message} {problem.hint}
          </>
        ) : draft !== null ? (
          say.notSavedYet
        ) : reading !== null ? (
          'saved'
        ) : (
          ''
        )}
      </p>
      {told}
      {theirs !== null && (
        <p role="alert">
          {say.notSavedEnteredElsewhere(writeValue(theirs.value, protocol.unit, unit))}
          <WordButton
            onClick={() => {
              keepMine(theirs);
            }}
          >
            {say.keepMine}
          </WordButton>{' '}
          <WordButton
            onClick={() => {
              setTheirs(null);
              setDraft(null);
            }}
          >
            {say.takeOther}
          </WordButton>
        </p>
      )}
    </div>
  );
}
