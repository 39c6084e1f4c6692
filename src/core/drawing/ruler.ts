import type { SettingId } from '../setup/settingKinds.ts';
import { calcGiveOrTake } from '../setup/giveOrTake.ts';
import { METRES_PER_INCH } from '../units/brands.ts';
import type { LengthUnit } from '../units/readQuantity.ts';
import { boxOfText } from './placement.ts';
import { line, type Shape } from './shapes.ts';
import { getValue } from '../setup/setUp.ts';
import { findBackMark, onPlan, text, type Sheet } from './sheetFrame.ts';
import { writeSettable } from './units.ts';

const CM_PER_INCH = METRES_PER_INCH * 100;

const toCmStep = (unit: LengthUnit, ticks: number): number =>
  unit === 'cm' ? ticks * 10 : ticks * 6 * CM_PER_INCH;

/** Of the numbers at the heels, in labels; and what stays free between two of them, in numbers. */
const NUMBER_SIZE = 1.4;
const BETWEEN_NUMBERS = 0.3;
/** Of the band of what a stance is worth, mm. */
const BAND_HEIGHT = 4;

/**
 * The ruler a teacher reads along the mat's near edge, from the front edge on.
 *
 * @param sheet what shapes are drawn from
 * @returns ticks and numbers
 */
export function drawRuler(sheet: Sheet): Shape[] {
  const { mat, matFront, options, planY } = sheet;
  const edgeY = planY + mat.widthCm / 2;
  const label = options.labelMm;
  const shapes: Shape[] = [];
  const at = (fromEdge: number): number => onPlan(sheet, matFront - fromEdge, 0)[0];
  const backMark = findBackMark(sheet.setUp);
  const heelMarks: readonly SettingId[] = [
    'front-heel-from-mat-edge',
    ...(backMark === null ? [] : [backMark]),
  ];
  const marks = heelMarks.map((id) => getValue(sheet.setUp, id) ?? 0);
  for (let tick = 0; toCmStep(options.unit, tick) <= mat.lengthCm + 0.1; tick += 1) {
    const cm = toCmStep(options.unit, tick);
    const x = at(cm);
    const named = tick % 2 === 0;
    shapes.push(line('tick', [x, edgeY], [x, edgeY - (named ? 3.2 : 1.8)]));
    const nearMark = marks.some((each) => Math.abs(each - cm) < label * 3.4);
    if (named && !nearMark) {
      const number = writeSettable(cm, options.unit);
      shapes.push(text(sheet, 'ruler', [x, edgeY + label * 1.1], number, 0.9));
    }
  }
  const numbers = marks.map((cm) => writeSettable(cm, options.unit));
  const aside = findAside(marks.map(at), numbers, NUMBER_SIZE * label);
  shapes.push(...drawGiveOrTake(sheet, at, marks[1] ?? null, edgeY));
  heelMarks.forEach((setting, i) => {
    const x = at(marks[i]!);
    shapes.push(
      {
        kind: 'polygon',
        role: 'heel-mark',
        points: [
          [x, edgeY - 4],
          [x - 1.8, edgeY + 0.6],
          [x + 1.8, edgeY + 0.6],
        ],
      },
      text(
        sheet,
        'number',
        [x + aside[i]!, edgeY + label * 1.75],
        numbers[i]!,
        NUMBER_SIZE,
        'middle',
        setting,
      ),
    );
  });
  return shapes;
}

/** A band on the mat's edge round the mark of the back foot: what the stance length is worth. */
function drawGiveOrTake(
  { setUp }: Sheet,
  at: (fromEdge: number) => number,
  backMark: number | null,
  edgeY: number,
): Shape[] {
  const stance = setUp.settings.find(({ id }) => id === 'stance-length');
  const within = stance === undefined ? null : calcGiveOrTake(stance);
  if (within === null || backMark === null) return [];
  const [near, far] = [at(backMark - within), at(backMark + within)];
  return [
    {
      kind: 'polygon',
      role: 'give-or-take',
      points: [
        [near, edgeY],
        [near, edgeY - BAND_HEIGHT],
        [far, edgeY - BAND_HEIGHT],
        [far, edgeY],
      ],
    },
  ];
}

/** How far each of two numbers steps aside, mm, so that they do not meet under a short stance. */
function findAside(xs: readonly number[], numbers: readonly string[], size: number): number[] {
  const [a, b] = xs;
  if (a === undefined || b === undefined) return xs.map(() => 0);
  const widths = numbers.map((each) => {
    const [left, , right] = boxOfText(each, [0, 0], size, 'middle');
    return right - left;
  });
  const apart = (widths[0]! + widths[1]!) / 2 + BETWEEN_NUMBERS * size;
  const push = Math.max(0, apart - Math.abs(a - b)) / 2;
  return a > b ? [push, -push] : [-push, push];
}
