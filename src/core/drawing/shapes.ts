/**
 * A drawing as plain shapes in millimetres at 1:10, so that one centimetre of the mat is
 * one millimetre of paper. x to the right, y down. `role` says what a shape is;
 * `styles.ts` says how that looks.
 */
export type Point = readonly [number, number];

interface Base {
  readonly role: string;
  /** The setting whose number this shape carries, if any. */
  readonly setting?: string;
}

export type Shape =
  | (Base & { readonly kind: 'polygon'; readonly points: readonly Point[] })
  | (Base & { readonly kind: 'line'; readonly points: readonly Point[] })
  | (Base & { readonly kind: 'circle'; readonly centre: Point; readonly radius: number })
  | (Base & {
      readonly kind: 'arc';
      readonly centre: Point;
      readonly radius: number;
      /** Degrees, clockwise from the right, as the page turns. */
      readonly fromDeg: number;
      readonly toDeg: number;
    })
  | (Base & {
      readonly kind: 'text';
      readonly at: Point;
      readonly text: string;
      /** Size relative to a label, which is 1. */
      readonly size: number;
      readonly anchor: 'start' | 'middle' | 'end';
    });

export interface Drawing {
  /** Left, top, width and height of the page, mm. */
  readonly box: readonly [number, number, number, number];
  readonly shapes: readonly Shape[];
  /** The same facts in words, for those who do not see it. */
  readonly caption: string;
  /** A demonstration has lines that are as thick at every scale; by default it is a sheet. */
  readonly look?: 'sheet' | 'demonstration';
}

/**
 * A line through points.
 *
 * @param role what it is
 * @param points mm
 * @returns the shape
 */
export const line = (role: string, ...points: readonly Point[]): Shape => ({
  kind: 'line',
  role,
  points,
});

/**
 * An arrow along points, its barbs at the last one.
 *
 * @param role what it is
 * @param head length of a barb, mm
 * @param points mm, two or more that differ
 * @returns its line and its head; none where it would have no length
 */
export function arrow(role: string, head: number, ...points: readonly Point[]): readonly Shape[] {
  const [[fx, fy], [x, y]] = points.slice(-2) as [Point, Point];
  const length = Math.hypot(x - fx, y - fy);
  if (length === 0) return [];
  const [ux, uy] = [(x - fx) / length, (y - fy) / length];
  const barb = (side: number): Point => [
    x - head * (ux + side * uy * 0.6),
    y - head * (uy - side * ux * 0.6),
  ];
  return [line(role, ...points), line(role, barb(1), [x, y], barb(-1))];
}

const placed = ([x, y]: Point, scale: number, [dx, dy]: Point): Point => [
  x * scale + dx,
  y * scale + dy,
];

/** A shape made larger or smaller, then moved. */
function placeShape(shape: Shape, scale: number, by: Point): Shape {
  switch (shape.kind) {
    case 'polygon':
    case 'line':
      return { ...shape, points: shape.points.map((each) => placed(each, scale, by)) };
    case 'circle':
    case 'arc':
      return { ...shape, centre: placed(shape.centre, scale, by), radius: shape.radius * scale };
    case 'text':
      return { ...shape, at: placed(shape.at, scale, by), size: shape.size * scale };
  }
}

/**
 * Shapes made larger or smaller and moved.
 *
 * @param shapes mm
 * @param scale factor about the origin
 * @param by mm, added after scaling
 * @returns the same shapes in their new place
 */
export const placeShapes = (shapes: readonly Shape[], scale: number, by: Point): Shape[] =>
  shapes.map((each) => placeShape(each, scale, by));
