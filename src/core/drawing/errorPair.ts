import type { Side } from '../measures/protocol.ts';
import type { ExplainedError } from '../poseErrors/explainError.ts';
import type { ErrorMark } from '../poseErrors/imposed.ts';
import type { PoseDefinition } from '../poses/poseDefinition.ts';
import type { SetUp } from '../setup/setUp.ts';
import type { LandmarkCm } from '../skeleton/landmark.ts';
import { boxOfPoints, boxOfText } from './placement.ts';
import { outlineFootprint } from './prints.ts';
import { arrow, line, placeShapes, type Drawing, type Point, type Shape } from './shapes.ts';
import { drawThumbnail, drawThumbnailFromFront } from './thumbnail.ts';
import { findView, FRONT_VIEW, toElevation, toPlan, type View } from './view.ts';

/** Between the figures, and of their labels, mm. */
const GAP = 14;
const LABEL = 8;
const HEAD = 3.2;
/** A view other than the usual one is taken where it shows this much more of the error. Our choice. */
const SHOWS_MORE = 1.3;
/** A pair is shown about this wide and high on a screen of 1280 × 800 pixels. */
const SHOWN_PX = { width: 560, height: 256 } as const;
/** A difference of fewer pixels is shown again, enlarged. */
const SEEN_PX = 8;
/** Of the pelvis’s pointer, and of the room round what is seen from above, mm. */
const POINTER_MM = 25;
const AROUND_MM = 4;
const LEAST_HIGH_MM = 90;
/** Of the circle that shows it enlarged, and of the difference in it, mm. */
const CIRCLE_MM = 36;
const ENLARGED_TO_MM = 12;
const MOST_ENLARGED = 8;

interface ErrorView {
  readonly words: string;
  readonly toPoint: (landmark: LandmarkCm) => Point;
  readonly draw: (pose: PoseDefinition, setUp: SetUp) => Drawing | null;
}

const fromView = (view: View, draw: ErrorView['draw']): ErrorView => ({
  words: view.words,
  toPoint: (landmark) => toElevation(view, landmark),
  draw,
});

/** The views an error may be seen in, the usual one first. */
function listViews(
  pose: PoseDefinition,
  setUp: SetUp,
  isSeenFromAbove: boolean,
): readonly ErrorView[] {
  const side = findView(pose, setUp);
  if (!isSeenFromAbove) {
    return [fromView(side, drawThumbnail), fromView(FRONT_VIEW, drawThumbnailFromFront)];
  }
  const toPoint = ([x, y]: LandmarkCm): Point => toPlan(side, x, y);
  const draw = (_pose: PoseDefinition, shown: SetUp): Drawing => drawFeetAndPelvis(side, shown);
  return [{ words: 'seen from above', toPoint, draw }];
}

/** A mark’s name among the landmarks. */
function nameMark(mark: ErrorMark, side: Side): string {
  const [joint = '', place] = mark.split(' ');
  if (place === undefined) return joint;
  const isRight = (side === 'right') === (place === 'front');
  return `${joint}${isRight ? 'Right' : 'Left'}`;
}

const OTHER = { Left: 'Right', Right: 'Left' } as const;

/** What meets at a mark: lines over landmarks that begin there. */
function listBones(mark: string): readonly (readonly string[])[] {
  const [, joint = mark, side = 'Left'] = /^(\D+)(Left|Right)$/.exec(mark) ?? [];
  const own = (name: string): string => `${name}${side}`;
  switch (joint) {
    case 'hip':
      return [
        [mark, `hip${OTHER[side as 'Left' | 'Right']}`],
        [mark, own('knee')],
      ];
    case 'knee':
      return [
        [mark, own('hip')],
        [mark, own('ankle')],
      ];
    case 'heel':
      return [
        [mark, own('ball'), own('toe')],
        [mark, own('ankle')],
      ];
    case 'toe':
      return [[mark, own('heel')]];
    case 'hand':
      return [[mark, own('wrist'), own('elbow')]];
    default:
      return [
        [mark, 'pelvisCentre'],
        [mark, 'chestCentre'],
      ];
  }
}

const distanceOf = (a: Point, b: Point): number => Math.hypot(a[0] - b[0], a[1] - b[1]);

/** A line no longer than a length. */
function cutLine(points: readonly Point[], length: number): readonly Point[] {
  const cut: Point[] = points.slice(0, 1);
  let left = length;
  for (const [i, to] of points.slice(1).entries()) {
    const from = points[i]!;
    const whole = distanceOf(from, to);
    const share = whole === 0 ? 1 : Math.min(1, left / whole);
    cut.push([from[0] + (to[0] - from[0]) * share, from[1] + (to[1] - from[1]) * share]);
    left -= whole;
    if (left <= 0) break;
  }
  return cut;
}

/** Where an error moves a mark, in one view. */
interface Moved {
  readonly mark: string;
  readonly from: Point;
  readonly to: Point;
}

function findMoved(
  { toPoint }: ErrorView,
  marks: readonly string[],
  planned: SetUp,
  withError: SetUp,
): Moved {
  const all = marks.map((mark): Moved => ({
    mark,
    from: toPoint(planned.landmarks[mark]!),
    to: toPoint(withError.landmarks[mark]!),
  }));
  const [most] = all.toSorted((a, b) => distanceOf(b.from, b.to) - distanceOf(a.from, a.to));
  return most!;
}

/** What meets at a mark, each line no longer than a length. */
const drawBones = (
  { toPoint }: ErrorView,
  role: string,
  mark: string,
  { landmarks }: SetUp,
  length: number,
): Shape[] =>
  listBones(mark).map((names) =>
    line(
      role,
      ...cutLine(
        names.map((name) => toPoint(landmarks[name]!)),
        length,
      ),
    ),
  );

/** The body round a mark, as planned and with the error, enlarged about the planned mark. */
function drawEnlarged(
  view: ErrorView,
  { mark, from, to }: Moved,
  planned: SetUp,
  withError: SetUp,
): readonly Shape[] {
  const apart = distanceOf(from, to);
  const scale = Math.min(MOST_ENLARGED, ENLARGED_TO_MM / apart);
  const length = CIRCLE_MM / scale - apart;
  const shapes = [
    ...drawBones(view, 'sign-guide', mark, planned, length),
    ...drawBones(view, 'sign-body', mark, withError, length),
    ...arrow('sign-goes', HEAD / scale, from, to),
  ];
  return placeShapes(shapes, scale, [-from[0] * scale, -from[1] * scale]);
}

/** Feet and pelvis from above, without the mat. */
function drawFeetAndPelvis(view: View, setUp: SetUp): Drawing {
  const onMat = (x: number, y: number): Point => toPlan(view, x, y);
  const feet = (['front', 'back'] as const)
    .filter((place) => (setUp.footprints?.[place] ?? []).length > 0)
    .map((place): Shape => ({
      kind: 'polygon',
      role: `footprint ${place}`,
      points: outlineFootprint(setUp, place, onMat),
    }));
  const hip = (side: 'Left' | 'Right'): Point => {
    const [x, y] = setUp.landmarks[`hip${side}`]!;
    return onMat(x, y);
  };
  const [left, right] = [hip('Left'), hip('Right')];
  const centre: Point = [(left[0] + right[0]) / 2, (left[1] + right[1]) / 2];
  // From above the pelvis faces a quarter turn to the right of its left side.
  const size = distanceOf(left, right) / POINTER_MM;
  const tip: Point = [
    centre[0] - (left[1] - right[1]) / size,
    centre[1] + (left[0] - right[0]) / size,
  ];
  const shapes: Shape[] = [
    ...feet,
    line('pelvis-bar', left, right),
    line('pelvis-bar inner', left, right),
    line('pelvis-pointer', centre, tip),
    { kind: 'circle', role: 'pelvis-tip', centre: tip, radius: 1.3 },
  ];
  const points = shapes.flatMap((each) =>
    each.kind === 'polygon' || each.kind === 'line' ? each.points : [],
  );
  const [x, y, rightEnd, bottom] = boxOfPoints(points);
  return {
    box: [x - AROUND_MM, y - AROUND_MM, rightEnd - x + 2 * AROUND_MM, bottom - y + 2 * AROUND_MM],
    shapes,
    caption: '',
  };
}

/** One figure with its words beneath. */
interface Column extends Pick<Drawing, 'box' | 'shapes'> {
  readonly words: string;
}

/** Pixels a millimetre, on a screen. */
const findScale = ([, , width, height]: Drawing['box']): number =>
  Math.min(SHOWN_PX.width / width, SHOWN_PX.height / height);

/** Columns side by side on one scale, each as wide as its figure or its words. */
function placeColumns(columns: readonly Column[]): Pick<Drawing, 'box' | 'shapes'> {
  const top = Math.min(...columns.map(({ box }) => box[1]));
  const bottom = Math.max(...columns.map(({ box }) => box[1] + box[3])) + LABEL * 1.1;
  const shapes: Shape[] = [];
  let x = 0;
  for (const { box, shapes: own, words } of columns) {
    const [from, , to] = boxOfText(words, [0, 0], LABEL, 'middle');
    const width = Math.max(box[2], to - from);
    const middle = x + width / 2;
    shapes.push(...placeShapes(own, 1, [middle - box[0] - box[2] / 2, 0]), {
      kind: 'text',
      role: 'label',
      at: [middle, bottom],
      text: words,
      size: LABEL,
      anchor: 'middle',
    });
    x += width + GAP;
  }
  const height = bottom + LABEL / 2 - top;
  // Feet alone are not drawn larger than a body.
  const above = Math.max(0, LEAST_HIGH_MM - height);
  return { box: [0, top - above, x - GAP, height + above], shapes };
}

/**
 * A pose as planned and with an error, side by side on one scale and one floor, seen from where the
 * error shows most; what is too small to see is enlarged beside them.
 *
 * @param pose the pose's data, as it is held
 * @param explained the error on this body
 * @param words the error's name
 * @returns null when the error has no geometry
 */
export function drawErrorPair(
  pose: PoseDefinition,
  { planned, withError }: Pick<ExplainedError, 'planned' | 'withError'>,
  words: string,
): Drawing | null {
  if (withError === null) return null;
  const { setUp, marks, size, unit, isSeenFromAbove } = withError;
  const names = marks.map((mark) => nameMark(mark, planned.side));
  const seen = listViews(pose, planned, isSeenFromAbove).map((view) => {
    const moved = findMoved(view, names, planned, setUp);
    return { view, moved, shows: distanceOf(moved.from, moved.to) };
  });
  const { view, moved, shows } = seen.reduce((a, b) => (b.shows > a.shows * SHOWS_MORE ? b : a));
  const [first, second] = [view.draw(pose, planned), view.draw(pose, setUp)];
  if (first === null || second === null) return null;
  const wrong = [
    ...second.shapes,
    ...drawBones(view, 'sign-guide', moved.mark, planned, Infinity),
    ...arrow('sign-goes', HEAD, moved.from, moved.to),
  ];
  const columns: Column[] = [
    { ...first, words: 'as planned' },
    { box: second.box, shapes: wrong, words },
  ];
  if (shows * findScale(placeColumns(columns).box) < SEEN_PX) {
    const middle = first.box[1] + first.box[3] / 2;
    const enlarged: readonly Shape[] = [
      { kind: 'circle', role: 'enlarged', centre: [0, 0], radius: CIRCLE_MM },
      ...drawEnlarged(view, moved, planned, setUp),
    ];
    columns.push({
      box: [-CIRCLE_MM, middle - CIRCLE_MM, 2 * CIRCLE_MM, 2 * CIRCLE_MM],
      shapes: placeShapes(enlarged, 1, [0, middle]),
      words: 'enlarged',
    });
  }
  const amount = unit === 'deg' ? `${size.toFixed(0)}°` : `${size.toFixed(0)} cm`;
  return {
    ...placeColumns(columns),
    caption: `${pose.name} as planned and with “${words}” by ${amount}, side by side, ${view.words}.`,
  };
}
