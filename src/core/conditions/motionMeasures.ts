import type { MeasureUse } from '../body/body.ts';
import type { MeasureId } from '../measures/protocols/index.ts';
import type { Side } from '../measures/protocol.ts';
import type { Joint, Motion } from './limits.ts';

/** One motion of a joint. */
export interface JointMotion {
  readonly joint: Joint;
  readonly motion: Motion;
}

/** Which measures limit a motion; of two, the knee's or the hip's bend says how much of each. */
const MEASURES: readonly (JointMotion & { readonly measures: readonly MeasureId[] })[] = [
  { joint: 'hip', motion: 'flexion', measures: ['hip-flexion', 'straight-leg-raise'] },
  { joint: 'hip', motion: 'extension', measures: ['hip-extension', 'hip-extension-bent-knee'] },
  { joint: 'hip', motion: 'abduction', measures: ['hip-abduction', 'hip-opening'] },
  { joint: 'hip', motion: 'adduction', measures: ['hip-adduction'] },
  { joint: 'hip', motion: 'external-rotation', measures: ['hip-external-rotation'] },
  { joint: 'hip', motion: 'internal-rotation', measures: ['hip-internal-rotation'] },
  { joint: 'knee', motion: 'flexion', measures: ['knee-flexion'] },
  {
    joint: 'ankle',
    motion: 'dorsiflexion',
    measures: ['ankle-dorsiflexion-bent', 'ankle-dorsiflexion-straight'],
  },
  { joint: 'spine', motion: 'extension', measures: ['trunk-extension'] },
  { joint: 'spine', motion: 'side-bend', measures: ['trunk-side-bend'] },
  { joint: 'spine', motion: 'axial-rotation', measures: ['trunk-rotation'] },
];

/** @returns none where the limit is stated for everyone (rounding of the spine, toes) */
export const listMeasuresOf = ({ joint, motion }: JointMotion): readonly MeasureId[] =>
  MEASURES.find((each) => each.joint === joint && each.motion === motion)?.measures ?? [];

/**
 * The motion that a measure limits; null = a length, or no motion of its own.
 *
 * @param measure which measure
 * @returns joint and motion
 */
export const findMotionOf = (measure: MeasureId): JointMotion | null =>
  MEASURES.find(({ measures }) => measures.includes(measure)) ?? null;

/**
 * The measured or stated ranges that a joint's limit comes from.
 *
 * @param uses every measure that a set-up rests on
 * @returns those behind this limit
 */
export function findUsesBehind(
  { joint, motion, side }: JointMotion & { readonly side: Side | null },
  uses: readonly MeasureUse[],
): readonly MeasureUse[] {
  const measures = listMeasuresOf({ joint, motion });
  return uses.filter(
    (each) => measures.includes(each.measure) && (each.side === null || each.side === side),
  );
}
