import clsx from 'clsx';
import type { ComponentProps } from 'react';

const PILL =
  'inline-flex min-h-12 cursor-pointer items-center gap-2 rounded-full border-[1.5px] border-ink px-[1.1rem] font-semibold no-underline disabled:cursor-default disabled:opacity-45';
const FILLED = 'bg-ink text-sheet';
const PLAIN = 'bg-transparent text-ink';
const WORD =
  'inline-block min-h-11 cursor-pointer disabled:cursor-default disabled:opacity-45 px-[0.15rem] underline decoration-water decoration-2 underline-offset-4';

/** A plain button is one of several ways on, not the main one. */
interface Look {
  isPlain?: boolean;
}

/** A button in the shape of a pill. */
export const Button = ({
  isPlain = false,
  className,
  type = 'button',
  ...rest
}: Look & ComponentProps<'button'>) => (
  <button type={type} className={clsx(PILL, isPlain ? PLAIN : FILLED, className)} {...rest} />
);

/** A link in the shape of a pill. */
export const ButtonLink = ({ isPlain = false, className, ...rest }: Look & ComponentProps<'a'>) => (
  <a className={clsx(PILL, isPlain ? PLAIN : FILLED, className)} {...rest} />
);

/** A button that stands in a line of text, as an underlined word. */
export const WordButton = ({ className, type = 'button', ...rest }: ComponentProps<'button'>) => (
  <button type={type} className={clsx(WORD, className)} {...rest} />
);

const TOGGLE =
  'cursor-pointer rounded-lg border-[1.5px] border-ink aria-pressed:bg-shallow aria-pressed:font-bold aria-pressed:inset-ring-2 aria-pressed:inset-ring-ink';
const TOGGLE_SIZES = {
  usual: 'min-h-12 min-w-12 bg-sheet px-[0.8rem] text-[1.2rem]',
  narrow: 'min-h-12 bg-sheet text-[1.2rem]',
  'on a picture': 'relative min-h-[46px] min-w-12 bg-sheet/72 px-[0.2rem] leading-[1.05]',
} as const;

/** A large button to press during a session; what is on (`aria-pressed`) is filled with water. */
export const Toggle = ({
  size = 'usual',
  className,
  type = 'button',
  ...rest
}: { size?: keyof typeof TOGGLE_SIZES } & ComponentProps<'button'>) => (
  <button type={type} className={clsx(TOGGLE, TOGGLE_SIZES[size], className)} {...rest} />
);
