import { max, median, min } from 'simple-statistics';
import { problem, type Problem } from '../problems/problem.ts';
import { getProtocol, type MeasureId } from './protocols/index.ts';
import type { Side } from './protocol.ts';
import { calcOwnWithin, type OwnWithin, type WithinTerm } from './ownWithin.ts';
import type { Reading } from './reading.ts';
import { calcStandardError, SPREAD_ASKING_FOR_THIRD } from './readingErrors.ts';
import { findPosture, findState, splitSittings } from './sittings.ts';

/** A measure's value with its error, in the protocol's unit (cm, degrees, seconds). */
export interface MeasureValue {
  readonly measure: MeasureId;
  readonly side: Side | null;
  readonly value: number;
  /** One standard error. */
  readonly error: number;
  /** The term for repeats of one sitting that went into the error. */
  readonly within: WithinTerm;
  readonly readingIds: readonly string[];
  readonly spread: number;
  readonly takenAt: string;
  readonly state: Reading['state'];
  readonly posture: Reading['posture'];
  readonly takenBy: string | null;
}

/**
 * Turns readings of one measure and side into a value: the mean of two, the
 * median of three or more, of the latest sitting only.
 *
 * @param readings any readings of one person; those set aside are passed over
 * @param measure which measure
 * @param side null = a measure without sides
 * @param own how the person's repeats scatter, when it is known already
 * @returns null when there is none
 */
export function calcMeasureValue(
  readings: readonly Reading[],
  measure: MeasureId,
  side: Side | null,
  own: OwnWithin = calcOwnWithin(readings),
): MeasureValue | null {
  const [sitting] = splitSittings(
    readings.filter((each) => each.measure === measure && each.side === side),
  );
  return sitting === undefined ? null : calcSittingValue(sitting, measure, side, own);
}

/**
 * The value of one sitting.
 *
 * @param sitting at least one reading, the newest first; see sittings.ts
 * @param measure which measure
 * @param side null = a measure without sides
 * @param own the spread of the person's own repeats
 * @returns the mean or median, with its error
 */
export function calcSittingValue(
  sitting: readonly Reading[],
  measure: MeasureId,
  side: Side | null,
  own: OwnWithin,
): MeasureValue {
  const latest = sitting[0]!;
  const values = sitting.map((each) => each.value);
  const { errorKind } = getProtocol(measure);
  const within = own[errorKind];
  return {
    measure,
    side,
    value: median(values),
    error: calcStandardError(errorKind, values.length, within.within),
    within,
    readingIds: sitting.map((each) => each.id),
    spread: max(values) - min(values),
    takenAt: latest.takenAt,
    state: findState(latest),
    posture: findPosture(latest),
    takenBy: latest.takenBy ?? null,
  };
}

/**
 * Two readings that lie too far apart ask for a third; null when they agree.
 *
 * @param value of a sitting
 * @returns a warning
 */
export function findThirdReadingNote(value: MeasureValue): Problem | null {
  const protocol = getProtocol(value.measure);
  const asks =
    value.readingIds.length === 2 && value.spread > SPREAD_ASKING_FOR_THIRD[protocol.errorKind];
  if (!asks) return null;
  return problem('third-reading', value.measure, {
    measure: protocol.name,
    side: value.side === null ? '' : `, ${value.side}`,
    spread: value.spread.toFixed(1),
    unit: protocol.unit === 'deg' ? '°' : protocol.unit,
  });
}
