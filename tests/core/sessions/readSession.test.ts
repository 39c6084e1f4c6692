import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { judge } from '../../../src/core/sessions/ladder.ts';
import {
  findNextTime,
  mergeSessions,
  readSession,
} from '../../../src/core/sessions/readSession.ts';
import type { HoldNotes, SessionEntry } from '../../../src/core/sessions/session.ts';
import { toHolds } from '../../../src/core/sessions/toHolds.ts';
import { entryAt, plannedHold, plannedSession } from '../../support/sessions.ts';

const DAY = '2026-10-05';
const HOLDS = [plannedHold('1'), plannedHold('2', { side: 'left' })];
const note = (minute: number, hold: string, change: Partial<HoldNotes>): SessionEntry =>
  entryAt(DAY, minute, { kind: 'note', hold, change } as const);
const error = (minute: number, hold: string, id: string, isSeen = true): SessionEntry =>
  entryAt(DAY, minute, { kind: 'error', hold, error: id, isSeen } as const);
const read = (...entries: readonly SessionEntry[]) =>
  readSession(plannedSession(DAY, HOLDS, entries));

describe('the entries of a session', () => {
  it('come to what was noted last, field by field', () => {
    const { holds, ended } = read(
      note(1, '1', { outcome: 'done', breath: 'held' }),
      note(2, '1', { breath: 'easy' }),
    );
    expect(holds[0]!.notes).toMatchObject({ outcome: 'done', breath: 'easy', errors: [] });
    expect(holds[0]!.at).toBe('2026-10-05T10:02:00.000Z');
    expect(holds[1]!.at).toBeNull();
    expect(ended).toBeNull();
  });

  it('keep two errors that two hands noted, and let one be taken back', () => {
    const both = [error(1, '1', 'knee-drifts'), error(2, '1', 'back-rounds')];
    expect(read(...both).holds[0]!.notes.errors).toEqual(['knee-drifts', 'back-rounds']);
    const one = read(...both, error(3, '1', 'knee-drifts', false));
    expect(one.holds[0]!.notes.errors).toEqual(['back-rounds']);
  });

  it('are undone one by one, and undoing is kept too', () => {
    const first = note(1, '1', { breath: 'easy' });
    const second = note(2, '1', { breath: 'held' });
    const undo = entryAt(DAY, 3, { kind: 'undo', entry: second.id } as const);
    expect(read(first, second).lastNote?.id).toBe(second.id);
    const undone = read(first, second, undo);
    expect(undone.holds[0]!.notes.breath).toBe('easy');
    expect(undone.lastNote?.id).toBe(first.id);
  });

  it('of a hold that the plan does not know change nothing', () => {
    expect(read(note(1, '9', { breath: 'held' })).holds.every(({ at }) => at === null)).toBe(true);
  });

  it('tell who cleared a sign, and when', () => {
    const { holds } = read(
      note(1, '2', { sign: 'tingling' }),
      entryAt(DAY, 9, { kind: 'clear', hold: '2', by: 'Dr Okoro', note: 'settled' } as const),
    );
    expect(holds[1]!.cleared).toEqual({
      by: 'Dr Okoro',
      at: '2026-10-05T10:09:00.000Z',
      note: 'settled',
    });
  });
});

const anyEntry: fc.Arbitrary<SessionEntry> = fc
  .record({
    minute: fc.integer({ min: 1, max: 50 }),
    hold: fc.constantFrom('1', '2'),
    kind: fc.constantFrom('note', 'error', 'pain', 'sign'),
    score: fc.integer({ min: 0, max: 10 }),
    isSeen: fc.boolean(),
  })
  .map(({ minute, hold, kind, score, isSeen }): SessionEntry => {
    if (kind === 'error') return error(minute, hold, 'back-rounds', isSeen);
    if (kind === 'sign') return note(minute, hold, { sign: 'tingling' });
    if (kind === 'note') return note(minute, hold, { breath: isSeen ? 'easy' : 'held' });
    return note(minute, hold, { pain: { score, place: '', kind: 'ache', rising: isSeen } });
  });
/** Every entry has an id of its own, as they are stored. */
const someEntries = fc.uniqueArray(anyEntry, { selector: ({ id }) => id, maxLength: 12 });

describe('shuffling the entries of a session', () => {
  const verdicts = (entries: readonly SessionEntry[]) => {
    const log = toHolds([plannedSession(DAY, HOLDS, entries)]);
    return (['left', 'right'] as const).map((side) =>
      judge(log, { pose: 'triangle', side, isStale: false }),
    );
  };
  it('changes neither what they come to nor the verdict', () => {
    fc.assert(
      fc.property(
        someEntries.chain((entries) =>
          fc.tuple(
            fc.constant(entries),
            fc.shuffledSubarray(entries, { minLength: entries.length }),
          ),
        ),
        ([entries, shuffled]) => {
          expect(read(...shuffled)).toEqual(read(...entries));
          expect(verdicts(shuffled)).toEqual(verdicts(entries));
        },
      ),
      { numRuns: 300, seed: 6 },
    );
  });
});

describe('the time of an entry', () => {
  const session = plannedSession(DAY, HOLDS, [note(20, '1', { breath: 'easy' })]);
  it('is now, as long as the clock goes forward', () => {
    expect(findNextTime(session, '2026-10-05T10:21:00.000Z')).toBe('2026-10-05T10:21:00.000Z');
  });
  it('comes after the last one when the clock was set back', () => {
    const at = findNextTime(session, '2026-10-05T09:00:00.000Z');
    expect(at).toBe('2026-10-05T10:20:00.001Z');
    const later = note(21, '1', { breath: 'held' });
    const both = { ...session, entries: [...session.entries, { ...later, at }] };
    expect(readSession(both).holds[0]!.notes.breath).toBe('held');
  });
});

describe('two copies of one session', () => {
  it('come together with every entry of both, whichever comes first', () => {
    const shared = note(1, '1', { breath: 'easy' });
    const here = plannedSession(DAY, HOLDS, [shared, note(2, '1', { note: 'here' })]);
    const there = plannedSession(DAY, HOLDS, [shared, error(3, '2', 'back-rounds')]);
    const [a, b] = [mergeSessions(here, there), mergeSessions(there, here)];
    expect(a.entries).toHaveLength(4);
    expect(readSession(a)).toEqual(readSession(b));
    expect(mergeSessions(a, there).entries).toHaveLength(4);
  });
});
