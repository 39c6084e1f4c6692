import { withLevel } from '../poses/level.ts';
import { saySide } from '../poses/saySide.ts';
import type { PoseDefinition } from '../poses/poseDefinition.ts';
import { footprint, findHandPlaces } from '../drawing/prints.ts';
import { placeShapes, line, type Point, type Shape } from '../drawing/shapes.ts';
import { drawSupportsOnPlan } from '../drawing/supports.ts';
import { laySheet } from '../drawing/laySheet.ts';
import { getValue } from '../setup/setUp.ts';
import { findBackMark, onPlan, planPoint, type Sheet } from '../drawing/sheetFrame.ts';
import { writeSettable } from '../drawing/units.ts';
import type { Side } from '../measures/protocol.ts';
import type { SetUp } from '../setup/setUp.ts';
import type { LengthUnit } from '../units/readQuantity.ts';
import { words } from './page.ts';

/** Both sides of one pose; null = that side has no posture. */
export type BothSides = Readonly<Record<Side, SetUp | null>>;

const TICK_CM = { cm: 10, in: 6 * 2.54 } as const;

/** The mat as it lies before the one who stands at its left edge: front to the left. */
function layMat(pose: PoseDefinition, setUp: SetUp, unit: LengthUnit): Sheet | null {
  const sheet = laySheet(withLevel(pose, setUp.level), setUp, { unit, labelMm: 1 }, 0);
  return sheet === null
    ? null
    : { ...sheet, view: { ...sheet.view, from: 1 }, planY: sheet.mat.widthCm / 2 };
}

/** What stands out over the mat's long edges is cut off there: marks and numbers stand beside them. */
const clampToMat = ([x, y]: Point, { planY, mat }: Sheet): Point => [
  x,
  Math.max(planY - mat.widthCm / 2, Math.min(planY + mat.widthCm / 2, y)),
];

/** Feet, what is under the hands or leant on, and the pelvis of one side; cm from the mat's front left corner. */
function drawSide(pose: PoseDefinition, sheet: Sheet, isFirst: boolean): Shape[] {
  const { setUp, matFront } = sheet;
  const toMat: Point = [matFront, 0];
  const print = isFirst ? 'footprint' : 'ghost';
  const shapes: Shape[] = [];
  for (const place of ['front', 'back'] as const) {
    if ((setUp.footprints?.[place] ?? []).length === 0) continue;
    shapes.push({ kind: 'polygon', role: print, points: footprint(sheet, place) });
  }
  for (const { role, points } of findHandPlaces(sheet, withLevel(pose, setUp.level))) {
    shapes.push({ kind: 'polygon', role: isFirst ? role : 'ghost', points });
  }
  for (const shape of drawSupportsOnPlan(sheet)) {
    if (shape.kind !== 'polygon' && shape.kind !== 'line') continue;
    const points = shape.points.map((point) => clampToMat(point, sheet));
    shapes.push({ ...shape, role: isFirst ? shape.role : 'ghost', points });
  }
  const hips = ['hipLeft', 'hipRight'].map((name) => onPlan(sheet, ...planPoint(setUp, name)));
  shapes.push({ kind: 'line', role: isFirst ? 'pelvis-pointer' : 'ghost', points: hips });
  return placeShapes(shapes, 1, toMat);
}

/** The marks of one side on its long edge: where the heels go, from the mat's front edge. */
function drawMarks(
  setUp: SetUp,
  edgeY: number,
  down: 1 | -1,
  unit: LengthUnit,
  labelCm: number,
): Shape[] {
  const back = findBackMark(setUp);
  const ids = ['front-heel-from-mat-edge', ...(back === null ? [] : [back])] as const;
  return ids.flatMap((id): Shape[] => {
    const cm = getValue(setUp, id);
    if (cm === null) return [];
    return [
      {
        kind: 'polygon',
        role: 'heel-mark',
        setting: id,
        points: [
          [cm, edgeY - down * 3],
          [cm - 2, edgeY + down * 2],
          [cm + 2, edgeY + down * 2],
        ],
      },
      words(
        'number',
        [cm, edgeY + down * (down > 0 ? 2.5 + labelCm : 3.2)],
        writeSettable(cm, unit),
        labelCm,
        'middle',
      ),
    ];
  });
}

/**
 * The mat from above with both sides of a pose in one diagram: the right side filled, its
 * marks on the near edge; the left side dashed, its marks on the far edge. One centimetre
 * of the mat is one unit.
 *
 * @param pose the pose's data
 * @param sides null = that side has no set-up
 * @param unit centimetres or inches
 * @param labelCm how large its words are, in centimetres of the mat
 * @returns null when neither side has a posture
 */
export function drawMatDiagram(
  pose: PoseDefinition,
  sides: BothSides,
  unit: LengthUnit,
  labelCm: number,
): {
  readonly shapes: readonly Shape[];
  readonly lengthCm: number;
  readonly widthCm: number;
} | null {
  const sheets = (['right', 'left'] as const).flatMap((side) => {
    const setUp = sides[side];
    const sheet = setUp === null ? null : layMat(pose, setUp, unit);
    return sheet === null ? [] : [{ side, sheet }];
  });
  const [first] = sheets;
  if (first === undefined) return null;
  const { lengthCm, widthCm } = first.sheet.mat;
  const shapes: Shape[] = [
    {
      kind: 'polygon',
      role: 'mat',
      points: [
        [0, 0],
        [lengthCm, 0],
        [lengthCm, widthCm],
        [0, widthCm],
      ],
    },
  ];
  for (let cm = 0; cm <= lengthCm + 0.01; cm += TICK_CM[unit]) {
    shapes.push(line('tick', [cm, widthCm], [cm, widthCm - 2]), line('tick', [cm, 0], [cm, 2]));
  }
  for (const { side, sheet } of [...sheets].reverse()) {
    shapes.push(...drawSide(pose, sheet, side === 'right'));
  }
  for (const { side, sheet } of sheets) {
    const isNear = side === 'right';
    const edge = isNear ? widthCm : 0;
    shapes.push(
      ...drawMarks(sheet.setUp, edge, isNear ? 1 : -1, unit, labelCm),
      words(
        'label',
        [lengthCm - 2.5, isNear ? widthCm - 4 : 3 + labelCm],
        `${saySide(pose, side)}, ${side === 'right' ? 'filled' : 'dashed'}`,
        labelCm,
        'end',
      ),
    );
  }
  shapes.push(words('edge', [2.5, 3 + labelCm], 'front', labelCm));
  return { shapes, lengthCm, widthCm };
}
