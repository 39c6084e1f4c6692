import { describe, expect, it } from 'vitest';
import { findLastHold, findNextAction } from '../../../src/core/sessions/nextAction.ts';
import { recordOf, REFERENCE } from '../../support/people.ts';
import { entryAt, plannedHold, plannedSession } from '../../support/sessions.ts';

const NOW = '2026-11-20T10:00:00Z';
const ended = plannedSession(
  '2026-11-10',
  [plannedHold('a')],
  [
    entryAt('2026-11-10', 5, { kind: 'note', hold: 'a', change: { outcome: 'done' } } as const),
    entryAt('2026-11-10', 9, { kind: 'end', why: 'finished', note: '' } as const),
  ],
);
const open = plannedSession(
  '2026-11-19',
  [plannedHold('b', { pose: 'pyramid', side: 'left' })],
  [],
);

describe('what is next for a person', () => {
  const record = recordOf(REFERENCE);

  it('is health before anything, while a stop sign stands', () => {
    const entry = {
      uid: 'u',
      id: 'chest-pain',
      side: null,
      since: null,
      severity: 'stop',
      clearedBy: null,
      clearedAt: null,
      note: '',
    } as const;
    const stopped = recordOf(REFERENCE, { cautions: [entry] });
    expect(findNextAction(stopped, [open], NOW).kind).toBe('health');
    const cleared = { ...entry, clearedBy: 'Dr Alm', clearedAt: '2026-11-01' };
    expect(findNextAction(recordOf(REFERENCE, { cautions: [cleared] }), [], NOW).kind).toBe(
      'set-up',
    );
  });

  it('is to measure, to see the set-ups, to go on, or a session', () => {
    expect(findNextAction(recordOf({}), [], NOW)).toEqual({ kind: 'measure' });
    expect(findNextAction(record, [], NOW)).toEqual({ kind: 'set-up' });
    const readings = record.readings.filter(({ measure }) => measure !== 'hip-opening');
    const begun = { ...record, readings };
    expect(findNextAction(begun, [], NOW)).toEqual({
      kind: 'finish-round',
      measures: ['hip-opening'],
    });
    // Whoever has practised without it does so on purpose.
    expect(findNextAction(begun, [ended], NOW)).toEqual({ kind: 'session' });
    expect(findNextAction(record, [open, ended], NOW)).toEqual({ kind: 'go-on', session: open.id });
    expect(findNextAction(record, [ended], NOW)).toEqual({ kind: 'session' });
  });

  it('is to measure again what is old, and nothing else', () => {
    const next = findNextAction(record, [ended], '2027-03-01T10:00:00Z');
    if (next.kind !== 're-measure') throw new Error(next.kind);
    // Ranges are old after eight weeks, the lengths of a grown body are not.
    expect(next.measures).toContain('hip-flexion');
    expect(next.measures).not.toContain('stature');
    expect(next.count).toBeGreaterThan(next.measures.length);
  });
});

it('what was held last is the latest hold with a note that was not skipped', () => {
  expect(findLastHold([])).toBeNull();
  expect(findLastHold([open, ended])).toEqual({
    pose: 'triangle',
    side: 'right',
    at: '2026-11-10T10:05:00.000Z',
  });
  const skipped = plannedSession('2026-11-19', open.holds, [
    entryAt('2026-11-19', 5, { kind: 'note', hold: 'b', change: { outcome: 'skipped' } } as const),
  ]);
  expect(findLastHold([skipped, ended])?.pose).toBe('triangle');
});
