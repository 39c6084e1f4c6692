import type { Side } from '../measures/protocol.ts';
import type { PoseDefinition } from './poseDefinition.ts';

/**
 * “left foot in front”, “standing on the left leg”, or “both sides alike”.
 *
 * @param side left or right
 * @returns words as they are said aloud
 */
export function saySide(
  { backContact, family }: Pick<PoseDefinition, 'backContact' | 'family'>,
  side: Side,
): string {
  if (family === 'neutral') return 'both sides alike';
  return backContact === 'lifted' || backContact === 'on-front-leg'
    ? `standing on the ${side} leg`
    : `${side} foot in front`;
}
