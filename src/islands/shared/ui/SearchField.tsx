import { Field } from './Field.tsx';

interface SearchFieldProps {
  label: string;
  value: string;
  onChange: (value: string) => void;
}

/** A field that narrows a list down, with its name above it. */
export const SearchField = ({ label, value, onChange }: SearchFieldProps) => (
  <Field label={label}>
    <input
      type="search"
      value={value}
      onChange={(event) => {
        onChange(event.target.value);
      }}
    />
  </Field>
);
