import type { PoseDefinition } from '../poses/poseDefinition.ts';
import { type SetUp, getValue } from '../setup/setUp.ts';
import {
  type SheetOptions,
  type Sheet,
  mark,
  sideName,
  matMiddle,
  cross,
  labelled,
  text,
} from './sheetFrame.ts';
import { type Drawing, type Point, line, type Shape } from './shapes.ts';
import { withLevel } from '../poses/level.ts';
import { laySheet, boxOfElevation, extendBelow } from './laySheet.ts';
import { FRONT_VIEW, toElevation } from './view.ts';
import { drawFigure } from './figure.ts';
import { writeDegrees, writeSettable } from './units.ts';
import { saySide } from '../poses/saySide.ts';

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
