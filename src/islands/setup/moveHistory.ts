import type { AsFound } from '../../core/rules/houseRules.ts';
import { NOT_MOVED } from '../../core/whatIf/planMoved.ts';

/** What is held of a set-up by hand, with what was held before and what was undone. */
export interface MoveHistory {
  /** Of the request that is moved. */
  readonly key: string;
  readonly past: readonly AsFound[];
  readonly now: AsFound;
  readonly future: readonly AsFound[];
}

/** What is to be held, or what it is to be, from what is held now. */
export type HeldChange = Partial<AsFound> | ((now: AsFound) => Partial<AsFound>);

export const beginHistory = (key: string): MoveHistory => ({
  key,
  past: [],
  now: NOT_MOVED,
  future: [],
});

/** Another request in which the same is held; undo leads to its recommended set-up. */
export const beginHeld = (key: string, held: AsFound): MoveHistory => ({
  key,
  past: [NOT_MOVED],
  now: held,
  future: [],
});

/**
 * Holds something more, or something else. What was undone is gone then.
 *
 * @param isNew a new step to undo; while a drag goes on it is the same step
 */
export const moveOn = (
  { key, past, now }: MoveHistory,
  change: HeldChange,
  isNew: boolean,
): MoveHistory => ({
  key,
  past: isNew ? [...past, now] : past,
  now: { ...now, ...(typeof change === 'function' ? change(now) : change) },
  future: [],
});

/** One step back; the same history where there is none. */
export function undoMove(from: MoveHistory): MoveHistory {
  const { key, past, now, future } = from;
  const before = past.at(-1);
  return before === undefined
    ? from
    : { key, past: past.slice(0, -1), now: before, future: [now, ...future] };
}

/** One step forward again; the same history where nothing was undone. */
export function redoMove(from: MoveHistory): MoveHistory {
  const { key, past, now } = from;
  const [next, ...future] = from.future;
  return next === undefined ? from : { key, past: [...past, now], now: next, future };
}

/** Lets go of everything, as one step that can be undone. */
export const letGo = ({ key, past, now }: MoveHistory): MoveHistory => ({
  key,
  past: [...past, now],
  now: NOT_MOVED,
  future: [],
});
