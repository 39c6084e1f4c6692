import { PROTOCOLS, type MeasureId } from './protocols/index.ts';
import type { Protocol } from './protocol.ts';

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

const POSTURES: readonly Protocol['posture'][] = [
  'standing',
  'seated',
  'lying on the back',
  'lying face down',
];

/**
 * Measures in an order in which the person turns over as little as possible.
 *
 * @param measures in any order
 * @returns the same measures
 */
export const sortByPosture = (measures: readonly MeasureId[]): MeasureId[] =>
  POSTURES.flatMap((posture) =>
    PROTOCOLS.filter((each) => each.posture === posture)
      .map((each) => each.id as MeasureId)
      .filter((id) => measures.includes(id)),
  );

/** Everything there is to measure. */
export const FULL_ROUND: readonly MeasureId[] = sortByPosture(
  PROTOCOLS.map((each) => each.id as MeasureId),
);
