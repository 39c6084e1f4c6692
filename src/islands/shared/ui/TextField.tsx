import { Field } from './Field.tsx';
interface TextFieldProps {
  label: string;
  value: string;
  required?: boolean;
  onChange: (value: string) => void;
}

/** A line of text with its name above it. */
export function TextField({ label, value, required = false, onChange }: TextFieldProps) {
  return (
    <Field label={label}>
      <input
        required={required}
        value={value}
        onChange={(event) => {
          onChange(event.target.value);
        }}
      />
    </Field>
  );
}
