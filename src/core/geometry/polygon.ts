/** A point seen from above, metres: [along the mat, to its left]. */
export type Point2 = readonly [number, number];

const turn = (o: Point2, a: Point2, b: Point2): number =>
  (a[0] - o[0]) * (b[1] - o[1]) - (a[1] - o[1]) * (b[0] - o[0]);

/**
 * Convex hull, anticlockwise, no repeated point (Andrew's monotone chain).
 *
 * @param points any points
 * @returns corners
 * @example
 * convexHull([[0, 0], [2, 0], [1, 1], [2, 2], [0, 2]]).length // → 4
 */
export const convexHull = (points: readonly Point2[]): Point2[] =>
  findCorners(points).map((i) => points[i]!);

/**
 * The corners of the convex hull by their index, anticlockwise, no repeated point.
 *
 * @param points any points
 * @returns indices into the points
 */
export function findCorners(points: readonly Point2[]): number[] {
  const sorted = points.map((_, i) => i);
  // By insertion: a solver asks for the hull of two dozen points, nearly sorted, again and again.
  for (let i = 1; i < sorted.length; i += 1) {
    const point = points[sorted[i]!]!;
    let at = i;
    for (; at > 0 && isAfter(points[sorted[at - 1]!]!, point); at -= 1)
      sorted[at] = sorted[at - 1]!;
    sorted[at] = i;
  }
  const corners: number[] = [];
  for (const i of sorted) extendChain(points, corners, 0, i);
  const lower = corners.length - 1;
  corners.pop();
  for (let i = sorted.length - 1; i >= 0; i -= 1) extendChain(points, corners, lower, sorted[i]!);
  corners.pop();
  return corners;
}

const isAfter = (a: Point2, b: Point2): boolean => a[0] > b[0] || (a[0] === b[0] && a[1] > b[1]);

/** Adds a point to the chain that begins at `from`, without what it cuts off. */
function extendChain(
  points: readonly Point2[],
  chain: number[],
  from: number,
  index: number,
): void {
  const point = points[index]!;
  while (
    chain.length - from >= 2 &&
    turn(points[chain[chain.length - 2]!]!, points[chain[chain.length - 1]!]!, point) <= 1e-12
  ) {
    chain.pop();
  }
  chain.push(index);
}

/**
 * Distances from a point to the edges of a convex hull: positive inside, negative outside
 * (measured to the edge's line).
 *
 * @param points any points
 * @param corners of the hull by their index, anticlockwise
 * @param point which is judged
 * @param into takes one for each of `points`, from place `at` on: to the edge that starts there,
 *   Infinity where none does
 * @param at where the first distance is written
 */
export function writeDistancesInside(
  points: readonly Point2[],
  corners: readonly number[],
  point: Point2,
  into: Float64Array,
  at: number,
): void {
  for (let i = 0; i < points.length; i += 1) into[at + i] = Infinity;
  let from = corners[corners.length - 1]!;
  for (const to of corners) {
    const a = points[from]!;
    const b = points[to]!;
    // Not Math.hypot: its care for huge numbers takes most of the time here.
    const edge = Math.sqrt((b[0] - a[0]) ** 2 + (b[1] - a[1]) ** 2);
    into[at + from] = turn(a, b, point) / edge;
    from = to;
  }
}
