import { toTenths } from '../../core/units/rounding.ts';
import { useState } from 'react';
import { checkValue } from '../../core/measures/checkReading.ts';
import type { MeasureId } from '../../core/measures/protocols/index.ts';
import { getProtocol } from '../../core/measures/protocols/index.ts';
import { correctReading, isCounted, type Reading } from '../../core/measures/reading.ts';
import type { PersonRecord } from '../../core/person/person.ts';
import type { Problem } from '../../core/problems/problem.ts';
import { saveReading } from '../../data/readings.ts';
import { ProblemList } from '../shared/ProblemList.tsx';
import { useUnit } from '../shared/useRecord.ts';
import { writeDate, writeValue } from '../shared/writeValue.ts';
import { readTyped } from '../shared/readTyped.ts';
import { useWrite } from '../shared/useWrite.tsx';
import { Button, WordButton } from '../shared/ui/Button.tsx';
import { Field } from '../shared/ui/Field.tsx';
import { readingsList as say } from './words.ts';

/** Every reading of one measure, newest first: each can be put right or set aside, with a reason. */
export function ReadingsList({ record, measure }: { record: PersonRecord; measure: MeasureId }) {
  const readings = record.readings
    .filter((each) => each.measure === measure)
    .sort((a, b) => b.takenAt.localeCompare(a.takenAt));
  if (readings.length === 0) return null;
  return (
    <details
      className="[&_li]:border-b [&_li]:border-hair [&_li]:py-[0.15rem]"
      data-testid="readings-list"
    >
      <summary>
        {say.measure(readings.length === 1 ? say.oneReading : say.allReadings(readings.length))}
      </summary>
      <ul>
        {readings.map((reading) => (
          <ReadingLine key={reading.id} personId={record.person.id} reading={reading} />
        ))}
      </ul>
    </details>
  );
}

function ReadingLine({ personId, reading }: { personId: string; reading: Reading }) {
  const unit = useUnit();
  const [open, setOpen] = useState<'value' | 'reason' | null>(null);
  const { write: save, told: refusal } = useWrite();
  const write = (value: number): string => writeValue(value, reading.unit, unit);
  const { side, value, takenAt, state, takenBy, instrument, corrected, setAside } = reading;
  const isSetAside = setAside != null;
  const told = [side, writeDate(takenAt), state, instrument, takenBy].filter(
    (each) => each !== null && each !== undefined && each !== '',
  );
  return (
    <li>
      <span className={isCounted(reading) ? '' : 'text-faint line-through'}>{write(value)}</span>{' '}
      <span className="text-faint">
        {told.join(', ')}
        {corrected != null && say.first(write(corrected.from), corrected.reason)}
        {setAside != null && say.setAside(setAside.reason)}
        {reading.isSimulated === true && say.simulatedNotCounted}
        {reading.note !== '' && `; ${reading.note}`}
      </span>{' '}
      {open === null && (
        <>
          <WordButton
            onClick={() => {
              setOpen('value');
            }}
          >
            {say.correct}
          </WordButton>{' '}
          {!isSetAside ? (
            <WordButton
              onClick={() => {
                setOpen('reason');
              }}
            >
              {say.setAsideWord}
            </WordButton>
          ) : (
            <WordButton
              onClick={() => {
                save(() => saveReading(personId, { ...reading, setAside: null }));
              }}
            >
              {say.includeAgain}
            </WordButton>
          )}
        </>
      )}
      {refusal}
      {open !== null && (
        <ChangeForm
          personId={personId}
          reading={reading}
          asksValue={open === 'value'}
          onDone={() => {
            setOpen(null);
          }}
        />
      )}
    </li>
  );
}

interface ChangeFormProps {
  personId: string;
  reading: Reading;
  asksValue: boolean;
  onDone: () => void;
}

function ChangeForm({ personId, reading, asksValue, onDone }: ChangeFormProps) {
  const unit = useUnit();
  const [text, setText] = useState('');
  const [reason, setReason] = useState('');
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const protocol = getProtocol(reading.measure as MeasureId);
  const { write, told } = useWrite();
  const store = (changed: Reading): void => {
    write(async () => {
      await saveReading(personId, changed);
      onDone();
    });
  };
  const save = (): void => {
    const at = new Date().toISOString();
    if (!asksValue) {
      store({ ...reading, setAside: { reason: reason.trim(), at } });
      return;
    }
    const typed = readTyped(text, protocol, unit);
    const found = typed.ok
      ? checkValue(toTenths(typed.value), protocol, protocol.name)
      : typed.problems;
    setProblems(found);
    if (!typed.ok || found.some((each) => each.severity === 'error')) return;
    store(correctReading(reading, toTenths(typed.value), reason.trim(), at));
  };
  return (
    <form
      className="max-w-md py-2"
      onSubmit={(event) => {
        event.preventDefault();
        save();
      }}
    >
      {told}
      {asksValue && (
        <Field label={say.correctValue}>
          <input
            autoFocus
            value={text}
            onChange={(event) => {
              setText(event.target.value);
            }}
          />
        </Field>
      )}
      <Field label={say.why}>
        <input
          required
          autoFocus={!asksValue}
          value={reason}
          onChange={(event) => {
            setReason(event.target.value);
          }}
        />
      </Field>
      <div className="my-4 flex flex-wrap gap-3">
        <Button type="submit">{asksValue ? say.saveCorrection : say.setAside2}</Button>
        <Button isPlain onClick={onDone}>
          {say.cancel}
        </Button>
      </div>
      <ProblemList problems={problems} />
    </form>
  );
}
