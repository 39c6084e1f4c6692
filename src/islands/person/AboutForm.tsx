import type { Experience, Person } from '../../core/person/person.ts';
import { changePerson, type PersonAnswer } from '../../data/people.ts';
import { SavedField } from '../shared/SavedField.tsx';
import { useWrite } from '../shared/useWrite.tsx';
import { Field } from '../shared/ui/Field.tsx';

const EXPERIENCE: readonly { readonly value: Experience; readonly words: string }[] = [
  { value: 'new', words: 'new: keeps a tenth of every range in reserve' },
  { value: 'steady', words: 'steady: keeps a twentieth in reserve' },
  { value: 'seasoned', words: 'seasoned: keeps nothing in reserve' },
];

const NAME: PersonAnswer = {
  read: ({ name }) => name,
  write: (_, name) => ({ name }),
};
const NOTES: PersonAnswer = {
  read: ({ notes }) => notes,
  write: (_, notes) => ({ notes }),
};

const readNumber = (text: string): number => Number(text.replace(',', '.'));
const toNumber = (text: string): number | null => (text === '' ? null : readNumber(text));
const toText = (value: number | null): string => (value === null ? '' : String(value));

const BIRTH_YEAR: PersonAnswer = {
  read: ({ birthYear }) => toText(birthYear),
  write: (_, text) => ({ birthYear: toNumber(text) }),
};
const BODY_MASS: PersonAnswer = {
  read: ({ bodyMassKg }) => toText(bodyMassKg),
  write: (_, text) => ({ bodyMassKg: toNumber(text) }),
};

const checkName = (text: string): string | null =>
  text === '' ? 'A name is needed. It is not saved.' : null;

/** A number that may be left out; one that cannot be right is said and not saved. */
const checkNumber =
  (label: string, [low, high]: readonly [number, number], whole: boolean) =>
  (text: string): string | null => {
    const number = readNumber(text);
    const fits = number >= low && number <= high && (!whole || Number.isInteger(number));
    return text === '' || fits
      ? null
      : `${label}: “${text}” is not ${whole ? 'a year' : 'a number'} from ${String(low)} to ${String(high)}. It is not saved.`;
  };
const checkBirthYear = checkNumber('Born in', [1900, 2100], true);
const checkBodyMass = checkNumber('Body mass, kg (optional)', [10, 400], false);

/** Who someone is, and what the sums need of it. */
export function AboutForm({ person }: { person: Person }) {
  const experience = useWrite();
  const reference = useWrite();
  return (
    <div>
      <SavedField label="Name" person={person} answer={NAME} check={checkName} />
      <Field label="Experience">
        <select
          value={person.experience}
          onChange={(event) => {
            const chosen = event.target.value as Experience;
            experience.write(() => changePerson(person.id, () => ({ experience: chosen })));
          }}
        >
          {EXPERIENCE.map(({ value, words }) => (
            <option key={value} value={value}>
              {words}
            </option>
          ))}
        </select>
      </Field>
      {experience.told}
      <div className="grid max-w-120 grid-cols-2 gap-4">
        <SavedField
          label="Born in"
          person={person}
          answer={BIRTH_YEAR}
          check={checkBirthYear}
          inputMode="decimal"
        />
        <SavedField
          label="Body mass, kg (optional)"
          person={person}
          answer={BODY_MASS}
          check={checkBodyMass}
          inputMode="decimal"
        />
      </div>
      <Field label="Reference bands (only what is shown beside the values)">
        <select
          value={person.sexForReference ?? ''}
          onChange={(event) => {
            const { value } = event.target;
            const chosen = value === 'female' || value === 'male' ? value : null;
            reference.write(() => changePerson(person.id, () => ({ sexForReference: chosen })));
          }}
        >
          <option value="">not said</option>
          <option value="female">of women</option>
          <option value="male">of men</option>
        </select>
      </Field>
      {reference.told}
      <SavedField label="Private notes (never printed)" person={person} answer={NOTES} rows={3} />
      <p className="text-faint">Everything here is saved as you leave a field.</p>
    </div>
  );
}
