import { parse } from 'csv-parse/sync';
import { describe, expect, it } from 'vitest';
import { checkPersonFile, writePersonFile } from '../../../src/core/formats/personFile.ts';
import { writeSessionsCsv } from '../../../src/core/formats/sessionsCsv.ts';
import type { Session, SessionEntry } from '../../../src/core/sessions/session.ts';
import { recordOf, REFERENCE } from '../../support/people.ts';
import { entryAt, plannedHold, plannedSession } from '../../support/sessions.ts';

const DAY = '2026-10-05';
const HOLDS = [plannedHold('1'), plannedHold('2', { side: 'left' })];
const NOTE = 'said: “a, b”; then\nmore "quoted"';
const used = { stanceCm: 80.5, widthCm: null, backFootDeg: null, depth: null, handCm: null };
const SESSION = plannedSession(DAY, HOLDS, [
  entryAt(DAY, 1, { kind: 'error', hold: '1', error: 'back-rounds', isSeen: true } as const),
  entryAt(DAY, 2, {
    kind: 'note',
    hold: '1',
    change: {
      outcome: 'done',
      used,
      pain: { score: 3, place: 'left knee', kind: 'ache', rising: false },
      note: NOTE,
    },
  } as const),
  entryAt(DAY, 9, { kind: 'end', why: 'finished', note: '' } as const),
]);

function read(...sessions: readonly unknown[]) {
  const file = JSON.parse(writePersonFile(recordOf(REFERENCE))) as object;
  return checkPersonFile({ ...file, sessions }, '2026-11-26T00:00:00Z');
}
const problemsOf = (...sessions: readonly unknown[]) => {
  const result = read(...sessions);
  return result.ok ? [] : result.problems;
};

describe('sessions as a table', () => {
  const rows = parse<Record<string, string>>(writeSessionsCsv([SESSION]), { columns: true });
  it('are read back by another package, one noted hold a row, every character kept', () => {
    expect(rows).toHaveLength(1);
    expect(rows[0]).toMatchObject({
      session: SESSION.id,
      pose: 'triangle',
      side: 'right',
      outcome: 'done',
      stanceCm: '80.5',
      handCm: '30',
      depth: '50',
      errors: 'back-rounds',
      pain: '3',
      painPlace: 'left knee',
      note: NOTE,
    });
  });
  it('never hand a spreadsheet a formula', () => {
    const change = { outcome: 'done', note: '=1+1' } as const;
    const risky = plannedSession(DAY, HOLDS, [
      entryAt(DAY, 1, { kind: 'note', hold: '1', change } as const),
    ]);
    const [row] = parse<Record<string, string>>(writeSessionsCsv([risky]), { columns: true });
    expect(row!.note).toBe("'=1+1");
  });
});

describe('sessions in a person file', () => {
  it('go out and come in unchanged, and a file without them still opens', () => {
    const result = read(SESSION);
    expect(result.ok && result.value.file.sessions).toEqual([SESSION]);
    const without = JSON.parse(writePersonFile(recordOf(REFERENCE))) as object;
    const old = checkPersonFile(without, null);
    expect(old.ok && old.value.file.sessions).toEqual([]);
    expect(old.ok && old.value.file.appointments).toEqual([]);
  });

  it('keep fields that a later version may add', () => {
    const later = { ...SESSION, mood: 'calm' };
    const result = read(later);
    expect(result.ok && result.value.file.sessions[0]).toEqual(later);
  });

  it.each([
    ['an entry without what its kind needs', { kind: 'error', hold: '1' }, 'entries[1].error'],
    ['a kind that is not known', { kind: 'sing' }, 'entries[1].kind'],
    ['a time that is none', { kind: 'begin', at: 'yesterday' }, 'entries[1].at'],
    [
      'pain beyond ten',
      {
        kind: 'note',
        hold: '1',
        change: { pain: { score: 11, place: '', kind: '', rising: false } },
      },
      'entries[1].change.pain.score',
    ],
  ])('are refused with the place: %s', (_name, body, path) => {
    const entry = entryAt(DAY, 1, body) as unknown as SessionEntry;
    const found = problemsOf(plannedSession(DAY, HOLDS, [entry]));
    expect(found.map((each) => each.path)).toContain(`sessions[0].${path}`);
  });

  it('are refused when an id stands twice, of a session or of an entry', () => {
    expect(problemsOf(SESSION, SESSION).map((each) => each.code)).toContain('duplicate-id');
    const [first] = SESSION.entries;
    const twice = { ...SESSION, entries: [first!, first!] };
    expect(problemsOf(twice).map((each) => each.path)).toEqual(['sessions[0].entries[1].id']);
  });

  it('that overlap come in both, with a warning that names them', () => {
    const other: Session = { ...SESSION, id: 'other', plannedAt: `${DAY}T10:05:00.000Z` };
    const shifted = {
      ...other,
      entries: other.entries.map((each, i) => ({
        ...each,
        id: `o${String(i)}`,
        at: each.at.replace('T10:0', 'T10:05:0').replace(/:05:0(\d):00/, ':0$1:30'),
      })),
    };
    const result = read(SESSION, shifted);
    expect(result.ok && result.value.file.sessions).toHaveLength(2);
    const warnings = result.ok ? result.value.warnings : [];
    expect(warnings.map((each) => [each.code, each.path])).toEqual([
      ['sessions-overlap', 'sessions[1]'],
    ]);
  });
});
