import type { PoseDefinition } from '../poses/poseDefinition.ts';
import type { LandmarkCm, SetUp } from '../setup/setUp.ts';
import { drawFigure } from './figure.ts';
import type { Point, Shape } from './shapes.ts';
import { getValue, isKneeling, labelled, line, mark, sideName, type Sheet } from './sheetFrame.ts';
import { writeDegrees, writeSettable } from './units.ts';
import { facesLongEdge, toElevation } from './view.ts';

export function drawElevation(sheet: Sheet, pose: PoseDefinition): Shape[] {
  const { setUp, view, mat, heelMark } = sheet;
  const frontEdge = toElevation(view, [heelMark, 0, 0])[0];
  const backEdge = toElevation(view, [heelMark - mat.lengthCm, 0, 0])[0];
  const shapes: Shape[] = [line('floor', [frontEdge, 0], [backEdge, 0])];
  shapes.push(...drawProp(sheet));
  shapes.push(...drawWall(sheet, pose), ...drawPad(sheet, pose));
  shapes.push(...drawFigure(view, setUp, facesLongEdge(pose)));
  for (const name of ['hip', 'knee', 'ankle']) {
    for (const side of ['Left', 'Right']) {
      const centre = toElevation(view, mark(setUp, `${name}${side}`));
      shapes.push({ kind: 'circle', role: 'joint', centre, radius: 1.1 });
    }
  }
  shapes.push(...drawKnee(sheet), ...drawHeelLift(sheet));
  return shapes;
}

/** The hand that rests on something: the lower of the two. */
const lowerHand = (setUp: SetUp): 'handLeft' | 'handRight' =>
  mark(setUp, 'handLeft')[2] < mark(setUp, 'handRight')[2] ? 'handLeft' : 'handRight';

const PAD_CM = { half: 9, height: 2.5 } as const;
const HALF_CALF_CM = 6;

/** The pad under a knee that is down. */
function drawPad({ setUp, view }: Sheet, pose: PoseDefinition): Shape[] {
  if (!isKneeling(pose)) return [];
  const [x] = toElevation(view, mark(setUp, `knee${sideName(setUp, 'back')}`));
  const { half, height } = PAD_CM;
  return [
    {
      kind: 'polygon',
      role: 'prop',
      points: [
        [x - half, 0],
        [x - half, -height],
        [x + half, -height],
        [x + half, 0],
      ],
    },
  ];
}

/** The wall behind a shin that stands up it. */
function drawWall({ setUp, view }: Sheet, pose: PoseDefinition): Shape[] {
  if (pose.backContact !== 'shin-on-wall') return [];
  const [knee, ankle] = ['knee', 'ankle'].map((name) =>
    mark(setUp, `${name}${sideName(setUp, 'back')}`),
  ) as [LandmarkCm, LandmarkCm];
  const x = toElevation(view, [knee[0] - HALF_CALF_CM, 0, 0])[0];
  return [line('floor', [x, 0], [x, -ankle[2] - 20])];
}

/** The prop under the hand, as tall as it has to be; its width is a block's. */
function drawProp(sheet: Sheet): Shape[] {
  const { setUp, view, options } = sheet;
  const height = getValue(setUp, 'hand-height');
  if (height === null) return [];
  const label = options.labelMm;
  const [x] = toElevation(view, mark(setUp, lowerHand(setUp)));
  const away = toElevation(view, [1, 0, 0])[0];
  const lineX = x + away * 13;
  const shapes: Shape[] = [];
  if (height > 0.5) {
    const half = 5.5;
    shapes.push({
      kind: 'polygon',
      role: 'prop',
      points: [
        [x - half, 0],
        [x - half, -height],
        [x + half, -height],
        [x + half, 0],
      ],
    });
  }
  const number = writeSettable(height, options.unit);
  shapes.push(
    line('dimension', [lineX, 0], [lineX, -height]),
    line('dimension', [lineX - 2, -height], [lineX + 2, -height]),
    ...labelled(
      sheet,
      [lineX + away * 3, -Math.max(height / 2, label * 2)],
      number,
      'hand up',
      away > 0 ? 'start' : 'end',
      'hand-height',
    ),
  );
  return shapes;
}

/** The front knee's bend: the angle between thigh and shank, told beside it. */
function drawKnee(sheet: Sheet): Shape[] {
  const { setUp, view } = sheet;
  const bend = getValue(setUp, 'front-knee-bend');
  if (bend === null || bend < 5) return [];
  const side = sideName(setUp, 'front');
  const knee = toElevation(view, mark(setUp, `knee${side}`));
  const ankle = toElevation(view, mark(setUp, `ankle${side}`));
  const back = -toElevation(view, [1, 0, 0])[0];
  const at: Point = [knee[0] + back * 17, (knee[1] + ankle[1]) / 2 - 2];
  return [
    line('plumb', [knee[0], knee[1] - 14], [ankle[0], 0]),
    ...labelled(
      sheet,
      at,
      writeDegrees(bend),
      'knee bend',
      back > 0 ? 'start' : 'end',
      'front-knee-bend',
    ),
  ];
}

/** How far the back heel is lifted, told behind it. */
function drawHeelLift(sheet: Sheet): Shape[] {
  const { setUp, view } = sheet;
  const lift = getValue(setUp, 'back-heel-lift');
  if (lift === null) return [];
  const [x, y] = toElevation(view, mark(setUp, `heel${sideName(setUp, 'back')}`));
  const back = -toElevation(view, [1, 0, 0])[0];
  const at: Point = [x + back * 8, y - 1];
  const anchor = back > 0 ? 'start' : 'end';
  return labelled(sheet, at, writeDegrees(lift), 'heel up', anchor, 'back-heel-lift');
}
