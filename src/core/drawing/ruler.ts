import type { SettingId } from '../setup/setUp.ts';
import { METRES_PER_INCH } from '../units/brands.ts';
import type { LengthUnit } from '../units/readQuantity.ts';
import { line, type Shape } from './shapes.ts';
import { getValue } from '../setup/getValue.ts';
import { findBackMark, onPlan, text, type Sheet } from './sheetFrame.ts';
import { writeSettable } from './units.ts';

const CM_PER_INCH = METRES_PER_INCH * 100;

const toCmStep = (unit: LengthUnit, ticks: number): number =>
  unit === 'cm' ? ticks * 10 : ticks * 6 * CM_PER_INCH;

/** The ruler a teacher reads along the mat's near edge, from the front edge on. */
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
  for (const setting of heelMarks) {
    const cm = getValue(sheet.setUp, setting) ?? 0;
    const x = at(cm);
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
        [x, edgeY + label * 1.75],
        writeSettable(cm, options.unit),
        1.4,
        'middle',
        setting,
      ),
    );
  }
  return shapes;
}
