import type { LandmarkCm } from '../skeleton/landmark.ts';
import type { Drawing, Point } from './shapes.ts';
import { drawFigure } from './figure.ts';
import type { View } from './view.ts';

/** A joint from the side: toward the front edge and up, cm. */
type Joint = readonly [ahead: number, up: number];

/** The joints of a fixed figure, both sides alike. */
interface FixedFigure {
  readonly heel: Joint;
  readonly ankle: Joint;
  readonly ball: Joint;
  readonly toe: Joint;
  readonly knee: Joint;
  readonly hip: Joint;
  readonly chest: Joint;
  readonly shoulder: Joint;
  readonly elbow: Joint;
  readonly wrist: Joint;
  readonly hand: Joint;
  readonly neck: Joint;
  readonly head: Joint;
  /** Half the distance between the knees, cm; crossed shins have them far apart. */
  readonly kneesOut?: number;
}

/** A body of 170 cm in each linking pose, drawn once and for everybody. Our choice. */
const FIGURES: Readonly<Record<string, FixedFigure>> = {
  'front-of-mat': {
    heel: [-5, 2],
    ankle: [0, 7],
    ball: [12, 2],
    toe: [19, 1],
    knee: [1, 47],
    hip: [0, 89],
    chest: [0, 135],
    shoulder: [0, 139],
    elbow: [-2, 110],
    wrist: [2, 84],
    hand: [4, 75],
    neck: [1, 146],
    head: [4, 157],
  },
  'forward-fold': {
    heel: [-5, 2],
    ankle: [0, 7],
    ball: [12, 2],
    toe: [19, 1],
    knee: [7, 46],
    hip: [-8, 85],
    chest: [24, 58],
    shoulder: [26, 55],
    elbow: [30, 30],
    wrist: [27, 8],
    hand: [28, 2],
    neck: [28, 50],
    head: [25, 38],
  },
  'downward-dog': {
    heel: [-101, 4],
    ankle: [-96, 8],
    ball: [-84, 2],
    toe: [-77, 1],
    knee: [-76, 43],
    hip: [-54, 79],
    chest: [-23, 43],
    shoulder: [-22, 41],
    elbow: [-5, 24],
    wrist: [10, 6],
    hand: [16, 2],
    neck: [-18, 37],
    head: [-15, 25],
  },
  plank: {
    heel: [-112, 17],
    ankle: [-105, 16],
    ball: [-105, 3],
    toe: [-100, 1],
    knee: [-68, 28],
    hip: [-29, 42],
    chest: [14, 54],
    shoulder: [17, 55],
    elbow: [18, 29],
    wrist: [17, 5],
    hand: [22, 2],
    neck: [24, 57],
    head: [34, 57],
  },
  tabletop: {
    heel: [-83, 5],
    ankle: [-78, 7],
    ball: [-88, 2],
    toe: [-95, 2],
    knee: [-40, 5],
    hip: [-38, 47],
    chest: [7, 54],
    shoulder: [10, 54],
    elbow: [11, 29],
    wrist: [10, 5],
    hand: [15, 2],
    neck: [17, 56],
    head: [27, 56],
  },
  kneeling: {
    heel: [-44, 8],
    ankle: [-38, 7],
    ball: [-48, 3],
    toe: [-55, 2],
    knee: [1, 6],
    hip: [-37, 23],
    chest: [-36, 69],
    shoulder: [-36, 73],
    elbow: [-33, 45],
    wrist: [-14, 27],
    hand: [-6, 22],
    neck: [-35, 80],
    head: [-32, 91],
  },
  'cross-legged': {
    heel: [12, 3],
    ankle: [14, 5],
    ball: [20, 3],
    toe: [24, 2],
    knee: [26, 17],
    hip: [-12, 19],
    chest: [-12, 65],
    shoulder: [-12, 69],
    elbow: [-10, 42],
    wrist: [10, 27],
    hand: [18, 23],
    neck: [-11, 76],
    head: [-8, 87],
    kneesOut: 30,
  },
  rest: {
    heel: [-78, 4],
    ankle: [-76, 8],
    ball: [-82, 14],
    toe: [-83, 20],
    knee: [-36, 9],
    hip: [6, 9],
    chest: [51, 10],
    shoulder: [56, 9],
    elbow: [28, 6],
    wrist: [4, 4],
    hand: [-4, 4],
    neck: [62, 10],
    head: [73, 10],
  },
};

/** Half of what lies between both sides, cm. */
const HALF = { hips: 8.5, shoulders: 17, feet: 8 } as const;
/** From the mat's right edge: the mat's front edge is on the right of the page. */
const FROM_THE_RIGHT: View = { axis: 'side', from: -1, words: 'seen from the right' };
const MARGIN = 4;

function listLandmarks(figure: FixedFigure): Readonly<Record<string, LandmarkCm>> {
  const { kneesOut = HALF.feet } = figure;
  const sided: readonly (readonly [name: string, joint: Joint, half: number])[] = [
    ['hip', figure.hip, HALF.hips],
    ['knee', figure.knee, kneesOut],
    ['ankle', figure.ankle, HALF.feet],
    ['heel', figure.heel, HALF.feet],
    ['ball', figure.ball, HALF.feet],
    ['toe', figure.toe, HALF.feet],
    ['shoulder', figure.shoulder, HALF.shoulders],
    ['elbow', figure.elbow, HALF.shoulders],
    ['wrist', figure.wrist, HALF.shoulders],
    ['hand', figure.hand, HALF.shoulders],
  ];
  const middle = (name: string, [x, z]: Joint): [string, LandmarkCm] => [name, [x, 0, z]];
  return Object.fromEntries([
    ...sided.flatMap(([name, [x, z], half]): [string, LandmarkCm][] => [
      [`${name}Left`, [x, half, z]],
      [`${name}Right`, [x, -half, z]],
    ]),
    middle('pelvisCentre', figure.hip),
    middle('chestCentre', figure.chest),
    middle('neck', figure.neck),
    middle('head', figure.head),
  ]);
}

/**
 * The fixed figure of a linking pose, the mat's front edge on the right.
 *
 * @param id of the linking pose
 * @returns null for one that has no figure
 */
export function drawLinkingFigure(id: string): Drawing | null {
  const figure = FIGURES[id];
  if (figure === undefined) return null;
  const landmarks = listLandmarks(figure);
  const body = drawFigure(FROM_THE_RIGHT, { landmarks, side: 'right', settings: [] }, false);
  const points = body.flatMap((each): readonly Point[] =>
    each.kind === 'polygon' ? each.points : [],
  );
  const xs = points.map(([x]) => x);
  const ys = points.map(([, y]) => y);
  const [left, right] = [Math.min(...xs) - MARGIN, Math.max(...xs) + MARGIN];
  const [top, bottom] = [Math.min(...ys) - MARGIN, Math.max(MARGIN, ...ys)];
  const floor = {
    kind: 'line',
    role: 'floor',
    points: [
      [left, 0],
      [right, 0],
    ],
  } as const;
  return { box: [left, top, right - left, bottom - top], shapes: [floor, ...body], caption: id };
}
