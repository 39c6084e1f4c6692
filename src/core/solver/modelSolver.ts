import type { LinearModel, ResidualShape } from './linearModel.ts';
import { addOuter, addRow, multiplyRows } from './rows.ts';

const MOST_INNER_ITERATIONS = 40;
const MOST_TRIES = 40;

/** Finds the least of linear models of one shape; its memory serves one after the other. */
export class ModelSolver {
  /** The step that was found, and the one that it would go to next. */
  step: Float64Array;
  private target: Float64Array;
  private readonly normal: Float64Array;
  /** Of the moving one-sided residuals after either step. */
  private values: Float64Array;
  private targetValues: Float64Array;
  /** How a step changes each reading that is needed; 0 for the others. */
  private readonly moves: Float64Array;
  /** The slopes of one residual. */
  private readonly row: Float64Array;

  constructor({ unknowns, readings, oneSided }: ResidualShape) {
    this.step = new Float64Array(unknowns);
    this.target = new Float64Array(unknowns);
    this.normal = new Float64Array(unknowns * unknowns);
    this.values = new Float64Array(oneSided.length);
    this.targetValues = new Float64Array(oneSided.length);
    this.moves = new Float64Array(readings);
    this.row = new Float64Array(unknowns);
  }

  /**
   * Minimises a linear model with its one-sided residuals kept one-sided: a convex,
   * piecewise quadratic task, solved by a semi-smooth Newton method. Keeping the kinks
   * in the model is what lets a step run along several limits at once; treating the
   * residuals active now as two-sided makes it zigzag.
   *
   * @param on 1 for every one-sided residual that is taken as on at first; in the end those
   *   that are
   * @returns false when the model is singular; else the least is left in `step`
   */
  solve(model: LinearModel, damping: number, on: Uint8Array): boolean {
    const { moving, movingCount } = model;
    this.step.fill(0);
    this.moves.fill(0);
    for (let m = 0; m < movingCount; m += 1) this.values[m] = model.oneSided[moving[m]!]!;
    for (let inner = 0; inner < MOST_INNER_ITERATIONS; inner += 1) {
      if (!this.solveWithOn(model, damping, on)) return false;
      this.calcTargetValues(model);
      // Where just those are on that were taken as on, the least cost is reached.
      const isLeast = areOn(this.targetValues, model, on);
      const share = isLeast ? 1 : this.findLeastAlong(model, damping);
      if (share === 1) {
        [this.step, this.target] = [this.target, this.step];
        [this.values, this.targetValues] = [this.targetValues, this.values];
      } else {
        const { step, target, values, targetValues } = this;
        for (let j = 0; j < step.length; j += 1) step[j]! += share * (target[j]! - step[j]!);
        for (let m = 0; m < movingCount; m += 1) {
          values[m]! += share * (targetValues[m]! - values[m]!);
        }
      }
      // A first guess says nothing of the place it was made at; what is on there does.
      if (isLeast || (share === 0 && inner > 0)) return true;
      for (let m = 0; m < movingCount; m += 1) on[moving[m]!] = this.values[m]! > 0 ? 1 : 0;
    }
    return true;
  }

  /** Leaves the least of the cost in `target`, if just those one-sided residuals counted that are on. */
  private solveWithOn(model: LinearModel, damping: number, on: Uint8Array): boolean {
    const { shape, slopes, moving, movingCount } = model;
    const { normal, target, row } = this;
    const n = shape.unknowns;
    normal.set(model.normal);
    for (let j = 0; j < n; j += 1) {
      normal[j * n + j]! += damping;
      target[j] = -model.gradient[j]!;
    }
    for (let m = 0; m < movingCount; m += 1) {
      const i = moving[m]!;
      if (on[i] === 0) continue;
      const own = shape.oneSided[i]! * n;
      const byOwn = slopes.oneSided[i]!;
      for (let j = 0; j < n; j += 1) row[j] = byOwn * slopes.changes[own + j]!;
      const byAlong = slopes.oneSidedAlong[i]!;
      if (byAlong !== 0) addRow(row, slopes.changes, shape.oneSidedAlong[i]! * n, byAlong);
      addOuter(normal, row, 0, n, 1);
      addRow(target, row, 0, -model.oneSided[i]!);
    }
    return solveCholesky(normal, target, n);
  }

  private calcTargetValues({
    shape,
    slopes,
    oneSided,
    needed,
    neededCount,
    moving,
    movingCount,
  }: LinearModel): void {
    const { moves, target, targetValues } = this;
    multiplyRows(slopes.changes, needed, neededCount, target, moves);
    for (let m = 0; m < movingCount; m += 1) {
      const i = moving[m]!;
      const own = slopes.oneSided[i]! * moves[shape.oneSided[i]!]!;
      const along = slopes.oneSidedAlong[i]! * moves[shape.oneSidedAlong[i]!]!;
      targetValues[m] = oneSided[i]! + own + along;
    }
  }

  /** Where along the way from `step` to `target` the damped model's cost is least, 0 to 1. */
  private findLeastAlong(model: LinearModel, damping: number): number {
    const { normal, gradient, movingCount } = model;
    const { step: from, target: to, values, targetValues } = this;
    const n = from.length;
    // The two-sided part is a parabola: its slope is first + t · rise.
    let first = 0;
    let rise = 0;
    for (let j = 0; j < n; j += 1) {
      const d = to[j]! - from[j]!;
      let row = gradient[j]! + damping * from[j]!;
      let turned = damping * d;
      for (let k = 0; k < n; k += 1) {
        const entry = j >= k ? normal[j * n + k]! : normal[k * n + j]!;
        row += entry * from[k]!;
        turned += entry * (to[k]! - from[k]!);
      }
      first += d * row;
      rise += d * turned;
    }
    // The slope rises along the way in straight pieces: Newton's steps end on the right one.
    let low = 0;
    let high = 1;
    let t = 1;
    for (let tries = 0; tries < MOST_TRIES; tries += 1) {
      let slope = first + t * rise;
      let curvature = rise;
      for (let m = 0; m < movingCount; m += 1) {
        const change = targetValues[m]! - values[m]!;
        const value = values[m]! + t * change;
        if (value <= 0) continue;
        slope += value * change;
        curvature += change * change;
      }
      if (t === 1 && slope <= 1e-12) return 1;
      if (slope > 0) high = t;
      else low = t;
      const next = t - slope / curvature;
      if (Math.abs(next - t) < 1e-6) return Math.max(0, Math.min(1, next));
      t = next > low && next < high ? next : (low + high) / 2;
    }
    return low;
  }
}

/** Whether values of the moving one-sided residuals are positive for just those that are on. */
function areOn(
  values: Float64Array,
  { moving, movingCount }: LinearModel,
  on: Uint8Array,
): boolean {
  for (let m = 0; m < movingCount; m += 1) {
    if (values[m]! > 0 !== (on[moving[m]!] === 1)) return false;
  }
  return true;
}

/** Solves A·x = b for symmetric positive definite A (row-major, overwritten); false if it is not. */
function solveCholesky(a: Float64Array, b: Float64Array, n: number): boolean {
  for (let i = 0; i < n; i += 1) {
    const row = i * n;
    let own = a[row + i]!;
    let known = b[i]!;
    for (let j = 0; j < i; j += 1) {
      const other = j * n;
      let sum = a[row + j]!;
      for (let k = 0; k < j; k += 1) sum -= a[row + k]! * a[other + k]!;
      sum /= a[other + j]!;
      a[row + j] = sum;
      own -= sum * sum;
      known -= sum * b[j]!;
    }
    if (!(own > 0)) return false;
    const root = Math.sqrt(own);
    a[row + i] = root;
    b[i] = known / root;
  }
  for (let i = n - 1; i >= 0; i -= 1) {
    const row = i * n;
    const value = b[i]! / a[row + i]!;
    b[i] = value;
    for (let k = 0; k < i; k += 1) b[k]! -= a[row + k]! * value;
  }
  return true;
}
