import type { PoseDefinition } from '../poses/poseDefinition.ts';
import type { LandmarkCm } from '../skeleton/landmark.ts';
import type { SetUp } from '../setup/setUp.ts';
import type { Point } from './shapes.ts';

/**
 * Where the elevation is seen from, and the plan below it turned to match, so that foot,
 * knee and centre of mass line up down the page. Open poses are seen from the long edge
 * that the chest faces, closed ones from the front leg's side.
 */
export interface View {
  readonly axis: 'side' | 'front' | 'above';
  /** +1 = from the mat's left edge, its front edge, or above with +x up the page; −1 = the other way. */
  readonly from: 1 | -1;
  readonly words: string;
}

/**
 * Where a pose is seen from.
 *
 * @param pose the pose's data
 * @param setUp whose front leg is known
 * @returns the view from a long edge of the mat
 */
export function findView(pose: PoseDefinition, setUp: SetUp): View {
  const open = facesLongEdge(pose);
  const fromLeft = open === (setUp.side === 'right');
  const edge = fromLeft ? 'left' : 'right';
  return {
    axis: 'side',
    from: fromLeft ? 1 : -1,
    words: open
      ? `seen from the ${edge} edge of the mat, which the chest faces`
      : `seen from the ${edge}, the front leg’s side`,
  };
}

/**
 * Whether the chest looks at a long edge of the mat, so that the pose is seen best from there.
 *
 * @param pose the pose's data
 * @returns false for poses that face the short edge
 */
export const facesLongEdge = (pose: PoseDefinition): boolean =>
  pose.pelvisFaces === 'long-edge' || pose.pelvisFaces === 'stacked';

/** From the mat's front edge, looking back along it. */
export const FRONT_VIEW: View = {
  axis: 'front',
  from: 1,
  words: 'seen from the front edge of the mat',
};

/**
 * A point of the body as seen from the side or the front, the floor at y = 0, or from
 * above.
 *
 * @returns mm at 1:10, x to the right, y down
 */
export const toElevation = ({ axis, from }: View, [x, y, z]: LandmarkCm): Point =>
  axis === 'front' ? [y * from, -z] : axis === 'above' ? [-y * from, -x * from] : [-x * from, -z];

/**
 * Distance toward the viewer, for what covers what.
 *
 * @returns cm, larger is nearer
 */
export const depthOf = ({ axis, from }: View, [x, y, z]: LandmarkCm): number =>
  axis === 'front' ? x * from : axis === 'above' ? z : y * from;

/**
 * A point of the mat as seen from above, the viewer's edge at the bottom.
 *
 * @param x cm along the mat
 * @param y cm across it
 * @returns mm at 1:10, x to the right, y down
 */
export const toPlan = ({ from }: View, x: number, y: number): Point => [-x * from, y * from];
