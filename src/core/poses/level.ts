import type { PoseDefinition } from './poseDefinition.ts';

/** A pose as one of its levels does it; null is the pose itself. */
export function withLevel(pose: PoseDefinition, level: string | null): PoseDefinition {
  const found = pose.levels.find((each) => each.id === level);
  return found === undefined ? pose : { ...pose, ...found.changes };
}
