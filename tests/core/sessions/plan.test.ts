import { PlanningContext } from '../../../src/core/planning/planningContext.ts';
import { describe, expect, it } from 'vitest';
import { liftPause } from '../../../src/core/sessions/liftPause.ts';
import { decide } from '../../../src/core/sessions/decide.ts';
import { judgeSession, type Judgement } from '../../../src/core/sessions/judgeSession.ts';
import { planSession, type SessionAsked } from '../../../src/core/sessions/planSession.ts';
import { findStaleHolds } from '../../../src/core/sessions/staleHolds.ts';
import { readSession } from '../../../src/core/sessions/readSession.ts';
import type {
  Decision,
  HoldNotes,
  Session,
  SessionEntry,
} from '../../../src/core/sessions/session.ts';
import { calcSessionSeconds } from '../../../src/core/sessions/timing.ts';
import { NOT_ASKED } from '../../../src/core/sessions/today.ts';
import { NOT_MOVED } from '../../../src/core/whatIf/planMoved.ts';
import { planSetUp } from '../../../src/core/setup/planSetUp.ts';
import type { SetUp } from '../../../src/core/setup/setUp.ts';
import type { PersonRecord } from '../../../src/core/person/person.ts';
import { recordOf, REFERENCE } from '../../support/people.ts';
import { entryAt, plannedHold, plannedSession } from '../../support/sessions.ts';

const RECORD = recordOf({ ...REFERENCE, 'knee-flexion': 140 });
const NOW = '2026-11-02T10:00:00.000Z';
const ASKED: SessionAsked = {
  poses: [
    { pose: 'warrior-one', level: null },
    { pose: 'chair', level: null },
  ],
  order: 'harder-easier-harder',
  breaths: null,
  rounds: 1,
};

function plan(
  sessions: readonly Session[] = [],
  asked: Partial<SessionAsked> = {},
  record = RECORD,
) {
  const planned = planSession(record, sessions, null, { ...ASKED, ...asked }, NOW);
  if (!planned.ok) throw new Error('not planned');
  return planned.value;
}

/** A session that was held as it was planned, with one note a hold. */
function held(day: string, sessions: readonly Session[], change: Partial<HoldNotes>): Session {
  const holds = plan(sessions).holds.map((each) => each.plan);
  const entries = holds.map(({ id }, i): SessionEntry =>
    entryAt(day, i + 1, {
      kind: 'note',
      hold: id,
      change: { outcome: 'done', ...change },
    } as const),
  );
  return plannedSession(day, holds, entries);
}

function judged(sessions: readonly Session[], session: Session, record: PersonRecord = RECORD) {
  const result = judgeSession(record, sessions, session, NOW);
  if (!result.ok) throw new Error('not judged');
  return result.value;
}

/** Whether every joint leaves that much of what was measured, or a quarter of a small range. */
const leavesFree = ({ joints }: SetUp, leastDeg: number): boolean =>
  joints.every(
    ({ measuredDeg, askedDeg }) =>
      measuredDeg === null ||
      askedDeg === null ||
      measuredDeg - askedDeg > Math.min(leastDeg, Math.max(0, measuredDeg) / 4) - 0.05,
  );

describe('a planned session', () => {
  it('holds every pose on both sides, but one whose sides are alike only once', () => {
    expect(plan().holds.map(({ plan: { pose, side } }) => `${pose} ${side}`)).toEqual([
      'warrior-one right',
      'warrior-one left',
      'chair right',
    ]);
  });

  it('freezes the numbers of the set-up of that day', () => {
    const [first] = plan().holds;
    const setUp = planSetUp(new PlanningContext(RECORD), 'warrior-one', 'right');
    expect(setUp.ok && setUp.value.settings.map(({ id, value }) => [id, value])).toEqual(
      first!.plan.settings.map(({ id, value }) => [id, value]),
    );
    expect(first!.plan.madeAt).toBe(NOW);
  });

  it('adds up its time by hand: 75 s for a first side, 30 s for the other, 5 s a breath', () => {
    const holds = [
      plannedHold('1', { breaths: 6 }),
      plannedHold('2', { side: 'left', breaths: 6 }),
      plannedHold('3', { pose: 'chair', breaths: 4, rounds: 2 }),
    ];
    expect(calcSessionSeconds(holds)).toBe(75 + 30 + 30 + 30 + 75 + 40);
    expect(calcSessionSeconds(holds, 10)).toBe(75 + 60 + 30 + 60 + 75 + 80);
  });

  it('leaves out what cannot be set up, and says why and what instead', () => {
    const { leftOut, holds } = plan([], {}, { ...RECORD, readings: [] });
    expect(holds).toEqual([]);
    expect(leftOut.map(({ pose }) => pose)).toEqual(['warrior-one', 'chair']);
    expect(leftOut[0]!.why.join(' ')).toContain('Not measured yet: ');
    expect(leftOut[0]!.why.join(' ').length).toBeLessThan(300);
    expect(leftOut[0]!.instead).not.toBe('');
  });

  it('takes what is sore today into its set-ups, with the reason', () => {
    const today = {
      ...NOT_ASKED,
      askedAt: NOW,
      sore: [{ id: 'knee-pain', side: 'right' }],
    } as const;
    const adapted = planSession(RECORD, [], today, ASKED, NOW);
    if (!adapted.ok) throw new Error('not planned');
    const bend = (holds: typeof adapted.value.holds) =>
      holds[0]!.plan.settings.find(({ id }) => id === 'front-knee-bend')!.value;
    expect(bend(adapted.value.holds)).toBeLessThan(bend(plan().holds));
    expect(adapted.value.changes[0]!.reason).toBe('Sore knee, today');
    const signed = { ...today, sore: [{ id: 'tingling', side: null }] };
    const stopped = planSession(RECORD, [], signed, ASKED, NOW);
    expect(stopped.ok && stopped.value.holds).toEqual([]);
  });

  it('counts who does not say that they are warm as cold, where they were measured warm', () => {
    const warmed = RECORD.readings.map((each) => ({ ...each, state: 'warm' as const }));
    const measuredWarm = { ...RECORD, readings: warmed };
    const planFor = (state: 'warm' | 'cold' | null) => {
      const today = { ...NOT_ASKED, askedAt: NOW, state };
      const planned = planSession(measuredWarm, [], today, ASKED, NOW);
      if (!planned.ok) throw new Error('not planned');
      return planned.value;
    };
    const depths = (holds: ReturnType<typeof planFor>['holds']) =>
      holds.map((each) => each.plan.depth);
    const [warm, cold, unsaid] = [planFor('warm'), planFor('cold'), planFor(null)];
    expect(depths(unsaid.holds)).toEqual(depths(cold.holds));
    const leavesAll = ({ holds }: ReturnType<typeof planFor>) =>
      holds.every(({ setUp }) => leavesFree(setUp, 8));
    expect(leavesAll(cold)).toBe(true);
    expect(leavesAll(warm)).toBe(false);
    expect(depths(plan([], {}, measuredWarm).holds)).toEqual(depths(cold.holds));
    expect(warm.changes).toEqual([]);
    expect(unsaid.changes).toEqual([
      {
        change: 'at least 8° held back at every joint',
        reason: 'not marked as warm, so treated as cold, but measured warm',
      },
    ]);
    for (const { plan: hold } of unsaid.holds) expect(hold.why[0]).toBe('treated as cold today');
    expect(warm.holds[0]!.plan.why).toEqual([]);
  });

  it('keeps more to spare for someone tired, and takes no step further that day', () => {
    const today = { ...NOT_ASKED, askedAt: NOW, rested: 'poorly' } as const;
    const tired = planSession(RECORD, [], today, ASKED, NOW);
    if (!tired.ok) throw new Error('not planned');
    const rested = plan();
    for (const [i, { setUp }] of tired.value.holds.entries()) {
      expect(leavesFree(setUp, 6)).toBe(true);
      expect(setUp.depth!.value!).toBeLessThanOrEqual(rested.holds[i]!.setUp.depth!.value! + 0.1);
    }
  });
});

describe('from one session to the next', () => {
  const first = held('2026-10-01', [], { breath: 'easy' });
  const second = held('2026-10-08', [first], { breath: 'easy' });

  const judgedOf = (session: Session): Judgement =>
    judged([first, session], session).find(
      ({ pose, side }) => pose === 'warrior-one' && side === 'right',
    )!;

  const withDecision = (session: Session, decision: Decision): Session => ({
    ...session,
    entries: [...session.entries, entryAt('2026-10-08', 40, { kind: 'decide', decision } as const)],
  });

  /** Of warrior I once it was held. */
  function recommendedDepth(): number {
    const held = [{ pose: 'warrior-one', level: null }];
    const recommended = planSetUp(new PlanningContext({ ...RECORD, held }), 'warrior-one', 'right');
    return recommended.ok ? recommended.value.depth!.recommended! : NaN;
  }

  it('goes one step further after two clean ones, and the next plan holds it', () => {
    const verdict = judgedOf(second);
    expect(verdict.verdict.kind).toBe('go-on');
    const decided = withDecision(second, decide(verdict, 'go-on', ''));
    const next = plan([first, decided]);
    const [right, left] = next.holds;
    // One step, which ends at the recommended depth at the latest.
    expect(right!.plan.depth).toBeCloseTo(
      Math.min(recommendedDepth(), second.holds[0]!.depth! + 10),
      0,
    );
    expect(right!.plan.depth).toBeGreaterThan(second.holds[0]!.depth! + 3);
    expect(right!.plan.why).toEqual(['one step further, as decided']);
    expect(left!.plan.depth).toBeCloseTo(second.holds[1]!.depth!, 1);
    // Not on a bad day.
    const today = { ...NOT_ASKED, askedAt: NOW, rested: 'poorly' } as const;
    const tired = planSession(RECORD, [first, decided], today, ASKED, NOW);
    expect(tired.ok && tired.value.holds[0]!.plan.depth).toBeLessThan(right!.plan.depth! - 5);
  });

  it('says what the recommended set-up would be, where the depth is kept', () => {
    const verdict = judgedOf(second);
    const kept = decide(verdict, 'keep', 'tired');
    const depth = second.holds[0]!.depth!;
    const decided = withDecision(second, { ...kept, held: { ...NOT_MOVED, depth } });
    const [right] = plan([first, decided]).holds;
    expect(right!.plan.depth).toBeCloseTo(depth, 1);
    expect(right!.plan.why).toEqual([
      'the same as last time, as decided',
      `the recommended set-up goes to ${recommendedDepth().toFixed(0)}°`,
    ]);
  });

  it('holds no more than is recommended to a tired body, whatever was decided before', () => {
    const verdict = judgedOf(second);
    const depth = recommendedDepth();
    const kept = decide(verdict, 'keep', '');
    const decided = withDecision(second, { ...kept, held: { ...NOT_MOVED, depth } });
    expect(plan([first, decided]).holds[0]!.plan.depth).toBeCloseTo(depth, 0);
    const today = { ...NOT_ASKED, askedAt: NOW, rested: 'poorly' } as const;
    const tired = planSession(RECORD, [first, decided], today, ASKED, NOW);
    if (!tired.ok) throw new Error('not planned');
    const { plan: hold, setUp } = tired.value.holds[0]!;
    expect(hold.depth).toBeLessThan(depth - 0.5);
    expect(leavesFree(setUp, 6)).toBe(true);
    expect(hold.why).toEqual([
      'rested poorly',
      'last time’s depth is too much today, so the recommended set-up is used',
    ]);
  });

  it('keeps a lying form as it is computed', () => {
    const lying = (day: string): Session =>
      plannedSession(
        day,
        [plannedHold('1', { pose: 'lying-pyramid', depth: null, toSpareDeg: null })],
        [
          entryAt(day, 1, {
            kind: 'note',
            hold: '1',
            change: { outcome: 'done', breath: 'easy' },
          } as const),
        ],
      );
    const [before, now] = [lying('2026-10-01'), lying('2026-10-08')];
    const [verdict] = judged([before, now], now);
    expect(verdict!.verdict.kind).toBe('keep');
    expect(verdict!.verdict.facts).toEqual([
      'a lying form is computed to fit: it changes only with a new measure',
    ]);
  });

  it('judges one step easier from what was really used', () => {
    const sore = held('2026-10-15', [first, second], {
      pain: { score: 2, place: 'left knee', kind: 'ache', rising: false },
    });
    const [verdict] = judged([first, second, sore], sore);
    expect(verdict!.verdict.kind).toBe('ease');
    const bend = verdict!.easier!.changes.find(({ id }) => id === 'front-knee-bend')!;
    expect(bend.now).toBeLessThan(bend.was);
  });

  it('leaves a paused pose out until someone has cleared it', () => {
    const sign = held('2026-10-15', [first, second], { sign: 'tingling' });
    const all = [first, second, sign];
    const paused = plan(all);
    expect(paused.holds).toEqual([]);
    expect(paused.leftOut.every((each) => each.isPaused)).toBe(true);
    const cleared = all.map((session) => {
      const added = liftPause(all, 'warrior-one', 'Dr Okoro', '')
        .filter((each) => each.session === session.id)
        .flatMap((each) => each.entries);
      const entries = added.map((body, i): SessionEntry => entryAt('2026-10-20', i + 1, body));
      return { ...session, entries: [...session.entries, ...entries] };
    });
    expect(plan(cleared).holds.map((each) => each.plan.pose)).toEqual([
      'warrior-one',
      'warrior-one',
    ]);
    expect(readSession(cleared[2]!).holds[0]!.cleared!.by).toBe('Dr Okoro');
  });

  it('stays paused for pain twice, until that is overruled', () => {
    const pain = { score: 5, place: 'low back', kind: 'ache', rising: false };
    const once = held('2026-10-15', [first, second], { pain });
    const twice = held('2026-10-22', [first, second], { pain });
    const all = [first, second, once, twice];
    expect(plan([first, second, once]).holds.length).toBeGreaterThan(0);
    expect(plan(all).leftOut[0]!.why.join(' ')).toContain('in 2 sessions');
    const added = liftPause(all, 'warrior-one', 'Dr Okoro', 'a cramp');
    expect(added.map((each) => each.session)).toEqual([twice.id]);
    const entries = added[0]!.entries.map((body, i): SessionEntry =>
      entryAt('2026-10-25', i + 1, body),
    );
    const lifted = [...all.slice(0, 3), { ...twice, entries: [...twice.entries, ...entries] }];
    expect(plan(lifted).holds.map((each) => each.plan.pose)).toContain('warrior-one');
  });
});

describe('a session that was left and is gone on with', () => {
  const session = plannedSession(
    '2026-11-02',
    plan().holds.map((each) => each.plan),
    [entryAt('2026-11-02', 5, { kind: 'note', hold: '1', change: { outcome: 'done' } } as const)],
  );
  const frozen = new Map(plan().holds.map((each) => [each.plan.id, each.setUp]));
  const stale = (now: string, record = RECORD, setUps = frozen) =>
    findStaleHolds(record, readSession(session), setUps, now).map(({ id }) => id);

  it('keeps its set-ups for the day, and offers those still to come anew a week later', () => {
    expect(stale('2026-11-02T11:00:00.000Z')).toEqual([]);
    expect(stale('2026-11-09T11:00:00.000Z')).toEqual(['2', '3']);
  });

  it('offers them anew when something was measured since, or their drawing is not here', () => {
    const [reading] = RECORD.readings;
    const measured = { ...RECORD, readings: [{ ...reading!, takenAt: '2026-11-02T10:30:00Z' }] };
    expect(stale('2026-11-02T11:00:00.000Z', measured)).toEqual(['2', '3']);
    expect(stale('2026-11-02T11:00:00.000Z', RECORD, new Map())).toEqual(['2', '3']);
  });
});
