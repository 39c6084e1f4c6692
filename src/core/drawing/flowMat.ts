import { FOOT } from '../body/proportions.ts';
import { SIDES, type Side } from '../measures/protocol.ts';
import type { FeetPlaces, FootPlace } from '../sequence/feetPlaces.ts';
import type { Mark } from '../sequence/marks.ts';
import type { FootMove } from '../sequence/moves.ts';
import type { FlowOnMat } from '../sequence/plannedFlow.ts';
import { outlineFoot } from './prints.ts';
import { line, type Drawing, type Point, type Shape } from './shapes.ts';

/** A foot of a flow's mat, cm. Our drawing choice: the places count, not the outline. */
const FOOT_CM = 25;
const FOOT_WIDTH_CM = 9.5;
const KNEE_CM = 6;
/** The head of an arrow, mm. */
const ARROW_MM = 5;
const MARGIN = 2;

/** A place of the mat on the page: the mat's front edge on the right, its left edge at the top. */
const toPage = ({ lengthCm, widthCm, frontMarksCm }: FlowOnMat, x: number, y: number): Point => [
  lengthCm - frontMarksCm + x,
  widthCm / 2 - y,
];

/** Where the marked part of a foot lies in its outline, as a share of the foot's length. */
const PART = { foot: FOOT.heelCentre, ball: FOOT.ball, knee: 0 } as const;

function outlineOf(
  mat: FlowOnMat,
  side: Side,
  { part, x, y, turnDeg }: FootPlace,
  role: string,
): Shape {
  if (part === 'knee') {
    return { kind: 'circle', role, centre: toPage(mat, x, y), radius: KNEE_CM };
  }
  const turn = (turnDeg * Math.PI) / 180;
  const [ux, uy] = [Math.cos(turn), Math.sin(turn)];
  const outline = outlineFoot(FOOT_CM, FOOT_WIDTH_CM, side === 'left' ? 'Left' : 'Right');
  const points = outline.map(([along, across]) => {
    const ahead = along - PART[part] * FOOT_CM;
    return toPage(mat, x + ux * ahead - uy * across, y + uy * ahead + ux * across);
  });
  return { kind: 'polygon', role, points };
}

/** An arrow along the way of a foot that is lifted to another place. */
function arrowOf(mat: FlowOnMat, { from, to }: FootMove): readonly Shape[] {
  if (from === null || to === null) return [];
  const [a, b] = [toPage(mat, from.x, from.y), toPage(mat, to.x, to.y)];
  const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
  if (length < ARROW_MM) return [];
  const [ux, uy] = [(b[0] - a[0]) / length, (b[1] - a[1]) / length];
  const back = (across: number): Point => [
    b[0] - ARROW_MM * ux - across * uy,
    b[1] - ARROW_MM * uy + across * ux,
  ];
  return [
    line('foot-goes', a, b),
    line('foot-goes', back(ARROW_MM * 0.6), b, back(-ARROW_MM * 0.6)),
  ];
}

const matShape = (mat: FlowOnMat): Shape => ({
  kind: 'polygon',
  role: 'mat',
  points: [
    [0, 0],
    [mat.lengthCm, 0],
    [mat.lengthCm, mat.widthCm],
    [0, mat.widthCm],
  ],
});

const boxOf = ({ lengthCm, widthCm }: FlowOnMat): Drawing['box'] => [
  -MARGIN,
  -MARGIN,
  lengthCm + 2 * MARGIN,
  widthCm + 2 * MARGIN,
];

/**
 * The mat of a flow at one step: where the feet stand, where they came from, and their way.
 *
 * @param mat how the flow lies on it
 * @param feet on the mat
 * @param moves from the step before
 * @returns mm at 1:10, the mat's front edge on the right
 */
export function drawFlowMat(mat: FlowOnMat, feet: FeetPlaces, moves: readonly FootMove[]): Drawing {
  const before = moves.flatMap(({ side, from }) =>
    from === null ? [] : [outlineOf(mat, side, from, 'ghost')],
  );
  const now = SIDES.flatMap((side) => {
    const place = feet[side];
    return place === null ? [] : [outlineOf(mat, side, place, 'footprint')];
  });
  const arrows = moves.flatMap((move) => arrowOf(mat, move));
  return {
    box: boxOf(mat),
    shapes: [matShape(mat), ...before, ...now, ...arrows],
    caption: 'the mat from above',
  };
}

/**
 * The whole mat of a flow with its marks, numbered.
 *
 * @param mat how the flow lies on it
 * @param marks the fewest that serve it
 * @returns mm at 1:10, the mat's front edge on the right
 */
export function drawMarks(mat: FlowOnMat, marks: readonly Mark[]): Drawing {
  const shapes = marks.flatMap(({ side, place, number }): Shape[] => {
    const turn = (place.turnDeg * Math.PI) / 180;
    // The number stands at the heel's far side, where no other part of this foot is.
    const [x, y] = toPage(mat, place.x - 11 * Math.cos(turn), place.y - 11 * Math.sin(turn));
    return [
      outlineOf(mat, side, place, 'footprint'),
      {
        kind: 'text',
        role: 'number',
        at: [x, y + 2],
        text: String(number),
        size: 8,
        anchor: 'middle',
      },
    ];
  });
  return { box: boxOf(mat), shapes: [matShape(mat), ...shapes], caption: 'the marks of the mat' };
}
