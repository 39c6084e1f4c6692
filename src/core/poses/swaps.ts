import { LYING_POSES } from './lying/index.ts';
import type { PoseDefinition } from './poseDefinition.ts';

/**
 * What to turn to when a pose cannot be held: an easier way, and its lying forms.
 *
 * @returns a sentence
 */
export function saySwap({ id, easier }: PoseDefinition): string {
  const lying = LYING_POSES.filter((each) => each.swapFor.includes(id))
    .map((each) => each.name.charAt(0).toLowerCase() + each.name.slice(1))
    .filter((name) => !easier.includes(name));
  return [easier, ...lying].join(', or ');
}
