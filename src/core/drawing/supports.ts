import { lerp } from '../geometry/vector.ts';
import type { LandmarkCm } from '../skeleton/landmark.ts';
import { LOOP_SHARE, SEAT_SHARE } from '../setup/supportSettings.ts';
import { line, type Point, type Shape } from './shapes.ts';
import { BLOCK_ON_PLAN, boxOnPlan, ON_THE_FLOOR_CM } from './prints.ts';
import { getValue } from '../setup/setUp.ts';
import { mark, onPlan, sideName, standing, type Sheet } from './sheetFrame.ts';
import { toElevation } from './view.ts';

/** Half the depth of a seat, half of a block, half of a knee pad, along the mat. Our drawing choice. */
export const HALF_SEAT = 19;
const HALF_BLOCK = 3.75;
const HALF_PAD = 9;
/** Half the width of a seat across the mat. */
const HALF_SEAT_ACROSS = 20;
/** Half the width of a prop under a hand, as tall as it has to be. */
export const HALF_HAND_PROP = 5.5;
/** A chair behind a back: its posts, its rail and where its seat is, cm. Our drawing choice. */
const POST = 3;
const RAIL = 4;
const SEAT_HEIGHT = 45;
/** A wall is drawn up to this height where nothing reaches it. */
const WALL_HEIGHT = 60;
/** A shin up a wall is drawn this far from it. */
const HALF_CALF = 6;

/**
 * Pads, seats, wedges, blocks, walls and straps as the elevation shows them, behind the body.
 *
 * @returns shapes, mm at 1:10
 */
export function drawSupports({ setUp, view }: Sheet): Shape[] {
  const value = (id: Parameters<typeof getValue>[1]): number | null => getValue(setUp, id);
  const of = (name: string, place: 'front' | 'back'): LandmarkCm =>
    mark(setUp, name + sideName(setUp, place));
  const at = (point: LandmarkCm): Point => toElevation(view, point);
  const wallAt = (x: number, height: number): Shape =>
    line('floor', at([x, 0, 0]), at([x, 0, height]));
  const shapes: Shape[] = [];
  const pad = value('knee-pad');
  const seat = value('thigh-support');
  const wedge = value('heel-wedge');
  const block = value('front-ball-block');
  const ahead = value('wall-ahead');
  const behind = value('wall-behind');
  if (pad !== null) shapes.push(standing(at(of('knee', 'back'))[0], HALF_PAD, pad));
  if (seat !== null) {
    const middle = lerp(of('hip', 'front'), of('knee', 'front'), SEAT_SHARE);
    shapes.push(standing(at(middle)[0], HALF_SEAT, seat));
  }
  if (block !== null) shapes.push(standing(at(of('ball', 'front'))[0], HALF_BLOCK, block));
  if (wedge !== null) {
    const [ball, heel] = [of('ball', 'back'), of('heel', 'back')];
    const points = [at([ball[0], 0, 0]), at([heel[0], 0, 0]), at(heel)];
    shapes.push({ kind: 'polygon', role: 'prop', points });
  }
  const heelX = of('heel', 'front')[0];
  const toes = value('heel-from-wall');
  if (toes !== null) shapes.push(wallAt(heelX + toes, WALL_HEIGHT));
  const rail = value('rail-height');
  if (rail !== null) {
    shapes.push(...drawChairBack(at([heelX + (value('chair-along') ?? 0), 0, 0])[0], rail));
  }
  const apart = value('blocks-apart');
  const hand = value('hand-height') ?? 0;
  if (apart !== null && hand > ON_THE_FLOOR_CM) {
    const other = at([of('hand', 'front')[0] - apart, 0, 0])[0];
    shapes.push(standing(other, HALF_HAND_PROP, hand));
  }
  if (ahead !== null) {
    shapes.push(wallAt(heelX + ahead, Math.max(WALL_HEIGHT, of('hand', 'front')[2] + 15)));
  }
  if (behind !== null && hasWallAcross(setUp)) {
    shapes.push(wallAt(heelX - behind, mark(setUp, 'chestCentre')[2]));
  }
  const shin = of('ankle', 'back');
  if (isUpWall(setUp)) {
    const knee = of('knee', 'back')[0];
    const offWall = value('back-knee-from-wall') ?? HALF_CALF;
    shapes.push(wallAt(knee - offWall, shin[2] + 20));
  }
  return shapes;
}

/** A chair seen from behind its rail: two posts, the rail and the seat's edge. */
function drawChairBack(x: number, rail: number): Shape[] {
  const bar = (from: number, to: number, top: number, bottom: number): Shape => ({
    kind: 'polygon',
    role: 'prop',
    points: [
      [from, -bottom],
      [from, -top],
      [to, -top],
      [to, -bottom],
    ],
  });
  const [left, right] = [x - HALF_SEAT, x + HALF_SEAT];
  return [
    bar(left, left + POST, rail, 0),
    bar(right - POST, right, rail, 0),
    bar(left, right, rail, rail - RAIL),
    bar(left, right, SEAT_HEIGHT, SEAT_HEIGHT - RAIL),
  ];
}

/**
 * A strap from the back foot to the front thigh, before the body.
 *
 * @returns none when there is no strap
 */
export function drawStrap({ setUp, view }: Sheet): Shape[] {
  if (getValue(setUp, 'loop-length') === null) return [];
  const front = sideName(setUp, 'front');
  const onThigh = lerp(mark(setUp, `hip${front}`), mark(setUp, `knee${front}`), LOOP_SHARE);
  const heel = mark(setUp, `heel${sideName(setUp, 'back')}`);
  return [line('strap', toElevation(view, heel), toElevation(view, onThigh))];
}

/** A shin that stands up a wall: its ankle above its knee. */
const isUpWall = (setUp: Sheet['setUp']): boolean => {
  const back = sideName(setUp, 'back');
  return (
    getValue(setUp, 'knee-pad') !== null &&
    mark(setUp, `ankle${back}`)[2] > mark(setUp, `knee${back}`)[2] + 20
  );
};

/**
 * Whether a wall behind stands across the mat, measured from the heel, and does not run along it.
 *
 * @returns false when there is no wall
 */
export const hasWallAcross = ({ settings }: Sheet['setUp']): boolean =>
  settings.some(({ id, from }) => id === 'wall-behind' && from === 'front-heel');

/**
 * Seats and walls as the plan shows them.
 *
 * @param sheet what shapes are drawn from
 * @returns shapes, mm at 1:10
 */
export function drawSupportsOnPlan(sheet: Sheet): Shape[] {
  const { setUp, mat, matFront } = sheet;
  const value = (id: Parameters<typeof getValue>[1]): number | null => getValue(setUp, id);
  const front = sideName(setUp, 'front');
  const [heelX, heelY] = mark(setUp, `heel${front}`);
  /** + to the side of the back leg. */
  const inward = setUp.side === 'right' ? 1 : -1;
  const shapes: Shape[] = [];
  const seat = value('thigh-support');
  if (seat !== null) {
    const [x, y] = lerp(mark(setUp, `hip${front}`), mark(setUp, `knee${front}`), SEAT_SHARE);
    const corners = [
      [-HALF_SEAT, -HALF_SEAT_ACROSS],
      [HALF_SEAT, -HALF_SEAT_ACROSS],
      [HALF_SEAT, HALF_SEAT_ACROSS],
      [-HALF_SEAT, HALF_SEAT_ACROSS],
    ] as const;
    const points = corners.map(([dx, dy]) => onPlan(sheet, x + dx, y + dy));
    shapes.push({ kind: 'polygon', role: 'prop', points });
  }
  const across = (x: number): Shape => {
    const [px] = onPlan(sheet, x, 0);
    const half = mat.widthCm / 2;
    return line('floor', [px, sheet.planY - half], [px, sheet.planY + half]);
  };
  const toes = value('heel-from-wall');
  if (toes !== null) shapes.push(across(heelX + toes));
  const rail = value('chair-behind');
  if (rail !== null) {
    const railX = heelX + (value('chair-along') ?? 0);
    const railY = heelY - inward * rail;
    const corner = (dx: number, away: number): Point =>
      onPlan(sheet, railX + dx, railY - inward * away);
    const points = [
      corner(-HALF_SEAT, 0),
      corner(HALF_SEAT, 0),
      corner(HALF_SEAT, 2 * HALF_SEAT_ACROSS),
      corner(-HALF_SEAT, 2 * HALF_SEAT_ACROSS),
    ];
    shapes.push({ kind: 'polygon', role: 'prop', points });
  }
  const apart = value('blocks-apart');
  if (apart !== null) {
    const [handX, handY] = mark(setUp, `hand${front}`);
    const backHeelY = mark(setUp, `heel${sideName(setUp, 'back')}`)[1];
    const points = boxOnPlan(sheet, handX - apart, backHeelY + heelY - handY, BLOCK_ON_PLAN);
    shapes.push({ kind: 'polygon', role: 'prop', points });
  }
  const besideFoot = value('foot-from-wall');
  if (besideFoot !== null) {
    const y = heelY - inward * (besideFoot + halfFoot(setUp));
    shapes.push(
      line('floor', onPlan(sheet, matFront, y), onPlan(sheet, matFront - mat.lengthCm, y)),
    );
  }
  const ahead = value('wall-ahead');
  if (ahead !== null && heelX + ahead <= matFront) shapes.push(across(heelX + ahead));
  const behind = value('wall-behind');
  if (behind !== null && hasWallAcross(setUp)) shapes.push(across(heelX - behind));
  if (behind !== null && !hasWallAcross(setUp)) {
    const y = heelY - inward * (behind + halfFoot(setUp));
    shapes.push(
      line('floor', onPlan(sheet, matFront, y), onPlan(sheet, matFront - mat.lengthCm, y)),
    );
  }
  return shapes;
}

/** Half the width of the front foot, from its outline. */
function halfFoot({ footprints }: Sheet['setUp']): number {
  const ys = (footprints?.front ?? []).map(([, y]) => y);
  return (Math.max(...ys) - Math.min(...ys)) / 2;
}
