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
const LINE_SEARCH_HALVINGS = 30;
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
  /** Normal matrix and gradient of the two-sided part. */
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
  const makeRows = (count: number): Float64Array[] =>
    Array.from({ length: count }, () => new Float64Array(n));
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
  return { n, oneSided: at.oneSided, oneSidedSlopes, normal, gradient };
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

/**
 * Damped Gauss–Newton (Levenberg–Marquardt) with forward differences, its inner model keeping one-sided residuals one-sided. Deterministic.
 * Meant for about a dozen unknowns.
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
  for (let iteration = 0; iteration < MOST_ITERATIONS; iteration += 1) {
    const model = linearise(task, state, residuals);
    let step: Float64Array | null = null;
    let gain = 0;
    while (damping <= LARGEST_DAMPING) {
      const trial = solveModel(model, damping);
      if (trial !== null) {
        const next = task.move(state, trial);
        const nextResiduals = task.residuals(next);
        const nextCost = calcCost(nextResiduals);
        if (nextCost < cost) {
          gain = cost - nextCost;
          state = next;
          residuals = nextResiduals;
          cost = nextCost;
          step = trial;
          damping = Math.max(SMALLEST_DAMPING, damping * 0.1);
          break;
        }
      }
      damping *= 8;
    }
    if (step === null || gain <= smallestGain) break;
    if (step.every((each) => Math.abs(each) < SMALLEST_STEP)) break;
  }
  return state;
}
