/** What each value of a grid costs one body. */
export interface LossOnGrid {
  readonly id: string;
  /** As it is recommended to this body alone: of values that cost the same, the nearer is taken. */
  readonly own: number;
  /** Share of the recommended depth that is lost, by value; one that is not there is beyond a limit. */
  readonly losses: ReadonlyMap<number, number>;
}

/** What a class is given, and whom it serves. */
export interface SharedSettings {
  /** Rising; fewer than there may be where fewer do as well. */
  readonly values: readonly number[];
  /** The largest loss of those who are served; 0 when nobody is. */
  readonly worst: number;
  readonly served: readonly Served[];
  /** Whom every choice of settings as good as this one leaves with a number of their own. */
  readonly leftOut: readonly string[];
}

export interface Served {
  readonly id: string;
  readonly value: number;
  readonly lost: number;
}

/** Who would lose more has a number of their own. */
export const MOST_LOST = 0.2;
/** A class is given no more settings than this. */
export const MOST_SETTINGS = 4;

/** Which bodies a value serves within a loss, one bit each. */
interface Cover {
  readonly value: number;
  readonly bits: bigint;
}

const countBits = (bits: bigint): number => bits.toString(2).replaceAll('0', '').length;

/** Every value that serves somebody within a loss. */
function listAllCovers(bodies: readonly LossOnGrid[], most: number): readonly Cover[] {
  const byValue = new Map<number, bigint>();
  for (const [i, { losses }] of bodies.entries()) {
    for (const [value, lost] of losses) {
      if (lost > most) continue;
      byValue.set(value, (byValue.get(value) ?? 0n) | (1n << BigInt(i)));
    }
  }
  return [...byValue]
    .map(([value, bits]): Cover => ({ value, bits }))
    .toSorted((a, b) => a.value - b.value);
}

/** The same without the values that serve nobody beside another one. */
function listCovers(bodies: readonly LossOnGrid[], most: number): readonly Cover[] {
  const covers = listAllCovers(bodies, most);
  return covers.filter(
    ({ bits }, i) =>
      !covers.some(
        (other, j) =>
          j !== i && (bits | other.bits) === other.bits && (other.bits !== bits || j < i),
      ),
  );
}

/** The most bodies that so many values serve, all choices tried. */
function findMostCovered(covers: readonly Cover[], count: number): bigint {
  const sizes = covers.map(({ bits }) => countBits(bits));
  let best = 0n;
  let bestSize = 0;
  const tryFrom = (from: number, left: number, bits: bigint): void => {
    const size = countBits(bits);
    if (size > bestSize) [best, bestSize] = [bits, size];
    if (left === 0) return;
    // The largest of those to come, as often as there are values left.
    const most = Math.max(0, ...sizes.slice(from));
    if (size + left * most <= bestSize) return;
    for (let i = from; i < covers.length; i += 1) tryFrom(i + 1, left - 1, bits | covers[i]!.bits);
  };
  tryFrom(0, count, 0n);
  return best;
}

/** Losses that differ by less are the same. */
const SAME_LOSS = 1e-9;

/** Whether the first of two pairs is less: by its first number, then by its second. */
const isLess = (a: readonly [number, number], b: readonly [number, number]): boolean =>
  a[0] < b[0] - SAME_LOSS || (a[0] <= b[0] + SAME_LOSS && a[1] < b[1] - SAME_LOSS);

/** The value that costs a body least, of equals the nearest to its own, of those the smallest. */
function findLeast(
  { id, own, losses }: LossOnGrid,
  values: readonly number[],
): (Served & { readonly away: number }) | null {
  let best: (Served & { readonly away: number }) | null = null;
  for (const value of values) {
    const lost = losses.get(value);
    if (lost === undefined) continue;
    const away = (value - own) ** 2;
    if (best === null || isLess([lost, away], [best.lost, best.away])) {
      best = { id, value, lost, away };
    }
  }
  return best;
}

/**
 * Of the choices that serve as many within a loss, the one in which all together lose least; of
 * equals the one whose values lie nearest to the bodies’ own.
 */
function findLeastLost(
  bodies: readonly LossOnGrid[],
  count: number,
  most: number,
  size: number,
): readonly number[] {
  const all = new Map<number, bigint>(
    listAllCovers(bodies, most).map(({ value, bits }) => [value, bits]),
  );
  const values = [...all.keys()];
  const sizes = [...all.values()].map(countBits);
  const sum = (chosen: readonly number[]): readonly [number, number] => {
    let [lost, away] = [0, 0];
    for (const body of bodies) {
      const own = findLeast(body, chosen);
      if (own === null || own.lost > most) continue;
      lost += own.lost;
      away += own.away;
    }
    return [lost, away];
  };
  let best: readonly number[] = [];
  let bestSum: readonly [number, number] = [Infinity, Infinity];
  const tryFrom = (from: number, chosen: readonly number[], bits: bigint): void => {
    if (countBits(bits) === size) {
      const total = sum(chosen);
      if (isLess(total, bestSum)) [best, bestSum] = [chosen, total];
    }
    if (chosen.length === count) return;
    const widest = Math.max(0, ...sizes.slice(from));
    if (countBits(bits) + (count - chosen.length) * widest < size) return;
    for (let i = from; i < values.length; i += 1) {
      const value = values[i]!;
      tryFrom(i + 1, [...chosen, value], bits | all.get(value)!);
    }
  };
  tryFrom(0, [], 0n);
  return best;
}

/** A body with its least costly value, where that is within a loss. */
function serve(body: LossOnGrid, values: readonly number[], most: number): readonly Served[] {
  const least = findLeast(body, values);
  if (least === null || least.lost > most) return [];
  return [{ id: least.id, value: least.value, lost: least.lost }];
}

/**
 * One to four settings for a class: first the fewest are left out, then the largest share of depth
 * that anybody loses is smallest, then all together lose least, then the values are nearest to the
 * bodies’ own. Exact on the grid: the smallest
 * loss by bisection over the losses that there are, each time with every choice of values tried.
 *
 * @param bodies each with what every value costs it, in any order
 * @param count how many settings there may be
 * @returns the same for the same bodies, in whatever order they stand
 */
export function shareSettings(bodies: readonly LossOnGrid[], count: number): SharedSettings {
  const sorted = bodies.toSorted((a, b) => (a.id < b.id ? -1 : 1));
  const steps = [...new Set(sorted.flatMap(({ losses }) => [...losses.values()]))]
    .filter((each) => each <= MOST_LOST)
    .toSorted((a, b) => a - b);
  const size = countBits(findMostCovered(listCovers(sorted, MOST_LOST), count));
  let [low, high] = [0, steps.length - 1];
  while (low < high) {
    const middle = Math.floor((low + high) / 2);
    const covers = listCovers(sorted, steps[middle]!);
    if (countBits(findMostCovered(covers, count)) >= size) high = middle;
    else low = middle + 1;
  }
  const worst = steps[high] ?? 0;
  const values = size === 0 ? [] : findLeastLost(sorted, count, worst, size);
  const served = sorted.flatMap((each) => serve(each, values, worst));
  const isServed = new Set(served.map(({ id }) => id));
  return {
    values: values.filter((value) => served.some((each) => each.value === value)),
    worst: served.reduce((most, { lost }) => Math.max(most, lost), 0),
    served,
    leftOut: sorted.map(({ id }) => id).filter((id) => !isServed.has(id)),
  };
}
