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

/** Adds the sittings of one measure, the newest first. */
function addSittings(sittings: Reading[][], readings: Reading[]): void {
  readings.sort((a, b) => compare(b.takenAt, a.takenAt) || compare(a.id, b.id));
  const open: OpenSitting[] = [];
  for (const reading of readings) {
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
}

/**
 * The readings that may be pooled with one another: of one measure, side, state, posture
 * and measurer, within six hours of the last of them. Cold and warm are never pooled.
 *
 * @param readings any; those set aside are passed over
 * @returns sittings with their newest reading first; those of one measure follow one another,
 *   the newest first
 */
export function splitSittings(readings: readonly Reading[]): readonly (readonly Reading[])[] {
  const ofMeasure = new Map<string, Reading[]>();
  for (const reading of readings) {
    if (!isCounted(reading)) continue;
    const like = ofMeasure.get(reading.measure);
    if (like === undefined) ofMeasure.set(reading.measure, [reading]);
    else like.push(reading);
  }
  const sittings: Reading[][] = [];
  for (const like of ofMeasure.values()) addSittings(sittings, like);
  return sittings;
}
