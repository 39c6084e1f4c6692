import type { HandSurface, MustDefinition, PoseDefinition } from '../poses/poseDefinition.ts';
import type { PropItem, PropKind } from '../props/propList.ts';
import { findMat } from '../studio/studio.ts';

/** Where a cupboard has none, cm: a usual chair's seat and a usual block's faces. General knowledge, no source. */
const USUAL_HEIGHTS: Partial<Record<PropKind, readonly number[]>> = {
  chair: [45],
  block: [7.5, 15, 23],
};

/**
 * How high what the hands stand on is.
 *
 * @param surface as a version names it
 * @param cupboard what the studio has
 * @returns cm; of what the cupboard does not have, its usual size
 */
export function findSurfaceHeight(surface: HandSurface, cupboard: readonly PropItem[]): number {
  const heightsOf = (kind: PropKind): readonly number[] =>
    cupboard.find((each) => each.kind === kind && each.count > 0)?.heightsCm ??
    USUAL_HEIGHTS[kind] ??
    [];
  const [low = 0, middle = low] = heightsOf('block');
  switch (surface) {
    case 'chair':
      return heightsOf('chair')[0] ?? 0;
    case 'stacked-blocks':
      return low + middle;
    case 'low-block':
      return low;
    case 'floor':
      return 0;
  }
}

/**
 * A pose with what its version takes from the studio: how high the hands or
 * the front foot stand, and how wide the mat is.
 *
 * @param pose the pose's data at one of its levels
 * @param cupboard what the studio has
 * @returns a changed copy where the version asks for it
 */
export function withStudio(pose: PoseDefinition, cupboard: readonly PropItem[]): PoseDefinition {
  const ball = findSurfaceHeight('low-block', cupboard);
  return {
    ...withHandsOn(pose, cupboard),
    ...(pose.feetOnDiagonal === true ? { matWidthCm: findMat(cupboard).widthCm } : {}),
    ...(pose.frontBallOnBlock === true ? { frontBallOnCm: ball } : {}),
  };
}

function withHandsOn(pose: PoseDefinition, cupboard: readonly PropItem[]): PoseDefinition {
  const { handsOn } = pose;
  if (handsOn === undefined) return pose;
  const height = findSurfaceHeight(handsOn.surface, cupboard);
  if (handsOn.elbows === 'bent') return { ...pose, handsOnCm: height };
  const isHigh = handsOn.surface === 'chair' || handsOn.surface === 'stacked-blocks';
  const must: MustDefinition = {
    quantity: 'hand-height',
    ...(isHigh ? { atLeast: height } : { atMost: height }),
  };
  return { ...pose, musts: [...pose.musts, must] };
}
