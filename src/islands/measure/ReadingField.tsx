import { useRef, useState, type KeyboardEvent } from 'react';
import { checkValue } from '../../core/measures/checkReading.ts';
import type { Protocol, Side } from '../../core/measures/protocol.ts';
import type { Reading } from '../../core/measures/reading.ts';
import type { Problem, Result } from '../../core/problems/problem.ts';
import { cmFromMetres, degreesFromRadians } from '../../core/units/brands.ts';
import { readAngle, readLength, type LengthUnit } from '../../core/units/readQuantity.ts';
import { removeReading, saveReading } from '../../data/readings.ts';
import { writeValue } from '../shared/words.ts';

interface ReadingFieldProps {
  personId: string;
  protocol: Protocol;
  side: Side | null;
  row: number;
  reading: Reading | null;
  state: Reading['state'];
  unit: LengthUnit;
  focusFirst: boolean;
  onEnter: (from: HTMLInputElement) => void;
}

function readTyped(text: string, protocol: Protocol, unit: LengthUnit): Result<number> {
  if (protocol.unit === 'cm') {
    const length = readLength(text, unit, protocol.name);
    return length.ok ? { ok: true, value: cmFromMetres(length.value) } : length;
  }
  const angle = readAngle(text, protocol.name);
  return angle.ok ? { ok: true, value: degreesFromRadians(angle.value) } : angle;
}

/** Files keep a tenth. */
const toTenth = (value: number): number => Math.round(value * 10) / 10;

/** One reading: type a number, Enter. It is saved at once; emptying the field removes it. */
export function ReadingField(props: ReadingFieldProps) {
  const { personId, protocol, side, row, reading, state, unit, focusFirst, onEnter } = props;
  const [draft, setDraft] = useState<string | null>(null);
  const [problem, setProblem] = useState<Problem | null>(null);
  // Enter saves and moves on, and leaving the field saves too: what is typed is taken once.
  const untaken = useRef<string | null>(null);
  const [newId] = useState(() => crypto.randomUUID());
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
      if (reading !== null) void removeReading(personId, reading.id);
      setDraft(null);
      setProblem(null);
      return true;
    }
    const typed = readTyped(text, protocol, unit);
    const found = typed.ok
      ? checkValue(toTenth(typed.value), protocol, protocol.name)
      : typed.problems;
    setProblem(found[0] ?? null);
    if (!typed.ok || found.some((each) => each.severity === 'error')) return false;
    void saveReading(personId, {
      id: reading?.id ?? newId,
      measure: protocol.id,
      side,
      value: toTenth(typed.value),
      unit: protocol.unit,
      raw: { typed: text.trim() },
      instrument: protocol.instruments[0] ?? 'other',
      posture: protocol.posture,
      state: reading?.state ?? state,
      takenAt: reading?.takenAt ?? new Date().toISOString(),
      note: '',
    }).then(() => {
      // What was typed meanwhile stays in the field.
      setDraft((now) => (now === text ? null : now));
    });
    return true;
  };

  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>): void => {
    if (event.key !== 'Enter') return;
    event.preventDefault();
    if (take()) onEnter(event.currentTarget);
  };

  return (
    <div className="reading-field">
      <label htmlFor={id}>
        {side === null ? '' : <strong>{side}</strong>} {ordinal}
      </label>
      <input
        id={id}
        className="reading"
        // The round is walked with Enter; the first field waits for the first number.
        autoFocus={focusFirst}
        inputMode="text"
        autoComplete="off"
        value={shown}
        aria-invalid={problem?.severity === 'error'}
        aria-describedby={`${id}-state`}
        onChange={(event) => {
          untaken.current = event.target.value;
          setDraft(event.target.value);
        }}
        onKeyDown={onKeyDown}
        onBlur={take}
      />
      <p id={`${id}-state`} className="field-state" role="status">
        {problem !== null ? (
          <>
            {problem.message} {problem.hint}
          </>
        ) : draft !== null ? (
          'not saved yet'
        ) : reading !== null ? (
          'saved'
        ) : (
          ''
        )}
      </p>
    </div>
  );
}
