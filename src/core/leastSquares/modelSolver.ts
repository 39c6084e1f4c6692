import type { LinearModel } from './linearModel.ts';
import { addOuter, addRow, multiplyRows } from './rows.ts';

const MOST_INNER_ITERATIONS = 40;
const MOST_TRIES = 40;

/** Finds the least of linear models of one shape; its memory serves one after the other. */
export class ModelSolver {
  /** The step that was found, and the one that it would go to next. */
  step: Float64Array;
  private target: Float64Array;
  /** Curvature (lower half) of the two-sided part, and of that with the one-sided residuals counted in. */
  private readonly curvature: Float64Array;
  private readonly counted: Float64Array;
  /** Where the slope of what is counted in would have to lead. */
  private readonly pull: Float64Array;
  /** 1 for every moving residual that is counted in. */
  private readonly isIn: Uint8Array;
  private readonly factor: Float64Array;
  /** Of the moving one-sided residuals after either step. */
  private values: Float64Array;
  private targetValues: Float64Array;
  /** How a step changes each reading that is needed; 0 for the others. */
  private readonly moves: Float64Array;
  /** The slopes of one residual. */
  private readonly row: Float64Array;

  constructor(private model: LinearModel) {
    const { unknowns, readings, oneSided } = model.shape;
    this.step = new Float64Array(unknowns);
    this.target = new Float64Array(unknowns);
    this.curvature = new Float64Array(unknowns * unknowns);
    this.counted = new Float64Array(unknowns * unknowns);
    this.pull = new Float64Array(unknowns);
    this.isIn = new Uint8Array(oneSided.length);
    this.factor = new Float64Array(unknowns * unknowns);
    this.values = new Float64Array(oneSided.length);
    this.targetValues = new Float64Array(oneSided.length);
    this.moves = new Float64Array(readings);
    this.row = new Float64Array(unknowns);
  }

  /** @param bending added to the model's own curvature; null = none */
  begin(model: LinearModel, bending: Float64Array | null): void {
    const { curvature } = this;
    this.model = model;
    this.moves.fill(0);
    curvature.set(model.normal);
    if (bending !== null) addRow(curvature, bending, 0, 1);
    this.countNone();
  }

  /**
   * Minimises the linear model with its one-sided residuals kept one-sided: a convex,
   * piecewise quadratic task, solved by a semi-smooth Newton method. Keeping the kinks
   * in the model is what lets a step run along several limits at once; treating the
   * residuals active now as two-sided makes it zigzag.
   *
   * @param on 1 for every one-sided residual that is taken as on at first; in the end those
   *   that are
   * @returns false when the model is singular; else the least is left in `step`
   */
  solve(damping: number, on: Uint8Array): boolean {
    const { count, index, value } = this.model.moving;
    this.step.fill(0);
    for (let m = 0; m < count; m += 1) this.values[m] = value[m]!;
    for (let inner = 0; inner < MOST_INNER_ITERATIONS; inner += 1) {
      this.countIn(on);
      if (!solveCholesky(this.counted, damping, this.factor, this.pull, this.target)) return false;
      // Where just those are on that were taken as on, the least cost is reached.
      const isLeast = this.calcTargetValues();
      const share = isLeast ? 1 : this.findLeastAlong(damping);
      if (share === 1) {
        [this.step, this.target] = [this.target, this.step];
        [this.values, this.targetValues] = [this.targetValues, this.values];
      } else {
        const { step, target, values, targetValues } = this;
        for (let j = 0; j < step.length; j += 1) step[j]! += share * (target[j]! - step[j]!);
        for (let m = 0; m < count; m += 1) values[m]! += share * (targetValues[m]! - values[m]!);
      }
      // A first guess says nothing of the place it was made at; what is on there does.
      if (isLeast || (share === 0 && inner > 0)) return true;
      for (let m = 0; m < count; m += 1) on[index[m]!] = this.values[m]! > 0 ? 1 : 0;
    }
    return true;
  }

  private countNone(): void {
    const { counted, pull, model } = this;
    counted.set(this.curvature);
    for (let j = 0; j < pull.length; j += 1) pull[j] = -model.gradient[j]!;
    this.isIn.fill(0);
  }

  /** Counts in those one-sided residuals that are on, and no other. */
  private countIn(on: Uint8Array): void {
    const { isIn, counted, pull, row } = this;
    const { slopes, moving } = this.model;
    const { count, index } = moving;
    const n = row.length;
    for (let m = 0; m < count; m += 1) {
      if (isIn[m] === 0 || on[index[m]!] === 1) continue;
      // To take one out again would leave its rounding behind.
      this.countNone();
      break;
    }
    for (let m = 0; m < count; m += 1) {
      if (on[index[m]!] === 0 || isIn[m] === 1) continue;
      isIn[m] = 1;
      const own = moving.own[m]! * n;
      const byOwn = moving.byOwn[m]!;
      for (let j = 0; j < n; j += 1) row[j] = byOwn * slopes.changes[own + j]!;
      const byAlong = moving.byAlong[m]!;
      if (byAlong !== 0) addRow(row, slopes.changes, moving.along[m]! * n, byAlong);
      addOuter(counted, row, 0, n, 1);
      addRow(pull, row, 0, -moving.value[m]!);
    }
  }

  /** @returns whether just those are on after the target step that are counted in */
  private calcTargetValues(): boolean {
    const { moves, target, targetValues, isIn } = this;
    const { slopes, needed, neededCount, moving } = this.model;
    const { count, value, own, along, byOwn, byAlong } = moving;
    multiplyRows(slopes.changes, needed, neededCount, target, moves);
    let isLeast = true;
    for (let m = 0; m < count; m += 1) {
      const after = value[m]! + byOwn[m]! * moves[own[m]!]! + byAlong[m]! * moves[along[m]!]!;
      targetValues[m] = after;
      if (after > 0 !== (isIn[m] === 1)) isLeast = false;
    }
    return isLeast;
  }

  /** Where along the way from `step` to `target` the damped model's cost is least, 0 to 1. */
  private findLeastAlong(damping: number): number {
    const { step: from, target: to, values, targetValues, curvature } = this;
    const { gradient, moving } = this.model;
    const n = from.length;
    // The two-sided part is a parabola: its slope is first + t · rise.
    let first = 0;
    let rise = 0;
    for (let j = 0; j < n; j += 1) {
      const row = j * n;
      const [at, way] = [from[j]!, to[j]! - from[j]!];
      const own = curvature[row + j]! + damping;
      let across = 0;
      let turned = 0;
      for (let k = 0; k < j; k += 1) {
        const entry = curvature[row + k]!;
        const wayK = to[k]! - from[k]!;
        across += entry * (way * from[k]! + wayK * at);
        turned += entry * wayK;
      }
      first += way * (gradient[j]! + own * at) + across;
      rise += way * (2 * turned + own * way);
    }
    // The slope rises along the way in straight pieces: Newton's steps end on the right one.
    let low = 0;
    let high = 1;
    let t = 1;
    for (let tries = 0; tries < MOST_TRIES; tries += 1) {
      let slope = first + t * rise;
      let curved = rise;
      for (let m = 0; m < moving.count; m += 1) {
        const change = targetValues[m]! - values[m]!;
        const value = values[m]! + t * change;
        if (value <= 0) continue;
        slope += value * change;
        curved += change * change;
      }
      if (t === 1 && slope <= 1e-12) return 1;
      if (slope > 0) high = t;
      else low = t;
      const next = t - slope / curved;
      if (Math.abs(next - t) < 1e-6) return Math.max(0, Math.min(1, next));
      t = next > low && next < high ? next : (low + high) / 2;
    }
    return low;
  }
}

/**
 * Solves (A + damping) · x = b for symmetric positive definite A (row-major, lower half);
 * false if it is not.
 *
 * @param factor room for as many numbers as A has
 */
function solveCholesky(
  a: Float64Array,
  damping: number,
  factor: Float64Array,
  b: Float64Array,
  x: Float64Array,
): boolean {
  const n = x.length;
  for (let i = 0; i < n; i += 1) {
    const row = i * n;
    let own = a[row + i]! + damping;
    let known = b[i]!;
    for (let j = 0; j < i; j += 1) {
      const other = j * n;
      let sum = a[row + j]!;
      for (let k = 0; k < j; k += 1) sum -= factor[row + k]! * factor[other + k]!;
      sum /= factor[other + j]!;
      factor[row + j] = sum;
      own -= sum * sum;
      known -= sum * x[j]!;
    }
    if (!(own > 0)) return false;
    const root = Math.sqrt(own);
    factor[row + i] = root;
    x[i] = known / root;
  }
  for (let i = n - 1; i >= 0; i -= 1) {
    const row = i * n;
    const value = x[i]! / factor[row + i]!;
    x[i] = value;
    for (let k = 0; k < i; k += 1) x[k]! -= factor[row + k]! * value;
  }
  return true;
}
