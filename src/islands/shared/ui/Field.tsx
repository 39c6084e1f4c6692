import clsx from 'clsx';
import type { ReactNode } from 'react';

interface FieldProps {
  label: ReactNode;
  className?: string;
  /** The control, and what is said below it. */
  children: ReactNode;
}

/** A control with its name above it. */
export const Field = ({ label, className, children }: FieldProps) => (
  <label className={clsx('mb-[0.7rem] grid max-w-120 gap-[0.2rem]', className)}>
    <span className="text-[0.95rem] text-faint">{label}</span>
    {children}
  </label>
);
