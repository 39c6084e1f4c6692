import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { withLimits } from '../../../src/core/planning/buildTask.ts';
import { DepthSearch, wishesWithinAt } from '../../../src/core/planning/depthSearch.ts';
import { planPose, planSetUp } from '../../../src/core/setup/planSetUp.ts';
import { toScaled } from '../../../src/core/conditions/violation.ts';
import { toWarmStart } from '../../../src/core/solver/run.ts';
import { pullFarthest, settleAt } from '../../../src/core/solver/solve.ts';
import { radiansFromDegrees } from '../../../src/core/units/brands.ts';
import { anyBody } from '../../support/anyBody.ts';
import { PLAIN_RULES, contextOf } from '../../support/people.ts';
import { settingOf } from '../../support/plan.ts';

describe('a depth that cannot be taken as shallow as wanted', () => {
  it('is the shallowest that leaves free what is held back, where a straighter knee asks for more rotation', () => {
    let tried = 0;
    for (const measures of fc.sample(anyBody, { numRuns: 60, seed: 9 })) {
      const plan = planPose(contextOf(measures), 'warrior-two', 'right', { firstStepDeg: 40 });
      if (plan.kind !== 'planned' || plan.answer.found.kind !== 'held') continue;
      const { built, found } = plan.answer;
      if (found.reason.kind !== 'held-back' || found.deepest! - found.depth! < 8) continue;
      const near = toWarmStart(found.answer);
      const aim = { toSpare: 0, wishesWithin: wishesWithinAt(found.stretch) };
      const task = withLimits(built, 'recommended');
      const canBeHeldAt = (depth: number): boolean =>
        settleAt(task, 'front-knee-bend', radiansFromDegrees(depth), aim, near).kept;
      expect(canBeHeldAt(found.depth!)).toBe(true);
      expect(canBeHeldAt(found.depth! - 2)).toBe(false);
      tried += 1;
    }
    expect(tried).toBeGreaterThan(0);
  });
});

describe('wishes that cost too much depth', () => {
  it('stretch together, just enough to give six tenths of it back', () => {
    let tried = 0;
    for (const measures of fc.sample(anyBody, { numRuns: 120, seed: 31 })) {
      const plan = planPose(contextOf(measures), 'warrior-two', 'right', {
        ...PLAIN_RULES,
        pelvisOpen: 'square',
      });
      if (plan.kind !== 'planned' || plan.answer.found.kind !== 'held') continue;
      const { built, found } = plan.answer;
      const { depth } = plan.request.pose;
      if (found.stretch === 1) continue;
      const search = new DepthSearch({ ...built.task, wishes: [] }, depth!, null);
      const bare = search.depthOf(search.reach().answer);
      const least = Math.max(depth!.easiest, 0.6 * bare);
      expect(found.deepest!).toBeGreaterThan(least - 0.2);
      // With a little less of it that much depth cannot be held.
      const unit = toScaled('front-knee-bend', 1);
      const way = { quantity: 'front-knee-bend', from: least / unit, to: 90 / unit } as const;
      const aim = { toSpare: 0, wishesWithin: wishesWithinAt(0.94 * found.stretch) };
      const { posture } = found.answer.skeleton;
      const less = pullFarthest(built.task, way, aim, posture);
      const reached = search.depthOf(less);
      expect(less.kept && reached > least + 0.5, `${String(reached)} of ${String(least)}`).toBe(
        false,
      );
      tried += 1;
    }
    expect(tried).toBeGreaterThan(20);
  });
});

describe('a pose on the feet of another', () => {
  it.each([
    ['reverse-warrior', 'warrior-two'],
    ['side-angle', 'warrior-two'],
    ['reverse-triangle', 'triangle'],
  ])('%s stands exactly where the recommended %s stands', (pose, legs) => {
    for (const measures of fc.sample(anyBody, { numRuns: 30, seed: 4 })) {
      for (const depth of ['recommended', 'deepest'] as const) {
        const [on, own] = [
          planSetUp(contextOf(measures), pose, 'left', { depth }, 'auto'),
          planSetUp(contextOf(measures), legs, 'left', {}, 'auto'),
        ];
        if (!on.ok || !own.ok) throw new Error('not planned');
        if (on.value.status === 'failed') continue;
        for (const id of ['stance-length', 'stance-width', 'back-foot-angle'] as const) {
          expect(settingOf(on.value, id), id).toBe(settingOf(own.value, id));
        }
        expect(on.value.standsOn).toEqual({ pose: legs, level: own.value.level });
      }
    }
  });
});
