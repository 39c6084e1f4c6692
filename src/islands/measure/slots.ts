import { judgeMeasuring } from '../../core/cautions/measuring.ts';
import { calcMeasureValue, findThirdReadingNote } from '../../core/measures/measureValue.ts';
import { sidesOf } from '../../core/measures/measureSet.ts';
import { getProtocol, type MeasureId } from '../../core/measures/protocols/index.ts';
import type { Side } from '../../core/measures/protocol.ts';
import { isCounted, type Reading } from '../../core/measures/reading.ts';
import type { PersonRecord } from '../../core/person/person.ts';

const READINGS_WISHED = 2;
const SITTING_MS = 6 * 3_600_000;

/** One place for a reading of this sitting. */
export interface Slot {
  readonly side: Side | null;
  readonly row: number;
  readonly reading: Reading | null;
}

/** Readings of one measure and side, those of this sitting apart. */
export function splitByNow(
  record: PersonRecord,
  measure: MeasureId,
  side: Side | null,
  now: number,
): { readonly current: readonly Reading[]; readonly before: readonly Reading[] } {
  const all = record.readings.filter(
    (each) => each.measure === measure && each.side === side && isCounted(each),
  );
  const isCurrent = (reading: Reading): boolean => now - Date.parse(reading.takenAt) < SITTING_MS;
  return {
    current: all.filter(isCurrent),
    before: all.filter((each) => !isCurrent(each)),
  };
}

/** The sides on which a measure may be taken of this person. */
const allowedSides = (record: PersonRecord, measure: MeasureId): readonly (Side | null)[] => {
  const protocol = getProtocol(measure);
  return sidesOf(protocol.sided).filter(
    (side) => judgeMeasuring(record.person, protocol, side).verdict !== 'blocked',
  );
};

/** The places to fill on one screen, row by row: two a side, and one more where two disagree. */
export function findSlots(record: PersonRecord, measure: MeasureId, now: number): Slot[][] {
  const sides = allowedSides(record, measure).map((side) => ({
    side,
    current: splitByNow(record, measure, side, now).current,
  }));
  const rows = Math.max(
    READINGS_WISHED,
    ...sides.map(
      ({ side, current }) =>
        current.length + (current.length > 0 && asksForThird(record, measure, side) ? 1 : 0),
    ),
  );
  return Array.from({ length: rows }, (_, row) =>
    sides.map(({ side, current }) => ({ side, row, reading: current[row] ?? null })),
  );
}

function asksForThird(record: PersonRecord, measure: MeasureId, side: Side | null): boolean {
  const value = calcMeasureValue(record.readings, measure, side);
  return value !== null && findThirdReadingNote(value) !== null;
}

/** The next empty place for busy hands: all of one side before the other. */
export function findNextSlot(slots: readonly (readonly Slot[])[]): Slot | null {
  const sides = slots[0]?.map((each) => each.side) ?? [];
  const bySide = sides.flatMap((side) => slots.flat().filter((each) => each.side === side));
  return bySide.find((each) => each.reading === null) ?? null;
}
