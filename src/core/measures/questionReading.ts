import { toTenths } from '../units/rounding.ts';
import { problem, type Problem } from '../problems/problem.ts';
import { calcMeasureValue, type MeasureValue } from './measureValue.ts';
import { getProtocol, type MeasureId } from './protocols/index.ts';
import { otherSide, SIDES, type Side } from './protocol.ts';
import { compareValues } from './compareValues.ts';
import { isCounted, type Reading } from './reading.ts';
import { calcStandardError } from './readingErrors.ts';
import { splitSittings } from './sittings.ts';

/** A reading further from the same side's others than this many errors is asked about. Our choice. */
const FAR_FROM_OWN = 4;
/** The two sides of one person may differ more than two readings of one side. Our choice. */
const FAR_FROM_OTHER = 6;
/** Within this many errors of the other side it may be the other side. Our choice. */
const LIKE_OTHER = 2;

/** How far a reading lies from a value, in errors of such a difference. */
function countErrors(value: number, from: MeasureValue): number {
  const single = calcStandardError(getProtocol(from.measure).errorKind, 1, from.within.within);
  return Math.abs(value - from.value) / Math.sqrt(single ** 2 + from.error ** 2);
}

/**
 * Asks about a reading that does not fit the person's own others: the wrong side, the
 * wrong landmark, or a slip of the hand. It is a question, never a refusal.
 *
 * @param others the person's readings; the reading itself is passed over
 * @returns `reading-unlike-own` or `reading-unlike-other-side`, or null
 */
export function questionReading(
  { id, measure, side, value }: Pick<Reading, 'id' | 'side' | 'value'> & { measure: MeasureId },
  others: readonly Reading[],
): Problem | null {
  const rest = others.filter((each) => each.id !== id);
  const own = calcMeasureValue(rest, measure, side);
  const other = side === null ? null : calcMeasureValue(rest, measure, otherSide(side));
  const { name, unit } = getProtocol(measure);
  const details = {
    measure: name,
    side: side === null ? '' : `, ${side}`,
    value: write(value),
    unit: unit === 'deg' ? '°' : ` ${unit}`,
  };
  if (own !== null) {
    if (countErrors(value, own) <= FAR_FROM_OWN) return null;
    const isLikeOther = other !== null && countErrors(value, other) <= LIKE_OTHER;
    const sideGuess =
      isLikeOther && side !== null ? ` It fits the ${otherSide(side)}: wrong side?` : '';
    return problem('reading-unlike-own', measure, { ...details, own: write(own.value), sideGuess });
  }
  if (other === null || side === null || countErrors(value, other) <= FAR_FROM_OTHER) return null;
  return problem('reading-unlike-other-side', measure, {
    ...details,
    otherSide: otherSide(side),
    other: write(other.value),
  });
}

/** The two latest sittings of a side as values, newest first. */
function findLastTwo(
  readings: readonly Reading[],
  measure: MeasureId,
  side: Side,
): readonly [MeasureValue, MeasureValue] | null {
  const [now, before] = splitSittings(
    readings.filter((each) => each.measure === measure && each.side === side),
  ).map((each) => calcMeasureValue(each, measure, side));
  return now && before ? [now, before] : null;
}

/**
 * Whether left and right look exchanged: each side has really changed, and each fits what
 * the other side was.
 *
 * @param readings of one person, in any order
 * @param measure which measure
 * @returns `sides-swapped`, or null
 */
export function questionSides(readings: readonly Reading[], measure: MeasureId): Problem | null {
  const [left, right] = SIDES.map((side) => findLastTwo(readings.filter(isCounted), measure, side));
  if (!left || !right) return null;
  const [leftNow, leftBefore] = left;
  const [rightNow, rightBefore] = right;
  const changed =
    compareValues(leftNow, leftBefore).verdict === 'real' &&
    compareValues(rightNow, rightBefore).verdict === 'real';
  const crosses =
    compareValues(leftNow, rightBefore).verdict === 'noise' &&
    compareValues(rightNow, leftBefore).verdict === 'noise';
  return changed && crosses
    ? problem('sides-swapped', measure, { measure: getProtocol(measure).name })
    : null;
}

const write = (value: number): string => String(toTenths(value));
