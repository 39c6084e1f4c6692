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
  const saveNumber = (
    key: 'birthYear' | 'bodyMassKg',
    text: string,
    low: number,
    high: number,
  ): void => {
    const value = Number(text.replace(',', '.'));
    if (text.trim() === '') save({ [key]: null });
    else if (value >= low && value <= high) save({ [key]: value });
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
        <label className="field">
          <span>Born in</span>
          <input
            inputMode="numeric"
            defaultValue={person.birthYear ?? ''}
            onBlur={(event) => {
              saveNumber('birthYear', event.target.value, 1900, 2100);
            }}
          />
        </label>
        <label className="field">
          <span>Body mass, kg (optional)</span>
          <input
            inputMode="decimal"
            defaultValue={person.bodyMassKg ?? ''}
            onBlur={(event) => {
              saveNumber('bodyMassKg', event.target.value, 10, 400);
            }}
          />
        </label>
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
