import { findPose } from './catalogue/index.ts';

const BOTH_ALIKE = ['staff', 'bound-angle', 'seated-straddle'];

/** Whether a pose is held once on each side; mountain, chair and the like are held once. */
export const hasSides = (id: string): boolean =>
  findPose(id)?.family !== 'neutral' && !BOTH_ALIKE.includes(id);
