import type { MeasureUse } from '../body/body.ts';
import type { MeasureId } from '../measures/protocols/index.ts';
import type { JointReport } from './setUp.ts';

/** Which measures set the limit of a motion; of two, the knee's or the hip's bend says how much of each. */
const BEHIND: Readonly<Record<string, readonly MeasureId[]>> = {
  'hip flexion': ['straight-leg-raise', 'hip-flexion'],
  'hip extension': ['hip-extension', 'hip-extension-bent-knee'],
  'hip abduction': ['hip-abduction', 'hip-opening'],
  'hip adduction': ['hip-adduction'],
  'hip external-rotation': ['hip-external-rotation'],
  'hip internal-rotation': ['hip-internal-rotation'],
  'knee flexion': ['knee-flexion'],
  'ankle dorsiflexion': ['ankle-dorsiflexion-straight', 'ankle-dorsiflexion-bent'],
  'spine extension': ['trunk-extension'],
  'spine side-bend': ['trunk-side-bend'],
  'spine axial-rotation': ['trunk-rotation'],
};

/**
 * The measured or stated ranges that a joint's limit comes from.
 *
 * @returns none where the limit is stated for everyone (rounding of the spine, toes)
 */
export function findUsesBehind(
  { joint, motion, side }: Pick<JointReport, 'joint' | 'motion' | 'side'>,
  uses: readonly MeasureUse[],
): readonly MeasureUse[] {
  const measures = BEHIND[`${joint} ${motion}`] ?? [];
  return uses.filter(
    (each) => measures.includes(each.measure) && (each.side === null || each.side === side),
  );
}
