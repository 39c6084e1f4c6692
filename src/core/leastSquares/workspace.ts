import { LinearModel, type Residuals, type ResidualShape } from './linearModel.ts';
import { ModelSolver } from './modelSolver.ts';
import { SecantUpdate } from './secantUpdate.ts';

/** The linear model at a state, with the residuals it was built from. */
export class Linearisation {
  readonly model: LinearModel;
  readonly residuals: Residuals;

  constructor(shape: ResidualShape) {
    this.model = new LinearModel(shape);
    this.residuals = {
      twoSided: new Float64Array(shape.twoSided.length),
      oneSided: new Float64Array(shape.oneSided.length),
    };
  }
}

/**
 * The memory of minimisations of one shape, one after the other, and what each leaves to the
 * next for a warm start. Its owner decides how long it lives; two that run at once need two.
 */
export class Workspace {
  /** The state so far, and the one that is tried. */
  here: Linearisation;
  next: Linearisation;
  readonly solver: ModelSolver;
  readonly secant: SecantUpdate;
  /** Estimate of the Hessian's second-order part, see {@link SecantUpdate}. */
  readonly secondOrder: Float64Array;
  /** The damping that the last minimisation ended with. */
  damping = 0;
  /** 1 for every one-sided residual that was active where the last inner solve ended. */
  readonly active: Uint8Array;

  constructor(shape: ResidualShape) {
    const { unknowns, oneSided } = shape;
    this.here = new Linearisation(shape);
    this.next = new Linearisation(shape);
    this.solver = new ModelSolver(this.here.model);
    this.secant = new SecantUpdate(shape);
    this.secondOrder = new Float64Array(unknowns * unknowns);
    this.active = new Uint8Array(oneSided.length);
  }

  /** The tried state becomes the current one. */
  advance(): void {
    [this.here, this.next] = [this.next, this.here];
  }

  /** Forgets curvature and damping; the active set is only a guess, and stays. */
  forgetCurvature(): void {
    this.secondOrder.fill(0);
    this.damping = 0;
  }
}
