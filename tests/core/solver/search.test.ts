import { describe, expect, it } from 'vitest';
import type { PoseTask } from '../../../src/core/conditions/poseTask.ts';
import { getQuantity } from '../../../src/core/conditions/quantities.ts';
import type { Aim } from '../../../src/core/conditions/listConditions.ts';
import { planPose } from '../../../src/core/setup/planSetUp.ts';
import { toWarmStart, type Solution } from '../../../src/core/solver/run.ts';
import { runFrom, runFromWarmStart, runNear } from '../../../src/core/solver/search.ts';
import type { Posture } from '../../../src/core/skeleton/posture.ts';
import { contextOf, PLAIN_RULES, REFERENCE } from '../../support/people.ts';

function taskOf(pose: string): PoseTask {
  const plan = planPose(contextOf(REFERENCE), pose, 'right', PLAIN_RULES);
  if (plan.kind !== 'planned') throw new Error(plan.kind);
  return plan.answer.built.task;
}

const task = taskOf('warrior-two');
const RADIAN = Math.PI / 180;
const BEND: Aim = {
  toSpare: 0,
  wishesWithin: null,
  toward: { quantity: 'front-knee-bend', value: 90 * RADIAN, how: 'up' },
};
const bendOf = ({ skeleton }: Solution): number =>
  getQuantity('front-knee-bend').calc(skeleton) / RADIAN;

describe('the search from several starts', () => {
  it('leads as far as the best of its starts alone, in whatever order they stand', () => {
    const alone = task.starts.map((start) => runFrom(task, BEND, [start]));
    const farthest = Math.max(...alone.filter(({ kept }) => kept).map(bendOf));
    expect(farthest).toBeGreaterThan(60);
    for (const starts of [task.starts, [...task.starts].reverse()]) {
      const answer = runFrom(task, BEND, starts);
      expect(answer.kept).toBe(true);
      expect(bendOf(answer)).toBeGreaterThan(farthest - 0.1);
    }
  });

  it('gives the same answer, to the letter, where a start stands twice', () => {
    const twice = runFrom(task, BEND, [...task.starts, ...task.starts]);
    expect(twice.skeleton.posture).toEqual(runFrom(task, BEND, task.starts).skeleton.posture);
  });

  it('answers with the least broken posture where nothing is kept', () => {
    const impossible: PoseTask = {
      ...task,
      musts: [
        ...task.musts,
        { quantity: 'front-knee-bend', atLeast: 100 * RADIAN, atMost: null },
        { quantity: 'front-knee-bend', atLeast: null, atMost: 20 * RADIAN },
      ],
    };
    const answer = runFrom(impossible, { ...BEND, toward: null }, impossible.starts);
    expect(answer.kept).toBe(false);
    // The two musts are 80° apart: at best each is broken by half.
    expect(answer.excess).toBeGreaterThan(39);
    expect(answer.excess).toBeLessThan(60);
  });

  it('wants a start', () => {
    expect(() => runFrom(task, BEND, [])).toThrow(/start/);
  });
});

describe('a start near an answer', () => {
  const answer = runFrom(task, BEND, task.starts);

  it('leads to that answer again', () => {
    const again = runFromWarmStart(task, BEND, toWarmStart(answer));
    expect(again.kept).toBe(true);
    expect(bendOf(again)).toBeCloseTo(bendOf(answer), 1);
  });

  it('that leads nowhere gives way to the pose’s own starts', () => {
    const { posture } = answer.skeleton;
    // Far off the mat and upside down.
    const lost: Posture = { ...posture, pelvisCentre: [3, 3, 0.1] };
    const near = runNear(task, BEND, lost);
    expect(near.kept).toBe(true);
    expect(bendOf(near)).toBeGreaterThan(bendOf(answer) - 0.5);
  });
});
