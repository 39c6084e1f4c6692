import { ArrowDown, ArrowUp, X } from 'lucide-react';
import type { ComponentProps } from 'react';

const IconButton = (props: ComponentProps<'button'>) => (
  <button
    type="button"
    className="inline-grid min-h-11 min-w-11 cursor-pointer place-items-center rounded-md disabled:cursor-default disabled:opacity-30"
    {...props}
  />
);

interface OrderButtonsProps {
  at: number;
  count: number;
  /** What each button says to those who do not see it. */
  words: { readonly earlier: string; readonly later: string; readonly leaveOut: string };
  onMove: (to: number) => void;
  onLeaveOut: () => void;
}

/** Beside an item of an ordered list: one place earlier, one later, and out of it. */
export const OrderButtons = ({ at, count, words, onMove, onLeaveOut }: OrderButtonsProps) => (
  <>
    <IconButton
      aria-label={words.earlier}
      disabled={at === 0}
      onClick={() => {
        onMove(at - 1);
      }}
    >
      <ArrowUp aria-hidden size={18} />
    </IconButton>
    <IconButton
      aria-label={words.later}
      disabled={at === count - 1}
      onClick={() => {
        onMove(at + 1);
      }}
    >
      <ArrowDown aria-hidden size={18} />
    </IconButton>
    <IconButton aria-label={words.leaveOut} onClick={onLeaveOut}>
      <X aria-hidden size={18} />
    </IconButton>
  </>
);
