import type { Side } from '../measures/protocol.ts';
import type { PoseDefinition } from './poseDefinition.ts';

/** “left foot in front”, or “standing on the left leg”. */
export const saySide = (
  { backContact }: Pick<PoseDefinition, 'backContact'>,
  side: Side,
): string =>
  backContact === 'lifted' || backContact === 'on-front-leg'
    ? `standing on the ${side} leg`
    : `${side} foot in front`;
