import { Learner, type Learnt } from './learnt.ts';
import { LinearModel, type Residuals, type ResidualShape, type Slopes } from './linearModel.ts';
import { ModelSolver } from './modelSolver.ts';

/**
 * A least-squares task with one-sided residuals, on a state that is moved by steps
 * (a manifold, for the sake of rotations).
 */
export interface LeastSquaresTask<State> {
  readonly shape: ResidualShape;
  readonly move: (state: State, step: Float64Array) => State;
  /** Writes the residuals of a state over those of another one. Dimensionless. */
  readonly calcResiduals: (state: State, into: Residuals) => void;
  /** Writes how they change beside a state over what was written for another one. */
  readonly calcSlopes: (state: State, into: Slopes) => void;
}

/** When a run has come near enough to its least. */
export interface Enough {
  /** After a step that lowers the cost by less than this. */
  readonly gain: number;
  /** After one that moves nothing by more than `still`, in the unknowns' own unit, and lowers it by less than this. */
  readonly stillGain: number;
  readonly still: number;
}

const MOST_ITERATIONS = 60;
const FIRST_DAMPING = 0.1;
const SMALLEST_DAMPING = 1e-9;
/** A run begins with this share of the damping that the run before it ended with. */
const CARRIED_DAMPING = 0.01;
/** After a step that was right at once, and after one that had to be damped more first. */
const LESS_DAMPING = 0.03;
const A_LITTLE_LESS_DAMPING = 0.3;
const MORE_DAMPING = 8;
const LEAST_DAMPING_UNBENT = 1;
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

/** The linear model at a state, with the residuals it is made at. */
class Place {
  readonly model: LinearModel;
  readonly residuals: Residuals;

  constructor(shape: ResidualShape) {
    this.model = new LinearModel(shape);
    this.residuals = {
      twoSided: new Float64Array(shape.twoSided.length),
      oneSided: new Float64Array(shape.oneSided.length),
    };
  }

  linearise<State>(task: LeastSquaresTask<State>, state: State): void {
    task.calcSlopes(state, this.model.slopes);
    this.model.take(this.residuals);
  }
}

/** Memory for one run at a time. */
class Room {
  /** The state so far, and the one that is tried. */
  here: Place;
  next: Place;
  readonly solver: ModelSolver;
  readonly learner: Learner;

  constructor(shape: ResidualShape) {
    this.here = new Place(shape);
    this.next = new Place(shape);
    this.solver = new ModelSolver(this.here.model);
    this.learner = new Learner(shape);
  }

  /** What was next is now. */
  advance(): void {
    [this.here, this.next] = [this.next, this.here];
  }
}

/** One for each size of task that was met: a run takes microseconds, and memory is dear. */
const rooms = new Map<number, Room>();

function takeRoom(shape: ResidualShape): Room {
  const { unknowns, readings, twoSided, oneSided } = shape;
  // Each is far below a thousand.
  const size = ((unknowns * 1e3 + readings) * 1e3 + twoSided.length) * 1e3 + oneSided.length;
  let room = rooms.get(size);
  if (room === undefined) {
    room = new Room(shape);
    rooms.set(size, room);
  }
  room.here.model.shape = shape;
  room.next.model.shape = shape;
  return room;
}

/**
 * Damped Newton on a sum of squares: Gauss–Newton's curvature, plus the learnt bending of
 * the residuals; the inner model keeps one-sided residuals one-sided. Deterministic. Meant
 * for about a dozen unknowns.
 *
 * @param learnt by runs of like tasks before; it goes on learning
 * @returns the best state found
 */
export function minimise<State>(
  task: LeastSquaresTask<State>,
  start: State,
  enough: Enough,
  learnt: Learnt,
): State {
  const room = takeRoom(task.shape);
  const { solver, learner } = room;
  let state = start;
  task.calcResiduals(state, room.here.residuals);
  let cost = calcCost(room.here.residuals);
  let damping = Math.max(FIRST_DAMPING, learnt.damping * CARRIED_DAMPING);
  room.here.linearise(task, state);
  learner.begin();
  for (let iteration = 0; iteration < MOST_ITERATIONS; iteration += 1) {
    const { here, next } = room;
    solver.begin(here.model, learnt.bending);
    let isBent = true;
    let isFirstTry = true;
    let gain = 0;
    let tried = state;
    while (damping <= LARGEST_DAMPING) {
      if (solver.solve(damping, learnt.on)) {
        tried = task.move(state, solver.step);
        task.calcResiduals(tried, next.residuals);
        gain = cost - calcCost(next.residuals);
        if (gain > 0) break;
        isFirstTry = false;
      } else if (isBent) {
        // What was learnt bends the wrong way here: damping that makes up for it would hold
        // back every direction. Gauss–Newton's own curvature never does, but leaps.
        solver.begin(here.model, null);
        isBent = false;
        damping = Math.max(LEAST_DAMPING_UNBENT, damping);
        continue;
      }
      damping *= MORE_DAMPING;
    }
    if (!(gain > 0)) break;
    // The last step needs no new slopes: nothing follows it.
    const isLast =
      gain <= enough.gain || (gain < enough.stillGain && isWithin(solver.step, enough.still));
    state = tried;
    if (isLast) break;
    next.linearise(task, state);
    learner.learn(learnt, solver.step, here, next);
    room.advance();
    cost -= gain;
    damping *= isFirstTry ? LESS_DAMPING : A_LITTLE_LESS_DAMPING;
    damping = Math.max(SMALLEST_DAMPING, damping);
  }
  learnt.damping = damping;
  return state;
}
