import { getProtocol, isMeasureId } from './protocols/index.ts';
import { isCounted, type Reading } from './reading.ts';

/** Readings of one measure that are further apart belong to different sittings. Our choice. */
const SITTING_HOURS = 6;
const MS_PER_HOUR = 3_600_000;

/** Where no posture was noted, the protocol's own was meant. */
export const findPosture = ({ posture, measure }: Reading): string | null =>
  posture ?? (isMeasureId(measure) ? getProtocol(measure).posture : null);

/** What two readings must share to be repeats of one another, but for the time. */
const kindOf = (reading: Reading): string =>
  [
    reading.measure,
    reading.side ?? '',
    reading.state ?? '',
    findPosture(reading) ?? '',
    reading.takenBy ?? '',
  ].join('|');

/** Of times and ids, whose letters need no language. */
const compare = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);

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
  const open = new Map<string, { readonly sitting: Reading[]; readonly hour: number }>();
  const sittings: Reading[][] = [];
  for (const reading of newestFirst) {
    const kind = kindOf(reading);
    const begun = open.get(kind);
    const hour = Date.parse(reading.takenAt) / MS_PER_HOUR;
    if (begun !== undefined && begun.hour - hour <= SITTING_HOURS) {
      begun.sitting.push(reading);
    } else {
      const sitting = [reading];
      open.set(kind, { sitting, hour });
      sittings.push(sitting);
    }
  }
  return sittings;
}
