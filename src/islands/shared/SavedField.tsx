import type { Person } from '../../core/person/person.ts';
import { changeAnswer, type PersonAnswer } from '../../data/people.ts';
import { useStoredText } from './useStoredText.tsx';
import { UnitInput } from './ui/UnitInput.tsx';
import { Field } from './ui/Field.tsx';

interface SavedFieldProps {
  label: string;
  person: Person;
  answer: PersonAnswer;
  /** What is wrong with a text, in a sentence; null = it can be stored. */
  check?: (text: string) => string | null;
  /** More than one line. */
  rows?: number;
  inputMode?: 'decimal';
  /** Of a number. */
  unit?: string;
}

/** An answer of a person that is stored when its field is left. */
export function SavedField({
  label,
  person,
  answer,
  check,
  rows,
  inputMode,
  unit,
}: SavedFieldProps) {
  const { field, told } = useStoredText({
    label,
    stored: answer.read(person),
    store: (from, to) => changeAnswer(person.id, answer, from, to),
    check,
  });
  return (
    <div>
      <Field label={label}>
        {unit !== undefined ? (
          <UnitInput {...field} inputMode={inputMode} unit={unit} />
        ) : rows === undefined ? (
          <input {...field} inputMode={inputMode} />
        ) : (
          <textarea {...field} rows={rows} />
        )}
      </Field>
      {told}
    </div>
  );
}
