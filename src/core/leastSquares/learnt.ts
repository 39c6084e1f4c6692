import type { LinearModel, Residuals, ResidualShape } from './linearModel.ts';
import { dotRow } from './rows.ts';

/** One end of a step: the model there and the residuals it was made at. */
interface End {
  readonly model: LinearModel;
  readonly residuals: Residuals;
}

/** What like runs learn from one another. */
export class Learnt {
  /** What Gauss–Newton leaves out of the curvature, see {@link Learner}. */
  readonly bending: Float64Array;
  /** That the last run ended with. */
  damping = 0;
  /** 1 for every one-sided residual that was on where the last inner model ended: the next one's first guess. */
  readonly on: Uint8Array;

  constructor({ unknowns, oneSided }: ResidualShape) {
    this.bending = new Float64Array(unknowns * unknowns);
    this.on = new Uint8Array(oneSided.length);
  }

  /** Begins with another curvature; what was on is only a guess, and stays. */
  forgetBending(): void {
    this.bending.fill(0);
    this.damping = 0;
  }
}

/**
 * Learns the bending of the residuals themselves from step to step, by the secant update of
 * Dennis, Gay and Welsch (1981, "An adaptive nonlinear least-squares algorithm"; from
 * memory). Limits bend while a pose is pulled along them, and without this a step can only
 * creep.
 */
export class Learner {
  /** Slopes of the halved cost where a step ended, and where it began. */
  private slopes: Float64Array;
  private slopesBefore: Float64Array;
  /** Where the last step ended. */
  private last: End | null = null;
  /** How far they rose along the step, and how much of that is not known yet. */
  private readonly rise: Float64Array;
  private readonly miss: Float64Array;
  private readonly known: Float64Array;
  private readonly byReading: Float64Array;

  constructor({ unknowns, readings }: ResidualShape) {
    this.slopes = new Float64Array(unknowns);
    this.slopesBefore = new Float64Array(unknowns);
    this.rise = new Float64Array(unknowns);
    this.miss = new Float64Array(unknowns);
    this.known = new Float64Array(unknowns);
    this.byReading = new Float64Array(readings);
  }

  /** Begins another run, whose first step begins anywhere. */
  begin(): void {
    this.last = null;
  }

  learn({ bending }: Learnt, step: Float64Array, from: End, to: End): void {
    const { rise, miss, known, byReading } = this;
    [this.slopes, this.slopesBefore] = [this.slopesBefore, this.slopes];
    const { slopes, slopesBefore } = this;
    const n = slopes.length;
    if (this.last !== from) from.model.calcSlopesTimes(from.residuals, byReading, slopesBefore);
    this.last = to;
    to.model.calcSlopesTimes(to.residuals, byReading, slopes);
    from.model.calcSlopesTimes(to.residuals, byReading, miss);
    for (let j = 0; j < n; j += 1) {
      known[j] = dotRow(bending, j * n, step);
      miss[j] = slopes[j]! - miss[j]!;
      rise[j] = slopes[j]! - slopesBefore[j]!;
    }
    const along = dotRow(rise, 0, step);
    if (along <= 1e-12) return;
    const knownAlong = dotRow(known, 0, step);
    const size = knownAlong === 0 ? 1 : Math.min(1, Math.abs(dotRow(miss, 0, step) / knownAlong));
    for (let j = 0; j < n; j += 1) miss[j]! -= size * known[j]!;
    const missAlong = dotRow(miss, 0, step);
    const perAlong = 1 / along;
    const own = missAlong * perAlong;
    for (let j = 0; j < n; j += 1) {
      const [missJ, riseJ] = [miss[j]! * perAlong, rise[j]! * perAlong];
      for (let k = 0; k <= j; k += 1) {
        const added = missJ * rise[k]! + riseJ * (miss[k]! - own * rise[k]!);
        const value = size * bending[j * n + k]! + added;
        bending[j * n + k] = value;
        bending[k * n + j] = value;
      }
    }
  }
}
