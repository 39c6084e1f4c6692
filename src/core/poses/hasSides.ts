import { findPose } from './catalogue/index.ts';

const BOTH_ALIKE = ['staff', 'bound-angle', 'seated-straddle'];

/**
 * Whether a pose is held once on each side; mountain, chair and the like are held once.
 *
 * @param id one of the catalogue
 * @returns true for lying forms and unknown poses
 * @example
 * hasSides('mountain') // → false
 */
export const hasSides = (id: string): boolean =>
  findPose(id)?.family !== 'neutral' && !BOTH_ALIKE.includes(id);
