import { withLevel } from '../poses/level.ts';
import { saySide } from '../poses/saySide.ts';
import type { PoseDefinition } from '../poses/poseDefinition.ts';
import type { SetUp } from '../setup/setUp.ts';
import type { SettingId } from '../setup/settingKinds.ts';
import { drawElevation } from './elevation.ts';
import { drawFigure } from './figure.ts';
import { drawPlan } from './plan.ts';
import { line, type Drawing, type Point, type Shape } from './shapes.ts';
import { getValue } from '../setup/setUp.ts';
import { saySquare } from '../setup/settingKinds.ts';
import {
  BACK_PARTS,
  cross,
  findBackMark,
  labelled,
  mark,
  matMiddle,
  sideName,
  text,
  type Sheet,
  type SheetOptions,
} from './sheetFrame.ts';
import { writeDegrees, writeSettable } from './units.ts';
import { findView, FRONT_VIEW, toElevation, type View } from './view.ts';

const MAT_MARGIN = 9;
/** Fingers reach this far beyond the palm, and a crown above the ear. */
const FINGERS = 12;
const HEADROOM = 13;
const STANCE_SIZE = 2.5;

/** Stance length between the elevation and the mat, from heel to heel. */
function drawStance(sheet: Sheet, y: number): Shape[] {
  const { setUp, view, options } = sheet;
  const stance = getValue(setUp, 'stance-length');
  if (stance === null) return [];
  const label = options.labelMm;
  const [front] = toElevation(view, mark(setUp, `heel${sideName(setUp, 'front')}`));
  const backPart = BACK_PARTS[findBackMark(setUp) ?? 'back-heel-from-mat-edge'];
  const backPoint = `${backPart}${sideName(setUp, 'back')}`;
  const [back] = toElevation(view, mark(setUp, backPoint));
  const middle = (front + back) / 2;
  const gap = label * STANCE_SIZE * 1.45;
  const toward = Math.sign(middle - front);
  const planTop = sheet.planY - sheet.mat.widthCm / 2;
  return [
    line('extension', [front, 2], [front, planTop + 12]),
    line('extension', [back, 2], [back, planTop + 12]),
    line('dimension', [front, y - 2.5], [front, y + 2.5]),
    line('dimension', [back, y - 2.5], [back, y + 2.5]),
    line('dimension', [front, y], [middle - toward * gap, y]),
    line('dimension', [middle + toward * gap, y], [back, y]),
    text(
      sheet,
      'number stance',
      [middle, y + label * 0.85],
      writeSettable(stance, options.unit),
      STANCE_SIZE,
      'middle',
      'stance-length',
    ),
    text(sheet, 'label', [middle, y + label * 2.45], `${options.unit}, heel to ${backPart}`, 1),
  ];
}

/** From the weight point down to the plan, but not through the number of the stance. */
function drawWeightLine(sheet: Sheet, [x, y]: Point, stanceY: number): Shape[] {
  const label = sheet.options.labelMm;
  const hasNumber = getValue(sheet.setUp, 'stance-length') !== null;
  if (!hasNumber) return [line('weight-line', [x, y], [x, sheet.planY])];
  return [
    line('weight-line', [x, y], [x, stanceY - label * 1.4]),
    line('weight-line', [x, stanceY + label * 2.8], [x, sheet.planY]),
  ];
}

/**
 * Draws a set-up: the body from the side straight above the mat from above, on one scale.
 *
 * @param usual the pose's data, without a level
 * @param setUp the set-up
 * @param options unit, size of the labels, and what to leave out
 * @returns null when there is no posture to draw (a failed set-up)
 */
export function drawSheet(
  usual: PoseDefinition,
  setUp: SetUp,
  options: SheetOptions,
): Drawing | null {
  const stanceY = options.labelMm * 2.6;
  const pose = withLevel(usual, setUp.level);
  const sheet = laySheet(pose, setUp, options, planTopOf(options));
  if (sheet === null) return null;
  const { view } = sheet;
  const [cx, , cz] = mark(setUp, 'centreOfMass');
  const weight = toElevation(view, [cx, 0, cz]);
  const shapes = [
    ...drawPlan(sheet, pose),
    ...drawElevation(sheet, pose),
    ...drawWeightLine(sheet, weight, stanceY),
    ...cross(weight),
    ...drawStance(sheet, stanceY),
  ];
  const [left, top, width] = boxOfElevation(sheet);
  const height = -top + sheet.planY + sheet.mat.widthCm / 2 + options.labelMm * 3;
  return { box: [left, top, width, height], shapes, caption: describe(pose, setUp, view, options) };
}

/**
 * The mat from above, alone.
 *
 * @param usual the pose's data, without a level
 * @param setUp the set-up
 * @param options unit, size of the labels, and what to leave out
 * @returns null when there is no posture to draw
 */
export function drawFromAbove(
  usual: PoseDefinition,
  setUp: SetUp,
  options: SheetOptions,
): Drawing | null {
  const pose = withLevel(usual, setUp.level);
  const stanceY = options.labelMm * 2.6;
  const sheet = laySheet(pose, setUp, options, planTopOf(options));
  if (sheet === null) return null;
  const [left, , width] = boxOfElevation(sheet);
  const bottom = sheet.planY + sheet.mat.widthCm / 2 + options.labelMm * 3;
  return {
    box: [left, 0, width, bottom],
    shapes: [...drawPlan(sheet, pose), ...drawStance(sheet, stanceY)],
    caption: describe(pose, setUp, sheet.view, options),
  };
}

/**
 * The body from the side, alone.
 *
 * @param usual the pose's data, without a level
 * @param setUp the set-up
 * @param options unit, size of the labels, and what to leave out
 * @returns null when there is no posture to draw
 */
export function drawFromSide(
  usual: PoseDefinition,
  setUp: SetUp,
  options: SheetOptions,
): Drawing | null {
  const pose = withLevel(usual, setUp.level);
  const sheet = laySheet(pose, setUp, options, 0);
  if (sheet === null) return null;
  const [cx, , cz] = mark(setUp, 'centreOfMass');
  const weight = toElevation(sheet.view, [cx, 0, cz]);
  const stanceY = options.labelMm * 2.6;
  return {
    box: extendBelow(boxOfElevation(sheet), options.labelMm * 6),
    shapes: [
      ...drawElevation(sheet, pose),
      line('weight-line', weight, [weight[0], 0]),
      ...cross(weight),
      ...drawStance({ ...sheet, planY: stanceY + sheet.mat.widthCm / 2 }, stanceY),
    ],
    caption: describe(pose, setUp, sheet.view, options),
  };
}

/**
 * The body from the front edge of the mat: the pelvis's level, the front knee over its foot.
 *
 * @param usual the pose's data, without a level
 * @param setUp the set-up
 * @param options unit, size of the labels, and what to leave out
 * @returns null when there is no posture to draw
 */
export function drawFromFront(
  usual: PoseDefinition,
  setUp: SetUp,
  options: SheetOptions,
): Drawing | null {
  const pose = withLevel(usual, setUp.level);
  const sheet = laySheet(pose, setUp, options, 0);
  if (sheet === null) return null;
  const front: Sheet = { ...sheet, view: FRONT_VIEW };
  const at = (name: string): Point => toElevation(FRONT_VIEW, mark(setUp, name));
  const side = sideName(setUp, 'front');
  const half = sheet.mat.widthCm / 2;
  const middle = matMiddle(setUp);
  const [weight, hipLeft, hipRight] = [at('centreOfMass'), at('hipLeft'), at('hipRight')];
  const hipsMiddle: Point = [(hipLeft[0] + hipRight[0]) / 2, (hipLeft[1] + hipRight[1]) / 2];
  const label = options.labelMm;
  const level = getValue(setUp, 'pelvis-level') ?? 0;
  const box = boxOfElevation(front);
  const labelAt: Point = [box[0] + box[2] - label, hipsMiddle[1] - label * 3];
  return {
    box: extendBelow(box, label * 2.5),
    shapes: [
      line('floor', [middle - half, 0], [middle + half, 0]),
      ...tickWidths(front, middle, half),
      ...drawFigure(FRONT_VIEW, setUp, true),
      ...['hip', 'knee', 'ankle'].flatMap((name) =>
        ['Left', 'Right'].map((each): Shape => ({
          kind: 'circle',
          role: 'joint',
          centre: at(`${name}${each}`),
          radius: 1.1,
        })),
      ),
      line('pelvis-bar', hipLeft, hipRight),
      line('pelvis-bar inner', hipLeft, hipRight),
      line('plumb', at(`knee${side}`), [at(`knee${side}`)[0], 0]),
      line('weight-line', weight, [weight[0], 0]),
      ...cross(weight),
      ...labelled(
        front,
        labelAt,
        writeDegrees(Math.abs(level)),
        'off level',
        'end',
        'pelvis-level',
      ),
    ],
    caption: `${pose.name}, ${saySide(pose, setUp.side)}, ${FRONT_VIEW.words}. Pelvis ${writeDegrees(Math.abs(level))} off level.`,
  };
}

/** A tick every ten centimetres across the mat. */
function tickWidths(sheet: Sheet, middle: number, half: number): Shape[] {
  const { options } = sheet;
  const ticks: Shape[] = [];
  for (let across = 0; across <= 2 * half; across += 10) {
    const x = middle - half + across;
    ticks.push(line('tick', [x, 0], [x, 2]));
    if (across % 20 === 0) {
      const number = writeSettable(across, options.unit);
      ticks.push(text(sheet, 'ruler', [x, options.labelMm * 1.7], number, 0.9));
    }
  }
  return ticks;
}

/**
 * Where the plan begins below the elevation, for a sheet with both.
 *
 * @returns mm, y down
 */
export const planTopOf = ({ labelMm }: SheetOptions): number => labelMm * (2.6 + 3.3);

/**
 * Everything that shapes are drawn from; null when there is no posture.
 *
 * @param pose the pose's data
 * @param setUp the set-up
 * @param options unit, size of the labels, and what to leave out
 * @param planTop where the plan begins, mm
 * @returns view, options and set-up together
 */
export function laySheet(
  pose: PoseDefinition,
  setUp: SetUp,
  options: SheetOptions,
  planTop: number,
): Sheet | null {
  if (setUp.mat === null || setUp.footprints === null) return null;
  const [heelX, heelY] = mark(setUp, `heel${sideName(setUp, 'front')}`);
  return {
    setUp,
    view: findView(pose, setUp),
    options,
    mat: setUp.mat,
    planY: planTop + setUp.mat.widthCm / 2,
    matFront: heelX + (getValue(setUp, 'front-heel-from-mat-edge') ?? 0),
    heelLine: heelY,
  };
}

/** Room for the whole body and the whole mat, as seen; ends at the floor. */
function boxOfElevation({ view, setUp, mat, matFront }: Sheet): Drawing['box'] {
  const points = Object.values(setUp.landmarks);
  const bodyXs = points.map((point) => toElevation(view, point)[0]);
  const middle = matMiddle(setUp);
  const edges =
    view.axis === 'front'
      ? [middle - mat.widthCm / 2, middle + mat.widthCm / 2]
      : [matFront, matFront - mat.lengthCm].map((x) => toElevation(view, [x, 0, 0])[0]);
  const highest = Math.max(...points.map(([, , z]) => z)) + HEADROOM;
  const left = Math.min(...edges.map((x) => x - MAT_MARGIN), ...bodyXs.map((x) => x - FINGERS));
  const right = Math.max(...edges.map((x) => x + MAT_MARGIN), ...bodyXs.map((x) => x + FINGERS));
  return [left, -highest, right - left, highest];
}

const extendBelow = ([left, top, width, height]: Drawing['box'], by: number): Drawing['box'] => [
  left,
  top,
  width,
  height + by,
];

function describe(pose: PoseDefinition, setUp: SetUp, view: View, options: SheetOptions): string {
  const told: string[] = [
    `${pose.name}, ${saySide(pose, setUp.side)}, ${view.words}, above the mat from above.`,
  ];
  const tell = (id: SettingId, words: (value: string, raw: number) => string): void => {
    const setting = setUp.settings.find((each) => each.id === id);
    if (setting === undefined) return;
    const { value, unit } = setting;
    const cm = `${writeSettable(value, options.unit)} ${options.unit}`;
    told.push(words(unit === 'deg' ? writeDegrees(Math.abs(value)) : cm, value));
  };
  tell('stance-length', (value) => `Stance ${value}.`);
  tell('back-foot-angle', (value) => `Back foot ${value}.`);
  tell('front-knee-bend', (value) => `Front knee ${value}.`);
  tell('pelvis-short-of-square', (value, raw) => `Pelvis ${value} ${saySquare(raw)}.`);
  tell('pelvis-short-of-stacked', (value) => `Pelvis ${value} short of stacked.`);
  tell('lifted-leg', (value) => `Back leg lifted ${value}.`);
  tell('hand-height', (value) => `Hand ${value} above the mat.`);
  return told.join(' ');
}
