import type { LyingPose } from '../poses/lying/lyingPose.ts';
import type { PoseDefinition } from '../poses/poseDefinition.ts';
import type { SetUp } from '../setup/setUp.ts';
import { placeShapes, type Drawing, type Shape } from './shapes.ts';
import { drawThumbnail } from './thumbnail.ts';

/** Between the two figures, and of their labels, mm. */
const GAP = 16;
const LABEL = 9;

const label = (text: string, [left, , width]: Drawing['box'], bottom: number): Shape => ({
  kind: 'text',
  role: 'label',
  at: [left + width / 2, bottom],
  text,
  size: LABEL,
  anchor: 'middle',
});

/**
 * Two set-ups of one pose side by side, on one scale and one floor.
 *
 * @param pose the pose's or the form's data
 * @param before as it was
 * @param after as it will be
 * @returns null when one of them cannot be drawn
 */
export function drawBeforeAfter(
  pose: PoseDefinition | LyingPose,
  before: SetUp,
  after: SetUp,
): Drawing | null {
  const [first, second] = [drawThumbnail(pose, before), drawThumbnail(pose, after)];
  if (first === null || second === null) return null;
  const by = first.box[0] + first.box[2] + GAP - second.box[0];
  const secondBox: Drawing['box'] = [
    second.box[0] + by,
    second.box[1],
    second.box[2],
    second.box[3],
  ];
  const top = Math.min(first.box[1], second.box[1]);
  const bottom = Math.max(first.box[1] + first.box[3], second.box[1] + second.box[3]) + LABEL;
  const right = secondBox[0] + secondBox[2];
  return {
    box: [first.box[0], top, right - first.box[0], bottom - top + LABEL / 2],
    shapes: [
      ...first.shapes,
      ...placeShapes(second.shapes, 1, [by, 0]),
      label('before', first.box, bottom),
      label('next time', secondBox, bottom),
    ],
    caption: `${pose.name} before and next time, side by side.`,
  };
}
