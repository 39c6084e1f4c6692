import { describe, expect, it } from 'vitest';
import { POSES } from '../../../src/core/poses/catalogue/index.ts';
import { planPose } from '../../../src/core/setup/planSetUp.ts';
import { solvePose, type PoseRequest } from '../../../src/core/setup/solvePose.ts';
import { recordOf, REFERENCE, STIFF, SUPPLE } from '../../support/people.ts';

/** Depth, deepest and stance, in degrees or centimetres. */
function solveFrom(request: PoseRequest): readonly number[] {
  const { found } = solvePose(request);
  if (found.kind !== 'held') return [];
  const { stance } = found.answer.skeleton.posture;
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
