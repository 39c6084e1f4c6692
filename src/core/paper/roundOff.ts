import type { Point } from '../drawing/shapes.ts';

const STEPS_BETWEEN = 6;

/**
 * Tangents of the curve, as a share of the way between a point's neighbours. Half of what is
 * usual for a curve through points: at true size a rounder one would leave the foot's own
 * length by more than half a millimetre.
 */
const ROUNDNESS = 0.25;

/**
 * A closed curve through every point of an outline (cubic Hermite).
 *
 * @param outline at least three points, mm
 * @returns a line that ends where it began
 */
export function roundOff(outline: readonly Point[]): Point[] {
  const at = (i: number): Point => outline[(i + outline.length) % outline.length]!;
  const curve = outline.flatMap((from, i) => {
    const [before, to, after] = [at(i - 1), at(i + 1), at(i + 2)];
    return Array.from({ length: STEPS_BETWEEN }, (_, step): Point => {
      const t = step / STEPS_BETWEEN;
      const ease = t * t * (3 - 2 * t);
      const blend = (axis: 0 | 1): number =>
        from[axis] +
        (to[axis] - from[axis]) * ease +
        ROUNDNESS * (to[axis] - before[axis]) * t * (1 - t) ** 2 -
        ROUNDNESS * (after[axis] - from[axis]) * t * t * (1 - t);
      return [blend(0), blend(1)];
    });
  });
  return [...curve, ...curve.slice(0, 1)];
}
