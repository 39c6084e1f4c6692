import { compareValues, type Comparison } from '../measures/compareValues.ts';
import { calcBody } from '../body/body.ts';
import { calcMeasureSet, sidesOf } from '../measures/measureSet.ts';
import { calcMeasureValue, type MeasureValue } from '../measures/measureValue.ts';
import { PROTOCOLS, type MeasureId } from '../measures/protocols/index.ts';
import { SIDES, type Protocol, type Side } from '../measures/protocol.ts';
import { calcOwnWithin, type OwnWithin } from '../measures/ownWithin.ts';
import type { Reading } from '../measures/reading.ts';
import { splitSittings } from '../measures/sittings.ts';
import { isStale } from '../measures/staleness.ts';
import { findReferenceBand, type ReferenceBand } from '../measures/referenceBands.ts';
import { findNotDone } from '../person/notDone.ts';
import { findAge, type NotDoneReason, type PersonRecord } from '../person/person.ts';
import { POSES } from '../poses/catalogue/index.ts';

/** One side of one measure: what it is now, and what has changed since it was first taken. */
export interface SideOverview {
  readonly side: Side | null;
  readonly now: MeasureValue | null;
  readonly isStale: boolean;
  /** What stands in for a length that is not measured; null = nothing does. */
  readonly estimate: number | null;
  /** Why it was not taken; null = no reason is open. */
  readonly notDone: NotDoneReason | null;
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
  /** What most people like this one have, where that is published. */
  readonly band: ReferenceBand | null;
  /** Left against right; null unless both are known. */
  readonly difference: Comparison | null;
  /** Poses that wait for it, while a side is missing. */
  readonly blocks: readonly string[];
}

/** The value of the first sitting; null when nothing was taken after it. */
function findFirst(
  readings: readonly Reading[],
  measure: MeasureId,
  side: Side | null,
  own: OwnWithin,
): MeasureValue | null {
  const sittings = splitSittings(
    readings.filter((each) => each.measure === measure && each.side === side),
  );
  return sittings.length < 2 ? null : calcMeasureValue(sittings.at(-1)!, measure, side, own);
}

/**
 * Everything that is known of a body, measure by measure, with what is missing and which
 * poses that blocks. Measures without any reading stand only where a pose waits for them.
 *
 * @param record the person with all readings
 * @param now ISO date; the core has no clock
 * @returns an entry for each measure that is listed
 */
export function describeBody(record: PersonRecord, now: string): MeasureOverview[] {
  const { person, readings } = record;
  const body = calcBody(calcMeasureSet(readings));
  const estimateOf = (measure: MeasureId, side: Side | null): number | null => {
    const use = body.ok
      ? body.value.uses.find((each) => each.measure === measure && each.side === side)
      : undefined;
    return use === undefined || use.source === 'measured' ? null : use.value;
  };
  const own = calcOwnWithin(readings);
  return PROTOCOLS.map((protocol): MeasureOverview => {
    const measure = protocol.id as MeasureId;
    const sides = sidesOf(protocol.sided).map((side): SideOverview => {
      const value = calcMeasureValue(readings, measure, side, own);
      const first = value === null ? null : findFirst(readings, measure, side, own);
      return {
        side,
        now: value,
        estimate: value === null ? estimateOf(measure, side) : null,
        notDone: findNotDone(record, measure, side)?.reason ?? null,
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
      band: findReferenceBand(measure, person.sexForReference, findAge(person, now)),
      difference: left && right ? compareValues(left, right) : null,
      blocks: isMissing
        ? POSES.filter((pose) => pose.needs.includes(measure)).map((pose) => pose.name)
        : [],
    };
  }).filter(
    ({ sides, blocks }) =>
      blocks.length > 0 ||
      sides.some(({ now: known, estimate, notDone }) => (known ?? estimate ?? notDone) !== null),
  );
}
