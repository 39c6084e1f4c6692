/** One unknown: its ends, and the steps that are tried from large to small, in its own unit. */
export interface Span {
  readonly from: number;
  readonly to: number;
  /** Points lie on multiples of this. */
  readonly lattice: number;
  /** Multiples of it. As many as the other unknowns have. */
  readonly steps: readonly number[];
}

/**
 * What a point costs one pose, as a share; 1 = it cannot be held there. Costly. A loss that is no
 * more than `mayLose` need not be told any smaller: another one is worse.
 */
export type Loss = (at: readonly number[], mayLose: number) => number;

/** Beside the worst loss the others count this much: enough to choose between equal ones. */
const REST = 0.02;
/** And each first step away from the beginning this much: it breaks ties. */
const FAR = 0.0005;
/** A point is better if it gains at least this. */
const LEAST_GAIN = 0.0003;
/** Along an axis first: that is how a teacher moves a foot. */
const DIRECTIONS: readonly (readonly [number, number])[] = [
  [-1, 0],
  [1, 0],
  [0, -1],
  [0, 1],
  [-1, -1],
  [-1, 1],
  [1, -1],
  [1, 1],
];

/** The nearest point of the lattice between the ends. */
function snap(value: number, { from, to, lattice }: Span): number {
  if (from === to) return from;
  const [least, most] = [Math.ceil(from / lattice - 1e-9), Math.floor(to / lattice + 1e-9)];
  return Math.min(most, Math.max(least, Math.round(value / lattice))) * lattice;
}

/** A point that was tried. */
interface Tried {
  readonly at: readonly number[];
  readonly losses: readonly number[];
  readonly merit: number;
}

/** A search with what it has seen. */
class Search {
  /** The losses that decided lately come first: they rule a point out soonest. */
  private readonly order: number[];

  constructor(
    private readonly losses: readonly Loss[],
    private readonly spans: readonly Span[],
    private readonly home: readonly number[],
  ) {
    this.order = losses.map((_, i) => i);
  }

  /** The point, unless it is no better than a bound: then null, as soon as that is known. */
  try(at: readonly number[], bound: number): Tried | null {
    const steps = at.map((each, i) => (each - this.home[i]!) / this.spans[i]!.steps[0]!);
    const far = FAR * Math.hypot(...steps);
    const found = this.losses.map(() => 0);
    let merit = far;
    let worst = 0;
    let sum = 0;
    for (const i of [...this.order]) {
      found[i] = this.losses[i]!(at, worst);
      const lost = Math.max(0, found[i]);
      worst = Math.max(worst, lost);
      sum += lost;
      merit = worst + REST * sum + far;
      if (merit <= bound - LEAST_GAIN) continue;
      this.order.splice(this.order.indexOf(i), 1);
      this.order.unshift(i);
      return null;
    }
    return { at, losses: found, merit };
  }
}

/**
 * The point at which the largest of several losses is least, then their sum: a pattern search in two
 * unknowns, which needs no slopes and so does not mind kinks. A point that one loss rules out
 * is not looked at further; where nothing is lost the search ends.
 *
 * @param spans of the two unknowns
 * @param starts points to begin at; the first one breaks ties
 * @param losses of every pose
 * @returns the best point that was tried, with every loss there
 */
export function minimiseWorst(
  spans: readonly [Span, Span],
  starts: readonly (readonly number[])[],
  losses: readonly Loss[],
): Pick<Tried, 'at' | 'losses'> {
  const inside = (at: readonly number[]): readonly number[] =>
    at.map((each, i) => snap(each, spans[i]!));
  const [home] = starts.map(inside);
  if (home === undefined) throw new Error('A search needs a place to begin');
  const search = new Search(losses, spans, home);
  let here = search.try(home, Infinity)!;
  for (const start of starts.slice(1)) here = search.try(inside(start), here.merit) ?? here;
  const isFree = spans.map(({ from, to }) => to > from);
  const directions = DIRECTIONS.filter((each) => each.every((way, i) => way === 0 || isFree[i]));
  let last = directions[0]!;
  const isLost = ({ losses: each }: Tried): boolean => each.some((loss) => loss > 0);
  for (let level = 0; level < spans[0].steps.length && isLost(here); level += 1) {
    let isBetter = true;
    while (isBetter) {
      isBetter = false;
      // What led on last may lead on again.
      for (const direction of [last, ...directions.filter((each) => each !== last)]) {
        const at = inside(here.at.map((each, i) => each + direction[i]! * spans[i]!.steps[level]!));
        if (at.every((each, i) => each === here.at[i])) continue;
        const better = search.try(at, here.merit);
        if (better === null) continue;
        here = better;
        last = direction;
        isBetter = true;
        break;
      }
    }
  }
  return here;
}
