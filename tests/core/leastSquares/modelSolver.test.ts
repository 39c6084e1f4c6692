/** The inner solver against the conditions of a minimum, and against every possible active set. */
import { describe, expect, it } from 'vitest';
import { LinearModel } from '../../../src/core/leastSquares/linearModel.ts';
import { ModelSolver } from '../../../src/core/leastSquares/modelSolver.ts';
import { makeRandom } from '../../support/random.ts';

interface Task {
  /** Rows of the two-sided and of the one-sided residuals, and their values at the state. */
  readonly twoSided: readonly (readonly number[])[];
  readonly oneSided: readonly (readonly number[])[];
  readonly at: { readonly twoSided: readonly number[]; readonly oneSided: readonly number[] };
}

function makeModel({ twoSided, oneSided, at }: Task): LinearModel {
  const rows = [...twoSided, ...oneSided];
  const own = Int32Array.from(oneSided, (_, i) => twoSided.length + i);
  const model = new LinearModel({
    unknowns: rows[0]!.length,
    observables: rows.length,
    twoSided: Int32Array.from(twoSided, (_, i) => i),
    oneSided: own,
    oneSidedAlong: own,
  });
  model.derivatives.jacobian.set(rows.flat());
  model.derivatives.twoSided.fill(1);
  model.derivatives.oneSided.fill(1);
  model.take({
    twoSided: Float64Array.from(at.twoSided),
    oneSided: Float64Array.from(at.oneSided),
  });
  return model;
}

const dot = (row: readonly number[], step: ArrayLike<number>): number =>
  row.reduce((sum, each, j) => sum + each * step[j]!, 0);

/** Half the damped sum of squares after a step. */
function calcCost(
  { twoSided, oneSided, at }: Task,
  damping: number,
  step: readonly number[],
): number {
  const two = twoSided.map((row, i) => at.twoSided[i]! + dot(row, step));
  const one = oneSided.map((row, i) => Math.max(0, at.oneSided[i]! + dot(row, step)));
  const squares = [...two, ...one].reduce((sum, each) => sum + each * each, 0);
  return (squares + damping * dot(step, step)) / 2;
}

function solve(task: Task, damping: number, active: Uint8Array): number[] | null {
  const model = makeModel(task);
  const solver = new ModelSolver(model);
  solver.begin(model, null);
  return solver.solve(damping, active) ? [...solver.step] : null;
}

function makeTask(random: () => number, unknowns: number, count: number): Task {
  const any = (): number => 2 * random() - 1;
  const rows = (of: number): number[][] =>
    Array.from({ length: of }, () => Array.from({ length: unknowns }, any));
  return {
    twoSided: rows(unknowns + 1),
    oneSided: rows(count),
    at: {
      twoSided: Array.from({ length: unknowns + 1 }, any),
      oneSided: Array.from({ length: count }, any),
    },
  };
}

describe('a linear model with one-sided residuals', () => {
  it('is at its least: no small move in any direction costs less, in 300 made-up tasks', () => {
    const random = makeRandom(3);
    for (let i = 0; i < 300; i += 1) {
      const unknowns = 1 + (i % 5);
      const task = makeTask(random, unknowns, i % 7);
      const step = solve(task, 0.01, new Uint8Array(task.oneSided.length))!;
      const least = calcCost(task, 0.01, step);
      for (let way = 0; way < 30; way += 1) {
        const size = 10 ** -(1 + (way % 4));
        const beside = step.map((each) => each + size * (2 * random() - 1));
        // Convex: what is least nearby is least everywhere.
        expect(calcCost(task, 0.01, beside)).toBeGreaterThanOrEqual(least - 1e-9);
      }
    }
  });

  it('comes to the same step whichever residuals are assumed to be active', () => {
    const random = makeRandom(4);
    for (let i = 0; i < 40; i += 1) {
      const task = makeTask(random, 3, 4);
      const steps = Array.from({ length: 16 }, (_, bits) =>
        solve(
          task,
          0.01,
          Uint8Array.from({ length: 4 }, (__, m) => (bits >> m) & 1),
        )!,
      );
      for (const step of steps) {
        step.forEach((each, j) => {
          expect(each).toBeCloseTo(steps[0]![j]!, 6);
        });
      }
    }
  });

  it('says in the end which residuals are active', () => {
    // One unknown is drawn to 2; one wall stands at 1 and another at 5.
    const task = {
      twoSided: [[1]],
      oneSided: [[1], [1]],
      at: { twoSided: [-2], oneSided: [-1, -5] },
    };
    const active = Uint8Array.from([0, 1]);
    // (x − 2) + (x − 1) = 0.
    expect(solve(task, 0, active)![0]).toBeCloseTo(1.5, 9);
    expect([...active]).toEqual([1, 0]);
  });

  it('refuses a singular model, and solves it with some damping', () => {
    const task = { twoSided: [[1, 1]], oneSided: [], at: { twoSided: [-2], oneSided: [] } };
    expect(solve(task, 0, new Uint8Array(0))).toBeNull();
    const [x, y] = solve(task, 1e-6, new Uint8Array(0))!;
    expect(x).toBeCloseTo(1, 5);
    expect(y).toBeCloseTo(1, 5);
  });
});
