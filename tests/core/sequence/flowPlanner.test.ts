import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ANY_POSES, findAnyPose } from '../../../src/core/poses/anyPose.ts';
import { MOST_STEPS } from '../../../src/core/sequence/flow.ts';
import type { FlowPlan } from '../../../src/core/sequence/flowChecks.ts';
import type { PlannedStep } from '../../../src/core/sequence/plannedFlow.ts';
import { listPassed } from '../../../src/core/sequence/ways.ts';
import { getValue } from '../../../src/core/setup/setUp.ts';
import type { CautionEntry } from '../../../src/core/person/person.ts';
import { anyBody } from '../../support/anyBody.ts';
import {
  cautionOf,
  contextOf,
  mirrorMeasures,
  REFERENCE,
  STIFF,
  type Measures,
} from '../../support/people.ts';
import { flowOf, plannerOf } from '../../support/flows.ts';

const planFlow = (
  measures: Measures,
  steps: readonly string[],
  cautions: readonly CautionEntry[] = [],
): FlowPlan => plannerOf(contextOf(measures, { cautions })).plan(flowOf(...steps));
const stepOf = ({ steps }: FlowPlan, pose: string): PlannedStep =>
  steps.find((each) => each.place.pose === pose && each.step !== null)!;

const LONG = process.env['LONG_TESTS'] === '1';
const OPEN = ['warrior-two', 'reverse-warrior', 'side-angle', 'reverse-triangle'];

describe('a flow for one person', () => {
  it('stands on one stance without a step, and names every pose that is passed through', () => {
    const plan = planFlow(REFERENCE, ['mountain', ...OPEN, 'triangle']);
    expect(plan.problems).toEqual([]);
    expect(plan.runs).toHaveLength(1);
    const [run] = plan.runs;
    expect(run!.poses.map(({ pose }) => pose).toSorted()).toEqual(OPEN.toSorted());
    expect(plan.steps.map(({ name, step }) => (step === null ? `(${name})` : name))).toEqual([
      'Mountain',
      'Warrior II',
      'Reverse warrior',
      '(Warrior II)',
      'Side angle',
      '(Warrior II)',
      'Reverse triangle',
      'Triangle',
    ]);
    for (let i = run!.from + 1; i <= run!.to; i += 1) expect(plan.steps[i]!.moves).toEqual([]);
    // Into triangle the back foot steps in, by as much as the stances differ.
    const triangle = stepOf(plan, 'triangle');
    const [step, ...others] = triangle.moves;
    expect(others).toEqual([]);
    expect(step!).toMatchObject({ side: 'left', how: 'lifted' });
    const stance = getValue(triangle.setUp!, 'stance-length')!;
    expect(step!.aheadCm).toBeCloseTo(run!.stanceCm - stance, 0);
  });

  it('keeps the front foot on its mark, and says how far each other foot goes', () => {
    const plan = planFlow(REFERENCE, ['mountain', 'warrior-two', 'high-lunge', 'warrior-one']);
    const fronts = plan.steps.map(({ feet }) => feet.right!);
    for (const { x, y } of fronts) {
      expect(x).toBeCloseTo(fronts[0]!.x, 6);
      expect(y).toBeCloseTo(fronts[0]!.y, 6);
    }
    for (const [i, { moves, feet }] of plan.steps.entries()) {
      const before = plan.steps[i - 1];
      for (const { side, aheadCm, leftCm, cm } of moves) {
        const [from, to] = [before!.feet[side]!, feet[side]!];
        expect(to.x - from.x).toBeCloseTo(aheadCm, 9);
        expect(to.y - from.y).toBeCloseTo(leftCm, 9);
        expect(cm).toBeCloseTo(Math.hypot(aheadCm, leftCm), 9);
      }
    }
  });

  it('steps in about half the stance before half moon, hand first', () => {
    const plan = planFlow(REFERENCE, ['warrior-two', 'side-angle', 'half-moon']);
    const moon = stepOf(plan, 'half-moon');
    const [lift] = moon.moves;
    expect(lift).toMatchObject({ side: 'left', how: 'off' });
    expect(lift!.stepInCm / plan.runs[0]!.stanceCm).toBeCloseTo(0.5, 1);
    const { order } = moon.passage!.transition;
    expect(order[0]).toMatch(/hand/i);
    expect(order[1]).toMatch(/step/i);
    expect(order.at(-1)).toMatch(/lift/i);
    // Common practice, no source: the hand stands well ahead of the foot, never next to the ankle.
    expect(moon.hand!.x).toBeGreaterThan(moon.feet.right!.x + 25);
  });

  it('marks each place once, and lays the flow on the mat', () => {
    const both = [...OPEN.map((pose) => `${pose} right`), ...OPEN.map((pose) => `${pose} left`)];
    const plan = planFlow(REFERENCE, ['mountain', ...both]);
    // Two front marks and one back mark a side; what is passed through needs no more of them.
    const ofPoses = plan.marks.filter(({ serves }) =>
      serves.some((i) => plan.steps[i]!.step !== null),
    );
    expect(ofPoses).toHaveLength(4);
    for (const [i, { feet, setUp }] of plan.steps.entries()) {
      if (setUp === null) continue;
      for (const side of ['left', 'right'] as const) {
        if (feet[side] === null) continue;
        const serving = plan.marks.filter((mark) => mark.side === side && mark.serves.includes(i));
        expect(serving).toHaveLength(1);
      }
    }
    expect(plan.mat.overCm).toBe(0);
    expect(plan.mat.frontMarksCm).toBeGreaterThan(20);
    expect(plan.mat.frontMarksCm).toBeLessThan(80);
  });

  it('costs what its ways cost, and lasts as long as its parts', () => {
    const plan = planFlow(REFERENCE, ['~ round-and-hollow', 'mountain', 'triangle', 'rest']);
    expect(plan.cost).toBeCloseTo(
      plan.ways.reduce((sum, { way }) => sum + way.cost, 0),
      9,
    );
    const { holds, moves, sides, props, total } = plan.seconds;
    expect(total).toBe(holds + moves + sides + props);
    // 6 + 5 + 5 + 5 breaths of 5 s; a hand prop is fetched once.
    expect(holds).toBe(21 * 5);
    expect(props).toBe(10);
    expect(sides).toBe(0);
    const passed = plan.ways.reduce((sum, { way }) => sum + listPassed(way).length, 0);
    expect(moves).toBe(passed * 5 + 2 * 4);
  });

  it.each<Measures>([
    { ...REFERENCE, 'hip-opening': { left: 50, right: 58 } },
    {
      ...STIFF,
      'hip-extension': { left: 16, right: 10 },
      'trunk-rotation': { left: 30, right: 38 },
    },
    {
      ...REFERENCE,
      'leg-length': { left: 83, right: 81.5 },
      'hip-abduction': { left: 40, right: 48 },
    },
  ])('is the same in a mirror, and the same each time', (measures) => {
    const steps = ['mountain', 'warrior-two right', 'triangle right', 'pyramid right'];
    const mirrored = ['mountain', 'warrior-two left', 'triangle left', 'pyramid left'];
    const there = planFlow(measures, steps);
    expect(JSON.stringify(planFlow(measures, steps))).toBe(JSON.stringify(there));
    const seen = planFlow(mirrorMeasures(measures), mirrored);
    expect(seen.cost).toBeCloseTo(there.cost, 6);
    expect(seen.seconds).toEqual(there.seconds);
    for (const [i, { feet }] of there.steps.entries()) {
      const other = seen.steps[i]!.feet;
      expect(other.left?.x).toBeCloseTo(feet.right!.x, 4);
      expect(other.left?.y).toBeCloseTo(-feet.right!.y, 4);
    }
  });

  it('remembers what it has solved without changing an answer', () => {
    const planner = plannerOf(contextOf(REFERENCE));
    const [long, short] = [flowOf('mountain', ...OPEN), flowOf('mountain', 'warrior-two')];
    planner.plan(long);
    const after = planner.plan(short);
    expect(JSON.stringify(after)).toBe(JSON.stringify(plannerOf(contextOf(REFERENCE)).plan(short)));
  });

  it('takes the way that was chosen, and says when it is gone', () => {
    const flow = flowOf('warrior-two', 'downward-dog');
    const [first, second] = flow.steps;
    const by = (ids: readonly string[]) => ({ ...flow, steps: [first!, { ...second!, by: ids }] });
    const planner = plannerOf(contextOf(REFERENCE));
    const chosen = planner.plan(by(['low-lunge']));
    expect(listPassed(chosen.ways[0]!.way)).toEqual(['low-lunge']);
    expect(chosen.problems).toEqual([]);
    const gone = planner.plan(by(['tree']));
    expect(gone.problems.map(({ code }) => code)).toEqual(['way-is-gone']);
    expect(listPassed(gone.ways[0]!.way)).toEqual(['high-lunge']);
    const others = planner.findOtherWays(flow, 1, 3);
    expect(others.map(listPassed)).toContainEqual(['low-lunge']);
    expect(planner.findOtherWays(flow, 0, 3)).toEqual([]);
  });
});

describe('any flow', () => {
  const bodies = fc.sample(anyBody, { numRuns: LONG ? 50 : 3, seed: 12 });
  const anySteps = fc.array(
    fc
      .tuple(fc.constantFrom(...ANY_POSES.map(({ id }) => id)), fc.constantFrom('left', 'right'))
      .map(([pose, side]) => `${pose} ${side}`),
    { minLength: 2, maxLength: 6 },
  );

  it('breaks no limit, and comes onto the hands from open hips only through a lunge', () => {
    for (const measures of bodies) {
      const planner = plannerOf(contextOf(measures));
      for (const steps of fc.sample(anySteps, { numRuns: 6, seed: 4 })) {
        const plan = planner.plan(flowOf(...steps));
        let owesLunge = false;
        for (const { setUp, place } of plan.steps) {
          const any = findAnyPose(place.pose)!;
          const isLunge = any.kind === 'standing' && any.pose.isLunge === true;
          if (any.kind === 'linking' && any.pose.standsOnHands) {
            expect(owesLunge, plan.steps.map(({ name }) => name).join(', ')).toBe(false);
          }
          if (isLunge || any.height === 'seated' || any.height === 'lying') owesLunge = false;
          if (any.height === 'kneeling' && any.kind === 'linking') owesLunge = false;
          if (any.family === 'open') owesLunge = true;
          for (const { askedDeg, hasDeg, joint, motion } of setUp?.joints ?? []) {
            if (askedDeg === null || hasDeg === null || any.kind === 'lying') continue;
            expect(askedDeg, `${any.id} ${joint} ${motion}`).toBeLessThanOrEqual(hasDeg + 0.1);
          }
        }
      }
    }
  });

  it('is never cheaper with one step more', () => {
    const planner = plannerOf(contextOf(REFERENCE));
    const place = fc.nat({ max: 6 });
    for (const [steps, added, at] of fc.sample(fc.tuple(anySteps, anySteps, place), {
      numRuns: 60,
      seed: 9,
    })) {
      const more = steps.toSpliced(at, 0, added[0]!);
      const [less, whole] = [steps, more].map((each) => planner.plan(flowOf(...each), 'known'));
      expect(whole!.cost, more.join(', ')).toBeGreaterThanOrEqual(less!.cost - 1e-9);
    }
  });
});

describe('a flow that cannot all be done', () => {
  it('leaves out what is not known, and plans the rest', () => {
    const flow = flowOf('mountain', 'headstand', 'warrior-two');
    const level = { ...flow.steps[2]!, level: 'sky' };
    const plan = plannerOf(contextOf(REFERENCE)).plan({
      ...flow,
      steps: [...flow.steps, { ...level, id: '9' }],
    });
    expect(plan.leftOut.map(({ index, problems }) => [index, problems[0]!.code])).toEqual([
      [1, 'unknown-pose'],
      [3, 'unknown-level'],
    ]);
    expect(plan.steps.filter(({ step }) => step !== null)).toHaveLength(2);
  });

  it('leaves out what a caution excludes, and passes through none of it', () => {
    const knee = planFlow(
      REFERENCE,
      ['mountain', 'low-lunge', 'warrior-two'],
      [cautionOf('painful-kneeling')],
    );
    for (const { place } of knee.steps) expect(place.pose).not.toBe('low-lunge');
    expect(knee.leftOut.map(({ step, problems }) => [step.kind, problems[0]!.code])).toEqual([
      ['pose', 'excluded-by-caution'],
    ]);
    const dizzy = planFlow(
      REFERENCE,
      ['mountain', 'downward-dog', 'forward-fold', 'chair'],
      [cautionOf('dizziness')],
    );
    expect(dizzy.leftOut.map(({ problems }) => problems[0]!.code)).toEqual([
      'head-below-heart',
      'head-below-heart',
    ]);
    for (const { place } of dizzy.steps) {
      const any = findAnyPose(place.pose)!;
      expect(any.kind === 'linking' && any.pose.headBelowHeart).toBe(false);
    }
  });

  it('plans the rest where a measure is missing, and names the gap', () => {
    const { 'trunk-rotation': _, ...less } = REFERENCE;
    const plan = planFlow(less, ['mountain', 'revolved-triangle', 'high-lunge']);
    const gap = stepOf(plan, 'revolved-triangle');
    expect(gap.setUp).toBeNull();
    expect(gap.gap.map(({ code }) => code)).toContain('missing-measure');
    expect(stepOf(plan, 'high-lunge').setUp).not.toBeNull();
  });

  it('refuses an empty flow, one that is too long, and everything under a stop sign', () => {
    expect(planFlow(REFERENCE, []).problems.map(({ code }) => code)).toEqual(['no-steps']);
    const long = planFlow(
      REFERENCE,
      Array.from({ length: 200 }, () => 'mountain'),
    );
    expect(long.steps).toEqual([]);
    expect(long.problems[0]!.message).toBe(
      `This flow has 200 steps; ${String(MOST_STEPS)} are the most.`,
    );
    const stopped = planFlow(
      REFERENCE,
      ['mountain'],
      [{ ...cautionOf('fall-pain'), severity: 'stop' }],
    );
    expect(stopped.steps).toEqual([]);
    expect(stopped.problems.length).toBeGreaterThan(0);
  });

  it('gives each pose its own feet where no stance serves both', () => {
    const plan = planFlow(STIFF, ['mountain', ...OPEN]);
    for (const { setUp, step } of plan.steps) {
      if (step?.kind === 'pose') expect(setUp?.status).not.toBe('failed');
    }
  });
});
