import { drawFromFront } from '../drawing/frontView.ts';
import { drawFromSide } from '../drawing/sheet.ts';
import type { Drawing } from '../drawing/shapes.ts';
import { writeSvg } from '../drawing/svg.ts';
import type { PoseDefinition } from '../poses/poseDefinition.ts';
import type { SetUp } from '../setup/setUp.ts';
import type { PhotoView } from './poseMarks.ts';

const PIXELS_PER_MM = 8;
const LABEL = 5;
/** What is said rather than seen is left out of a picture. */
const TOLD = /number|label|dimension|extension|weight|plumb|angle|arc/;

/**
 * A drawn stand-in for a photograph of a held pose, with an upright rod at its edge.
 *
 * @param pose the pose's data
 * @param setUp the set-up
 * @param view from where the picture was taken
 * @returns SVG text and its size in pixels; null when the set-up has no posture
 */
export function drawPosePicture(
  pose: PoseDefinition,
  setUp: SetUp,
  view: PhotoView,
): { readonly svg: string; readonly width: number; readonly height: number } | null {
  const draw = view === 'side' ? drawFromSide : drawFromFront;
  const drawing = draw(pose, setUp, { unit: 'cm', labelMm: LABEL });
  if (drawing === null) return null;
  const [left, top, width, height] = drawing.box;
  const picture: Drawing = {
    ...drawing,
    shapes: [
      ...drawing.shapes.filter(({ kind, role }) => kind !== 'text' && !TOLD.test(role)),
      {
        kind: 'line',
        role: 'floor',
        points: [
          [left + 4, top + 4],
          [left + 4, 0],
        ],
      },
    ],
  };
  return {
    svg: writeSvg(picture),
    width: Math.round(width * PIXELS_PER_MM),
    height: Math.round(height * PIXELS_PER_MM),
  };
}
