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
import { toScaled } from '../../../src/core/conditions/residuals.ts';
import { pullFarthest } from '../../../src/core/solver/solve.ts';
import { PLAIN_RULES, recordOf, REFERENCE, STIFF, SUPPLE } from '../../support/people.ts';
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
      const plan = planPose(recordOf({ ...measures, 'knee-flexion': 160 }), id, 'right');
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

describe('the answer of a like body, taken as a warmStart', () => {
  it.each(POSES.map((pose) => pose.id))('leads where solving anew does, for %s', (id) => {
    let compared = 0;
    for (const measures of [REFERENCE, SUPPLE]) {
      const usual = { ...measures, 'knee-flexion': 160, 'trunk-side-bend': 25 };
      const known = planPose(recordOf(usual), id, 'right');
      if (known.kind !== 'planned') throw new Error(known.kind);
      const warmStarts = toWarmStarts(known.answer);
      for (const change of LIKE_BODIES) {
        const like = Object.fromEntries(
          Object.entries(usual).map(([measure, value]) => [
            measure,
            (value as number) + (change[measure] ?? 0),
          ]),
        );
        const plan = planPose(recordOf(like), id, 'right');
        if (plan.kind !== 'planned') throw new Error(plan.kind);
        // How far wishes stretch is found to two in a hundred, on which a depth may hang.
        if (plan.answer.found.kind === 'held' && plan.answer.found.stretch > 1) continue;
        const anew = solveFrom(plan.poseRequest);
        const hinted = solveFrom(plan.poseRequest, warmStarts);
        expect(hinted).toHaveLength(anew.length);
        hinted.forEach((value, i) => {
          expect(Math.abs(value - anew[i]!), JSON.stringify({ i, change })).toBeLessThan(0.5);
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

describe('twelve shaken starts', () => {
  it.each(POSES.map((pose) => pose.id))('find nothing deeper of %s by more than 0.5', (id) => {
    let tried = 0;
    for (const measures of [REFERENCE, STIFF, SUPPLE]) {
      const record = recordOf({ ...measures, 'knee-flexion': 160 });
      const plan = planPose(record, id, 'right', PLAIN_RULES);
      if (plan.kind !== 'planned') throw new Error(plan.kind);
      const { found, built } = plan.answer;
      const { depth } = plan.poseRequest.pose;
      if (depth === null || found.kind !== 'held') continue;
      const { quantity, easiest, textbook } = depth;
      const unit = toScaled(quantity, 1);
      const way = { quantity, from: easiest / unit, to: textbook / unit };
      const aim = { toSpare: 0, wishesWithin: wishesWithinAt(found.stretch) };
      const random = makeRandom(7);
      for (let i = 0; i < 12; i += 1) {
        const known = i % 2 === 0 ? built.task.starts : [found.answer.skeleton.posture];
        const from = shake(known[i % known.length]!, built.task.free, random);
        const answer = pullFarthest({ ...built.task, starts: [from] }, way, aim, null);
        if (!answer.kept) continue;
        const reached = getQuantity(quantity).calc(answer.skeleton) * unit;
        expect(reached).toBeLessThan(found.deepest! + 0.5);
        tried += 1;
      }
    }
    // Most of them come to an answer at all.
    const hasDepth = POSES.find((pose) => pose.id === id)!.depth !== null;
    expect(tried).toBeGreaterThanOrEqual(hasDepth ? 10 : 0);
  });
});
