import { lerp } from '../geometry/vector.ts';
import { line, type Point, type Shape } from '../drawing/shapes.ts';
import type { PoseDefinition } from '../poses/poseDefinition.ts';
import { footprint } from '../drawing/prints.ts';
import { laySheet } from '../drawing/laySheet.ts';
import { matMiddle, type Sheet } from '../drawing/sheetFrame.ts';
import { facesLongEdge } from '../drawing/view.ts';
import { saySide } from '../poses/saySide.ts';
import { withLevel } from '../poses/level.ts';
import { getValue } from '../setup/setUp.ts';
import { saySquare } from '../setup/settingWords.ts';
import type { SetUp } from '../setup/setUp.ts';
import { words } from './page.ts';
import { roundOff } from './roundOff.ts';

/** A bar as long as this lies across the tiles, so that their assembly can be checked, mm. */
const LONG_BAR_MM = 500;
const GAUGE_MM = 220;
const MARGIN_MM = 12;

/** A drawing in true size, before it is cut into pages. */
export interface Template {
  readonly name: string;
  readonly width: number;
  readonly height: number;
  readonly shapes: readonly Shape[];
}

/** x back along the mat from the foremost point, y to the left edge: mm, as seen from above. */
type ToPaper = (point: readonly [number, number, ...number[]]) => Point;

const cross = ([x, y]: Point, role: string): Shape[] => [
  line(role, [x - 6, y], [x + 6, y]),
  line(role, [x, y - 6], [x, y + 6]),
];

/** Where the pelvis faces, against square: a gauge to look down on from above. */
function drawGauge(pose: PoseDefinition, setUp: SetUp, toPaper: ToPaper): Shape[] {
  const [left, right] = [setUp.landmarks.hipLeft, setUp.landmarks.hipRight];
  if (left === undefined || right === undefined) return [];
  const centre = lerp(left, right, 0.5);
  const hipLine: Point = [left[0] - right[0], left[1] - right[1]];
  const size = Math.hypot(...hipLine);
  // A pelvis that is stacked upright has no direction to be read from above.
  if (size < 4) return [];
  const facing: Point = [hipLine[1] / size, -hipLine[0] / size];
  const square: Point = facesLongEdge(pose) ? [0, setUp.side === 'right' ? 1 : -1] : [1, 0];
  const at = ([dx, dy]: Point): Point =>
    toPaper([centre[0] + (dx * GAUGE_MM) / 10, centre[1] + (dy * GAUGE_MM) / 10]);
  const short = getValue(setUp, 'pelvis-short-of-square') ?? 0;
  return [
    ...cross(toPaper(centre), 'gauge'),
    line('gauge', toPaper(centre), at(facing)),
    line('square', toPaper(centre), at(square)),
    line('gauge', toPaper(left), toPaper(right)),
    words(
      'label',
      at(facing),
      `pelvis, ${String(Math.round(Math.abs(short)))}° ${saySquare(short)}`,
      4,
    ),
  ];
}

/**
 * The feet of one side in true size, with the heels marked, the heel line, and a gauge for
 * the pelvis under it.
 *
 * @param pose the pose's data
 * @param setUp the set-up
 * @returns null when there is no posture
 */
export function drawFootTemplate(pose: PoseDefinition, setUp: SetUp): Template | null {
  const { footprints, landmarks, side } = setUp;
  const laid = laySheet(withLevel(pose, setUp.level), setUp, { unit: 'cm', labelMm: 1 }, 0);
  if (footprints === null || laid === null) return null;
  const sheet: Sheet = { ...laid, view: { ...laid.view, from: 1 }, planY: matMiddle(setUp) };
  const feet = (['front', 'back'] as const).filter((place) => footprints[place].length > 0);
  const hips = [landmarks.hipLeft, landmarks.hipRight].flatMap((each) =>
    each === undefined ? [] : [each],
  );
  const reach = GAUGE_MM / 10;
  const around = hips.flatMap(([x, y]): Point[] => [
    [x - reach, y - reach],
    [x + reach, y + reach],
  ]);
  const points = [...feet.flatMap((place) => footprints[place]), ...around];
  const front = Math.max(...points.map(([x]) => x));
  const most = Math.min(...points.map(([x]) => x));
  const [low, high] = [
    Math.min(...points.map(([, y]) => y)),
    Math.max(...points.map(([, y]) => y)),
  ];
  const toPaper: ToPaper = ([x, y]) => [(front - x) * 10 + MARGIN_MM, (y - low) * 10 + MARGIN_MM];
  const width = Math.max((front - most) * 10, LONG_BAR_MM) + 2 * MARGIN_MM;
  const height = (high - low) * 10 + 2 * MARGIN_MM + 14;
  const barY = height - 8;
  const shapes: Shape[] = feet.flatMap((place): Shape[] => {
    // The plan looks from the left edge: x runs back from the heel, y to the left.
    const outline = footprint(sheet, place).map(([x, y]) => toPaper([-x, y]));
    const name = (side === 'left') === (place === 'front') ? 'Left' : 'Right';
    const heel = landmarks[`heel${name}`];
    const closed = roundOff(outline);
    return [
      { kind: 'line', role: `sole ${place}`, points: closed },
      ...(heel === undefined
        ? []
        : [
            ...cross(toPaper(heel), `heel ${place}`),
            words(
              'label',
              [toPaper(heel)[0] + 3, toPaper(heel)[1] - 3],
              `${place} heel, ${name.toLowerCase()}`,
              4,
            ),
          ]),
    ];
  });
  const heelY = landmarks[side === 'left' ? 'heelLeft' : 'heelRight']?.[1] ?? 0;
  shapes.push(
    line('heel-line', toPaper([front, heelY]), toPaper([most, heelY])),
    ...drawGauge(pose, setUp, toPaper),
    line('long-bar', [MARGIN_MM, barY], [MARGIN_MM + LONG_BAR_MM, barY]),
    words('label', [MARGIN_MM, barY - 2], '500 mm across the pages', 4),
  );
  return { name: `${pose.name}, ${saySide(pose, side)}, true size`, width, height, shapes };
}
