import { describe, expect, it } from 'vitest';
import { PlanningContext } from '../../../src/core/planning/planningContext.ts';
import { USUAL_LEVEL } from '../../../src/core/poses/level.ts';
import type { PersonRecord } from '../../../src/core/person/person.ts';
import { planSession } from '../../../src/core/sessions/planSession.ts';
import { recordOfSession } from '../../../src/core/sessions/recordOfSession.ts';
import type { Session } from '../../../src/core/sessions/session.ts';
import { NOT_ASKED, type Today } from '../../../src/core/sessions/today.ts';
import { NOT_MOVED, planByHand } from '../../../src/core/whatIf/planMoved.ts';
import { contextOfDemo } from '../../support/demoContext.ts';

const NOW = '2026-12-01T18:00:00.000Z';
const { record } = contextOfDemo('marit-sollen');

/** Plans a session, and every hold of it again; without a record, from that of the session. */
function planTwice(today: Today | null, from: PersonRecord | null = null) {
  const poses = ['warrior-two', 'pyramid'].map((pose) => ({ pose, level: null }));
  const asked = { poses, order: 'equal', breaths: null, rounds: 1 } as const;
  const planned = planSession(record, [], today, asked, NOW);
  if (!planned.ok) throw new Error(JSON.stringify(planned.problems));
  const session = { id: 'running', today } as Pick<Session, 'id' | 'today'>;
  const context = new PlanningContext(from ?? recordOfSession(record, [], session));
  return planned.value.holds.map(({ plan, setUp }) => {
    const { pose, side, rules, moved } = plan;
    const level = plan.level ?? USUAL_LEVEL;
    const again = planByHand(context, { pose, side, rules, level, held: moved ?? NOT_MOVED });
    return { frozen: setUp, again: again.ok ? again.value.plan.setUp : null };
  });
}

describe('a set-up that is solved again in a session', () => {
  const sore: Today = {
    ...NOT_ASKED,
    askedAt: NOW,
    sore: [{ id: 'knee-pain', side: 'right' }],
    rested: 'poorly',
    state: 'cold',
  };

  it.each([
    ['nothing was asked', null],
    ['a knee is sore, cold and tired', sore],
  ] as const)('is the one that was planned: %s', (_words, today) => {
    const holds = planTwice(today);
    expect(holds.length).toBeGreaterThan(2);
    for (const { frozen, again } of holds) {
      expect(again?.settings).toEqual(frozen.settings);
      expect(again?.depth).toEqual(frozen.depth);
    }
  });

  it('knows what is sore, which the person’s own record does not', () => {
    const session = { id: 'running', today: sore };
    const ids = recordOfSession(record, [], session).person.cautions.map(({ id }) => id);
    expect(ids).toContain('knee-pain');
    expect(record.person.cautions.map(({ id }) => id)).not.toContain('knee-pain');
    const plain = planTwice(sore, record);
    expect(plain.some(({ frozen, again }) => again?.depth?.value !== frozen.depth?.value)).toBe(
      true,
    );
  });
});
