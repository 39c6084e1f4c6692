import clsx from 'clsx';
import type { ComponentProps } from 'react';

const LOOKS = {
  /** As wide as its content; the last column takes the remaining width. */
  values:
    'mb-6 [&_svg]:block [&_td]:py-[0.15rem] [&_td]:pr-4 [&_td]:whitespace-nowrap [&_td:last-child]:min-w-64 [&_td:last-child]:whitespace-normal [&_th]:py-[0.15rem] [&_th]:pr-4 [&_th]:font-normal [&_th]:whitespace-nowrap [&_thead_th]:font-serif [&_thead_th]:text-base [&_thead_th]:leading-[normal] [&_thead_th]:text-faint [&_thead_th]:italic',
  /** As wide as its column. */
  list: 'mb-4 w-full [&_td]:py-1 [&_td]:pr-3 [&_td]:align-baseline [&_th]:py-1 [&_th]:pr-3 [&_th]:align-baseline',
} as const;

/** A table with a hairline under every row. */
export const Table = ({
  look,
  className,
  ...rest
}: { look: keyof typeof LOOKS } & ComponentProps<'table'>) => (
  <table
    className={clsx(
      'border-collapse [&_td]:border-b [&_td]:border-hair [&_td]:text-left [&_th]:border-b [&_th]:border-hair [&_th]:text-left',
      LOOKS[look],
      className,
    )}
    {...rest}
  />
);
