import clsx from 'clsx';
import type { ComponentProps } from 'react';

/** A small ink triangle: there is more to choose. */
const TRIANGLE =
  'bg-[conic-gradient(from_-45deg_at_50%_100%,var(--color-water)_90deg,transparent_0)] bg-[length:0.8rem_0.4rem] bg-[position:calc(100%-0.15rem)_55%] bg-no-repeat';

/** A choice that stands in a line of text, as an underlined word. */
export const WordSelect = ({ className, ...rest }: ComponentProps<'select'>) => (
  <select
    className={clsx(
      TRIANGLE,
      'field-sizing-content min-h-11 w-auto max-w-full cursor-pointer appearance-none rounded-none border-0 bg-transparent py-0 pr-[1.1rem] pl-[0.15rem] underline decoration-water decoration-2 underline-offset-4',
      className,
    )}
    {...rest}
  />
);
