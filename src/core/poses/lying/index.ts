import { boundAngle } from './boundAngle.ts';
import { lyingCrossedTwist } from './lyingCrossedTwist.ts';
import { lyingHandToFoot } from './lyingHandToFoot.ts';
import { lyingPyramid } from './lyingPyramid.ts';
import { lyingRevolvedSideAngle } from './lyingRevolvedSideAngle.ts';
import { lyingSideAngle } from './lyingSideAngle.ts';
import { lyingTriangle } from './lyingTriangle.ts';
import { lyingWarriorOne } from './lyingWarriorOne.ts';
import { lyingWarriorTwo } from './lyingWarriorTwo.ts';
import { seatedStraddle } from './seatedStraddle.ts';
import { staff } from './staff.ts';
import type { LyingPose } from './lyingPose.ts';

export const LYING_POSES: readonly LyingPose[] = [
  lyingWarriorTwo,
  lyingSideAngle,
  lyingTriangle,
  lyingWarriorOne,
  lyingRevolvedSideAngle,
  lyingHandToFoot,
  lyingPyramid,
  lyingCrossedTwist,
  staff,
  boundAngle,
  seatedStraddle,
];

/**
 * A lying or seated form.
 *
 * @param id its name in files and links
 * @returns null when there is none
 */
export const findLyingPose = (id: string): LyingPose | null =>
  LYING_POSES.find((pose) => pose.id === id) ?? null;
