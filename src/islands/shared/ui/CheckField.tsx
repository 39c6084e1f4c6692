import type { ReactNode } from 'react';

interface CheckFieldProps {
  isChecked: boolean;
  isDisabled?: boolean;
  onChange: (isChecked: boolean) => void;
  /** What is said beside the box. */
  children: ReactNode;
}

/** A box to tick, with its words beside it. */
export function CheckField({ isChecked, isDisabled = false, onChange, children }: CheckFieldProps) {
  return (
    <label className="flex min-h-11 cursor-pointer items-center gap-[0.6rem]">
      <input
        type="checkbox"
        checked={isChecked}
        disabled={isDisabled}
        onChange={(event) => {
          onChange(event.target.checked);
        }}
      />{' '}
      <span>{children}</span>
    </label>
  );
}
