/** A point seen from above, metres: [along the mat, to its left]. */
export type Point2 = readonly [number, number];

const turn = (o: Point2, a: Point2, b: Point2): number =>
  (a[0] - o[0]) * (b[1] - o[1]) - (a[1] - o[1]) * (b[0] - o[0]);

/** Convex hull, anticlockwise, no repeated point (Andrew's monotone chain). */
export function convexHull(points: readonly Point2[]): Point2[] {
  const sorted = [...points].sort((a, b) => a[0] - b[0] || a[1] - b[1]);
  const half = (ordered: readonly Point2[]): Point2[] => {
    const chain: Point2[] = [];
    for (const point of ordered) {
      while (chain.length >= 2 && turn(chain.at(-2)!, chain.at(-1)!, point) <= 1e-12) chain.pop();
      chain.push(point);
    }
    chain.pop();
    return chain;
  };
  const lower = half(sorted);
  const upper = half(sorted.reverse());
  return [...lower, ...upper];
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
  const distances = points.map(() => Infinity);
  let a = hull[hull.length - 1]!;
  for (const b of hull) {
    // Not Math.hypot: its care for huge numbers takes most of the time here.
    const edge = Math.sqrt((b[0] - a[0]) ** 2 + (b[1] - a[1]) ** 2);
    distances[points.indexOf(a)] = turn(a, b, point) / edge;
    a = b;
  }
  return distances;
}
