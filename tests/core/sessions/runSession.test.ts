import { describe, expect, it } from 'vitest';
import { readSession } from '../../../src/core/sessions/readSession.ts';
import type { Response } from '../../../src/core/sessions/respond.ts';
import {
  findRunning,
  goBack,
  goOn,
  leavePose,
  undoLast,
} from '../../../src/core/sessions/runSession.ts';
import type { Position, Session } from '../../../src/core/sessions/session.ts';
import { entryAt, plannedHold, plannedSession } from '../../support/sessions.ts';

const DAY = '2026-10-01';
const HOLDS = [
  plannedHold('1'),
  plannedHold('2', { side: 'left' }),
  plannedHold('3', { pose: 'pyramid' }),
];
const STOP: Response = { kind: 'stop-today', words: 'Stop.', facts: ['pain 5 of 10'], instead: '' };

const at = (position: Position | null, changes: Partial<Session> = {}): Session =>
  plannedSession(DAY, HOLDS, [], { position, ...changes });
const run = (session: Session) => findRunning(session, readSession(session));
const on = (hold: string, stage: Position['stage'], breath = 0): Position => ({
  hold,
  stage,
  breath,
});

describe('a running session', () => {
  it('begins by setting its first hold, or by its log when it is written down afterwards', () => {
    expect(run(at(null)).position).toEqual(on('1', 'set'));
    expect(run(at(null, { heldAt: `${DAY}T18:00` })).position).toEqual(on('1', 'log'));
  });

  it('goes from setting to breathing, to the log, to the next hold, as planned', () => {
    expect(goOn(run(at(null)), null)).toEqual({ entries: [], to: on('1', 'breathe') });
    expect(goOn(run(at(on('1', 'breathe', 4))), null)).toEqual({
      entries: [],
      to: on('1', 'log', 4),
    });
    expect(goOn(run(at(on('1', 'log', 4))), null)).toEqual({
      entries: [
        {
          kind: 'note',
          hold: '1',
          change: { outcome: 'done', breath: 'easy', breaths: 4, rounds: 1 },
        },
      ],
      to: on('2', 'set'),
    });
  });

  it('keeps what was noted, and ends after its last hold', () => {
    const session = plannedSession(
      DAY,
      HOLDS,
      [entryAt(DAY, 1, { kind: 'note', hold: '3', change: { breath: 'held', breaths: 3 } })],
      { position: on('3', 'log', 5) },
    );
    expect(goOn(run(session), null)).toEqual({
      entries: [
        {
          kind: 'note',
          hold: '3',
          change: { outcome: 'done', breath: 'held', breaths: 3, rounds: 1 },
        },
        { kind: 'end', why: 'finished', note: '' },
      ],
      to: null,
    });
  });

  it('leaves a pose that is stopped, with the sides that were still to come', () => {
    const move = goOn(run(at(on('1', 'log'))), STOP);
    expect(move?.to).toEqual(on('3', 'set'));
    expect(move?.entries).toEqual([
      { kind: 'note', hold: '1', change: { outcome: 'ended-early' } },
      { kind: 'note', hold: '2', change: { outcome: 'skipped', note: 'pain 5 of 10' } },
    ]);
    // Eased only: the other side is come to.
    expect(goOn(run(at(on('1', 'log'))), { ...STOP, kind: 'ease' })?.to).toEqual(on('2', 'set'));
  });

  it('goes to the hold that stands in for a pose, and ends where none is left', () => {
    expect(leavePose(run(at(on('1', 'log'))), [], '9').to).toEqual(on('9', 'set'));
    expect(leavePose(run(at(on('3', 'log'))), []).entries).toEqual([
      { kind: 'end', why: 'finished', note: '' },
    ]);
  });

  it('passes over a hold that was skipped', () => {
    const session = plannedSession(
      DAY,
      HOLDS,
      [entryAt(DAY, 1, { kind: 'note', hold: '2', change: { outcome: 'skipped' } })],
      { position: on('1', 'log') },
    );
    expect(goOn(run(session), null)?.to).toEqual(on('3', 'set'));
  });

  it('goes back by a stage, then to the log of the hold before, and no further', () => {
    expect(goBack(run(at(on('2', 'breathe', 3))))?.to).toEqual(on('2', 'set'));
    expect(goBack(run(at(on('2', 'set'))))?.to).toEqual(on('1', 'log'));
    expect(goBack(run(at(on('1', 'set'))))).toBeNull();
    expect(goBack(run(at(on('2', 'log'), { heldAt: `${DAY}T18:00` })))?.to).toEqual(on('1', 'log'));
  });

  it('takes the last note back and shows its hold', () => {
    const session = plannedSession(
      DAY,
      HOLDS,
      [entryAt(DAY, 1, { kind: 'note', hold: '1', change: { breath: 'held' } })],
      { position: on('2', 'set') },
    );
    expect(undoLast(run(session), readSession(session))).toEqual({
      entries: [{ kind: 'undo', entry: `${DAY}-001` }],
      to: on('1', 'log'),
    });
    expect(undoLast(run(at(null)), readSession(at(null)))).toBeNull();
  });

  it('has nothing to go on with when it has no holds', () => {
    expect(goOn(run(plannedSession(DAY, [], [])), null)).toBeNull();
  });
});
