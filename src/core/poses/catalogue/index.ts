import type { PoseDefinition } from '../poseDefinition.ts';
import { highLunge } from './highLunge.ts';
import { pyramid } from './pyramid.ts';
import { triangle } from './triangle.ts';
import { warriorOne } from './warriorOne.ts';
import { warriorTwo } from './warriorTwo.ts';

/** Every pose, in the order the shelf shows them. To add one, write its file and name it here. */
export const POSES: readonly PoseDefinition[] = [
  warriorTwo,
  triangle,
  pyramid,
  warriorOne,
  highLunge,
];

/** A pose that another pose's data names. */
export function getPose(id: string): PoseDefinition {
  const pose = findPose(id);
  if (pose === null) throw new Error(`No pose ${id} in the catalogue`);
  return pose;
}

export const findPose = (id: string): PoseDefinition | null =>
  POSES.find((pose) => pose.id === id) ?? null;
