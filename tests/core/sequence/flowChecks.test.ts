import { describe, expect, it } from 'vitest';
import { editFlow } from '../../../src/core/sequence/editFlow.ts';
import { checkFlow, type FlowCheck } from '../../../src/core/sequence/flowChecks.ts';
import { calcFlowLoad } from '../../../src/core/sequence/flowLoad.ts';
import type { Flow } from '../../../src/core/sequence/flow.ts';
import { contextOf, REFERENCE } from '../../support/people.ts';
import { flowOf, plannerOf } from '../../support/flows.ts';

const planner = plannerOf(contextOf(REFERENCE));
const check = (flow: Flow): readonly FlowCheck[] => planner.plan(flow, 'known').checks;
const kinds = (flow: Flow): readonly string[] => check(flow).map(({ kind }) => kind);

/** A flow with what its first check of a kind would do. */
function fixed(flow: Flow, kind: FlowCheck['kind']): Flow {
  const found = check(flow).find((each) => each.kind === kind);
  if (found?.edit == null) throw new Error(`Nothing to do for ${kind}`);
  return editFlow(flow, found.edit)!;
}

describe('what a flow asks over its steps', () => {
  const load = calcFlowLoad(
    planner.plan(flowOf('~ knee-openers', 'mountain', 'warrior-two', 'downward-dog'), 'known'),
  );

  it('is a share of what was measured, at each step', () => {
    expect(load.steps.map(({ name }) => name)).toEqual([
      'Knees in and out, soles together',
      'Mountain',
      'Warrior II',
      'Downward dog',
    ]);
    const abduction = load.motions.filter(
      ({ joint, motion }) => joint === 'hip' && motion === 'abduction',
    );
    const front = abduction.find(({ side }) => side === 'right')!;
    // The warm-up opens half of the way, on both sides; warrior II asks most of it in front.
    expect(front.shares[0]).toBe(0.5);
    expect(front.shares[2]).toBeGreaterThan(0.7);
    expect(front.shares[2]).toBeLessThanOrEqual(1);
    expect(front.shares[3]).toBeNull();
    expect(front.most).toBe(Math.max(...front.shares.map((share) => share ?? 0)));
  });

  it('names the motions that matter, the most loaded first, and the hips of each step', () => {
    const most = load.motions.map((each) => each.most);
    expect(most).toEqual(most.toSorted((a, b) => b - a));
    expect(Math.min(...most)).toBeGreaterThanOrEqual(0.6);
    expect(load.steps.map(({ family }) => family)).toEqual([
      'neutral',
      'neutral',
      'open',
      'neutral',
    ]);
  });
});

describe('what is found in a flow', () => {
  it('is nothing where both sides are alike and the hips stay together', () => {
    expect(
      kinds(
        flowOf(
          'mountain',
          'warrior-two right',
          'side-angle right',
          'mountain',
          'warrior-two left',
          'side-angle left',
        ),
      ),
    ).toEqual([]);
  });

  it('is a second flip on one side; moved to its like it is gone', () => {
    const flow = flowOf('warrior-two', 'warrior-one', 'triangle', 'mountain');
    expect(kinds(flow)).toContain('two-flips');
    expect(kinds(fixed(flow, 'two-flips'))).not.toContain('two-flips');
  });

  it('is a peak that nothing prepares; a warm-up prepares it', () => {
    const flow: Flow = { ...flowOf('mountain', 'pyramid right', 'pyramid left'), peak: 'pyramid' };
    const [found] = check(flow).filter(({ kind }) => kind === 'peak-unprepared');
    expect(found!.found).toMatch(/^Nothing before Pyramid prepares .*hip flexion/);
    const after = check(fixed(flow, 'peak-unprepared'));
    const left = after.find(({ kind }) => kind === 'peak-unprepared')?.found ?? '';
    expect(left).not.toMatch(/hip flexion/);
  });

  it('is one leg that carries too long; a rest between ends it', () => {
    const poses = [
      'warrior-two',
      'side-angle',
      'reverse-warrior',
      'warrior-two',
      'side-angle',
      'triangle',
    ];
    const flow = flowOf('mountain', ...poses, 'reverse-triangle');
    const [found] = check(flow).filter(({ kind }) => kind === 'leg-loaded');
    expect(found!.found).toMatch(/the right leg has carried \d+ breaths in a row/);
    expect(kinds(fixed(flow, 'leg-loaded'))).not.toContain('leg-loaded');
  });

  it('is a side that is held longer, unless it is the harder one', () => {
    const flow = flowOf('tree right', 'mountain', 'tree left', 'mountain', 'tree left');
    expect(kinds(flow)).toContain('sides-unequal');
    expect(kinds(fixed(flow, 'sides-unequal'))).not.toContain('sides-unequal');
    const plan = planner.plan(flow, 'known');
    expect(checkFlow(plan, () => 'left').map(({ kind }) => kind)).not.toContain('sides-unequal');
    expect(checkFlow(plan, () => 'right').map(({ kind }) => kind)).toContain('sides-unequal');
  });

  it('is a flow that lasts longer than it should', () => {
    const flow = { ...flowOf('mountain', 'rest'), minutes: 2 };
    expect(kinds(flow)).toEqual([]);
    const long = { ...flowOf(...Array.from({ length: 9 }, () => 'chair')), minutes: 2 };
    const [found] = check(long).filter(({ kind }) => kind === 'over-time');
    expect(found!.found).toMatch(/^The flow lasts \d+ min longer than it should\.$/);
  });
});
