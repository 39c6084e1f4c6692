import { describe, expect, it } from 'vitest';
import { calcMeasureSet } from '../../../src/core/measures/measureSet.ts';
import type { Side } from '../../../src/core/measures/protocol.ts';
import { findHarderSide, orderSides } from '../../../src/core/sessions/sides.ts';
import type { Session } from '../../../src/core/sessions/session.ts';
import { recordOf, REFERENCE, type Measures } from '../../support/people.ts';
import { planPlain } from '../../support/plan.ts';
import { entryAt, plannedHold, plannedSession } from '../../support/sessions.ts';

const say = (
  poses: Parameters<typeof orderSides>[0],
  order: Parameters<typeof orderSides>[1],
  rounds = 1,
): string =>
  orderSides(poses, order, rounds)
    .map((turn) => `${turn.pose} ${turn.side[0]!}${turn.rounds === 1 ? '' : String(turn.rounds)}`)
    .join(', ');

describe('the order of sides', () => {
  const poses = [
    { id: 'triangle', harder: 'left' },
    { id: 'chair', harder: null },
    { id: 'pyramid', harder: null },
  ] as const;

  it('holds the harder side once more, and both alike where neither is', () => {
    expect(say(poses, 'harder-easier-harder')).toBe(
      'triangle l, triangle r, triangle l, chair r, pyramid r, pyramid l',
    );
  });
  it('may treat both sides alike, all rounds of one before the other', () => {
    expect(say(poses, 'equal', 2)).toBe(
      'triangle l2, triangle r2, chair r2, pyramid r2, pyramid l2',
    );
  });
  it('may take turns round by round', () => {
    expect(say([poses[2]], 'alternate', 2)).toBe('pyramid r, pyramid l, pyramid r, pyramid l');
  });
  it('may hold every pose on one side first', () => {
    expect(say(poses, 'one-side-first')).toBe(
      'triangle l, chair r, pyramid l, triangle r, pyramid r',
    );
  });
});

describe('the harder side', () => {
  const find = (measures: Measures, sessions: readonly Session[] = []) => {
    const set = calcMeasureSet(recordOf(measures).readings);
    const on = (side: Side) => planPlain(measures, 'high-lunge', side);
    return findHarderSide({ left: on('left'), right: on('right') }, set, sessions);
  };
  const apart = (left: number, right: number): Measures => ({
    ...REFERENCE,
    'hip-extension': { left, right },
  });
  const harderNotes = (side: Side, count: number): Session[] =>
    Array.from({ length: 3 }, (_, i) => {
      const day = `2026-10-0${String(i + 1)}`;
      const hold = plannedHold('1', { pose: 'high-lunge', side });
      const change = { outcome: 'done', isHarder: i < count } as const;
      return plannedSession(
        day,
        [hold],
        [entryAt(day, 1, { kind: 'note', hold: '1', change } as const)],
      );
    });

  it('is the one whose limiting joint is measured as less by more than its error', () => {
    // The left leg is behind when the right foot is in front.
    const found = find(apart(8, 22));
    expect(found?.side).toBe('right');
    expect(found?.why).toContain('hip extension left 14° less');
  });
  it('is neither when the difference lies inside its error', () => {
    // One reading each: 1.96 · √2 · 3.2° = 8.9°.
    expect(find(apart(15, 22))).toBeNull();
  });
  it('is the one that was noted so, where the measures do not tell', () => {
    expect(find(apart(20, 20), harderNotes('left', 2))?.side).toBe('left');
    expect(find(apart(20, 20), harderNotes('left', 1))).toBeNull();
    expect(find(apart(8, 22), harderNotes('left', 3))?.side).toBe('right');
  });
});
