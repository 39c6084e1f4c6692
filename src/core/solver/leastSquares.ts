/**
 * A least-squares task with one-sided residuals, on a state that is moved by steps
 * (a manifold, for the sake of rotations).
 */
export interface LeastSquaresTask<State> {
  readonly unknowns: number;
  readonly move: (state: State, step: Float64Array) => State;
  /** Dimensionless; both lists keep their length and order whatever the state. */
  readonly residuals: (state: State) => Residuals;
}

export interface Residuals {
  /** Each costs its square. */
  readonly twoSided: readonly number[];
  /** Each costs its square while positive, and nothing below. */
  readonly oneSided: readonly number[];
}

const MOST_ITERATIONS = 60;
const MOST_INNER_ITERATIONS = 40;
const LINE_SEARCH_HALVINGS = 18;
const DIFFERENCE_STEP = 1e-7;
const FIRST_DAMPING = 1e-4;
const SMALLEST_DAMPING = 1e-9;
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
    for (let j = 0; j <= i; j += 1) {
      let sum = a[i * n + j]!;
      for (let k = 0; k < j; k += 1) sum -= a[i * n + k]! * a[j * n + k]!;
      if (i === j) {
        if (sum <= 0) return false;
        a[i * n + i] = Math.sqrt(sum);
      } else {
        a[i * n + j] = sum / a[j * n + j]!;
      }
    }
  }
  for (let i = 0; i < n; i += 1) {
    let sum = b[i]!;
    for (let k = 0; k < i; k += 1) sum -= a[i * n + k]! * b[k]!;
    b[i] = sum / a[i * n + i]!;
  }
  for (let i = n - 1; i >= 0; i -= 1) {
    let sum = b[i]!;
    for (let k = i + 1; k < n; k += 1) sum -= a[k * n + i]! * b[k]!;
    b[i] = sum / a[i * n + i]!;
  }
  return true;
}

/** Residuals and their slopes at one state; rows of the Jacobians are residuals. */
interface LinearModel {
  readonly n: number;
  readonly oneSided: readonly number[];
  readonly oneSidedSlopes: readonly Float64Array[];
  readonly twoSidedSlopes: readonly Float64Array[];
  /** Normal matrix (lower half) and gradient of the two-sided part. */
  readonly normal: Float64Array;
  readonly gradient: Float64Array;
}

function addOuter(normal: Float64Array, row: Float64Array, n: number): void {
  for (let j = 0; j < n; j += 1) {
    const left = row[j]!;
    if (left === 0) continue;
    for (let k = 0; k <= j; k += 1) normal[j * n + k]! += left * row[k]!;
  }
}

function addRow(gradient: Float64Array, row: Float64Array, by: number): void {
  for (let j = 0; j < row.length; j += 1) gradient[j]! += by * row[j]!;
}

const dotRow = (row: Float64Array, step: Float64Array): number => {
  let sum = 0;
  for (let j = 0; j < row.length; j += 1) sum += row[j]! * step[j]!;
  return sum;
};

function linearise<State>(task: LeastSquaresTask<State>, state: State, at: Residuals): LinearModel {
  const n = task.unknowns;
  // One block of memory, cut into rows: many small arrays would cost more than the sums.
  const makeRows = (count: number): Float64Array[] => {
    const block = new Float64Array(count * n);
    const rows: Float64Array[] = [];
    for (let i = 0; i < count; i += 1) rows.push(block.subarray(i * n, (i + 1) * n));
    return rows;
  };
  const twoSidedSlopes = makeRows(at.twoSided.length);
  const oneSidedSlopes = makeRows(at.oneSided.length);
  const probe = new Float64Array(n);
  for (let j = 0; j < n; j += 1) {
    probe.fill(0);
    probe[j] = DIFFERENCE_STEP;
    const moved = task.residuals(task.move(state, probe));
    for (let i = 0; i < twoSidedSlopes.length; i += 1) {
      twoSidedSlopes[i]![j] = (moved.twoSided[i]! - at.twoSided[i]!) / DIFFERENCE_STEP;
    }
    for (let i = 0; i < oneSidedSlopes.length; i += 1) {
      oneSidedSlopes[i]![j] = (moved.oneSided[i]! - at.oneSided[i]!) / DIFFERENCE_STEP;
    }
  }
  const normal = new Float64Array(n * n);
  const gradient = new Float64Array(n);
  twoSidedSlopes.forEach((row, i) => {
    addOuter(normal, row, n);
    addRow(gradient, row, at.twoSided[i]!);
  });
  return { n, oneSided: at.oneSided, oneSidedSlopes, twoSidedSlopes, normal, gradient };
}

/** Values of the one-sided residuals of a model after a step. */
function calcValues(model: LinearModel, step: Float64Array): Float64Array {
  const values = new Float64Array(model.oneSided.length);
  for (let i = 0; i < values.length; i += 1) {
    values[i] = model.oneSided[i]! + dotRow(model.oneSidedSlopes[i]!, step);
  }
  return values;
}

/** Where along the way from one step to the next the damped model's cost is least, 0 to 1. */
function findLeastAlong(
  model: LinearModel,
  damping: number,
  from: Float64Array,
  to: Float64Array,
  fromValues: Float64Array,
  toValues: Float64Array,
): number {
  const { n, normal, gradient } = model;
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
  const slopeAt = (t: number): number => {
    let slope = first + t * rise;
    for (let i = 0; i < fromValues.length; i += 1) {
      const change = toValues[i]! - fromValues[i]!;
      const value = fromValues[i]! + t * change;
      if (value > 0) slope += value * change;
    }
    return slope;
  };
  if (slopeAt(1) <= 1e-12) return 1;
  let low = 0;
  let high = 1;
  for (let halving = 0; halving < LINE_SEARCH_HALVINGS; halving += 1) {
    const middle = (low + high) / 2;
    if (slopeAt(middle) > 0) high = middle;
    else low = middle;
  }
  return low;
}

/**
 * Minimises the linear model with its one-sided residuals kept one-sided: a convex,
 * piecewise quadratic task, solved by a semi-smooth Newton method. Keeping the kinks
 * in the model is what lets a step run along several limits at once; treating the
 * residuals active now as two-sided makes it zigzag.
 *
 * @returns the step, or null when the model is singular
 */
function solveModel(model: LinearModel, damping: number): Float64Array | null {
  const { n } = model;
  let step = new Float64Array(n);
  let values = calcValues(model, step);
  const normal = new Float64Array(n * n);
  for (let inner = 0; inner < MOST_INNER_ITERATIONS; inner += 1) {
    normal.set(model.normal);
    const target = new Float64Array(n);
    for (let j = 0; j < n; j += 1) {
      normal[j * n + j]! += damping;
      target[j] = -model.gradient[j]!;
    }
    for (let i = 0; i < values.length; i += 1) {
      if (values[i]! <= 0) continue;
      const row = model.oneSidedSlopes[i]!;
      addOuter(normal, row, n);
      addRow(target, row, -model.oneSided[i]!);
    }
    if (!solveCholesky(normal, target, n)) return null;
    const targetValues = calcValues(model, target);
    const share = findLeastAlong(model, damping, step, target, values, targetValues);
    if (share === 1) {
      const settled = targetValues.every((value, i) => value > 0 === values[i]! > 0);
      step = target;
      values = targetValues;
      if (settled) return step;
      continue;
    }
    if (share === 0) return step;
    const from = step;
    step = target.map((end, j) => from[j]! + share * (end - from[j]!));
    values = calcValues(model, step);
  }
  return step;
}

/** Slopes of the halved cost: every residual's slope times the residual, one-sided ones while on. */
function calcSlopesTimes(slopes: LinearModel, residuals: Residuals): Float64Array {
  const sum = new Float64Array(slopes.n);
  slopes.twoSidedSlopes.forEach((row, i) => {
    addRow(sum, row, residuals.twoSided[i]!);
  });
  slopes.oneSidedSlopes.forEach((row, i) => {
    if (residuals.oneSided[i]! > 0) addRow(sum, row, residuals.oneSided[i]!);
  });
  return sum;
}

/**
 * What Gauss–Newton leaves out of the curvature: the bending of the residuals
 * themselves. Limits bend while a pose is pulled along them, and without this a step
 * can only creep. Learnt from step to step by the secant update of Dennis, Gay and
 * Welsch (1981, "An adaptive nonlinear least-squares algorithm"; from memory).
 */
class Bending {
  readonly matrix: Float64Array;

  constructor(private readonly n: number) {
    this.matrix = new Float64Array(n * n);
  }

  learn(
    step: Float64Array,
    before: LinearModel,
    after: LinearModel,
    old: Residuals,
    now: Residuals,
  ): void {
    const { n, matrix } = this;
    const slopeNow = calcSlopesTimes(after, now);
    const slopeCarried = calcSlopesTimes(before, now);
    const slopeOld = calcSlopesTimes(before, old);
    const y = slopeNow.map((each, j) => each - slopeOld[j]!);
    const bent = slopeNow.map((each, j) => each - slopeCarried[j]!);
    const along = dotRow(y, step);
    if (along <= 1e-12) return;
    const known = this.times(step);
    const knownAlong = dotRow(known, step);
    const size = knownAlong === 0 ? 1 : Math.min(1, Math.abs(dotRow(bent, step) / knownAlong));
    const miss = bent.map((each, j) => each - size * known[j]!);
    const missAlong = dotRow(miss, step);
    for (let j = 0; j < n; j += 1) {
      for (let k = 0; k < n; k += 1) {
        const cross = (miss[j]! * y[k]! + y[j]! * miss[k]!) / along;
        const own = (missAlong * y[j]! * y[k]!) / along ** 2;
        matrix[j * n + k] = size * matrix[j * n + k]! + cross - own;
      }
    }
  }

  private times(step: Float64Array): Float64Array {
    const { n, matrix } = this;
    return step.map((_, j) => dotRow(matrix.subarray(j * n, (j + 1) * n), step));
  }
}

/**
 * Damped Newton on a sum of squares: Gauss–Newton's curvature by forward differences,
 * plus the learnt bending of the residuals; the inner model keeps one-sided residuals
 * one-sided. Deterministic. Meant for about a dozen unknowns.
 *
 * @param smallestGain stop when a step lowers the cost by less than this
 * @returns the best state found
 */
export function minimise<State>(
  task: LeastSquaresTask<State>,
  start: State,
  smallestGain: number,
): State {
  let state = start;
  let residuals = task.residuals(state);
  let cost = calcCost(residuals);
  let damping = FIRST_DAMPING;
  let model = linearise(task, state, residuals);
  const bending = new Bending(task.unknowns);
  for (let iteration = 0; iteration < MOST_ITERATIONS; iteration += 1) {
    const curved = addBending(model, bending);
    let step: Float64Array | null = null;
    let gain = 0;
    let next = state;
    let nextResiduals = residuals;
    while (damping <= LARGEST_DAMPING) {
      const trial = solveModel(curved, damping);
      if (trial !== null) {
        next = task.move(state, trial);
        nextResiduals = task.residuals(next);
        gain = cost - calcCost(nextResiduals);
        if (gain > 0) {
          step = trial;
          break;
        }
      }
      damping *= 8;
    }
    if (step === null) break;
    const nextModel = linearise(task, next, nextResiduals);
    bending.learn(step, model, nextModel, residuals, nextResiduals);
    state = next;
    residuals = nextResiduals;
    model = nextModel;
    cost -= gain;
    damping = Math.max(SMALLEST_DAMPING, damping * 0.1);
    if (gain <= smallestGain) break;
    if (step.every((each) => Math.abs(each) < SMALLEST_STEP)) break;
  }
  return state;
}

function addBending(model: LinearModel, { matrix }: Bending): LinearModel {
  return { ...model, normal: model.normal.map((each, i) => each + matrix[i]!) };
}
