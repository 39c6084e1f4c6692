import type { LinearModel, Residuals, ResidualShape } from './linearModel.ts';
import { dotRow } from './rows.ts';

/** One end of a step: the model there and the residuals it was made at. */
interface End {
  readonly model: LinearModel;
  readonly residuals: Residuals;
}

/**
 * Estimates the second-order part of the Hessian that Gauss–Newton leaves out, from step to
 * step, by the secant update of Dennis, Gay and Welsch (1981, "An adaptive nonlinear
 * least-squares algorithm"; from memory). Limits curve while a pose is pulled along them, and
 * without this estimate the steps become tiny.
 */
export class SecantUpdate {
  /** Gradients of half the cost where a step ended, and where it began. */
  private gradient: Float64Array;
  private gradientBefore: Float64Array;
  /** Where the last step ended. */
  private last: End | null = null;
  /** The change of the gradient along the step, its part that the estimate misses, and the estimate's. */
  private readonly change: Float64Array;
  private readonly missing: Float64Array;
  private readonly estimated: Float64Array;
  private readonly byObservable: Float64Array;

  constructor({ unknowns, observables }: ResidualShape) {
    this.gradient = new Float64Array(unknowns);
    this.gradientBefore = new Float64Array(unknowns);
    this.change = new Float64Array(unknowns);
    this.missing = new Float64Array(unknowns);
    this.estimated = new Float64Array(unknowns);
    this.byObservable = new Float64Array(observables);
  }

  /** Begins another minimisation, whose first step starts anywhere. */
  begin(): void {
    this.last = null;
  }

  /** @param secondOrder the estimate, symmetric, row-major; updated in place */
  update(secondOrder: Float64Array, step: Float64Array, from: End, to: End): void {
    const { change, missing, estimated, byObservable } = this;
    [this.gradient, this.gradientBefore] = [this.gradientBefore, this.gradient];
    const { gradient, gradientBefore } = this;
    const n = gradient.length;
    if (this.last !== from) from.model.calcGradient(from.residuals, byObservable, gradientBefore);
    this.last = to;
    to.model.calcGradient(to.residuals, byObservable, gradient);
    from.model.calcGradient(to.residuals, byObservable, missing);
    for (let j = 0; j < n; j += 1) {
      estimated[j] = dotRow(secondOrder, j * n, step);
      missing[j] = gradient[j]! - missing[j]!;
      change[j] = gradient[j]! - gradientBefore[j]!;
    }
    const along = dotRow(change, 0, step);
    if (along <= 1e-12) return;
    const estimatedAlong = dotRow(estimated, 0, step);
    const size =
      estimatedAlong === 0 ? 1 : Math.min(1, Math.abs(dotRow(missing, 0, step) / estimatedAlong));
    for (let j = 0; j < n; j += 1) missing[j]! -= size * estimated[j]!;
    const missingAlong = dotRow(missing, 0, step);
    const perAlong = 1 / along;
    const own = missingAlong * perAlong;
    for (let j = 0; j < n; j += 1) {
      const [missingJ, changeJ] = [missing[j]! * perAlong, change[j]! * perAlong];
      for (let k = 0; k <= j; k += 1) {
        const added = missingJ * change[k]! + changeJ * (missing[k]! - own * change[k]!);
        const value = size * secondOrder[j * n + k]! + added;
        secondOrder[j * n + k] = value;
        secondOrder[k * n + j] = value;
      }
    }
  }
}
