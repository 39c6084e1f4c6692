import {
  type Sheet,
  mark,
  sideName,
  BACK_PARTS,
  findBackMark,
  text,
  type SheetOptions,
  cross,
} from './sheetFrame.ts';
import { type Shape, line, type Point, type Drawing } from './shapes.ts';
import { getValue, type SetUp } from '../setup/setUp.ts';
import { toElevation, type View } from './view.ts';
import { writeSettable, writeDegrees } from './units.ts';
import type { PoseDefinition } from '../poses/poseDefinition.ts';
import { withLevel } from '../poses/level.ts';
import { laySheet, planTopOf, boxOfElevation, extendBelow, widenForWords } from './laySheet.ts';
import { drawPlan } from './plan.ts';
import { drawElevation } from './elevation.ts';
import { saySide } from '../poses/saySide.ts';
import type { SettingId } from '../setup/settingKinds.ts';
import { sayWideGiveOrTake } from '../setup/giveOrTake.ts';
import { saySquare } from '../setup/settingWords.ts';

const STANCE_SIZE = 2.5;

/** What the stance length is worth, where that is more than a tape sees; none while it is not known. */
function sayWorth({ settings }: SetUp, { unit }: SheetOptions): string[] {
  const stance = settings.find(({ id }) => id === 'stance-length');
  const words = stance === undefined ? null : sayWideGiveOrTake(stance, unit);
  return words === null ? [] : [words];
}

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
    text(
      sheet,
      'label',
      [middle, y + label * 2.45],
      [`${options.unit}, heel to ${backPart}`, ...sayWorth(setUp, options)].join(', '),
      1,
    ),
  ];
}

/** From the centre of mass down to the plan, but not through the number of the stance. */
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
  return {
    box: widenForWords([left, top, width, height], shapes),
    shapes,
    caption: describeSheet(pose, setUp, view, options),
  };
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
  const shapes = [...drawPlan(sheet, pose), ...drawStance(sheet, stanceY)];
  return {
    box: widenForWords([left, 0, width, bottom], shapes),
    shapes,
    caption: describeSheet(pose, setUp, sheet.view, options),
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
  const shapes = [
    ...drawElevation(sheet, pose),
    line('weight-line', weight, [weight[0], 0]),
    ...cross(weight),
    ...drawStance({ ...sheet, planY: stanceY + sheet.mat.widthCm / 2 }, stanceY),
  ];
  return {
    box: widenForWords(extendBelow(boxOfElevation(sheet), options.labelMm * 6), shapes),
    shapes,
    caption: describeSheet(pose, setUp, sheet.view, options),
  };
}

function describeSheet(
  pose: PoseDefinition,
  setUp: SetUp,
  view: View,
  options: SheetOptions,
): string {
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
