import type { ReaderState } from '../../../core/instruments/angleReader.ts';
import type { Slot } from '../slots.ts';

const ORDINALS = ['first', 'second', 'third'] as const;

/** A reading by its side and its place in the row. */
export const nameSlot = ({ side, row }: Slot): string =>
  `${side === null ? '' : `${side}, `}${ORDINALS[row] ?? `${String(row + 1)}th`} reading`;

/** What the instrument does, and what to do with it. */
export function describeReading(
  state: ReaderState | null,
  isLost: boolean,
  next: Slot | null,
): string {
  if (isLost && state === null)
    return 'Nothing comes from the instrument yet. Type the number in the meantime.';
  if (isLost)
    return 'The instrument is gone; it reconnects by itself. Saved readings are kept, and numbers can be typed.';
  if (state === null) return 'Waiting for the instrument.';
  if (state.zero === 'waiting for rest')
    return 'Hold it still at the start position: setting zero.';
  if (next === null) return 'All readings here are saved.';
  if (state.zero === 'missing') return 'Lay it at the start position and press Zero.';
  if (state.isPoor) return 'Poor contact: press to save it; it is marked.';
  if (state.zero === 'due')
    return `Zero it again before the ${nameSlot(next)}: it may have drifted.`;
  if (!state.isArmed) return `Saved. Move the limb back for the ${nameSlot(next)}.`;
  return `Ready for the ${nameSlot(next)}.`;
}
