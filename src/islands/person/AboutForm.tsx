import type { Person } from '../../core/person/person.ts';
import { changePerson, type PersonAnswer } from '../../data/people.ts';
import { SavedField } from '../shared/SavedField.tsx';
import { useWrite } from '../shared/useWrite.tsx';
import { SelectField } from '../shared/ui/SelectField.tsx';
import { ExperienceField } from '../shared/ExperienceField.tsx';
import { aboutForm as say } from './words.ts';

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

const checkName = (text: string): string | null => (text === '' ? say.nameEmptyNotSaved : null);

/** A number that may be left out; one that cannot be right is said and not saved. */
const checkNumber =
  (label: string, [low, high]: readonly [number, number], whole: boolean) =>
  (text: string): string | null => {
    const number = readNumber(text);
    const fits = number >= low && number <= high && (!whole || Number.isInteger(number));
    return text === '' || fits
      ? null
      : say.notFromNotSaved(label, text, whole ? say.year : say.number, low, high);
  };
const checkBirthYear = checkNumber(say.birthYear, [1900, 2100], true);
const checkBodyMass = checkNumber(say.bodyMassKgOptional, [10, 400], false);

/** Who someone is, and what the sums need of it. */
export function AboutForm({ person }: { person: Person }) {
  const reference = useWrite();
  return (
    <div>
      <SavedField label={say.name} person={person} answer={NAME} check={checkName} />
      <ExperienceField person={person} />
      <div className="grid max-w-120 grid-cols-2 gap-4">
        <SavedField
          label={say.birthYear}
          person={person}
          answer={BIRTH_YEAR}
          check={checkBirthYear}
          inputMode="decimal"
        />
        <SavedField
          label={say.bodyMassKgOptional}
          person={person}
          answer={BODY_MASS}
          check={checkBodyMass}
          inputMode="decimal"
          unit="kg"
        />
      </div>
      <SelectField
        label={say.referenceRangesShownNext}
        value={person.sexForReference ?? ''}
        options={[
          ['', say.notSaid],
          ['female', say.forWomen],
          ['male', say.forMen],
        ]}
        onChange={(value) => {
          const chosen = value === 'female' || value === 'male' ? value : null;
          reference.write(() => changePerson(person.id, () => ({ sexForReference: chosen })));
        }}
      />
      {reference.told}
      <SavedField label={say.privateNotesNeverPrinted} person={person} answer={NOTES} rows={3} />
      <p className="text-faint">{say.eachFieldSavedWhen}</p>
    </div>
  );
}
