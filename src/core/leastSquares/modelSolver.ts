import type { LinearModel } from './linearModel.ts';
import { addOuter, addRow, multiplyRows } from './rows.ts';

const MOST_INNER_ITERATIONS = 40;
const MOST_TRIES = 40;

/** Minimises linear models of one shape, one after the other, in the same memory. */
export class ModelSolver {
  /** The step that was found, and the one that it would go to next. */
  step: Float64Array;
  private target: Float64Array;
  /** Hessian (lower half) of the two-sided part, and with the active one-sided residuals added. */
  private readonly hessian: Float64Array;
  private readonly activeHessian: Float64Array;
  /** Minus the gradient at the state, active residuals included. */
  private readonly descent: Float64Array;
  /** 1 for every varying residual that is added. */
  private readonly isAdded: Uint8Array;
  private readonly factor: Float64Array;
  /** Of the varying one-sided residuals after either step. */
  private values: Float64Array;
  private targetValues: Float64Array;
  /** The change of each needed observable by a step; 0 for the others. */
  private readonly moves: Float64Array;
  /** The gradient of one residual. */
  private readonly row: Float64Array;

  constructor(private model: LinearModel) {
    const { unknowns, observables, oneSided } = model.shape;
    this.step = new Float64Array(unknowns);
    this.target = new Float64Array(unknowns);
    this.hessian = new Float64Array(unknowns * unknowns);
    this.activeHessian = new Float64Array(unknowns * unknowns);
    this.descent = new Float64Array(unknowns);
    this.isAdded = new Uint8Array(oneSided.length);
    this.factor = new Float64Array(unknowns * unknowns);
    this.values = new Float64Array(oneSided.length);
    this.targetValues = new Float64Array(oneSided.length);
    this.moves = new Float64Array(observables);
    this.row = new Float64Array(unknowns);
  }

  /** @param secondOrder added to the model's own Hessian; null = none */
  begin(model: LinearModel, secondOrder: Float64Array | null): void {
    const { hessian } = this;
    this.model = model;
    this.moves.fill(0);
    hessian.set(model.normal);
    if (secondOrder !== null) addRow(hessian, secondOrder, 0, 1);
    this.resetActive();
  }

  /**
   * Minimises the linear model with its one-sided residuals kept one-sided: a convex,
   * piecewise quadratic task, solved by a semi-smooth Newton method. Keeping the kinks
   * in the model is what lets a step run along several limits at once; treating the
   * residuals active now as two-sided makes it zigzag.
   *
   * @param active 1 for every one-sided residual that is assumed to be active; in the end those
   *   that are
   * @returns false when the model is singular; else the least is left in `step`
   */
  solve(damping: number, active: Uint8Array): boolean {
    const { count, index, value } = this.model.varying;
    this.step.fill(0);
    for (let m = 0; m < count; m += 1) this.values[m] = value[m]!;
    for (let inner = 0; inner < MOST_INNER_ITERATIONS; inner += 1) {
      this.addActive(active);
      if (!solveCholesky(this.activeHessian, damping, this.factor, this.descent, this.target))
        return false;
      // Where exactly the assumed ones are active, the minimum is reached.
      const isMinimum = this.calcTargetValues();
      const share = isMinimum ? 1 : this.searchLine(damping);
      if (share === 1) {
        [this.step, this.target] = [this.target, this.step];
        [this.values, this.targetValues] = [this.targetValues, this.values];
      } else {
        const { step, target, values, targetValues } = this;
        for (let j = 0; j < step.length; j += 1) step[j]! += share * (target[j]! - step[j]!);
        for (let m = 0; m < count; m += 1) values[m]! += share * (targetValues[m]! - values[m]!);
      }
      // The first guess comes from another state; only from the second on is the active set this one's.
      if (isMinimum || (share === 0 && inner > 0)) return true;
      for (let m = 0; m < count; m += 1) active[index[m]!] = this.values[m]! > 0 ? 1 : 0;
    }
    return true;
  }

  private resetActive(): void {
    const { activeHessian, descent, model } = this;
    activeHessian.set(this.hessian);
    for (let j = 0; j < descent.length; j += 1) descent[j] = -model.gradient[j]!;
    this.isAdded.fill(0);
  }

  /** Adds exactly the active one-sided residuals to Hessian and gradient. */
  private addActive(active: Uint8Array): void {
    const { isAdded, activeHessian, descent, row } = this;
    const { derivatives, varying } = this.model;
    const { count, index } = varying;
    const n = row.length;
    for (let m = 0; m < count; m += 1) {
      if (isAdded[m] === 0 || active[index[m]!] === 1) continue;
      // Subtracting one again would leave its rounding error behind.
      this.resetActive();
      break;
    }
    for (let m = 0; m < count; m += 1) {
      if (active[index[m]!] === 0 || isAdded[m] === 1) continue;
      isAdded[m] = 1;
      const own = varying.own[m]! * n;
      const byOwn = varying.byOwn[m]!;
      for (let j = 0; j < n; j += 1) row[j] = byOwn * derivatives.jacobian[own + j]!;
      const byAlong = varying.byAlong[m]!;
      if (byAlong !== 0) addRow(row, derivatives.jacobian, varying.along[m]! * n, byAlong);
      addOuter(activeHessian, row, 0, n, 1);
      addRow(descent, row, 0, -varying.value[m]!);
    }
  }

  /** @returns whether exactly the added residuals are active after the target step */
  private calcTargetValues(): boolean {
    const { moves, target, targetValues, isAdded } = this;
    const { derivatives, needed, neededCount, varying } = this.model;
    const { count, value, own, along, byOwn, byAlong } = varying;
    multiplyRows(derivatives.jacobian, needed, neededCount, target, moves);
    let isMinimum = true;
    for (let m = 0; m < count; m += 1) {
      const after = value[m]! + byOwn[m]! * moves[own[m]!]! + byAlong[m]! * moves[along[m]!]!;
      targetValues[m] = after;
      if (after > 0 !== (isAdded[m] === 1)) isMinimum = false;
    }
    return isMinimum;
  }

  /** Exact line search: where between `step` and `target` the damped model's cost is least, 0 to 1. */
  private searchLine(damping: number): number {
    const { step: from, target: to, values, targetValues, hessian } = this;
    const { gradient, varying } = this.model;
    const n = from.length;
    // The two-sided part is a parabola: its slope is first + t · rise.
    let first = 0;
    let rise = 0;
    for (let j = 0; j < n; j += 1) {
      const row = j * n;
      const [at, way] = [from[j]!, to[j]! - from[j]!];
      const own = hessian[row + j]! + damping;
      let across = 0;
      let turned = 0;
      for (let k = 0; k < j; k += 1) {
        const entry = hessian[row + k]!;
        const wayK = to[k]! - from[k]!;
        across += entry * (way * from[k]! + wayK * at);
        turned += entry * wayK;
      }
      first += way * (gradient[j]! + own * at) + across;
      rise += way * (2 * turned + own * way);
    }
    // The slope is piecewise linear and rising, so that Newton's steps end on the right piece.
    let low = 0;
    let high = 1;
    let t = 1;
    for (let tries = 0; tries < MOST_TRIES; tries += 1) {
      let slope = first + t * rise;
      let curved = rise;
      for (let m = 0; m < varying.count; m += 1) {
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
 * @param factor scratch, as many numbers as A has
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
