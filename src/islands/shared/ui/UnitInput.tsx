import clsx from 'clsx';
import type { ComponentProps } from 'react';

interface UnitInputProps extends ComponentProps<'input'> {
  /** `cm`, `°`, `kg`: stands inside the field until what is written there names its own. */
  unit: string;
}

const NAMES_A_UNIT = /[a-z°'"′″]\s*$/i;

/** A field for a number with its unit at the right end. */
export function UnitInput({ unit, className, ...rest }: UnitInputProps) {
  const { value } = rest;
  const namesOwn = typeof value === 'string' && NAMES_A_UNIT.test(value);
  return (
    <span className="relative block">
      <input className={clsx('pr-12', className)} {...rest} />
      {!namesOwn && (
        <span
          className="pointer-events-none absolute inset-y-0 right-3 flex items-center text-[1.1rem] text-faint"
          aria-hidden
        >
          {unit}
        </span>
      )}
    </span>
  );
}
