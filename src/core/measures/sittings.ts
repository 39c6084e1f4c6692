import { getProtocol, isMeasureId } from './protocols/index.ts';
import { isCounted, type Reading } from './reading.ts';

/** Readings of one measure that are further apart belong to different sittings. Our choice. */
const SITTING_HOURS = 6;
const MS_PER_HOUR = 3_600_000;

/** Where no posture was noted, the protocol's own was meant. */
export const findPosture = ({ posture, measure }: Reading): string | null =>
  posture ?? (isMeasureId(measure) ? getProtocol(measure).posture : null);

/** Whether two readings of one measure are repeats of one another, but for the time. */
const areRepeats = (a: Reading, b: Reading): boolean =>
  a.side === b.side &&
  (a.state ?? null) === (b.state ?? null) &&
  (a.takenBy ?? null) === (b.takenBy ?? null) &&
  findPosture(a) === findPosture(b);

/** Of times and ids, whose letters need no language. */
const compare = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);

interface OpenSitting {
  sitting: Reading[];
  /** Of its newest reading. */
  hour: number;
}

/**
 * The readings that may be pooled with one another: of one measure, side, state, posture
 * and measurer, within six hours of the last of them. Cold and warm are never pooled.
 *
 * @param readings any; those set aside are passed over
 * @returns sittings with their newest reading first, the newest sitting first
 */
export function splitSittings(readings: readonly Reading[]): readonly (readonly Reading[])[] {
  const newestFirst = readings
    .filter(isCounted)
    .sort((a, b) => compare(b.takenAt, a.takenAt) || compare(a.id, b.id));
  const ofMeasure = new Map<string, OpenSitting[]>();
  const sittings: Reading[][] = [];
  for (const reading of newestFirst) {
    const open = ofMeasure.get(reading.measure) ?? [];
    if (open.length === 0) ofMeasure.set(reading.measure, open);
    const hour = Date.parse(reading.takenAt) / MS_PER_HOUR;
    const begun = open.find(({ sitting }) => areRepeats(sitting[0]!, reading));
    if (begun !== undefined && begun.hour - hour <= SITTING_HOURS) {
      begun.sitting.push(reading);
      continue;
    }
    const sitting = [reading];
    sittings.push(sitting);
    if (begun === undefined) open.push({ sitting, hour });
    else {
      begun.sitting = sitting;
      begun.hour = hour;
    }
  }
  return sittings;
}
