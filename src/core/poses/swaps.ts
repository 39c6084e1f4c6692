import { LYING_POSES } from './lying/index.ts';
import type { LyingPose } from './lying/lyingPose.ts';
import type { PoseDefinition } from './poseDefinition.ts';

/**
 * The lying and seated forms that may take the place of a pose.
 *
 * @param pose one of the catalogue
 * @returns from the catalogue
 */
export const findLyingForms = ({ id }: Pick<PoseDefinition, 'id'>): readonly LyingPose[] =>
  LYING_POSES.filter((each) => each.swapFor.includes(id));

/**
 * What to turn to when a pose cannot be held: an easier way, and its lying forms.
 *
 * @param pose one of the catalogue
 * @returns a sentence
 */
export function saySwap(pose: PoseDefinition): string {
  const { easier } = pose;
  const lying = findLyingForms(pose)
    .map((each) => each.name.charAt(0).toLowerCase() + each.name.slice(1))
    .filter((name) => !easier.includes(name));
  return [easier, ...lying].join(', or ');
}
