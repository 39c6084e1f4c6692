import { beforeAll, describe, expect, it } from 'vitest';
import type { Flow } from '../../../src/core/sequence/flow.ts';
import { arrangeSides } from '../../../src/core/sequence/arrangeSides.ts';
import { makeStep } from '../../../src/core/sequence/editFlow.ts';
import {
  makeTodaysPlanner,
  planFlowSession,
  type FlowSessionPlan,
} from '../../../src/core/sessions/planFlowSession.ts';
import { readSession } from '../../../src/core/sessions/readSession.ts';
import {
  findRunning,
  goBack,
  goOn,
  leavePose,
  undoLast,
} from '../../../src/core/sessions/runSession.ts';
import type { NewEntry, Position, Session } from '../../../src/core/sessions/session.ts';
import { shortenFlow } from '../../../src/core/sessions/shortenFlow.ts';
import { NOT_ASKED, type Today } from '../../../src/core/sessions/today.ts';
import { getValue } from '../../../src/core/setup/setUp.ts';
import { cautionOf, recordOf, REFERENCE, type Measures } from '../../support/people.ts';
import { entryAt, plannedHold, plannedSession } from '../../support/sessions.ts';

const NOW = '2026-11-28T09:00:00.000Z';
const WARM: Today = { ...NOT_ASKED, askedAt: NOW, state: 'warm', rested: 'well' };

const stepsOf = (...ids: readonly string[]) => ids.map((id) => makeStep(id, 'right')!);
/** Warm up, two open poses on one stance, triangle, the peak, and rest; both sides. */
const FLOW: Flow = {
  id: 'moon',
  name: 'Moon',
  peak: 'half-moon',
  minutes: null,
  steps: [
    ...stepsOf('seated-knee-drops', 'round-and-hollow', 'mountain', 'chair'),
    ...arrangeSides(
      stepsOf('warrior-two', 'side-angle', 'triangle', 'half-moon'),
      'right',
      'one-then-the-other',
    ),
    ...stepsOf('wide-fold', 'rest'),
  ].map((step, i) => ({ ...step, id: String(i + 1) })),
};

function planned(
  sessions: readonly Session[] = [],
  today: Today | null = WARM,
  flow: Flow = FLOW,
  measures: Measures = REFERENCE,
): FlowSessionPlan {
  const found = planFlowSession(recordOf(measures), sessions, today, flow, NOW);
  if (!found.ok) throw new Error(found.problems[0]!.message);
  return found.value;
}
let plan: FlowSessionPlan;
beforeAll(() => {
  plan = planned();
});
const sessionOf = ({ holds, flow }: FlowSessionPlan, changes: Partial<Session> = {}): Session =>
  plannedSession(
    '2026-11-28',
    holds.map(({ plan }) => plan),
    [],
    { flow, ...changes },
  );

/** A session as it is stored: each move adds its entries and goes where it leads. */
class Stored {
  private count = 0;
  constructor(public session: Session) {}
  get running() {
    return findRunning(this.session, readSession(this.session));
  }
  get at(): string {
    const { turns, index, position } = this.running;
    const { step, hold } = turns[index]!;
    return `${step?.name ?? hold!.plan.pose} ${position.stage}`;
  }
  apply(
    move: { readonly entries: readonly NewEntry[]; readonly to: Position | null } | null,
  ): void {
    if (move === null) return;
    const entries = move.entries.map((each) => {
      this.count += 1;
      return entryAt('2026-11-28', this.count, each);
    });
    this.session = {
      ...this.session,
      entries: [...this.session.entries, ...entries],
      position: move.to ?? this.session.position,
    };
  }
  next(): void {
    this.apply(goOn(this.running, null));
  }
  goTo(name: string, stage = 'set'): void {
    for (let i = 0; i < 200 && this.at !== `${name} ${stage}`; i += 1) this.next();
    expect(this.at).toBe(`${name} ${stage}`);
  }
}

describe('a session that leads through a flow', () => {
  it('has a hold for each pose that is held, and a step for everything between', () => {
    const { flow, holds, seconds } = plan;
    expect(holds.map(({ plan }) => `${plan.pose} ${plan.side}`)).toEqual([
      'mountain right',
      'chair right',
      ...['warrior-two', 'side-angle', 'triangle', 'half-moon'].map((pose) => `${pose} right`),
      ...['warrior-two', 'side-angle', 'triangle', 'half-moon'].map((pose) => `${pose} left`),
      'wide-fold right',
    ]);
    const logged = flow.steps.filter(({ id }) => holds.some(({ plan }) => plan.id === id));
    expect(logged).toHaveLength(holds.length);
    // Into triangle warrior II is passed through, and the back foot steps in.
    const at = flow.steps.findIndex(({ name }) => name === 'Triangle');
    expect(flow.steps[at - 1]).toMatchObject({ name: 'Warrior II', step: null, seconds: 0 });
    const moved = flow.steps[at]!.moves.find(({ how }) => how === 'lifted');
    expect(moved!.aheadCm).toBeGreaterThan(5);
    expect(flow.steps.reduce((sum, each) => sum + each.seconds, 0)).toBeCloseTo(seconds, 6);
  });

  it('has its front heels on the marks of the flow, and poses on one stance share it', () => {
    const { flow, holds } = plan;
    const [two, angle] = ['warrior-two', 'side-angle'].map(
      (pose) => holds.find(({ plan }) => plan.pose === pose && plan.side === 'right')!.setUp,
    );
    expect(getValue(two!, 'stance-length')).toBeCloseTo(getValue(angle!, 'stance-length')!, 6);
    for (const { setUp } of holds) {
      const front = getValue(setUp, 'front-heel-from-mat-edge');
      if (front === null || setUp.pose === 'wide-fold') continue;
      expect(front, setUp.pose).toBeCloseTo(flow.frontMarksCm, 0);
      const mark = setUp.settings.find(({ id }) => id === 'front-heel-from-mat-edge')!;
      const terms = mark.working.filter(({ kind }) => kind === 'term');
      expect(terms.reduce((sum, { value }) => sum + value, 0)).toBeCloseTo(mark.value, 1);
    }
  });

  it('holds what was decided, on feet of its own where it cannot share the stance', () => {
    const two = plan.holds.find(
      ({ plan }) => plan.pose === 'warrior-two' && plan.side === 'right',
    )!;
    const depth = two.setUp.depth!.value! - 12;
    const moved = { stanceCm: null, widthCm: null, backFootDeg: null, depth, handCm: null };
    const hold = plannedHold('1', {
      pose: 'warrior-two',
      side: 'right',
      depth: two.setUp.depth!.value,
    });
    const session = plannedSession(
      '2026-11-20',
      [hold],
      [
        entryAt('2026-11-20', 5, { kind: 'note', hold: '1', change: { outcome: 'done' } } as const),
        entryAt('2026-11-20', 6, {
          kind: 'decide',
          decision: {
            pose: 'warrior-two',
            side: 'right',
            verdict: { kind: 'ease', facts: [], remeasure: [] },
            changes: [],
            choice: 'accepted',
            kind: 'ease',
            held: moved,
            reason: '',
          },
        } as const),
      ],
    );
    const { holds, flow } = planned([session]);
    const eased = holds.find(({ plan }) => plan.pose === 'warrior-two' && plan.side === 'right')!;
    expect(eased.setUp.depth!.value).toBeCloseTo(depth, 0);
    // The knee stays over its ankle, so the stance is shorter: feet of its own, and no move is said.
    expect(eased.plan.why[0]).toBe('one step easier, as decided');
    expect(eased.plan.why.at(-1)).toBe('on feet of its own');
    expect(getValue(eased.setUp, 'stance-length')).toBeLessThan(
      getValue(two.setUp, 'stance-length')! - 5,
    );
    const at = flow.steps.findIndex(({ id }) => id === eased.plan.id);
    expect(flow.steps[at]!.moves).toEqual([]);
    expect(flow.steps[at + 1]!.moves).toEqual([]);
  });

  it('leaves out what is paused, what a caution of today forbids, and what is not measured', () => {
    const signed = plannedSession(
      '2026-11-20',
      [plannedHold('1', { pose: 'triangle' })],
      [
        entryAt('2026-11-20', 5, {
          kind: 'note',
          hold: '1',
          change: { outcome: 'done', sign: 'tingling' },
        } as const),
      ],
    );
    const paused = planned([signed]);
    expect(paused.leftOut.map(({ pose, isPaused }) => [pose, isPaused])).toEqual([
      ['triangle', true],
    ]);
    expect(paused.flow.steps.map(({ place }) => place.pose)).toContain('half-moon');

    const lunges: Flow = {
      ...FLOW,
      steps: stepsOf('mountain', 'low-lunge', 'chair').map((step, i) => ({
        ...step,
        id: String(i),
      })),
    };
    const sore: Today = { ...WARM, sore: [{ id: 'painful-kneeling', side: null }] };
    const kneeling = planned([], sore, lunges);
    expect(kneeling.leftOut.map(({ pose }) => pose)).toEqual(['low-lunge']);
    expect(kneeling.flow.steps.some(({ place }) => place.pose === 'low-lunge')).toBe(false);
    expect(kneeling.holds.map(({ plan }) => plan.pose)).toEqual(['mountain', 'chair']);

    const { 'hip-opening': _gone, 'hip-abduction': _too, ...few } = REFERENCE;
    const gaps = planned([], WARM, FLOW, few);
    expect(gaps.leftOut.map(({ why }) => why.join()).join()).toContain('Not measured yet');
    expect(gaps.holds.map(({ plan }) => plan.pose)).toContain('mountain');
  });

  it('is refused in words with a stop sign, or without a step', () => {
    const stopped = planFlowSession(
      recordOf(REFERENCE, { cautions: [cautionOf('saddle-numbness', 'stop')] }),
      [],
      WARM,
      FLOW,
      NOW,
    );
    const empty = planFlowSession(recordOf(REFERENCE), [], WARM, { ...FLOW, steps: [] }, NOW);
    expect(empty).toMatchObject({ ok: false, problems: [{ code: 'no-steps' }] });
    expect(stopped.ok).toBe(false);
  });
});

describe('walking through it', () => {
  it('goes from the first step to the end, each hold logged, and back', () => {
    const stored = new Stored(sessionOf(plan));
    const seen: string[] = [];
    for (let i = 0; i < 300 && readSession(stored.session).ended === null; i += 1) {
      seen.push(stored.at);
      stored.next();
    }
    const state = readSession(stored.session);
    expect(state.ended?.why).toBe('finished');
    expect(state.holds.every(({ notes }) => notes.outcome === 'done')).toBe(true);
    expect(seen[0]).toBe('Knee drops, seated set');
    expect(seen[1]).toBe('Knee drops, seated breathe');
    // What is passed through has one stage, and is not logged.
    const passed = plan.flow.steps.filter(({ step }) => step === null).length;
    const links = plan.flow.steps.length - passed - plan.holds.length;
    expect(seen).toHaveLength(passed + 2 * links + 3 * plan.holds.length);
    const other = new Stored(sessionOf(plan));
    other.goTo('Mountain');
    other.apply(goBack(other.running));
    expect(other.at).not.toBe('Mountain set');
    other.goTo('Mountain');
  });

  it('passes over a pose that was stopped, and what only leads to it', () => {
    const stored = new Stored(sessionOf(plan));
    stored.goTo('Triangle', 'log');
    const left = [...stored.running.turns].find(
      ({ hold }) => hold?.plan.pose === 'triangle' && hold.plan.side === 'left',
    )!;
    stored.apply(
      leavePose(stored.running, [
        { kind: 'note', hold: stored.running.position.hold, change: { outcome: 'ended-early' } },
        { kind: 'note', hold: left.id, change: { outcome: 'skipped' } },
      ]),
    );
    const seen: string[] = [];
    for (let i = 0; i < 200 && readSession(stored.session).ended === null; i += 1) {
      seen.push(stored.at);
      stored.next();
    }
    expect(seen.some((each) => each.startsWith('Triangle'))).toBe(false);
    expect(seen).toContain('Half moon set');
  });
});

describe('a flow with less time', () => {
  const shorten = (stored: Stored, minutes: number) => {
    const { planner } = makeTodaysPlanner(recordOf(REFERENCE), [], WARM);
    const { session, running } = stored;
    const flow = { ...session.flow!, steps: readSession(session).steps };
    const found = shortenFlow(planner, flow, running.position.hold, 60 * minutes);
    const dropped = found.dropped.map(({ id }) => id);
    stored.apply({
      entries: [{ kind: 'shorten', minutes, dropped, steps: found.steps }],
      to: null,
    });
    return found;
  };

  it('leaves out what matters least for the peak, both sides of it, and keeps peak and rest', () => {
    const stored = new Stored(sessionOf(plan));
    stored.goTo('Mountain');
    const found = shorten(stored, 7);
    expect(found.seconds).toBeLessThanOrEqual(7 * 60);
    expect(stored.at).toBe('Mountain set');
    const names = found.dropped.map(({ name }) => name);
    expect(names.length).toBeGreaterThan(0);
    expect(names).not.toContain('Half moon');
    for (const name of ['Warrior II', 'Side angle', 'Triangle']) {
      expect([0, 2]).toContain(names.filter((each) => each === name).length);
    }
    const kept = found.steps.map(({ name }) => name);
    expect(kept.filter((name) => name === 'Half moon')).toHaveLength(2);
    expect(kept.at(-1)).toBe('Rest');
    // What was dropped did less for the peak than what was kept.
    const worth = (ids: readonly { readonly toward: number }[]) => ids.map(({ toward }) => toward);
    const open = found.steps.filter(
      ({ step, place }) => step?.kind === 'pose' && place.pose !== 'half-moon',
    );
    const here = found.steps.findIndex(({ name }) => name === 'Mountain');
    const toCome = open.filter((each) => found.steps.indexOf(each) > here);
    expect(Math.max(...worth(found.dropped))).toBeLessThanOrEqual(
      Math.min(1, ...worth(toCome)) + 1e-9,
    );
    // It can still be walked to its end.
    for (let i = 0; i < 200 && readSession(stored.session).ended === null; i += 1) stored.next();
    expect(readSession(stored.session).ended?.why).toBe('finished');
  });

  it('sets a foot by its marks where it comes from another pose than was planned', () => {
    const stored = new Stored(sessionOf(plan));
    stored.goTo('Mountain');
    const before = readSession(stored.session).steps;
    const found = shorten(stored, 5);
    const changed = found.steps.filter((each, i) => {
      const old = before.findIndex(({ id }) => id === each.id);
      return old > 0 && before[old - 1]!.place.pose !== found.steps[i - 1]?.place.pose;
    });
    expect(changed.length).toBeGreaterThan(0);
    for (const { moves } of changed) expect(moves).toEqual([]);
  });

  it('drops nothing when there is time, keeps a side whose other side was done, and is undone', () => {
    const stored = new Stored(sessionOf(plan));
    stored.goTo('Half moon', 'log');
    stored.next();
    const steps = readSession(stored.session).steps;
    expect(shorten(stored, 60).dropped).toEqual([]);
    const found = shorten(stored, 1);
    // Too short for anything: as short as it can be, and the peak stays.
    expect(found.seconds).toBeGreaterThan(60);
    expect(found.dropped.at(-1)!.name).toBe('Wide fold');
    expect(found.steps.map(({ name }) => name)).toContain('Half moon');
    stored.apply(undoLast(stored.running, readSession(stored.session)));
    stored.apply(undoLast(stored.running, readSession(stored.session)));
    expect(readSession(stored.session).steps).toEqual(steps);
    expect(stored.running.turns.length).toBeGreaterThan(0);
  });
});
