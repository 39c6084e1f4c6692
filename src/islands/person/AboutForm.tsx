import { useState } from 'react';
import type { Experience, Person } from '../../core/person/person.ts';
import { changePerson } from '../../data/people.ts';

const EXPERIENCE: readonly { readonly value: Experience; readonly words: string }[] = [
  { value: 'new', words: 'new: keeps a tenth of every range in reserve' },
  { value: 'steady', words: 'steady: keeps a twentieth in reserve' },
  { value: 'seasoned', words: 'seasoned: keeps nothing in reserve' },
];

/** Who someone is, and what the sums need of it. */
export function AboutForm({ person }: { person: Person }) {
  const save = (changes: Partial<Person>): void => {
    void changePerson(person.id, () => changes);
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
        <span>Reference bands (only what is shown beside the values)</span>
        <select
          value={person.sexForReference ?? ''}
          onChange={(event) => {
            const { value } = event.target;
            save({ sexForReference: value === 'female' || value === 'male' ? value : null });
          }}
        >
          <option value="">not said</option>
          <option value="female">of women</option>
          <option value="male">of men</option>
        </select>
      </label>
      <label className="field">
        <span>Private notes (never printed)</span>
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
