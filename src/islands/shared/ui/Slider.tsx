import clsx from 'clsx';
import type { ComponentProps } from 'react';

/** A value that is slid between two ends. */
export const Slider = ({ className, ...rest }: Omit<ComponentProps<'input'>, 'type'>) => (
  <input
    type="range"
    className={clsx('h-11 cursor-pointer border-0 bg-transparent p-0 accent-water', className)}
    {...rest}
  />
);
