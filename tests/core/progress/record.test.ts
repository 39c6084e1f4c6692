import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { readPersonFile, type PersonFile } from '../../../src/core/formats/personFile.ts';
import { listAsymmetries } from '../../../src/core/progress/asymmetry.ts';
import { findChange } from '../../../src/core/progress/change.ts';
import { listDrifts, sayDrift } from '../../../src/core/progress/drift.ts';
import { listSeries } from '../../../src/core/progress/series.ts';
import { listTimeline } from '../../../src/core/progress/timeline.ts';
import { readSession } from '../../../src/core/sessions/readSession.ts';
import type { Session } from '../../../src/core/sessions/session.ts';
import { findSessionTime } from '../../../src/core/sessions/toHolds.ts';
import { recordOf, REFERENCE } from '../../support/people.ts';
import { entryAt, plannedHold, plannedSession } from '../../support/sessions.ts';

const HOLDS = [plannedHold('1'), plannedHold('2', { side: 'left' })];
const verdict = { kind: 'keep', facts: ['1 of 2 sessions clean'], remeasure: [] } as const;
const decision = (side: 'left' | 'right') =>
  ({
    pose: 'triangle',
    side,
    verdict,
    changes: [],
    choice: 'overruled',
    kind: 'ease',
    held: null,
    reason: 'a hard week',
  }) as const;
const used = { stanceCm: 86, widthCm: null, backFootDeg: null, depth: 58, handCm: 27 };
const FIRST = plannedSession('2026-10-01', HOLDS, [
  entryAt('2026-10-01', 1, { kind: 'note', hold: '1', change: { outcome: 'done' } } as const),
  entryAt('2026-10-01', 2, { kind: 'note', hold: '2', change: { outcome: 'skipped' } } as const),
]);
const SECOND = plannedSession('2026-10-08', HOLDS, [
  entryAt('2026-10-08', 1, {
    kind: 'note',
    hold: '1',
    change: { outcome: 'done', used, sign: 'tingling', note: 'told late' },
  } as const),
  entryAt('2026-10-08', 5, { kind: 'end', why: 'ended-early', note: '' } as const),
  entryAt('2026-10-08', 6, { kind: 'decide', decision: decision('right') } as const),
  entryAt('2026-10-08', 7, { kind: 'decide', decision: decision('left') } as const),
]);

describe('how a set-up has moved', () => {
  it('is told from what was really used, and leaves out what was skipped', () => {
    const drifts = listDrifts([SECOND, FIRST]);
    expect(drifts).toHaveLength(1);
    expect(drifts[0]!.points.map(({ stanceCm, handCm }) => [stanceCm, handCm])).toEqual([
      [82, 30],
      [86, 27],
    ]);
    expect(sayDrift(drifts[0]!)).toBe(
      'Over 2 holds: stance from 82 to 86 cm, hand from 30 to 27 cm, depth from 50 to 58°.',
    );
  });
});

describe('the record', () => {
  const lines = listTimeline(recordOf(REFERENCE), [], [FIRST, SECOND]);
  it('tells everything in its order, the latest first', () => {
    expect(lines.map(({ at }) => at)).toEqual(
      lines
        .map(({ at }) => at)
        .toSorted()
        .reverse(),
    );
    expect(lines.map(({ kind }) => kind)).toEqual(['measured', 'verdict', 'session', 'session']);
  });
  it('names the sign, the note, and an overruling with its reason, both sides on one line', () => {
    const [, judged, session] = lines;
    expect(judged!.words).toBe('Triangle, both sides: one step easier');
    expect(judged!.details).toContain('changed from “keep it as it is”: a hard week');
    expect(session!.words).toBe('Session, ended early: Triangle');
    expect(session!.details).toEqual(['Triangle, right: Tingling or numbness, told late']);
    expect(session!.stops).toBe(true);
  });
});

it('a pose whose sides are alike is told without a side', () => {
  const chair = plannedSession(
    '2026-10-01',
    [plannedHold('1', { pose: 'chair' })],
    [
      entryAt('2026-10-01', 1, {
        kind: 'note',
        hold: '1',
        change: { outcome: 'done', note: 'steady' },
      } as const),
    ],
  );
  const [session] = listTimeline({ ...recordOf(REFERENCE), readings: [] }, [], [chair]);
  expect(session!.details).toEqual(['Chair: steady']);
});

describe('the made-up people', () => {
  const files = readdirSync('public/demo')
    .filter((name) => name !== 'index.json')
    .map((name): PersonFile => {
      const read = readPersonFile(readFileSync(`public/demo/${name}`, 'utf8'), null);
      if (!read.ok) throw new Error(read.problems[0]!.message);
      return read.value.file;
    });
  const find = (id: string): PersonFile => files.find(({ person }) => person.id === id)!;
  const realChanges = ({ readings }: PersonFile) =>
    listSeries(readings).filter((each) => findChange(each)?.verdict === 'real');
  const decided = (sessions: readonly Session[], pose: string) =>
    sessions.flatMap((each) =>
      readSession(each)
        .decisions.filter((decision) => decision.pose === pose)
        .map(({ kind }) => kind),
    );

  it('have at least eight sessions each, over several months', () => {
    for (const { person, sessions } of files) {
      expect(sessions.length, person.name).toBeGreaterThanOrEqual(8);
      const times = sessions.map(findSessionTime).sort();
      const days = (Date.parse(times.at(-1)!) - Date.parse(times[0]!)) / 86_400_000;
      expect(days, person.name).toBeGreaterThan(120);
    }
  });
  it('show a real gain, a plateau, noise alone, a sign that was cleared, and an asymmetry that closes', () => {
    expect(realChanges(find('marit-sollen')).map(({ measure }) => measure)).toContain(
      'straight-leg-raise',
    );
    expect(new Set(decided(find('pell-krossing').sessions, 'triangle'))).toEqual(new Set(['keep']));
    expect(realChanges(find('sanna-tveit'))).toEqual([]);
    const signs = find('dov-lantry').sessions.flatMap((each) =>
      readSession(each).holds.filter(({ notes }) => notes.sign !== null),
    );
    expect(signs.map(({ cleared }) => cleared?.by)).toEqual(['Imre Vasko, physiotherapist']);
    const rotation = listAsymmetries(listSeries(find('oda-brask').readings)).find(
      ({ measure, wasReal }) => measure === 'hip-external-rotation' && wasReal,
    );
    expect(rotation?.isReal).toBe(false);
  });
});
