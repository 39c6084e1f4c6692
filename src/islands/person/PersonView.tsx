import { useState } from 'react';
import { findActiveCautions } from '../../core/cautions/stopSigns.ts';
import { calcMeasureSet } from '../../core/measures/measureSet.ts';
import { getProtocol } from '../../core/measures/protocols/index.ts';
import { isStale } from '../../core/measures/staleness.ts';
import type { Experience, Person, PersonRecord } from '../../core/person/person.ts';
import { savePerson } from '../../data/people.ts';
import { Missing } from '../shared/Missing.tsx';
import { PersonSentence } from '../shared/PersonSentence.tsx';
import { StopSigns } from '../shared/StopSigns.tsx';
import { useQuery } from '../shared/useQuery.ts';
import { useRecord } from '../shared/useRecord.ts';
import { writeDate } from '../shared/words.ts';

const EXPERIENCE: readonly { readonly value: Experience; readonly words: string }[] = [
  { value: 'new', words: 'new: keeps a tenth of every range in reserve' },
  { value: 'steady', words: 'steady: keeps a twentieth in reserve' },
  { value: 'seasoned', words: 'seasoned: keeps nothing in reserve' },
];

/** Who someone is, what to mind with them, and what is due to be measured again. */
export function PersonView() {
  const [query] = useQuery();
  const record = useRecord(query.get('id'));
  if (record === undefined || record === null) return <Missing loading={record === undefined} />;
  const { person } = record;
  return (
    <>
      <PersonSentence person={person} here="person" />
      <div className="two-columns">
        <section>
          <h1>What to mind</h1>
          <p className="quiet">
            {person.cautionsAskedAt === null
              ? 'Not asked yet. Nothing here is a diagnosis; local rules for teachers come first.'
              : `Last asked ${writeDate(person.cautionsAskedAt)}. Nothing here is a diagnosis; local rules for teachers come first.`}
          </p>
          <Noted person={person} />
          <StopSigns person={person} />
        </section>
        <section>
          <h2>Who</h2>
          <AboutForm person={person} key={person.id} />
          <h2>Due again</h2>
          <DueList record={record} />
        </section>
      </div>
    </>
  );
}

/** What is set now, before the whole list of questions. */
function Noted({ person }: { person: Person }) {
  const active = findActiveCautions(person);
  if (active.length === 0) return null;
  return (
    <ul className="plain-list noted">
      {active.map(({ entry, kind, stops }) => (
        <li key={entry.id}>
          <strong className={stops ? 'stop-word' : ''}>
            {kind?.name ?? entry.id}
            {entry.side === null ? '' : `, ${entry.side}`}
          </strong>
          {entry.clearedBy === null ? '' : `, cleared by ${entry.clearedBy}`}
          {entry.note === '' ? '' : `: ${entry.note}`}
        </li>
      ))}
    </ul>
  );
}

function AboutForm({ person }: { person: Person }) {
  const save = (changes: Partial<Person>): void => {
    void savePerson({ ...person, ...changes });
  };
  return (
    <div className="about">
      <label className="field">
        <span>Name</span>
        <input
          defaultValue={person.name}
          onBlur={(event) => {
            const name = event.target.value.trim();
            if (name !== '') save({ name });
          }}
        />
      </label>
      <label className="field">
        <span>Experience</span>
        <select
          value={person.experience}
          onChange={(event) => {
            save({ experience: event.target.value as Experience });
          }}
        >
          {EXPERIENCE.map(({ value, words }) => (
            <option key={value} value={value}>
              {words}
            </option>
          ))}
        </select>
      </label>
      <div className="field-row">
        <NumberField
          label="Born in"
          value={person.birthYear}
          range={[1900, 2100]}
          whole
          onSave={(birthYear) => {
            save({ birthYear });
          }}
        />
        <NumberField
          label="Body mass, kg (optional)"
          value={person.bodyMassKg}
          range={[10, 400]}
          onSave={(bodyMassKg) => {
            save({ bodyMassKg });
          }}
        />
      </div>
      <label className="field">
        <span>Notes</span>
        <textarea
          rows={3}
          defaultValue={person.notes}
          onBlur={(event) => {
            save({ notes: event.target.value });
          }}
        />
      </label>
      <p className="quiet">Everything here is saved as you leave a field.</p>
    </div>
  );
}

interface NumberFieldProps {
  label: string;
  value: number | null;
  range: readonly [number, number];
  whole?: boolean;
  onSave: (value: number | null) => void;
}

/** A number that may be left out; one that cannot be right is said and not saved. */
function NumberField({ label, value, range, whole = false, onSave }: NumberFieldProps) {
  const [problem, setProblem] = useState<string | null>(null);
  const [low, high] = range;
  const take = (text: string): void => {
    const number = Number(text.replace(',', '.'));
    const fits = number >= low && number <= high && (!whole || Number.isInteger(number));
    if (text.trim() !== '' && !fits) {
      setProblem(
        `${label}: “${text}” is not ${whole ? 'a year' : 'a number'} from ${String(low)} to ${String(high)}. It is not saved.`,
      );
      return;
    }
    setProblem(null);
    onSave(text.trim() === '' ? null : number);
  };
  return (
    <label className="field">
      <span>{label}</span>
      <input
        inputMode="decimal"
        defaultValue={value ?? ''}
        aria-invalid={problem !== null}
        onBlur={(event) => {
          take(event.target.value);
        }}
      />
      {problem !== null && <span role="alert">{problem}</span>}
    </label>
  );
}

function DueList({ record }: { record: PersonRecord }) {
  const now = new Date().toISOString();
  const values = [...calcMeasureSet(record.readings).values()];
  if (values.length === 0) {
    return (
      <p>
        Nothing is measured yet.{' '}
        <a href={`/measure?id=${encodeURIComponent(record.person.id)}`}>Start a short round</a>
      </p>
    );
  }
  const stale = values.filter((each) =>
    isStale(each.measure, each.takenAt, now, record.person.birthYear),
  );
  if (stale.length === 0) return <p>Every value is fresh.</p>;
  return (
    <ul className="due">
      {stale.map((each) => (
        <li key={`${each.measure} ${each.side ?? ''}`}>
          {getProtocol(each.measure).name}
          {each.side === null ? '' : `, ${each.side}`}{' '}
          <span className="quiet">{writeDate(each.takenAt)}</span>
        </li>
      ))}
    </ul>
  );
}
