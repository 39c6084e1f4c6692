import { describe, expect, it } from 'vitest';
import {
  minimise,
  Room,
  type LeastSquaresTask,
  type Residuals,
} from '../../../src/core/solver/leastSquares.ts';

type Point = readonly number[];
const STEP = 1e-7;

/** A task told by its residuals alone, its slopes by forward differences. */
function taskOf(unknowns: number, residuals: (x: Point) => Residuals): LeastSquaresTask<Point> {
  const write = (rows: Float64Array, j: number, from: readonly number[], to: readonly number[]) => {
    from.forEach((each, i) => {
      rows[i * unknowns + j] = (to[i]! - each) / STEP;
    });
  };
  return {
    unknowns,
    move: (from, step) => from.map((each, i) => each + step[i]!),
    calcResiduals: (x, { twoSided, oneSided }) => {
      const now = residuals(x);
      twoSided.splice(0, twoSided.length, ...now.twoSided);
      oneSided.splice(0, oneSided.length, ...now.oneSided);
    },
    calcSlopes: (x, { twoSided, oneSided }) => {
      const now = residuals(x);
      for (let j = 0; j < unknowns; j += 1) {
        const probed = residuals(x.map((each, i) => (i === j ? each + STEP : each)));
        write(twoSided, j, now.twoSided, probed.twoSided);
        write(oneSided, j, now.oneSided, probed.oneSided);
      }
    },
  };
}

const solve = (start: Point, residuals: (x: Point) => Residuals): Point => {
  const room = new Room(start.length, residuals(start));
  return minimise(taskOf(start.length, residuals), start, 1e-16, room);
};

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

  it('gives the same answer whatever a run before it in the same room ended with', () => {
    // Between walls at 1 and 2: pulled to the one, then to the other, then back again.
    const room = new Room(1, { twoSided: [0], oneSided: [0, 0] });
    const pullTo = (goal: number): number => {
      const task = taskOf(1, ([x]) => ({
        twoSided: [x! - goal],
        oneSided: [1e3 * (x! - 2), 1e3 * (1 - x!)],
      }));
      return minimise(task, [1.5], 1e-16, room)[0]!;
    };
    expect(pullTo(9)).toBeCloseTo(2, 4);
    expect(pullTo(-9)).toBeCloseTo(1, 4);
    expect(pullTo(9)).toBeCloseTo(2, 4);
    expect(pullTo(1.25)).toBeCloseTo(1.25, 6);
  });
});
