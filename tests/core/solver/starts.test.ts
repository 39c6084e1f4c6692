import { describe, expect, it } from 'vitest';
import { POSES } from '../../../src/core/poses/catalogue/index.ts';
import { planPose } from '../../../src/core/setup/planSetUp.ts';
import { wishesWithinAt } from '../../../src/core/planning/depthSearch.ts';
import {
  toWarmStarts,
  type PoseWarmStarts,
  type PoseRequest,
} from '../../../src/core/planning/poseRequest.ts';
import { solvePose } from '../../../src/core/planning/solvePose.ts';
import { countUnknowns, stepPosture, type Posture } from '../../../src/core/skeleton/posture.ts';
import type { PoseTask } from '../../../src/core/conditions/poseTask.ts';
import { getQuantity } from '../../../src/core/conditions/quantities.ts';
import { calcWishOff, toScaled } from '../../../src/core/conditions/violation.ts';
import type { Solution } from '../../../src/core/solver/run.ts';
import { pullFarthest, settleFreely } from '../../../src/core/solver/solve.ts';
import {
  contextOf,
  PLAIN_RULES,
  REFERENCE,
  STIFF,
  SUPPLE,
  type Measures,
} from '../../support/people.ts';
import { makeRandom } from '../../support/random.ts';

/** Depth, deepest and stance, in degrees or centimetres. */
function solveFrom(
  request: PoseRequest,
  warmStarts: PoseWarmStarts | null = null,
): readonly number[] {
  const { found } = solvePose(request, warmStarts);
  if (found.kind !== 'held') return [];
  const { stance } = found.answer.skeleton.posture.parts;
  return [found.depth ?? 0, found.deepest ?? 0, 100 * stance];
}

describe('the order in which starts are tried', () => {
  it.each(POSES.map((pose) => pose.id))('does not matter for %s: 0.5° and 0.5 cm', (id) => {
    for (const measures of [REFERENCE, STIFF, SUPPLE]) {
      const plan = planPose(contextOf({ ...measures, 'knee-flexion': 160 }), id, 'right');
      if (plan.kind !== 'planned') throw new Error(plan.kind);
      const { poseRequest: request } = plan;
      const starts = [...request.pose.starts].reverse();
      const backward = solveFrom({ ...request, pose: { ...request.pose, starts } });
      const forward = solveFrom(request);
      expect(backward).toHaveLength(forward.length);
      backward.forEach((value, i) => {
        expect(Math.abs(value - forward[i]!)).toBeLessThanOrEqual(0.5);
      });
    }
  });
});

/** Changes of a body about as large as its measures' errors. */
const LIKE_BODIES: readonly Readonly<Record<string, number>>[] = [
  { 'leg-length': 1, 'knee-height': 0.6 },
  { 'straight-leg-raise': -4, 'hip-flexion': -4 },
  { 'hip-opening': 3, 'hip-abduction': 2, 'hip-external-rotation': 2 },
];

describe('the answer of a like body, taken as a warm start', () => {
  it.each(POSES.map((pose) => pose.id))('leads where a cold solve does, for %s', (id) => {
    let compared = 0;
    for (const measures of [REFERENCE, SUPPLE]) {
      const usual = { ...measures, 'knee-flexion': 160, 'trunk-side-bend': 25 };
      const known = planPose(contextOf(usual), id, 'right');
      if (known.kind !== 'planned') throw new Error(known.kind);
      const warmStarts = toWarmStarts(known.answer);
      for (const change of LIKE_BODIES) {
        const like = Object.fromEntries(
          Object.entries(usual).map(([measure, value]) => [
            measure,
            (value as number) + (change[measure] ?? 0),
          ]),
        );
        const plan = planPose(contextOf(like), id, 'right');
        if (plan.kind !== 'planned') throw new Error(plan.kind);
        // How far wishes stretch is found to two in a hundred, on which a depth may hang.
        if (plan.answer.found.kind === 'held' && plan.answer.found.stretch > 1) continue;
        const cold = solveFrom(plan.poseRequest);
        const warm = solveFrom(plan.poseRequest, warmStarts);
        expect(warm).toHaveLength(cold.length);
        warm.forEach((value, i) => {
          expect(Math.abs(value - cold[i]!), JSON.stringify({ i, change })).toBeLessThan(0.5);
          compared += 1;
        });
      }
    }
    expect(compared).toBeGreaterThanOrEqual(3);
  });
});

/** A posture moved at random: hips by up to 10 cm, every angle by up to 20°. */
function shake(from: Posture, free: PoseTask['free'], random: () => number): Posture {
  const step = new Float64Array(countUnknowns(free));
  for (let i = 0; i < step.length; i += 1) step[i] = (random() - 0.5) * (i < 3 ? 0.2 : 0.7);
  return stepPosture(from, step, free);
}

/** Shaken copies of a task's starts and of its answer, in turns. */
function shakeTwelve(task: PoseTask, answer: Posture): readonly Posture[] {
  const random = makeRandom(7);
  return Array.from({ length: 12 }, (_, i) => {
    const known = i % 2 === 0 ? task.starts : [answer];
    return shake(known[i % known.length]!, task.free, random);
  });
}

/** The plan of a body that holds the pose. */
function planHeld(measures: Measures, id: string) {
  const plan = planPose(contextOf({ ...measures, 'knee-flexion': 160 }), id, 'right', PLAIN_RULES);
  if (plan.kind !== 'planned') throw new Error(plan.kind);
  const { found, built } = plan.answer;
  if (found.kind !== 'held') return null;
  const aim = { toSpare: 0, wishesWithin: wishesWithinAt(found.stretch) };
  return { found, task: built.task, aim };
}

describe('twelve shaken starts', () => {
  const deep = POSES.flatMap(({ id, depth }) => (depth === null ? [] : [{ id, depth }]));

  it.each(deep)('find nothing deeper of $id by more than 0.5', ({ id, depth }) => {
    let tried = 0;
    for (const measures of [REFERENCE, STIFF, SUPPLE]) {
      const held = planHeld(measures, id);
      if (held === null) continue;
      const { found, task, aim } = held;
      const { quantity, easiest, textbook } = depth;
      const unit = toScaled(quantity, 1);
      const way = { quantity, from: easiest / unit, to: textbook / unit };
      for (const from of shakeTwelve(task, found.answer.skeleton.posture)) {
        const answer = pullFarthest({ ...task, starts: [from] }, way, aim, null);
        if (!answer.kept) continue;
        const reached = getQuantity(quantity).calc(answer.skeleton) * unit;
        expect(reached).toBeLessThan(found.deepest! + 0.5);
        tried += 1;
      }
    }
    // Most of them come to an answer at all.
    expect(tried).toBeGreaterThanOrEqual(10);
  });

  const level = POSES.filter(({ depth }) => depth === null).map(({ id }) => id);

  it.each(level)('find nothing more wished for of %s, which has no depth', (id) => {
    let tried = 0;
    for (const measures of [REFERENCE, STIFF, SUPPLE]) {
      const held = planHeld(measures, id);
      if (held === null) continue;
      const { found, task, aim } = held;
      const costOf = ({ skeleton }: Solution): number =>
        [...task.wishes, ...task.eases].reduce(
          (sum, wish) => sum + calcWishOff(wish, skeleton) ** 2,
          0,
        );
      for (const from of shakeTwelve(task, found.answer.skeleton.posture)) {
        const answer = settleFreely({ ...task, starts: [from] }, aim);
        if (!answer.kept) continue;
        // Costs are squared tolerances.
        expect(costOf(answer)).toBeGreaterThan(costOf(found.answer) - 0.02);
        tried += 1;
      }
    }
    expect(tried).toBeGreaterThanOrEqual(10);
  });
});
