/**
 * The derivatives by the chain rule over the observables, against differences of the
 * conditions themselves: every pose, at a stiff body's and a supple one's answer and beside it.
 */
import { PlanningContext } from '../../../src/core/planning/planningContext.ts';
import { describe, expect, it } from 'vitest';
import { POSES } from '../../../src/core/poses/catalogue/index.ts';
import { planPose } from '../../../src/core/setup/planSetUp.ts';
import { LinearModel, type Residuals } from '../../../src/core/leastSquares/linearModel.ts';
import type { PoseTask } from '../../../src/core/conditions/poseTask.ts';
import { countUnknowns, stepPosture, type Posture } from '../../../src/core/skeleton/posture.ts';
import { PostureEvaluator } from '../../../src/core/solver/postureEvaluator.ts';
import { Conditions, type Multipliers } from '../../../src/core/conditions/residuals.ts';
import { buildSkeleton } from '../../../src/core/skeleton/skeleton.ts';
import { PLAIN_RULES, recordOf, STIFF, SUPPLE } from '../../support/people.ts';
import { makeRandom } from '../../support/random.ts';

const STEP = 1e-6;
/** Degrees or centimetres a radian or metre; a kink between the two sides shows by more. */
const AGREES_WITHIN = 0.02;
const MOST_KINKS = 0.02;

function compare(task: PoseTask, posture: Posture): { told: number; kinks: number; off: number } {
  const { body, contacts, free } = task;
  const aim = { toSpare: 0.05, wishesWithin: 2, toward: null };
  const skeleton = buildSkeleton(body, contacts, posture);
  const conditions = new Conditions(task, aim, skeleton);
  const evaluator = new PostureEvaluator(task, conditions.observables, skeleton);
  const musts = conditions.calcMusts(evaluator.evaluate(posture));
  const multipliers: Multipliers = {
    shift: { equal: musts.equal.map(() => 0), below: musts.below.map(() => 0) },
    weight: 3,
  };
  const n = countUnknowns(free);
  const shape = conditions.shapeOf(n);
  const residualsAt = (at: Posture): Residuals => {
    const residuals = {
      twoSided: new Float64Array(shape.twoSided.length),
      oneSided: new Float64Array(shape.oneSided.length),
    };
    conditions.writeResiduals(evaluator.evaluate(at), multipliers, residuals);
    return residuals;
  };
  const now = residualsAt(posture);
  const { derivatives } = new LinearModel(shape);
  evaluator.writeJacobian(posture, derivatives.jacobian);
  conditions.writeDerivatives(evaluator.evaluate(posture), multipliers.weight, derivatives);
  const slopeOf = (list: keyof Residuals, i: number, j: number): number => {
    const own = derivatives[list][i]! * derivatives.jacobian[shape[list][i]! * n + j]!;
    if (list === 'twoSided') return own;
    return (
      own + derivatives.oneSidedAlong[i]! * derivatives.jacobian[shape.oneSidedAlong[i]! * n + j]!
    );
  };
  const result = { told: 0, kinks: 0, off: 0 };
  for (let j = 0; j < n; j += 1) {
    const beside = (by: number): Residuals => {
      const step = new Float64Array(n);
      step[j] = by;
      return residualsAt(stepPosture(posture, step, free));
    };
    const [before, after] = [beside(-STEP), beside(STEP)];
    for (const list of ['twoSided', 'oneSided'] as const) {
      now[list].forEach((value, i) => {
        const left = (value - before[list][i]!) / STEP;
        const right = (after[list][i]! - value) / STEP;
        result.told += 1;
        if (Math.abs(left - right) > AGREES_WITHIN) result.kinks += 1;
        else {
          const off = Math.abs(slopeOf(list, i, j) - (left + right) / 2);
          result.off = Math.max(result.off, off);
        }
      });
    }
  }
  return result;
}

describe('the derivatives of conditions', () => {
  it.each(POSES.map(({ id }) => id))('agree with differences in %s', (id) => {
    const random = makeRandom(11);
    let told = 0;
    let kinks = 0;
    for (const measures of [STIFF, SUPPLE]) {
      const record = recordOf({ ...measures, 'knee-flexion': 150 });
      const plan = planPose(new PlanningContext(record), id, 'right', PLAIN_RULES);
      if (plan.kind !== 'planned') throw new Error(plan.kind);
      const { task } = plan.answer.built;
      for (const size of [0, 0.05, 0.1]) {
        const step = Float64Array.from({ length: countUnknowns(task.free) }, () =>
          size === 0 ? 0 : size * (2 * random() - 1),
        );
        const { posture } = plan.answer.found.answer.skeleton;
        const compared = compare(task, stepPosture(posture, step, task.free));
        expect(compared.off).toBeLessThan(AGREES_WITHIN);
        told += compared.told;
        kinks += compared.kinks;
      }
    }
    expect(told).toBeGreaterThan(3000);
    expect(kinks / told).toBeLessThan(MOST_KINKS);
  });
});
