import { READING } from './readingLook.ts';
import { toTenths } from '../../core/units/rounding.ts';
import { useState, type KeyboardEvent } from 'react';
import { checkValue } from '../../core/measures/checkReading.ts';
import type { Protocol, Side } from '../../core/measures/protocol.ts';
import type { Reading } from '../../core/measures/reading.ts';
import { readTape, type TapeBody, type TapeForm } from '../../core/measures/tapeForms.ts';
import type { PersonRecord } from '../../core/person/person.ts';
import type { Problem } from '../../core/problems/problem.ts';
import { cmFromMetres } from '../../core/units/brands.ts';
import { readLength, type LengthUnit } from '../../core/units/readQuantity.ts';
import { saveReading } from '../../data/readings.ts';
import { ProblemList } from '../shared/ProblemList.tsx';
import { writeValue } from '../shared/writeValue.ts';
import type { HowTaken } from './HowTaken.tsx';
import { questionTaken } from './questionTaken.ts';
import { UnitInput } from '../shared/ui/UnitInput.tsx';
import { useWrite } from '../shared/useWrite.tsx';
import { tapeReading as say } from './words.ts';

interface TapeReadingProps {
  record: PersonRecord;
  protocol: Protocol;
  form: TapeForm;
  /** The lengths of this side's leg; null = not measured yet. */
  body: TapeBody | null;
  side: Side | null;
  row: number;
  reading: Reading | null;
  how: HowTaken;
  unit: LengthUnit;
  onEnter: (from: HTMLInputElement) => void;
}

function lengthsOf(reading: Reading | null): Readonly<Record<string, unknown>> {
  const tape = reading?.raw?.tape;
  return typeof tape === 'object' && tape !== null ? { ...tape } : {};
}

/** One range by tape: its lengths are typed, the angle follows with its sum. Saved at the last Enter. */
export function TapeReading(props: TapeReadingProps) {
  const { record, protocol, form, body, side, row, reading, how, unit, onEnter } = props;
  const [typed, setTyped] = useState<Readonly<Record<string, string>>>({});
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const { write, told } = useWrite();
  const [newId] = useState(() => crypto.randomUUID());
  const known = lengthsOf(reading);

  if (body === null) {
    return row === 0 ? <p className="font-semibold">{say.tapeMeasureNeedsLegs}</p> : null;
  }
  const take = (): boolean => {
    const given: Record<string, number> = {};
    for (const { id, name } of form.fields) {
      const text = typed[id]?.trim() ?? '';
      const before = known[id];
      if (text === '') {
        if (typed[id] === undefined && typeof before === 'number') given[id] = before;
        continue;
      }
      const length = readLength(text, unit, name);
      if (!length.ok) {
        setProblems(length.problems);
        return false;
      }
      given[id] = toTenths(cmFromMetres(length.value));
    }
    if (Object.keys(given).length === 0 && reading === null) return true;
    const answer = readTape(form, given, body);
    if (!answer.ok) {
      setProblems(answer.problems);
      return false;
    }
    const value = toTenths(answer.value.deg);
    const found = checkValue(value, protocol, protocol.name);
    setProblems(found);
    if (found.some((each) => each.severity === 'error')) return false;
    const taken: Reading = {
      id: reading?.id ?? newId,
      measure: protocol.id,
      side,
      value,
      unit: protocol.unit,
      raw: { tape: given, working: answer.value.working },
      instrument: 'tape',
      posture: protocol.posture,
      state: reading?.state ?? how.state,
      takenBy: reading?.takenBy ?? how.takenBy,
      takenAt: reading?.takenAt ?? new Date().toISOString(),
      note: '',
    };
    const question = questionTaken(record, taken);
    if (question !== null) setProblems([question]);
    write(() => saveReading(record.person.id, taken), taken);
    return true;
  };
  const onKey = (event: KeyboardEvent<HTMLInputElement>, isLast: boolean): void => {
    if (event.key !== 'Enter') return;
    event.preventDefault();
    if (!isLast || take()) onEnter(event.currentTarget);
  };
  // What has a usual value may be left alone: Enter in the last needed field takes the reading.
  const lastNeeded = form.fields.findLastIndex((each) => each.usual === null);
  const working = reading?.raw?.working;
  return (
    <fieldset className="mb-2 [&_label]:mt-[0.35rem] [&_label]:block [&_strong]:font-serif [&_strong]:text-[1.3rem] [&_strong]:leading-[normal] [&_strong]:font-semibold">
      <legend>
        <strong>{side ?? 'tape'}</strong>
        {say.reading(['first', 'second', 'third'][row] ?? `${String(row + 1)}th`)}
      </legend>
      {form.fields.map(({ id, name, usual }, i) => {
        const before = known[id];
        const written = typeof before === 'number' ? writeValue(before, 'cm', unit) : '';
        return (
          <label key={id}>
            {name}
            <UnitInput
              unit={unit}
              className={usual === null ? `${READING} py-[0.2rem] text-[1.9rem]` : ''}
              data-reading={usual === null ? true : undefined}
              data-testid={usual === null ? 'reading' : 'usual'}
              inputMode="decimal"
              autoComplete="off"
              value={typed[id] ?? written}
              placeholder={usual === null ? '' : writeValue(usual, 'cm', unit)}
              onChange={(event) => {
                setTyped({ ...typed, [id]: event.target.value });
              }}
              onKeyDown={(event) => {
                onKey(event, i >= lastNeeded);
              }}
            />
          </label>
        );
      })}
      {problems.length > 0 && <ProblemList problems={problems} />}
      {told}
      {typeof working === 'string' && reading !== null && (
        <p className="text-faint" role="status">
          {working} = {writeValue(reading.value, 'deg', unit)}
        </p>
      )}
    </fieldset>
  );
}
