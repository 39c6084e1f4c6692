/**
 * A least-squares task with one-sided residuals, on a state that is moved by steps
 * (a manifold, for the sake of rotations).
 */
export interface LeastSquaresTask<State> {
  readonly unknowns: number;
  readonly move: (state: State, step: Float64Array) => State;
  /**
   * Writes the residuals of a state over those of another one. Dimensionless; both lists
   * keep their length and order whatever the state.
   */
  readonly calcResiduals: (state: State, into: Residuals) => void;
  /** Writes how each residual of a state changes with each unknown, over those of another one. */
  readonly calcSlopes: (state: State, into: Slopes) => void;
}

export interface Residuals {
  /** Each costs its square. */
  readonly twoSided: number[];
  /** Each costs its square while positive, and nothing below. */
  readonly oneSided: number[];
}

/** Rows of as many numbers as there are unknowns, one row a residual. */
export interface Slopes {
  readonly twoSided: Float64Array;
  readonly oneSided: Float64Array;
}

const MOST_ITERATIONS = 60;
const MOST_INNER_ITERATIONS = 40;
const MOST_TRIES = 40;
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
/** Stop when a step moves nothing by more than this (metres or radians). */
const SMALLEST_STEP = 1e-9;

function calcCost({ twoSided, oneSided }: Residuals): number {
  let sum = 0;
  for (const value of twoSided) sum += value * value;
  for (const value of oneSided) if (value > 0) sum += value * value;
  return sum;
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
    if (own <= 0) return false;
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

/** Residuals and their slopes at one state. */
class LinearModel {
  oneSided: readonly number[] = [];
  readonly slopes: Slopes;
  /** One-sided residuals that a step can change at all, by their index. */
  readonly moving: Int32Array;
  movingCount = 0;
  /** Normal matrix (lower half) and gradient of the two-sided part. */
  readonly normal: Float64Array;
  readonly gradient: Float64Array;

  constructor(
    readonly n: number,
    like: Residuals,
  ) {
    this.slopes = {
      twoSided: new Float64Array(like.twoSided.length * n),
      oneSided: new Float64Array(like.oneSided.length * n),
    };
    this.moving = new Int32Array(like.oneSided.length);
    this.normal = new Float64Array(n * n);
    this.gradient = new Float64Array(n);
  }
}

const copy = ({ twoSided, oneSided }: Residuals): Residuals => ({
  twoSided: [...twoSided],
  oneSided: [...oneSided],
});

/** Memory that runs of one task share, because a run takes microseconds and memory is dear. */
export class Room {
  model: LinearModel;
  nextModel: LinearModel;
  /** At the state so far, and at the one that is tried. */
  residuals: Residuals;
  nextResiduals: Residuals;
  /** The inner model's step, and the one that it would go to next. */
  step: Float64Array;
  target: Float64Array;
  readonly normal: Float64Array;
  /** Of the moving one-sided residuals after either step. */
  values: Float64Array;
  targetValues: Float64Array;
  /** 1 for every one-sided residual that was on where the last model ended: the next one's first guess. */
  readonly on: Uint8Array;

  constructor(n: number, like: Residuals) {
    this.model = new LinearModel(n, like);
    this.nextModel = new LinearModel(n, like);
    this.residuals = copy(like);
    this.nextResiduals = copy(like);
    this.step = new Float64Array(n);
    this.target = new Float64Array(n);
    this.normal = new Float64Array(n * n);
    this.values = new Float64Array(like.oneSided.length);
    this.targetValues = new Float64Array(like.oneSided.length);
    this.on = new Uint8Array(like.oneSided.length);
  }

  takeTarget(): void {
    [this.step, this.target] = [this.target, this.step];
    [this.values, this.targetValues] = [this.targetValues, this.values];
  }

  /** What was next is now. */
  advance(): void {
    [this.model, this.nextModel] = [this.nextModel, this.model];
    [this.residuals, this.nextResiduals] = [this.nextResiduals, this.residuals];
  }
}

/** Adds a row's outer product with itself to the lower half of a normal matrix. */
function addOuter(normal: Float64Array, rows: Float64Array, at: number, n: number): void {
  for (let j = 0; j < n; j += 1) {
    const left = rows[at + j]!;
    if (left === 0) continue;
    const row = j * n;
    for (let k = 0; k <= j; k += 1) normal[row + k]! += left * rows[at + k]!;
  }
}

function addRow(sum: Float64Array, rows: Float64Array, at: number, by: number): void {
  const n = sum.length;
  for (let j = 0; j < n; j += 1) sum[j]! += by * rows[at + j]!;
}

function dotRow(rows: Float64Array, at: number, step: Float64Array): number {
  const n = step.length;
  let sum = 0;
  for (let j = 0; j < n; j += 1) sum += rows[at + j]! * step[j]!;
  return sum;
}

function linearise<State>(
  task: LeastSquaresTask<State>,
  state: State,
  at: Residuals,
  into: LinearModel,
): void {
  const { n, normal, gradient, slopes, moving } = into;
  const { twoSided, oneSided } = slopes;
  into.oneSided = at.oneSided;
  task.calcSlopes(state, slopes);
  normal.fill(0);
  gradient.fill(0);
  for (let i = 0; i < at.twoSided.length; i += 1) {
    addOuter(normal, twoSided, i * n, n);
    addRow(gradient, twoSided, i * n, at.twoSided[i]!);
  }
  into.movingCount = 0;
  for (let i = 0; i < at.oneSided.length; i += 1) {
    for (let j = 0; j < n; j += 1) {
      if (oneSided[i * n + j] === 0) continue;
      moving[into.movingCount] = i;
      into.movingCount += 1;
      break;
    }
  }
}

/** Values of a model's moving one-sided residuals after a step, in their order. */
function calcValues(model: LinearModel, step: Float64Array, values: Float64Array): void {
  const { n, oneSided, slopes, moving, movingCount } = model;
  for (let m = 0; m < movingCount; m += 1) {
    const i = moving[m]!;
    values[m] = oneSided[i]! + dotRow(slopes.oneSided, i * n, step);
  }
}

/** Where along the way from one step to the next the damped model's cost is least, 0 to 1. */
function findLeastAlong(
  model: LinearModel,
  damping: number,
  from: Float64Array,
  to: Float64Array,
  { values, targetValues }: Room,
): number {
  const { n, normal, gradient, movingCount } = model;
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

/**
 * Minimises the linear model with its one-sided residuals kept one-sided: a convex,
 * piecewise quadratic task, solved by a semi-smooth Newton method. Keeping the kinks
 * in the model is what lets a step run along several limits at once; treating the
 * residuals active now as two-sided makes it zigzag.
 *
 * The step is left in the room.
 *
 * @returns false when the model is singular
 */
function solveModel(model: LinearModel, damping: number, room: Room): boolean {
  const { n, moving, movingCount } = model;
  const { normal, on } = room;
  room.step.fill(0);
  for (let m = 0; m < movingCount; m += 1) room.values[m] = model.oneSided[moving[m]!]!;
  for (let inner = 0; inner < MOST_INNER_ITERATIONS; inner += 1) {
    const { step, target } = room;
    normal.set(model.normal);
    for (let j = 0; j < n; j += 1) {
      normal[j * n + j]! += damping;
      target[j] = -model.gradient[j]!;
    }
    for (let m = 0; m < movingCount; m += 1) {
      const i = moving[m]!;
      if (on[i] === 0) continue;
      addOuter(normal, model.slopes.oneSided, i * n, n);
      addRow(target, model.slopes.oneSided, i * n, -model.oneSided[i]!);
    }
    if (!solveCholesky(normal, target, n)) return false;
    calcValues(model, target, room.targetValues);
    // Where just those are on that were taken as on, the least cost is reached.
    const isLeast = areOn(room.targetValues, model, on);
    const share = isLeast ? 1 : findLeastAlong(model, damping, step, target, room);
    if (share === 1) {
      room.takeTarget();
    } else {
      const { values, targetValues } = room;
      for (let j = 0; j < n; j += 1) step[j]! += share * (target[j]! - step[j]!);
      for (let m = 0; m < movingCount; m += 1) {
        values[m]! += share * (targetValues[m]! - values[m]!);
      }
    }
    // A first guess says nothing of the place it was made at; what is on there does.
    if (isLeast || (share === 0 && inner > 0)) return true;
    for (let m = 0; m < movingCount; m += 1) on[moving[m]!] = room.values[m]! > 0 ? 1 : 0;
  }
  return true;
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

/** Slopes of the halved cost: every residual's slope times the residual, one-sided ones while on. */
function calcSlopesTimes(model: LinearModel, residuals: Residuals, sum: Float64Array): void {
  const { n } = model;
  const { twoSided, oneSided } = residuals;
  sum.fill(0);
  for (let i = 0; i < twoSided.length; i += 1)
    addRow(sum, model.slopes.twoSided, i * n, twoSided[i]!);
  for (let i = 0; i < oneSided.length; i += 1) {
    if (oneSided[i]! > 0) addRow(sum, model.slopes.oneSided, i * n, oneSided[i]!);
  }
}

/**
 * What Gauss–Newton leaves out of the curvature: the bending of the residuals
 * themselves. Limits bend while a pose is pulled along them, and without this a step
 * can only creep. Learnt from step to step by the secant update of Dennis, Gay and
 * Welsch (1981, "An adaptive nonlinear least-squares algorithm"; from memory).
 */
export class Bending {
  readonly matrix: Float64Array;
  /** That the last run ended with. */
  damping = 0;
  /** Slopes of the halved cost where a step ended. */
  private readonly slopes: Float64Array;
  /** How far they rose along the step, and how much of that is not known yet. */
  private readonly rise: Float64Array;
  private readonly miss: Float64Array;
  private readonly known: Float64Array;

  constructor(private readonly n: number) {
    this.matrix = new Float64Array(n * n);
    this.slopes = new Float64Array(n);
    this.rise = new Float64Array(n);
    this.miss = new Float64Array(n);
    this.known = new Float64Array(n);
  }

  learn(step: Float64Array, { model, nextModel, residuals, nextResiduals }: Room): void {
    const { n, matrix, slopes, rise, miss, known } = this;
    calcSlopesTimes(nextModel, nextResiduals, slopes);
    calcSlopesTimes(model, nextResiduals, miss);
    calcSlopesTimes(model, residuals, rise);
    for (let j = 0; j < n; j += 1) {
      known[j] = dotRow(matrix, j * n, step);
      miss[j] = slopes[j]! - miss[j]!;
      rise[j] = slopes[j]! - rise[j]!;
    }
    const along = dotRow(rise, 0, step);
    if (along <= 1e-12) return;
    const knownAlong = dotRow(known, 0, step);
    const size = knownAlong === 0 ? 1 : Math.min(1, Math.abs(dotRow(miss, 0, step) / knownAlong));
    for (let j = 0; j < n; j += 1) miss[j]! -= size * known[j]!;
    const missAlong = dotRow(miss, 0, step);
    for (let j = 0; j < n; j += 1) {
      for (let k = 0; k < n; k += 1) {
        const cross = (miss[j]! * rise[k]! + rise[j]! * miss[k]!) / along;
        const own = (missAlong * rise[j]! * rise[k]!) / along ** 2;
        matrix[j * n + k] = size * matrix[j * n + k]! + cross - own;
      }
    }
  }
}

/**
 * Damped Newton on a sum of squares: Gauss–Newton's curvature, plus the learnt bending of
 * the residuals; the inner model keeps one-sided residuals one-sided. Deterministic. Meant
 * for about a dozen unknowns.
 *
 * @param smallestGain stop when a step lowers the cost by less than this
 * @param bending learnt from a like task before; it goes on learning
 * @param room of a task with as many unknowns and residuals
 * @returns the best state found
 */
export function minimise<State>(
  task: LeastSquaresTask<State>,
  start: State,
  smallestGain: number,
  room: Room,
  bending = new Bending(task.unknowns),
): State {
  let state = start;
  task.calcResiduals(state, room.residuals);
  let cost = calcCost(room.residuals);
  let damping = Math.max(FIRST_DAMPING, bending.damping * CARRIED_DAMPING);
  linearise(task, state, room.residuals, room.model);
  for (let iteration = 0; iteration < MOST_ITERATIONS; iteration += 1) {
    addBending(room.model, bending, 1);
    let isBent = true;
    let isFirstTry = true;
    let gain = 0;
    let next = state;
    while (damping <= LARGEST_DAMPING) {
      if (solveModel(room.model, damping, room)) {
        next = task.move(state, room.step);
        task.calcResiduals(next, room.nextResiduals);
        gain = cost - calcCost(room.nextResiduals);
        if (gain > 0) break;
        isFirstTry = false;
      } else if (isBent) {
        // What was learnt bends the wrong way here: damping that makes up for it would hold
        // back every direction. Gauss–Newton's own curvature never does, but leaps.
        addBending(room.model, bending, -1);
        isBent = false;
        damping = Math.max(LEAST_DAMPING_UNBENT, damping);
        continue;
      }
      damping *= MORE_DAMPING;
    }
    if (!(gain > 0)) break;
    // The last step needs no new slopes: nothing follows it.
    const isLast =
      gain <= smallestGain || room.step.every((each) => Math.abs(each) < SMALLEST_STEP);
    state = next;
    if (isLast) break;
    linearise(task, next, room.nextResiduals, room.nextModel);
    bending.learn(room.step, room);
    room.advance();
    cost -= gain;
    damping *= isFirstTry ? LESS_DAMPING : A_LITTLE_LESS_DAMPING;
    damping = Math.max(SMALLEST_DAMPING, damping);
  }
  bending.damping = damping;
  return state;
}

/** Adds what is learnt of the bending to a model's own curvature, or takes it away again. */
function addBending({ normal }: LinearModel, { matrix }: Bending, sign: 1 | -1): void {
  for (let i = 0; i < normal.length; i += 1) normal[i]! += sign * matrix[i]!;
}
