/** A point seen from above, metres: [along the mat, to its left]. */
export type Point2 = readonly [number, number];

const turn = (o: Point2, a: Point2, b: Point2): number =>
  (a[0] - o[0]) * (b[1] - o[1]) - (a[1] - o[1]) * (b[0] - o[0]);

/** Convex hull, anticlockwise, no repeated point (Andrew's monotone chain). */
export function convexHull(points: readonly Point2[]): Point2[] {
  const sorted = [...points];
  // By insertion: a solver asks for the hull of two dozen points, nearly sorted, again and again.
  for (let i = 1; i < sorted.length; i += 1) {
    const point = sorted[i]!;
    let at = i;
    for (; at > 0 && isAfter(sorted[at - 1]!, point); at -= 1) sorted[at] = sorted[at - 1]!;
    sorted[at] = point;
  }
  const hull: Point2[] = [];
  for (const point of sorted) extendChain(hull, 0, point);
  const lower = hull.length - 1;
  hull.pop();
  for (let i = sorted.length - 1; i >= 0; i -= 1) extendChain(hull, lower, sorted[i]!);
  hull.pop();
  return hull;
}

const isAfter = (a: Point2, b: Point2): boolean => a[0] > b[0] || (a[0] === b[0] && a[1] > b[1]);

/** Adds a point to the chain that begins at `from`, without what it cuts off. */
function extendChain(hull: Point2[], from: number, point: Point2): void {
  while (
    hull.length - from >= 2 &&
    turn(hull[hull.length - 2]!, hull[hull.length - 1]!, point) <= 1e-12
  ) {
    hull.pop();
  }
  hull.push(point);
}

/**
 * Distances from a point to the edges of a convex hull: positive inside, negative outside
 * (measured to the edge's line).
 *
 * @param hull anticlockwise, its corners taken from `points`
 * @returns one for each of `points`: to the edge that starts there, Infinity where none does
 */
export function distancesInside(
  points: readonly Point2[],
  hull: readonly Point2[],
  point: Point2,
): number[] {
  const distances = new Array<number>(points.length).fill(Infinity);
  let a = hull[hull.length - 1]!;
  for (const b of hull) {
    // Not Math.hypot: its care for huge numbers takes most of the time here.
    const edge = Math.sqrt((b[0] - a[0]) ** 2 + (b[1] - a[1]) ** 2);
    distances[points.indexOf(a)] = turn(a, b, point) / edge;
    a = b;
  }
  return distances;
}
