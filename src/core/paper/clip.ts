import type { Point, Shape } from '../drawing/shapes.ts';

/** The part of a segment inside a window, by Liang and Barsky; null = none. */
function clipSegment(a: Point, b: Point, from: Point, to: Point): readonly [Point, Point] | null {
  let [enter, leave] = [0, 1];
  for (const axis of [0, 1] as const) {
    const way = b[axis] - a[axis];
    for (const [sign, limit] of [
      [-1, a[axis] - from[axis]],
      [1, to[axis] - a[axis]],
    ] as const) {
      const speed = sign * way;
      if (speed === 0) {
        if (limit < 0) return null;
      } else if (speed > 0) leave = Math.min(leave, limit / speed);
      else enter = Math.max(enter, limit / speed);
    }
  }
  if (enter > leave) return null;
  const at = (t: number): Point => [a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t];
  return [enter === 0 ? a : at(enter), leave === 1 ? b : at(leave)];
}

const same = (a: Point, b: Point): boolean => a[0] === b[0] && a[1] === b[1];

/**
 * The parts of a line inside a window, each as a line of its own.
 *
 * @param points of the line
 * @param from a corner of the window
 * @param to the opposite corner
 * @returns none when it lies outside
 */
export function clipLine(points: readonly Point[], from: Point, to: Point): Point[][] {
  const parts: Point[][] = [];
  points.slice(1).forEach((b, i) => {
    const clipped = clipSegment(points[i]!, b, from, to);
    if (clipped === null || same(...clipped)) return;
    const last = parts.at(-1);
    const end = last?.at(-1);
    if (end !== undefined && same(end, clipped[0])) last!.push(clipped[1]);
    else parts.push([...clipped]);
  });
  return parts;
}

/** Steps of a circle drawn as a line, each of 6°. */
const STEPS = 60;

/**
 * A circle or an arc as a line.
 *
 * @param shape centre, radius and directions
 * @returns points close enough to print
 */
export function arcPoints(shape: Extract<Shape, { kind: 'circle' | 'arc' }>): Point[] {
  const { centre, radius } = shape;
  const [fromDeg, toDeg] = shape.kind === 'arc' ? [shape.fromDeg, shape.toDeg] : [0, 360];
  const turn = shape.kind === 'arc' ? ((((toDeg - fromDeg) % 360) + 540) % 360) - 180 : 360;
  return Array.from({ length: STEPS + 1 }, (_, i) => {
    const angle = ((fromDeg + (turn * i) / STEPS) * Math.PI) / 180;
    return [centre[0] + radius * Math.cos(angle), centre[1] + radius * Math.sin(angle)];
  });
}
