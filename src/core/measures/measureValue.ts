import { problem, type Problem } from '../problems/problem.ts';
import { getProtocol, type MeasureId } from './protocols/index.ts';
import type { Side } from './protocol.ts';
import type { Reading } from './reading.ts';
import { calcStandardError, SPREAD_ASKING_FOR_THIRD } from './readingErrors.ts';

/** A measure's value with its error, in the protocol's unit (cm, degrees, seconds). */
export interface MeasureValue {
  readonly measure: MeasureId;
  readonly side: Side | null;
  readonly value: number;
  /** One standard error. */
  readonly error: number;
  readonly readingIds: readonly string[];
  readonly spread: number;
  readonly takenAt: string;
  readonly state: Reading['state'];
  readonly posture: Reading['posture'];
}

/** Readings of one measure that are further apart belong to different sittings. Our choice. */
const SITTING_HOURS = 6;
const MS_PER_HOUR = 3_600_000;

const median = (sorted: readonly number[]): number => {
  const middle = sorted.length / 2;
  return sorted.length % 2 === 1
    ? sorted[Math.floor(middle)]!
    : (sorted[middle - 1]! + sorted[middle]!) / 2;
};

/** Where no posture was noted, the protocol's own was meant. */
const findPosture = ({ posture }: Reading, measure: MeasureId): string =>
  posture ?? getProtocol(measure).posture;

/**
 * The readings of the latest sitting that may be pooled: the same state and
 * posture as the latest of them. Cold and warm are never pooled.
 */
function findLatestSitting(readings: readonly Reading[], measure: MeasureId): readonly Reading[] {
  const newestFirst = [...readings].sort(
    (a, b) => b.takenAt.localeCompare(a.takenAt) || a.id.localeCompare(b.id),
  );
  const latest = newestFirst[0];
  if (latest === undefined) return [];
  const since = Date.parse(latest.takenAt) - SITTING_HOURS * MS_PER_HOUR;
  return newestFirst.filter(
    (each) =>
      Date.parse(each.takenAt) >= since &&
      each.state === latest.state &&
      findPosture(each, measure) === findPosture(latest, measure),
  );
}

/**
 * Turns readings of one measure and side into a value: the mean of two, the
 * median of three or more, of the latest sitting only.
 *
 * @param readings any readings; others than this measure and side are passed over
 * @returns null when there is none
 */
export function calcMeasureValue(
  readings: readonly Reading[],
  measure: MeasureId,
  side: Side | null,
): MeasureValue | null {
  const sitting = findLatestSitting(
    readings.filter((each) => each.measure === measure && each.side === side),
    measure,
  );
  const latest = sitting[0];
  if (latest === undefined) return null;
  const sorted = sitting.map((each) => each.value).sort((a, b) => a - b);
  return {
    measure,
    side,
    value: median(sorted),
    error: calcStandardError(getProtocol(measure).errorKind, sorted.length),
    readingIds: sitting.map((each) => each.id),
    spread: sorted.at(-1)! - sorted[0]!,
    takenAt: latest.takenAt,
    state: latest.state,
    posture: findPosture(latest, measure),
  };
}

/** Two readings that lie too far apart ask for a third; null when they agree. */
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
