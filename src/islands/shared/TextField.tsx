interface TextFieldProps {
  label: string;
  value: string;
  required?: boolean;
  onChange: (value: string) => void;
}

/** A line of text with its name above it. */
export function TextField({ label, value, required = false, onChange }: TextFieldProps) {
  return (
    <label className="field">
      <span>{label}</span>
      <input
        required={required}
        value={value}
        onChange={(event) => {
          onChange(event.target.value);
        }}
      />
    </label>
  );
}
