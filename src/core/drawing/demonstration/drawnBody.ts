import { calcBody, type Body } from '../../body/body.ts';
import { calcMeasureSet } from '../../measures/measureSet.ts';
import type { Reading } from '../../measures/reading.ts';

/** Drawn while nothing is measured yet, cm. Our choice. */
const USUAL_STATURE: Reading = {
  id: 'usual',
  measure: 'stature',
  side: null,
  value: 170,
  unit: 'cm',
  instrument: 'other',
  posture: null,
  state: null,
  takenAt: '2000-01-01T00:00:00Z',
  note: '',
};

/**
 * The person's own body as far as it is known, else one of usual build.
 *
 * @param readings of one person, in any order
 * @returns lengths, metres
 */
export function findDrawnBody(readings: readonly Reading[]): Body {
  const own = calcBody(calcMeasureSet(readings));
  if (own.ok) return own.value;
  const usual = calcBody(calcMeasureSet([USUAL_STATURE]));
  if (!usual.ok) throw new Error('A stature alone makes a body');
  return usual.value;
}
