import { type PoseDefinition, restsOnProp } from '../poses/poseDefinition.ts';
import type { SetUp } from '../setup/setUp.ts';
import type { Point } from './shapes.ts';
import { getValue } from '../setup/setUp.ts';
import { mark, matMiddle, onPlan, sideName, type Sheet } from './sheetFrame.ts';

/** A sole's outline seen from above, as shares of its length and its full width: heel, waist, ball and toes. */
const SOLE_OUTLINE: readonly (readonly [number, number])[] = [
  [0.0, -0.12],
  [0.02, -0.26],
  [0.12, -0.34],
  [0.3, -0.3],
  [0.5, -0.36],
  [0.7, -0.5],
  [0.84, -0.46],
  [0.94, -0.3],
  [0.99, -0.08],
  [1.0, 0.12],
  [0.98, 0.32],
  [0.88, 0.46],
  [0.72, 0.5],
  [0.56, 0.26],
  [0.4, 0.2],
  [0.22, 0.3],
  [0.1, 0.34],
  [0.02, 0.24],
  [0, 0.08],
];

/**
 * The outline of a foot on the mat.
 *
 * @param setUp the set-up
 * @param place which foot
 * @param toPoint a point of the mat, cm, on the page
 * @returns points of the page, mm at 1:10, as if the whole foot lay on the mat
 */
export function outlineFootprint(
  setUp: SetUp,
  place: 'front' | 'back',
  toPoint: (x: number, y: number) => Point,
): Point[] {
  const side = sideName(setUp, place);
  const ball = mark(setUp, `ball${side}`);
  const toe = mark(setUp, `toe${side}`);
  const { lengthCm, widthCm } = findFootSize(setUp, place);
  const ux = (toe[0] - ball[0]) / (lengthCm * BALL_TO_TOE);
  const uy = (toe[1] - ball[1]) / (lengthCm * BALL_TO_TOE);
  return outlineFoot(lengthCm, widthCm, side).map(([along, across]) => {
    const ahead = along - lengthCm;
    return toPoint(toe[0] + ux * ahead - uy * across, toe[1] + uy * ahead + ux * across);
  });
}

/**
 * The same on a sheet.
 *
 * @param sheet what shapes are drawn from
 * @param place which foot
 * @returns points of the page, mm at 1:10
 */
export const footprint = (sheet: Sheet, place: 'front' | 'back'): Point[] =>
  outlineFootprint(sheet.setUp, place, (x, y) => onPlan(sheet, x, y));

/**
 * The outline of a bare foot in its own frame.
 *
 * @param lengthCm from the back of the heel to the toe tips
 * @param widthCm at its widest
 * @param side whose big toe lies toward the midline
 * @returns x from the back of the heel to the toes, y to its left, cm
 */
export function outlineFoot(lengthCm: number, widthCm: number, side: 'Left' | 'Right'): Point[] {
  // Big toe toward the body's midline: to the left of a right foot.
  const inner = side === 'Right' ? 1 : -1;
  return SOLE_OUTLINE.map(([share, across]) => [share * lengthCm, across * widthCm * inner]);
}

/** Ball to toe lies on the floor whatever the heel does: this share of the foot. */
const BALL_TO_TOE = 0.28;

/**
 * How long and wide a foot of a set-up is.
 *
 * @param setUp the set-up
 * @param place which foot
 * @returns cm
 */
export function findFootSize(
  setUp: SetUp,
  place: 'front' | 'back',
): { readonly lengthCm: number; readonly widthCm: number } {
  const side = sideName(setUp, place);
  const ball = mark(setUp, `ball${side}`);
  const toe = mark(setUp, `toe${side}`);
  return {
    lengthCm: Math.hypot(toe[0] - ball[0], toe[1] - ball[1]) / BALL_TO_TOE,
    widthCm: widthOfPrint(setUp, place),
  };
}

/** The foot's width, read back from its outline in the set-up. */
function widthOfPrint(setUp: SetUp, place: 'front' | 'back'): number {
  const points = setUp.footprints?.[place] ?? [];
  let widest = 0;
  for (let i = 0; i + 1 < points.length; i += 2) {
    const [a, b] = [points[i]!, points[i + 1]!];
    widest = Math.max(widest, Math.hypot(a[0] - b[0], a[1] - b[1]));
  }
  return widest;
}

/** A hand this high or lower rests on the floor itself, cm. */
export const ON_THE_FLOOR_CM = 0.5;

/** A block on its tallest face, seen from above, cm. */
export const BLOCK_ON_PLAN = { along: 15, across: 7.5 } as const;
/** A chair's seat seen from above, cm. Our drawing choice. */
const SEAT_ON_PLAN = { along: 38, across: 40 } as const;
/** A seat stands this far from the middle of a foot, cm. Our drawing choice. */
const SEAT_FROM_FOOT = 7;
/** A hand this high or higher rests on a seat: blocks are not stacked so high, cm. */
const SEAT_FROM_CM = 38;

/**
 * Whether a hand so high rests on a seat and not on blocks.
 *
 * @param handCm height of the hand
 * @returns true from about the height of a low chair on
 */
export const isSeat = (handCm: number): boolean => handCm >= SEAT_FROM_CM;

/**
 * A rectangle on the mat, seen from above.
 *
 * @param sheet what shapes are drawn from
 * @param x its middle along the mat, cm
 * @param y its middle across the mat, cm
 * @param size cm
 * @returns its corners, mm
 */
export const boxOnPlan = (
  sheet: Sheet,
  x: number,
  y: number,
  { along, across }: { readonly along: number; readonly across: number },
): Point[] =>
  [
    [-1, -1],
    [1, -1],
    [1, 1],
    [-1, 1],
  ].map(([dx = 0, dy = 0]) => onPlan(sheet, x + (dx * along) / 2, y + (dy * across) / 2));

/** A usual hand, laid flat along the mat, cm. Our drawing choice. */
const HAND_ON_PLAN = { along: 18, across: 8, corners: 24 } as const;

/** A hand on the floor seen from above, or the prop that stands under it. */
interface HandPlace {
  readonly role: 'footprint hand' | 'prop';
  readonly points: Point[];
}

/** One seat: under both hands it may stand over the foot, under one it stands clear of it. */
function drawSeat(sheet: Sheet, places: readonly ('front' | 'back')[]): HandPlace {
  const { setUp } = sheet;
  const hands = places.map((place) => mark(setUp, `hand${sideName(setUp, place)}`));
  const mean = (axis: 0 | 1): number =>
    hands.reduce((sum, hand) => sum + hand[axis], 0) / hands.length;
  const [x, y] = [mean(0), mean(1)];
  const front = sideName(setUp, 'front');
  const [heel, toe] = [mark(setUp, `heel${front}`), mark(setUp, `toe${front}`)];
  const isBesideFoot =
    hands.length === 1 && x - SEAT_ON_PLAN.along / 2 < toe[0] && x > heel[0] - SEAT_ON_PLAN.along;
  const clear = SEAT_ON_PLAN.across / 2 + SEAT_FROM_FOOT;
  const away = y - heel[1];
  const inner = (sheet.mat.widthCm - SEAT_ON_PLAN.across) / 2;
  const middle = matMiddle(setUp);
  const onMat = Math.max(middle - inner, Math.min(middle + inner, y));
  const moved = isBesideFoot && Math.abs(away) < clear ? heel[1] + Math.sign(away) * clear : onMat;
  return { role: 'prop', points: boxOnPlan(sheet, x, moved, SEAT_ON_PLAN) };
}

/**
 * Where the hands come down, seen from above.
 *
 * @param sheet what shapes are drawn from
 * @param pose the pose's data
 * @returns none when no hand bears
 */
export function findHandPlaces(sheet: Sheet, pose: PoseDefinition): HandPlace[] {
  const { setUp } = sheet;
  const height = getValue(setUp, 'hand-height');
  if (height === null) return [];
  const places = (['front', 'back'] as const).filter((place) => restsOnProp(pose.arms[place]));
  if (isSeat(height)) return [drawSeat(sheet, places)];
  return places.map((place): HandPlace => {
    const [x, y] = mark(setUp, `hand${sideName(setUp, place)}`);
    const corner = (dx: number, dy: number): Point => onPlan(sheet, x + dx / 2, y + dy / 2);
    if (height > ON_THE_FLOOR_CM) {
      return { role: 'prop', points: boxOnPlan(sheet, x, y, BLOCK_ON_PLAN) };
    }
    const { along, across, corners } = HAND_ON_PLAN;
    const points = Array.from({ length: corners }, (_, i) => {
      const turn = (2 * Math.PI * i) / corners;
      return corner(along * Math.cos(turn), across * Math.sin(turn));
    });
    return { role: 'footprint hand', points };
  });
}
