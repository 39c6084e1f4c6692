import { useState } from 'react';
import { Field } from '../shared/ui/Field.tsx';
import { habits as say } from './words.ts';

interface NumberFieldProps {
  label: string;
  value: number | null;
  range: readonly [least: number, most: number];
  onChange: (value: number) => void;
}

/** A number that is saved when its field is left; one out of range says why and is not. */
export function NumberField({ label, value, range: [least, most], onChange }: NumberFieldProps) {
  const [typed, setTyped] = useState<string | null>(null);
  const number = Number((typed ?? '').replace(',', '.'));
  const isWrong = typed !== null && (typed.trim() === '' || !(number >= least && number <= most));
  return (
    <Field label={label}>
      <input
        inputMode="decimal"
        value={typed ?? value ?? ''}
        aria-invalid={isWrong}
        onChange={(event) => {
          setTyped(event.target.value);
        }}
        onBlur={() => {
          if (typed === null || isWrong) return;
          setTyped(null);
          if (number !== value) onChange(number);
        }}
      />
      {isWrong && <span role="alert">{say.notANumber(least, most)}</span>}
    </Field>
  );
}
