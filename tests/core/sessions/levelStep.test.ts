import { describe, expect, it } from 'vitest';
import type { PersonRecord } from '../../../src/core/person/person.ts';
import { PlanningContext } from '../../../src/core/planning/planningContext.ts';
import { FITTING_LEVEL } from '../../../src/core/poses/level.ts';
import { findLevelPath } from '../../../src/core/progress/levelPath.ts';
import { listDrifts } from '../../../src/core/progress/drift.ts';
import { decide } from '../../../src/core/sessions/decide.ts';
import { judgeSession, type Judgement } from '../../../src/core/sessions/judgeSession.ts';
import { takeLevelStep } from '../../../src/core/sessions/levelStep.ts';
import { planSession } from '../../../src/core/sessions/planSession.ts';
import { NOT_ASKED } from '../../../src/core/sessions/today.ts';
import type { Session, SessionEntry } from '../../../src/core/sessions/session.ts';
import { planSetUp } from '../../../src/core/setup/planSetUp.ts';
import { recordOf, SUPPLE, type Measures } from '../../support/people.ts';
import { entryAt, plannedSession } from '../../support/sessions.ts';

const VERY_SUPPLE: Measures = { ...SUPPLE, 'straight-leg-raise': 140, 'hip-flexion': 150 };

/** A session of one pose as it is planned today, every hold clean. */
function holdClean(
  record: PersonRecord,
  past: readonly Session[],
  day: string,
  pose: string,
  level: string | null = FITTING_LEVEL,
): Session {
  const asked = { poses: [{ pose, level }], order: 'equal', breaths: null, rounds: 1 } as const;
  const planned = planSession(record, past, null, asked, `${day}T09:00:00.000Z`);
  if (!planned.ok) throw new Error(planned.problems[0]?.message);
  const holds = planned.value.holds.map(({ plan }) => plan);
  const change = { outcome: 'done', breath: 'easy' } as const;
  const notes = holds.map(({ id }, i) =>
    entryAt(day, i + 1, { kind: 'note', hold: id, change } as const),
  );
  return plannedSession(day, holds, notes);
}

function judgeAt(record: PersonRecord, sessions: readonly Session[], side = 'right'): Judgement {
  const last = sessions.at(-1)!;
  const judged = judgeSession(
    record,
    sessions,
    last,
    `${last.plannedAt.slice(0, 10)}T11:00:00.000Z`,
  );
  if (!judged.ok) throw new Error(judged.problems[0]?.message);
  return judged.value.find((each) => each.side === side)!;
}

/** The same session with the verdict on one side accepted. */
function accept(session: Session, judgement: Judgement): Session {
  const decision = decide(judgement, judgement.verdict.kind, '');
  const entry: SessionEntry = entryAt(session.plannedAt.slice(0, 10), 50, {
    kind: 'decide',
    decision,
  });
  return { ...session, entries: [...session.entries, entry] };
}

describe('levels as a path over sessions', () => {
  const record = recordOf(VERY_SUPPLE);
  const first = holdClean(record, [], '2026-10-01', 'pyramid', 'hands-on-a-chair');
  const second = holdClean(record, [first], '2026-10-08', 'pyramid');

  it('stay where the record is, whatever the measures would allow', () => {
    expect(second.holds.map(({ level }) => level)).toEqual([
      'hands-on-a-chair',
      'hands-on-a-chair',
    ]);
  });

  it('ask for two clean sessions at that level', () => {
    expect(judgeAt(record, [first]).verdict.kind).toBe('keep');
    const judged = judgeAt(record, [first, second]);
    expect(judged.verdict.kind).toBe('go-on');
    expect(judged.further).toMatchObject({ level: 'hands-on-stacked-blocks' });
    expect(judged.further?.closes).toMatch(/^(it takes|practice)/);
  });

  it('count a level that was noted as the usual one as the usual one', () => {
    const noted = (session: Session): Session => ({
      ...session,
      entries: session.entries.map((entry) =>
        entry.kind === 'note' ? { ...entry, change: { ...entry.change, level: 'usual' } } : entry,
      ),
    });
    const one = holdClean(record, [], '2026-10-01', 'pyramid', null);
    const two = noted(holdClean(record, [one], '2026-10-08', 'pyramid', null));
    expect(judgeAt(record, [one, two]).verdict.facts[0]).toMatch(/^2 sessions in a row/);
  });

  it('go one level up where it was accepted, on that side alone, and begin to count again', () => {
    const accepted = accept(second, judgeAt(record, [first, second]));
    const third = holdClean(record, [first, accepted], '2026-10-15', 'pyramid');
    const levelOf = (side: string) => third.holds.find((each) => each.side === side)?.level;
    expect(levelOf('right')).toBe('hands-on-stacked-blocks');
    expect(levelOf('left')).toBe('hands-on-a-chair');
    expect(third.holds.find(({ side }) => side === 'right')?.why).toContain(
      'the next harder version, as decided',
    );
    expect(judgeAt(record, [first, accepted, third]).verdict.facts[0]).toMatch(/^1 of 2 sessions/);
    const [drift] = listDrifts([first, accepted, third]).filter(({ side }) => side === 'right');
    expect(findLevelPath(drift!)?.steps.map(({ step }) => step)).toEqual([0, 0, 1]);
  });

  it('wait on a day that is not one for a step further', () => {
    const accepted = accept(second, judgeAt(record, [first, second]));
    const today = { ...NOT_ASKED, askedAt: '2026-10-15T08:00:00.000Z', rested: 'poorly' } as const;
    const asked = {
      poses: [{ pose: 'pyramid', level: FITTING_LEVEL }],
      order: 'equal',
      breaths: null,
      rounds: 1,
    } as const;
    const planned = planSession(record, [first, accepted], today, asked, today.askedAt);
    const right = planned.ok ? planned.value.holds.find(({ plan }) => plan.side === 'right') : null;
    expect(right?.plan.level).toBe('hands-on-a-chair');
  });

  it('go one level down where nothing within the level is easier, never two', () => {
    const held = { pose: 'half-moon', side: 'right', level: null, rules: {}, at: '' } as const;
    const context = new PlanningContext(record);
    const before = planSetUp(context, 'half-moon', 'right', {}, null);
    if (!before.ok) throw new Error('not planned');
    expect(takeLevelStep(context, held, before.value, 'easier')?.level).toBe('hand-on-a-chair');
    expect(
      takeLevelStep(context, { ...held, level: 'hand-on-a-chair' }, before.value, 'easier'),
    ).toBeNull();
  });

  it('know no next step from a variant', () => {
    const context = new PlanningContext(record);
    const held = {
      pose: 'triangle',
      side: 'right',
      level: 'with-a-strap',
      rules: {},
      at: '',
    } as const;
    const before = planSetUp(context, 'triangle', 'right', {}, 'with-a-strap');
    if (!before.ok) throw new Error('not planned');
    expect(takeLevelStep(context, held, before.value, 'further')).toBeNull();
  });

  it('say when a measure that moved closes the gap', () => {
    const stiffKnee = recordOf({ ...SUPPLE, 'knee-flexion': 130 });
    const later = recordOf({ 'knee-flexion': 165 }).readings.map((each) => ({
      ...each,
      id: `${each.id} later`,
      takenAt: '2026-12-01T09:00:00Z',
    }));
    const moved = { ...stiffKnee, readings: [...stiffKnee.readings, ...later] };
    const context = new PlanningContext(moved);
    const held = {
      pose: 'tree',
      side: 'right',
      level: null,
      rules: {},
      at: '2026-11-20T09:00:00Z',
    } as const;
    const before = planSetUp(context, 'tree', 'right', {}, null);
    if (!before.ok) throw new Error('not planned');
    const step = takeLevelStep(context, held, before.value, 'further');
    expect(step).toMatchObject({
      level: 'thigh',
      closes: 'a measure moved since it was last held',
    });
    const old = new PlanningContext(stiffKnee);
    expect(takeLevelStep(old, held, before.value, 'further')).toBeNull();
  });
});
