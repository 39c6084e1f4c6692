import { convexHull } from '../geometry/polygon.ts';
import type { PoseDefinition } from '../poses/poseDefinition.ts';
import { degreesBetween, ringOfPlaces } from './labels.ts';
import { boxOfPoints, boxOfText, choosePlace, type Box } from './placement.ts';
import { findHandPlaces, footprint } from './prints.ts';
import { drawRuler } from './ruler.ts';
import { line, type Point, type Shape } from './shapes.ts';
import { getValue } from '../setup/setUp.ts';
import { saySquare } from '../setup/settingWords.ts';
import {
  cross,
  isKneeling,
  labelled,
  mark,
  onPlan,
  planPoint,
  sideName,
  text,
  type Sheet,
} from './sheetFrame.ts';
import { drawSupportsOnPlan } from './supports.ts';
import { writeDegrees } from './units.ts';
import { facesLongEdge, toPlan } from './view.ts';

const planBottom = ({ planY, mat }: Sheet): number => planY + mat.widthCm / 2;

/** Pelvis as a bar between the hips with a pointer, and what is missing to square. */
function drawPelvis(sheet: Sheet, pose: PoseDefinition, taken: readonly Box[]): Shape[] {
  const { setUp, view } = sheet;
  const plan = (name: string): Point => onPlan(sheet, ...planPoint(setUp, name));
  const left = plan('hipLeft');
  const right = plan('hipRight');
  const centre: Point = [(left[0] + right[0]) / 2, (left[1] + right[1]) / 2];
  const angleOf = ([x, y]: Point): number => (Math.atan2(y, x) * 180) / Math.PI;
  const hipLine: Point = [left[0] - right[0], left[1] - right[1]];
  // The pelvis faces square to its hip line: from above, a quarter turn to the right of "left".
  const facing: Point = [-hipLine[1], hipLine[0]];
  const size = Math.hypot(...facing) || 1;
  const reach = 25;
  const tip: Point = [
    centre[0] + (facing[0] / size) * reach,
    centre[1] + (facing[1] / size) * reach,
  ];
  const square = facesLongEdge(pose)
    ? toPlan(view, 0, setUp.side === 'right' ? 1 : -1)
    : toPlan(view, 1, 0);
  const squareTip: Point = [centre[0] + square[0] * reach, centre[1] + square[1] * reach];
  const stacked = getValue(setUp, 'pelvis-short-of-stacked');
  const short = stacked ?? getValue(setUp, 'pelvis-short-of-square') ?? 0;
  const shapes: Shape[] = [
    line('pelvis-bar', left, right),
    line('pelvis-bar inner', left, right),
    line('pelvis-pointer', centre, tip),
    { kind: 'circle', role: 'pelvis-tip', centre: tip, radius: 1.3 },
  ];
  if (stacked === null && Math.abs(short) >= 1) {
    shapes.push(line('square', centre, squareTip), {
      kind: 'arc',
      role: 'dimension',
      centre,
      radius: reach * 0.72,
      fromDeg: angleOf(square),
      toDeg: angleOf(facing),
    });
  }
  const number = writeDegrees(Math.abs(short));
  const words = stacked === null ? saySquare(short) : 'short of stacked';
  const obstacles: Box[] = [
    ...taken,
    boxOfPoints([left, right]),
    boxOfPoints([centre, tip, squareTip]),
    ...matBands(sheet),
  ];
  const [first, ...others] = ringOfPlaces(sheet, tip, degreesBetween(centre, tip), number, words);
  if (first === undefined) return shapes;
  const place = choosePlace([first, ...others], obstacles);
  shapes.push(
    ...labelled(
      sheet,
      place.at,
      number,
      words,
      place.anchor,
      stacked === null ? 'pelvis-short-of-square' : 'pelvis-short-of-stacked',
    ),
  );
  return shapes;
}

/** The back foot's turn against the mat's line, written beside it. */
function drawBackFoot(sheet: Sheet, taken: readonly Box[]): Shape[] {
  const { setUp } = sheet;
  const angle = getValue(setUp, 'back-foot-angle');
  // Feet side by side point where the mat does: there is nothing to write.
  if (angle === null || getValue(setUp, 'stance-length') === null) return [];
  const side = sideName(setUp, 'back');
  const [hx, hy] = mark(setUp, `heel${side}`);
  const heel = onPlan(sheet, hx, hy);
  const toe = onPlan(sheet, ...planPoint(setUp, `toe${side}`));
  const ahead = onPlan(sheet, hx + 13, hy);
  const number = writeDegrees(angle);
  const words = 'back foot';
  const [toDegrees, aheadDegrees] = [degreesBetween(heel, toe), degreesBetween(heel, ahead)];
  const middle: Point = [(heel[0] + toe[0]) / 2, (heel[1] + toe[1]) / 2];
  const obstacles = [...taken, ...matBands(sheet), boxOfPoints([heel, ahead, toe])];
  const [first, ...others] = ringOfPlaces(sheet, middle, aheadDegrees + 180, number, words);
  if (first === undefined) return [];
  const place = choosePlace([first, ...others], obstacles);
  return [
    line('square', heel, ahead),
    {
      kind: 'arc',
      role: 'dimension',
      centre: heel,
      radius: 10,
      fromDeg: aheadDegrees,
      toDeg: toDegrees,
    },
    ...labelled(sheet, place.at, number, words, place.anchor, 'back-foot-angle'),
  ];
}

/** Where no label may stand: the ruler's edge, the far edge, and beyond both ends of the mat. */
function matBands(sheet: Sheet): Box[] {
  const bottom = planBottom(sheet);
  const ends = [sheet.matFront, sheet.matFront - sheet.mat.lengthCm].map(
    (x) => onPlan(sheet, x, 0)[0],
  );
  return [
    [-Infinity, bottom - 4, Infinity, Infinity],
    [-Infinity, -Infinity, Infinity, bottom - sheet.mat.widthCm + 1],
    [-Infinity, -Infinity, Math.min(...ends) + 1, Infinity],
    [Math.max(...ends) - 1, -Infinity, Infinity, Infinity],
  ];
}

/**
 * The mat from above: feet, base, pelvis, props and their numbers.
 *
 * @param sheet what shapes are drawn from
 * @param pose the pose's data
 * @returns shapes, back to front, mm at 1:10
 */
export function drawPlan(sheet: Sheet, pose: PoseDefinition): Shape[] {
  const { setUp, mat, matFront, heelLine, planY } = sheet;
  const front = onPlan(sheet, matFront, 0)[0];
  const rear = onPlan(sheet, matFront - mat.lengthCm, 0)[0];
  const half = mat.widthCm / 2;
  const shapes: Shape[] = [
    {
      kind: 'polygon',
      role: 'mat',
      points: [
        [front, planY - half],
        [rear, planY - half],
        [rear, planY + half],
        [front, planY + half],
      ],
    },
  ];
  const outline = (points: readonly (readonly [number, number])[]): Point[] =>
    points.map(([x, y]) => onPlan(sheet, x, y));
  const supports = drawSupportsOnPlan(sheet);
  shapes.push(...supports);
  if (setUp.balance !== null) {
    shapes.push({ kind: 'polygon', role: 'base', points: outline(setUp.balance.base) });
  }
  const line0 = onPlan(sheet, matFront, heelLine);
  const line1 = onPlan(sheet, matFront - mat.lengthCm, heelLine);
  shapes.push(line('heel-line', line0, line1));
  const standing = (['front', 'back'] as const).filter(
    (place) => (setUp.footprints?.[place] ?? []).length > 0,
  );
  for (const points of Object.values(sheet.options.ghost?.footprints ?? {})) {
    if (points.length > 0) {
      shapes.push({ kind: 'polygon', role: 'ghost', points: outline(convexHull(points)) });
    }
  }
  for (const place of standing) {
    shapes.push({ kind: 'polygon', role: `footprint ${place}`, points: footprint(sheet, place) });
  }
  if (isKneeling(pose)) {
    const knee = onPlan(sheet, ...planPoint(setUp, `knee${sideName(setUp, 'back')}`));
    shapes.push({ kind: 'circle', role: 'footprint back', centre: knee, radius: 5 });
  }
  const hands = findHandPlaces(sheet, pose);
  for (const hand of hands) shapes.push({ kind: 'polygon', ...hand });
  const weight = onPlan(sheet, ...planPoint(setUp, 'centreOfMass'));
  const prints = [
    ...standing.map((place) => boxOfPoints(footprint(sheet, place))),
    ...hands.map(({ points }) => boxOfPoints(points)),
    ...supports.flatMap((each) => (each.kind === 'polygon' ? [boxOfPoints(each.points)] : [])),
    boxOfPoints([
      [weight[0] - 4, weight[1] - 4],
      [weight[0] + 4, weight[1] + 4],
    ]),
  ];
  const hips = ['hipLeft', 'hipRight'].map((name) => onPlan(sheet, ...planPoint(setUp, name)));
  const backFoot = drawBackFoot(sheet, [...prints, boxOfPoints(hips)]);
  const taken = [
    ...prints,
    ...backFoot.flatMap((shape) =>
      shape.kind === 'text' ? [boxOfText(shape.text, shape.at, shape.size, shape.anchor)] : [],
    ),
  ];
  shapes.push(...drawPelvis(sheet, pose, taken), ...backFoot, ...cross(weight));
  shapes.push(...drawRuler(sheet));
  const frontWord = onPlan(sheet, matFront, 0)[0];
  const inward = -toPlan(sheet.view, 1, 0)[0];
  const label = sheet.options.labelMm;
  shapes.push(
    text(
      sheet,
      'edge',
      [frontWord + inward * 2.5, planY - half + label * 1.5],
      'front',
      1,
      inward > 0 ? 'start' : 'end',
    ),
  );
  return shapes;
}
