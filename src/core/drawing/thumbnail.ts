import type { LyingPose } from '../poses/lying/lyingPose.ts';
import type { PoseDefinition } from '../poses/poseDefinition.ts';
import type { SetUp } from '../setup/setUp.ts';
import { drawFromFront } from './frontView.ts';
import { drawLying } from './lying/drawLying.ts';
import { drawFromAbove, drawFromSide } from './sheet.ts';
import type { Drawing, Point, Shape } from './shapes.ts';

/** What is left of a drawing that is too small for numbers. */
const KEPT = new Set(['body-outline', 'body-flesh', 'floor', 'prop', 'strap', 'wall']);
const KEPT_FROM_FRONT = new Set([...KEPT, 'pelvis-bar']);
/** What is left of a mat from above. */
const KEPT_ABOVE = new Set(['mat', 'footprint', 'heel-line', 'pelvis-bar', 'pelvis-pointer']);
/** Room round the body, mm. */
const MARGIN = 4;
const OPTIONS = { unit: 'cm', labelMm: 5 } as const;

const isBody = ({ role }: Shape): boolean => role.startsWith('body-') || role.startsWith('prop');

const pointsOf = (shape: Shape): readonly Point[] =>
  shape.kind === 'polygon' || shape.kind === 'line' ? shape.points : [];

/** Points nearer than this to the one before, mm, cannot be told apart at this size. */
const APART_MM = 1.5;

/** The same shape with the points that are seen: a page may hold many small figures. */
function thinOut(shape: Shape): Shape {
  if (shape.kind !== 'polygon') return shape;
  const points: Point[] = [];
  for (const point of shape.points) {
    const last = points.at(-1);
    const apart =
      last === undefined ? Infinity : Math.hypot(point[0] - last[0], point[1] - last[1]);
    if (apart >= APART_MM) points.push(point);
  }
  return { ...shape, points };
}

/** The floor reaches no farther than the body, so that the body fills the room there is. */
function cropFloor(shape: Shape, left: number, right: number): Shape {
  if (shape.kind !== 'line' || !shape.role.includes('floor')) return shape;
  const [, y] = shape.points[0] ?? [0, 0];
  return {
    ...shape,
    points: [
      [left, y],
      [right, y],
    ],
  };
}

/** What a small figure keeps of a drawing of the body. */
function keepBody(drawing: Drawing, roles: ReadonlySet<string>): Drawing | null {
  const kept = drawing.shapes
    .filter(({ role }) => role.split(' ').some((each) => roles.has(each)))
    .map(thinOut);
  const points = kept.filter(isBody).flatMap(pointsOf);
  if (points.length === 0) return null;
  const xs = points.map(([x]) => x);
  const ys = points.map(([, y]) => y);
  const [left, right] = [Math.min(...xs) - MARGIN, Math.max(...xs) + MARGIN];
  const [top, bottom] = [Math.min(...ys) - MARGIN, Math.max(...ys) + MARGIN];
  return {
    box: [left, top, right - left, bottom - top],
    shapes: kept.map((each) => cropFloor(each, left, right)),
    caption: drawing.caption,
  };
}

/**
 * A set-up as a small figure: the body, what it stands and leans on, and no numbers.
 *
 * @param pose the pose's or the form's data
 * @param setUp the set-up
 * @returns null when there is no posture to draw
 */
export function drawThumbnail(pose: PoseDefinition | LyingPose, setUp: SetUp): Drawing | null {
  if (setUp.status === 'failed') return null;
  const drawing =
    'starts' in pose ? drawFromSide(pose, setUp, OPTIONS) : drawLying(pose, setUp, OPTIONS);
  return drawing === null ? null : keepBody(drawing, KEPT);
}

/**
 * The same from the front edge of the mat, with the line of the hips.
 *
 * @param pose the pose's data
 * @param setUp the set-up
 * @returns null when there is no posture to draw
 */
export function drawThumbnailFromFront(pose: PoseDefinition, setUp: SetUp): Drawing | null {
  const drawing = drawFromFront(pose, setUp, OPTIONS);
  return drawing === null ? null : keepBody(drawing, KEPT_FROM_FRONT);
}

/**
 * The mat of a set-up from above as a small figure: feet, heel line and pelvis, and no numbers.
 *
 * @param pose the pose's data
 * @param setUp the set-up
 * @returns null when there is no posture to draw
 */
export function drawThumbnailFromAbove(pose: PoseDefinition, setUp: SetUp): Drawing | null {
  if (setUp.status === 'failed') return null;
  const drawing = drawFromAbove(pose, setUp, OPTIONS);
  if (drawing === null) return null;
  const shapes = drawing.shapes
    .filter(({ role }) => role.split(' ').some((each) => KEPT_ABOVE.has(each)))
    .map(thinOut);
  const points = shapes.flatMap(pointsOf);
  const [left, right] = [Math.min(...points.map(([x]) => x)), Math.max(...points.map(([x]) => x))];
  const [top, bottom] = [
    Math.min(...points.map(([, y]) => y)),
    Math.max(...points.map(([, y]) => y)),
  ];
  const box = [left - 1, top - 1, right - left + 2, bottom - top + 2] as const;
  return { box, shapes, caption: drawing.caption };
}
