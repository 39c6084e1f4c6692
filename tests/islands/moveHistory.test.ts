import { describe, expect, it } from 'vitest';
import { NOT_MOVED } from '../../src/core/whatIf/planMoved.ts';
import {
  beginHeld,
  beginHistory,
  letGo,
  moveOn,
  redoMove,
  undoMove,
} from '../../src/islands/setup/moveHistory.ts';

describe('what is held of a set-up by hand', () => {
  const begun = beginHistory('a');

  it('counts a drag as one step, however often it moves', () => {
    const first = moveOn(begun, { stanceCm: 100 }, true);
    const dragged = moveOn(moveOn(first, { stanceCm: 101 }, false), { stanceCm: 102 }, false);
    expect(dragged.now).toEqual({ ...NOT_MOVED, stanceCm: 102 });
    expect(undoMove(dragged).now).toEqual(NOT_MOVED);
  });

  it('changes one thing and keeps the others held, also by a step from what is held', () => {
    const held = moveOn(moveOn(begun, { stanceCm: 100 }, true), { backFootDeg: 80 }, true);
    const further = moveOn(held, ({ stanceCm }) => ({ stanceCm: stanceCm! + 5 }), true);
    expect(further.now).toEqual({ ...NOT_MOVED, stanceCm: 105, backFootDeg: 80 });
  });

  it('goes back step by step and forward again, and forgets what was undone once it is moved', () => {
    const two = moveOn(moveOn(begun, { stanceCm: 100 }, true), { stanceCm: 110 }, true);
    const back = undoMove(undoMove(two));
    expect(back.now).toEqual(NOT_MOVED);
    expect(undoMove(back)).toBe(back);
    expect(redoMove(redoMove(back))).toEqual(two);
    expect(redoMove(two)).toBe(two);
    const other = moveOn(undoMove(two), { stanceCm: 90 }, true);
    expect(redoMove(other)).toBe(other);
    expect(undoMove(other).now.stanceCm).toBe(100);
  });

  it('lets go of everything as a step that can be undone', () => {
    const held = moveOn(begun, { depth: 60 }, true);
    const free = letGo(held);
    expect(free.now).toEqual(NOT_MOVED);
    expect(undoMove(free).now).toEqual(held.now);
  });

  it('holds the same in another request, with the recommended one behind it', () => {
    const other = beginHeld('b', { ...NOT_MOVED, depth: 60 });
    expect(other.key).toBe('b');
    expect(undoMove(other).now).toEqual(NOT_MOVED);
  });
});
