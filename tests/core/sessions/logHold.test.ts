import { describe, expect, it } from 'vitest';
import {
  changeCount,
  changeUsed,
  findUsed,
  noteChange,
  swapFor,
  toggleBreath,
  toggleError,
  toggleOutcome,
  togglePainKind,
  togglePainPlace,
  toggleRising,
  toggleScore,
  toggleSign,
} from '../../../src/core/sessions/logHold.ts';
import { readSession } from '../../../src/core/sessions/readSession.ts';
import type { HoldNotes, NewEntry } from '../../../src/core/sessions/session.ts';
import { NOT_MOVED } from '../../../src/core/whatIf/planMoved.ts';
import { entryAt, plannedHold, plannedSession } from '../../support/sessions.ts';

const DAY = '2026-10-01';
const HOLD = plannedHold('1', { moved: { ...NOT_MOVED, stanceCm: 92 } });

type Press = (notes: HoldNotes) => NewEntry | Partial<HoldNotes>;

/** The notes after some presses, each stored and read back as the app does it. */
function press(...presses: readonly Press[]): HoldNotes {
  const entries: NewEntry[] = [];
  const read = (): HoldNotes =>
    readSession(
      plannedSession(
        DAY,
        [HOLD],
        entries.map((entry, i) => entryAt(DAY, i + 1, entry)),
      ),
    ).holds[0]!.notes;
  for (const each of presses) {
    const pressed = each(read());
    entries.push('kind' in pressed ? pressed : noteChange('1', pressed));
  }
  return read();
}

describe('the log of a hold', () => {
  it('notes an error sign, takes it back when it is pressed again, and keeps the others', () => {
    const seen = press(
      (notes) => toggleError('1', notes, 'knee-in'),
      (notes) => toggleError('1', notes, 'heel-up'),
      (notes) => toggleError('1', notes, 'knee-in'),
    );
    expect(seen.errors).toEqual(['heel-up']);
  });

  it.each([
    ['breath', (notes: HoldNotes) => toggleBreath(notes, 'held'), 'held', null],
    ['outcome', (notes: HoldNotes) => toggleOutcome(notes, 'skipped'), 'skipped', null],
    ['sign', (notes: HoldNotes) => toggleSign(notes, 'tingling'), 'tingling', null],
  ] as const)('%s is noted by one press and taken back by another', (field, toggle, on, off) => {
    expect(press(toggle)[field]).toBe(on);
    expect(press(toggle, toggle)[field]).toBe(off);
  });

  it('exchanges one answer for another', () => {
    const notes = press(
      (now) => toggleBreath(now, 'easy'),
      (now) => toggleBreath(now, 'held'),
    );
    expect(notes.breath).toBe('held');
  });

  it('keeps place and kind of a pain when its score changes, and drops all with the score', () => {
    const four: Press = (notes) => toggleScore(notes, 4);
    const place: Press = (notes) => togglePainPlace(notes, 'left knee');
    expect(press(four, place, toggleRising, (notes) => toggleScore(notes, 6)).pain).toEqual({
      score: 6,
      place: 'left knee',
      kind: '',
      rising: true,
    });
    expect(press(four, place, place).pain?.place).toBe('');
    expect(press(four, place, four).pain).toBeNull();
  });

  it('notes a pain that is a stop sign as one, and leaves it to its own button to take back', () => {
    const tingling: Press = (notes) => togglePainKind(notes, 'tingling');
    const two: Press = (notes) => toggleScore(notes, 2);
    expect(press(two, tingling)).toMatchObject({ sign: 'tingling', pain: { kind: 'tingling' } });
    expect(press(two, tingling, tingling)).toMatchObject({ sign: 'tingling', pain: { kind: '' } });
    expect(press(two, (notes) => togglePainKind(notes, 'stretch')).sign).toBeNull();
  });

  it('starts what was really used from what was planned, and then knows no margin', () => {
    const once: Press = (notes) => changeUsed(HOLD, notes, { handCm: 20 });
    const twice: Press = (notes) => changeUsed(HOLD, notes, { stanceCm: 90 });
    expect(findUsed(HOLD, press())).toEqual({ ...NOT_MOVED, stanceCm: 92 });
    expect(press(once, twice)).toMatchObject({
      used: { ...NOT_MOVED, stanceCm: 90, handCm: 20 },
      toSpareDeg: null,
      isAtBound: false,
    });
  });

  it('never counts fewer than no breaths or rounds', () => {
    expect(changeCount('breaths', 4)).toEqual({ breaths: 4 });
    expect(changeCount('breaths', -1)).toEqual({ breaths: 0 });
    expect(changeCount('rounds', -1)).toEqual({ rounds: 0 });
  });

  it('notes the pose that took its place, and takes it back', () => {
    expect(press(() => swapFor('tree'))).toMatchObject({ swappedFor: 'tree', outcome: 'swapped' });
    expect(
      press(
        () => swapFor('tree'),
        () => swapFor(null),
      ),
    ).toMatchObject({ swappedFor: null, outcome: null });
  });
});
