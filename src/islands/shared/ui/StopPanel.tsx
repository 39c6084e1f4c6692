import clsx from 'clsx';
import type { ComponentProps } from 'react';

/** What must not be overlooked: framed in the one warm colour. */
export const StopPanel = ({ className, ...rest }: ComponentProps<'div'>) => (
  <div
    className={clsx(
      'rounded-md border-3 border-stop bg-sheet px-6 pt-2 pb-4 [&_h2]:text-stop [&_li>strong]:text-stop',
      className ?? 'max-w-160',
    )}
    {...rest}
  />
);
