import { describe, expect, it } from 'vitest';
import { calcPace, clampPace } from '../../../src/core/sessions/pace.ts';
import { readSession } from '../../../src/core/sessions/readSession.ts';
import { respond, stopPose } from '../../../src/core/sessions/respond.ts';
import type { HoldNotes, SessionEntry } from '../../../src/core/sessions/session.ts';
import { toHolds } from '../../../src/core/sessions/toHolds.ts';
import { NOT_ASKED } from '../../../src/core/sessions/today.ts';
import { entryAt, plannedHold, plannedSession } from '../../support/sessions.ts';

const HOLDS = [plannedHold('1'), plannedHold('2', { side: 'left' }), plannedHold('3')];
const noted = (day: string, change: Partial<HoldNotes>) =>
  plannedSession(day, HOLDS, [
    entryAt(day, 1, { kind: 'note', hold: '1', change } as const) satisfies SessionEntry,
  ]);
const pain = (score: number) => ({ pain: { score, place: '', kind: 'ache', rising: false } });
const AT = { pose: 'triangle', side: 'right' } as const;
const ask = (...sessions: readonly ReturnType<typeof noted>[]) => respond(toHolds(sessions), AT);

describe('what to do at once', () => {
  it('ends the session and says whom to call for an emergency sign', () => {
    const told = ask(noted('2026-10-01', { sign: 'chest-pain' }));
    expect(told?.kind).toBe('end-session');
    expect(told?.words).toContain('local emergency number');
    expect(told?.instead).toBe('');
  });
  it('sends on the same day for a sign that asks for it', () => {
    const told = ask(noted('2026-10-01', { sign: 'hot-calf' }));
    expect(told?.kind).toBe('pause-and-send-on');
    expect(told?.words).toContain('same day');
  });
  it('pauses the pose for a stop sign and offers its lying form', () => {
    const told = ask(noted('2026-10-01', { sign: 'tingling' }));
    expect(told?.kind).toBe('pause');
    expect(told?.instead).toContain('lying');
  });
  it('stops today at 4 of 10, pauses the second time, eases from 1 to 3', () => {
    expect(ask(noted('2026-10-01', pain(4)))?.kind).toBe('stop-today');
    expect(ask(noted('2026-10-01', pain(4)), noted('2026-10-08', pain(6)))?.kind).toBe(
      'pause-and-send-on',
    );
    for (const score of [1, 2, 3]) expect(ask(noted('2026-10-01', pain(score)))?.kind).toBe('ease');
    expect(ask(noted('2026-10-01', pain(0)))).toBeNull();
  });
  it('stops a pose whose pain was told to be there next morning', () => {
    const today = { ...NOT_ASKED, askedAt: '2026-10-08T10:00:00.000Z', painNextMorning: true };
    const next = plannedSession('2026-10-08', HOLDS, [], { today });
    expect(ask(noted('2026-10-01', pain(2)), next)?.kind).toBe('stop-today');
    const gone = { ...next, today: { ...today, painNextMorning: false } };
    expect(ask(noted('2026-10-01', pain(2)), gone)?.kind).toBe('ease');
  });
  it('says nothing when all is well', () => {
    expect(ask(noted('2026-10-01', { outcome: 'done', breath: 'easy' }))).toBeNull();
  });
});

describe('a pose that is stopped', () => {
  it('ends this hold early and passes over its holds to come, not those noted', () => {
    const session = noted('2026-10-01', pain(5));
    const { holds } = readSession(session);
    const response = respond(toHolds([session]), AT)!;
    const entries = stopPose(holds[0]!, holds, response);
    expect(entries.map((each) => 'hold' in each && each.hold)).toEqual(['1', '2', '3']);
    const after = entries.map((body, i): SessionEntry => entryAt('2026-10-01', 10 + i, body));
    const read = readSession({ ...session, entries: [...session.entries, ...after] });
    expect(read.holds.map(({ notes }) => notes.outcome)).toEqual([
      'ended-early',
      'skipped',
      'skipped',
    ]);
    expect(read.holds[1]!.notes.note).toContain('pain 5 of 10');
  });
});

describe('the pace of a breath', () => {
  it('is the middle gap of the last taps, so that a missed tap does not count', () => {
    expect(calcPace([0, 5000, 10_000, 15_000])).toBe(5);
    expect(calcPace([0, 4000, 12_000, 16_000])).toBe(4);
    expect(calcPace([0, 5000])).toBeNull();
  });
  it('stays between what a breath may last', () => {
    expect(clampPace(0.4)).toBe(2);
    expect(clampPace(90)).toBe(20);
    expect(clampPace(5.3)).toBe(5.5);
  });
});
