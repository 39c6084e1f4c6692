import type { Derivatives, Residuals } from './linearModel.ts';
import type { Linearisation, Workspace } from './workspace.ts';

/**
 * A least-squares task with one-sided residuals, on a state that is moved by steps
 * (a manifold, for the sake of rotations).
 */
export interface LeastSquaresTask<State> {
  readonly move: (state: State, step: Float64Array) => State;
  /** Writes the residuals of a state over those of another one. Dimensionless. */
  readonly calcResiduals: (state: State, into: Residuals) => void;
  /** Writes the derivatives at a state over those of another one. */
  readonly calcDerivatives: (state: State, into: Derivatives) => void;
}

/** When a minimisation is near enough to its minimum. */
export interface StoppingCriterion {
  /** After a step that lowers the cost by less than this. */
  readonly gain: number;
  /** After one that moves no unknown by more than `smallStep`, in its own unit, and lowers it by less than this. */
  readonly smallStepGain: number;
  readonly smallStep: number;
}

const MOST_ITERATIONS = 60;
const FIRST_DAMPING = 0.1;
const SMALLEST_DAMPING = 1e-9;
/** A minimisation starts with this share of the damping that the one before ended with. */
const CARRIED_DAMPING = 0.01;
/** After a step that was accepted at once, and after one that had to be damped more first. */
const LESS_DAMPING = 0.03;
const A_LITTLE_LESS_DAMPING = 0.3;
const MORE_DAMPING = 8;
const LEAST_DAMPING_OF_GAUSS_NEWTON = 1;
const LARGEST_DAMPING = 1e8;

function calcCost({ twoSided, oneSided }: Residuals): number {
  let sum = 0;
  for (let i = 0; i < twoSided.length; i += 1) sum += twoSided[i]! ** 2;
  for (let i = 0; i < oneSided.length; i += 1) if (oneSided[i]! > 0) sum += oneSided[i]! ** 2;
  return sum;
}

function isWithin(step: Float64Array, most: number): boolean {
  for (let j = 0; j < step.length; j += 1) if (Math.abs(step[j]!) > most) return false;
  return true;
}

function linearise<State>(
  task: LeastSquaresTask<State>,
  state: State,
  { model, residuals }: Linearisation,
): void {
  task.calcDerivatives(state, model.derivatives);
  model.take(residuals);
}

/**
 * Damped Newton steps on a sum of squares: the Hessian of Gauss–Newton plus an estimate of its
 * second-order part. The inner solver keeps one-sided residuals one-sided. Deterministic.
 * Meant for about a dozen unknowns.
 *
 * @param task how a state moves, its residuals and their derivatives
 * @param start where it begins
 * @param stop when to stop
 * @param workspace its memory, and a warm start from like tasks before; of the task's shape
 * @returns the best state found
 */
export function minimise<State>(
  task: LeastSquaresTask<State>,
  start: State,
  stop: StoppingCriterion,
  workspace: Workspace,
): State {
  const { solver, secant, secondOrder, active } = workspace;
  let state = start;
  task.calcResiduals(state, workspace.here.residuals);
  let cost = calcCost(workspace.here.residuals);
  let damping = Math.max(FIRST_DAMPING, workspace.damping * CARRIED_DAMPING);
  linearise(task, state, workspace.here);
  secant.begin();
  for (let iteration = 0; iteration < MOST_ITERATIONS; iteration += 1) {
    const { here, next } = workspace;
    solver.begin(here.model, secondOrder);
    let usesSecondOrder = true;
    let isFirstTry = true;
    let gain = 0;
    let tried = state;
    while (damping <= LARGEST_DAMPING) {
      if (solver.solve(damping, active)) {
        tried = task.move(state, solver.step);
        task.calcResiduals(tried, next.residuals);
        gain = cost - calcCost(next.residuals);
        if (gain > 0) break;
        isFirstTry = false;
      } else if (usesSecondOrder) {
        // The estimate makes the Hessian indefinite here: damping that makes up for it would
        // hold back every direction. Gauss–Newton’s own is never indefinite, but overshoots.
        solver.begin(here.model, null);
        usesSecondOrder = false;
        damping = Math.max(LEAST_DAMPING_OF_GAUSS_NEWTON, damping);
        continue;
      }
      damping *= MORE_DAMPING;
    }
    if (!(gain > 0)) break;
    // The last step needs no new derivatives: nothing follows it.
    const isLast =
      gain <= stop.gain || (gain < stop.smallStepGain && isWithin(solver.step, stop.smallStep));
    state = tried;
    if (isLast) break;
    linearise(task, state, next);
    secant.update(secondOrder, solver.step, here, next);
    workspace.advance();
    cost -= gain;
    damping *= isFirstTry ? LESS_DAMPING : A_LITTLE_LESS_DAMPING;
    damping = Math.max(SMALLEST_DAMPING, damping);
  }
  workspace.damping = damping;
  return state;
}
