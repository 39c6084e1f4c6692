import { compareValues } from './compareValues.ts';
import type { MeasureValue } from './measureValue.ts';

/** Below this a difference of the legs is ordinary, cm. Common practice, no source. */
const ORDINARY_CM = 1;
/** Above this a professional should look at it, cm. Common practice, no source. */
const TO_BE_SEEN_CM = 2;

/** What a difference of the two leg lengths calls for; `unclear` = inside its measuring error. */
export type LegLengthAdvice = 'unclear' | 'ordinary' | 'to-note' | 'to-be-seen';

/**
 * What to make of two leg lengths. A difference that is new is for a professional, too,
 * which no measure can show: the words beside it ask.
 *
 * @param left value and error
 * @param right value and error
 * @returns the difference, whether it is more than error, and what to do
 */
export function adviseLegLengths(left: MeasureValue, right: MeasureValue): LegLengthAdvice {
  const { difference, verdict } = compareValues(left, right);
  const apart = Math.abs(difference);
  if (verdict !== 'real') return 'unclear';
  if (apart < ORDINARY_CM) return 'ordinary';
  return apart > TO_BE_SEEN_CM ? 'to-be-seen' : 'to-note';
}
