import type { MeasureId } from './protocols/index.ts';

/**
 * The short round before a first set-up, by posture so that the person turns over once:
 * standing lengths, standing ranges, on the back, face down.
 */
export const SHORT_ROUND: readonly MeasureId[] = [
  'stature',
  'trochanter-height',
  'knee-height',
  'shoulder-height',
  'arm-reach',
  'foot-length',
  'ankle-dorsiflexion-bent',
  'ankle-dorsiflexion-straight',
  'trunk-rotation',
  'leg-length',
  'hip-opening',
  'hip-abduction',
  'hip-flexion',
  'straight-leg-raise',
  'hip-external-rotation',
  'hip-internal-rotation',
  'hip-extension',
];
