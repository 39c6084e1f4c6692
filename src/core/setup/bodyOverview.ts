import { compareValues, type Comparison } from '../measures/compareValues.ts';
import { sidesOf } from '../measures/measureSet.ts';
import { calcMeasureValue, type MeasureValue } from '../measures/measureValue.ts';
import { PROTOCOLS, type MeasureId } from '../measures/protocols/index.ts';
import { SIDES, type Protocol, type Side } from '../measures/protocol.ts';
import type { Reading } from '../measures/reading.ts';
import { isStale } from '../measures/staleness.ts';
import type { PersonRecord } from '../person/person.ts';
import { POSES } from '../poses/catalogue/index.ts';

/** One side of one measure: what it is now, and what has changed since it was first taken. */
export interface SideOverview {
  readonly side: Side | null;
  readonly now: MeasureValue | null;
  readonly isStale: boolean;
  /** The first sitting's value, when that is not the latest; null = only one sitting. */
  readonly first: MeasureValue | null;
  /** Latest against first, the one claim a history makes. */
  readonly change: Comparison | null;
}

/** One measure of a person, left and right beside each other. */
export interface MeasureOverview {
  readonly measure: MeasureId;
  readonly protocol: Protocol;
  readonly sides: readonly SideOverview[];
  /** Left against right; null unless both are known. */
  readonly difference: Comparison | null;
  /** Poses that wait for it, while a side is missing. */
  readonly blocks: readonly string[];
}

/** Readings of one sitting lie within this of its first one. */
const SITTING_HOURS = 6;
const MS_PER_HOUR = 3_600_000;

/** The value of the first sitting; null when nothing was taken after it. */
function findFirst(
  readings: readonly Reading[],
  measure: MeasureId,
  side: Side | null,
): MeasureValue | null {
  const own = readings.filter((each) => each.measure === measure && each.side === side);
  const times = own.map((each) => Date.parse(each.takenAt));
  const until = Math.min(...times) + SITTING_HOURS * MS_PER_HOUR;
  const early = own.filter((each) => Date.parse(each.takenAt) <= until);
  return early.length === own.length ? null : calcMeasureValue(early, measure, side);
}

/**
 * Everything that is known of a body, measure by measure, with what is missing and which
 * poses that blocks. Measures without any reading stand only where a pose waits for them.
 *
 * @param now ISO date; the core has no clock
 */
export function describeBody({ person, readings }: PersonRecord, now: string): MeasureOverview[] {
  return PROTOCOLS.map((protocol): MeasureOverview => {
    const measure = protocol.id as MeasureId;
    const sides = sidesOf(protocol.sided).map((side): SideOverview => {
      const value = calcMeasureValue(readings, measure, side);
      const first = value === null ? null : findFirst(readings, measure, side);
      return {
        side,
        now: value,
        isStale: value !== null && isStale(measure, value.takenAt, now, person.birthYear),
        first,
        change: value === null || first === null ? null : compareValues(value, first),
      };
    });
    const [left, right] = SIDES.map((side) => sides.find((each) => each.side === side)?.now);
    const isMissing = sides.some((each) => each.now === null);
    return {
      measure,
      protocol,
      sides,
      difference: left && right ? compareValues(left, right) : null,
      blocks: isMissing
        ? POSES.filter((pose) => pose.needs.includes(measure)).map((pose) => pose.name)
        : [],
    };
  }).filter(({ sides, blocks }) => blocks.length > 0 || sides.some((each) => each.now !== null));
}
