import clsx from 'clsx';
import type { ComponentProps } from 'react';

/** Something said aside, on a ground of mist. */
export const Notice = ({ className, ...rest }: ComponentProps<'div'>) => (
  <div className={clsx('max-w-none rounded-md bg-mist px-[0.9rem] py-2', className)} {...rest} />
);
