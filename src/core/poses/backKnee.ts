import type { PoseDefinition } from './poseDefinition.ts';

/** Whether the back leg stands on its foot with its knee bent, as both legs do in chair. */
export const standsOnBentBackKnee = ({ straightLegs, backContact }: PoseDefinition): boolean =>
  !straightLegs.includes('back') && backContact === 'flat';
