import type { DepthDefinition, PoseDefinition } from '../poses/poseDefinition.ts';
import { getQuantity } from '../conditions/quantities.ts';
import type { PoseTask } from '../conditions/poseTask.ts';
import type { Skeleton } from '../skeleton/skeleton.ts';
import { withLimits, type BuiltTask } from './buildTask.ts';
import { DepthSearch } from './depthSearch.ts';
import type { HeldDepth } from './findDepth.ts';

/** A first depth gives way down to this share of itself, and its share is found this exactly. Our choice. */
const LEAST_KEPT_SHARE = 0.4;
const SHARE_WITHIN = 0.01;

/**
 * The largest share of the first depth at which the last one can be held at all, by bisection.
 *
 * @param heldAt the task with a share of the first depth held
 * @returns 0 to 1
 */
export function findKeptShare(
  { depth }: PoseDefinition,
  heldAt: (share: number) => BuiltTask,
): number {
  if (depth === null) return 1;
  const canHold = (share: number): boolean => {
    const built = heldAt(share);
    return new DepthSearch(withLimits(built, built.usable), depth, null).settleAnywhere(0).kept;
  };
  if (canHold(1)) return 1;
  let low = LEAST_KEPT_SHARE;
  let high = 1;
  if (!canHold(low)) return low;
  while (high - low > SHARE_WITHIN) {
    const middle = (low + high) / 2;
    if (canHold(middle)) low = middle;
    else high = middle;
  }
  return low;
}

/**
 * The same task with a depth held as a skeleton has it, or at a share of that.
 *
 * @param task the pose with one person's lengths, limits and rules filled in
 * @param skeleton the posed body, metres and radians, solver frame
 * @param share of it; 1 = all
 * @returns a changed copy of the task
 */
export function holdDepth(
  task: PoseTask,
  { quantity }: DepthDefinition,
  skeleton: Skeleton,
  share = 1,
): PoseTask {
  const value = share * getQuantity(quantity).calc(skeleton);
  return { ...task, musts: [...task.musts, { quantity, atLeast: value, atMost: value }] };
}

/**
 * The task of the last depth: a share of the first one is kept, and its posture is a start.
 *
 * @param built the task and its limits
 * @param depth the pose's depth
 * @param share 0 to 1
 * @returns a changed copy of the task
 */
export function keepFirstDepth(
  built: BuiltTask,
  depth: DepthDefinition,
  share: number,
  { answer: { skeleton } }: HeldDepth,
): BuiltTask {
  const { posture } = skeleton;
  const task = holdDepth(built.task, depth, skeleton, share);
  return {
    ...built,
    task: {
      ...task,
      starts: [posture, ...task.starts],
      again: { ...task.again, sparing: [posture, ...task.again.sparing] },
    },
  };
}
