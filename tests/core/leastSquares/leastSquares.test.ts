import { describe, expect, it } from 'vitest';
import { minimise, type LeastSquaresTask } from '../../../src/core/leastSquares/leastSquares.ts';
import type { ResidualShape } from '../../../src/core/leastSquares/linearModel.ts';
import { Workspace } from '../../../src/core/leastSquares/workspace.ts';

type Point = readonly number[];
interface Values {
  readonly twoSided: readonly number[];
  readonly oneSided: readonly number[];
}
const STEP = 1e-7;
const PRECISELY = { gain: 1e-16, smallStepGain: 1e-16, smallStep: 0 };

/** A task given by its residuals alone: each is an observable of its own, its derivatives by forward differences. */
function taskOf(residuals: (x: Point) => Values): LeastSquaresTask<Point> {
  return {
    move: (from, step) => from.map((each, i) => each + step[i]!),
    calcResiduals: (x, { twoSided, oneSided }) => {
      const now = residuals(x);
      twoSided.set(now.twoSided);
      oneSided.set(now.oneSided);
    },
    calcDerivatives: (x, { jacobian, twoSided, oneSided }) => {
      const list = (at: Point): readonly number[] => {
        const { twoSided: two, oneSided: one } = residuals(at);
        return [...two, ...one];
      };
      const now = list(x);
      x.forEach((_, j) => {
        const probed = list(x.map((each, i) => (i === j ? each + STEP : each)));
        now.forEach((each, i) => {
          jacobian[i * x.length + j] = (probed[i]! - each) / STEP;
        });
      });
      twoSided.fill(1);
      oneSided.fill(1);
    },
  };
}

function shapeOf(unknowns: number, twoSided: number, oneSided: number): ResidualShape {
  const own = Int32Array.from({ length: oneSided }, (_, i) => twoSided + i);
  return {
    unknowns,
    observables: twoSided + oneSided,
    twoSided: Int32Array.from({ length: twoSided }, (_, i) => i),
    oneSided: own,
    oneSidedAlong: own,
  };
}

function solve(start: Point, residuals: (x: Point) => Values): Point {
  const { twoSided, oneSided } = residuals(start);
  const shape = shapeOf(start.length, twoSided.length, oneSided.length);
  return minimise(taskOf(residuals), start, PRECISELY, new Workspace(shape));
}

describe('least squares with one-sided residuals', () => {
  it('finds the bottom of Rosenbrock’s valley, (1, 1)', () => {
    const [x, y] = solve([-1.2, 1], ([a, b]) => ({
      twoSided: [10 * (b! - a! * a!), 1 - a!],
      oneSided: [],
    }));
    expect(x).toBeCloseTo(1, 5);
    expect(y).toBeCloseTo(1, 5);
  });

  it('stops at a wall: nearest point of a disc to a point outside', () => {
    const wall = 300;
    const [x, y] = solve([0.3, -0.2], ([a, b]) => ({
      twoSided: [a! - 3, b! - 4],
      oneSided: [wall * (Math.hypot(a!, b!) - 1)],
    }));
    // The wall gives by its share of the pull, 4 / 300².
    expect(x).toBeCloseTo(0.6, 3);
    expect(y).toBeCloseTo(0.8, 3);
  });

  it('goes into the corner of two walls at once', () => {
    // Maximise x + 2y with x ≤ 1 and y ≤ 2: the pull aims far beyond.
    const [x, y] = solve([0, 0], ([a, b]) => ({
      twoSided: [0.01 * (100 - a! - 2 * b!)],
      oneSided: [1e3 * (a! - 1), 1e3 * (b! - 2)],
    }));
    expect(x).toBeCloseTo(1, 3);
    expect(y).toBeCloseTo(2, 3);
  });

  it('leaves a residual that is off alone', () => {
    const [x] = solve([5], ([a]) => ({ twoSided: [a! - 2], oneSided: [100 * (1 - a!)] }));
    expect(x).toBeCloseTo(2, 6);
  });

  it('gives the same answer whatever a minimisation before it has left', () => {
    // Between walls at 1 and 2: pulled to the one, then to the other, then back again.
    const shape = shapeOf(1, 1, 2);
    const workspace = new Workspace(shape);
    const pullTo = (goal: number): number => {
      const task = taskOf(([x]) => ({
        twoSided: [x! - goal],
        oneSided: [1e3 * (x! - 2), 1e3 * (1 - x!)],
      }));
      return minimise(task, [1.5], PRECISELY, workspace)[0]!;
    };
    expect(pullTo(9)).toBeCloseTo(2, 4);
    expect(pullTo(-9)).toBeCloseTo(1, 4);
    expect(pullTo(9)).toBeCloseTo(2, 4);
    expect(pullTo(1.25)).toBeCloseTo(1.25, 6);
  });

  it('may run inside another minimisation, each with a workspace of its own', () => {
    const shape = shapeOf(1, 1, 0);
    const nearest = (goal: number): number =>
      minimise(
        taskOf(([x]) => ({ twoSided: [x! - goal], oneSided: [] })),
        [0],
        PRECISELY,
        new Workspace(shape),
      )[0]!;
    // (y − x)² is least where y = x: each residual asks another minimisation for its y.
    const [x] = solve([9], ([a]) => ({ twoSided: [3 - nearest(a!)], oneSided: [] }));
    expect(x).toBeCloseTo(3, 5);
  });
});
