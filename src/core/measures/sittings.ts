import { getProtocol, isMeasureId } from './protocols/index.ts';
import { isCounted, type Reading } from './reading.ts';

/** Readings of one measure that are further apart belong to different sittings. Our choice. */
const SITTING_HOURS = 6;
const MS_PER_HOUR = 3_600_000;

/**
 * Where no posture was noted, the protocol's own was meant.
 *
 * @returns the posture that a reading was taken in
 */
export const findPosture = ({ posture, measure }: Reading): string | null =>
  posture ?? (isMeasureId(measure) ? getProtocol(measure).posture : null);

/**
 * A range that was noted neither as cold nor as warm counts as cold; a length has no state.
 *
 * @returns cold, warm, or none
 */
export const findState = ({ state, measure }: Reading): Reading['state'] => {
  const isRange = isMeasureId(measure) && getProtocol(measure).unit === 'deg';
  return isRange ? (state ?? 'cold') : state;
};

/**
 * Whether a person's ranges were taken warm, so that a cold body has less.
 *
 * @param readings all of one person
 * @returns true as soon as one was
 */
export const isMeasuredWarm = (readings: readonly Reading[]): boolean =>
  readings.some(({ state }) => state === 'warm');

/** Whether two readings of one measure are repeats of one another, but for the time. */
const areRepeats = (a: Reading, b: Reading): boolean =>
  a.side === b.side &&
  findState(a) === findState(b) &&
  (a.takenBy ?? null) === (b.takenBy ?? null) &&
  findPosture(a) === findPosture(b);

/** Of times and ids, whose letters need no language. */
const compareText = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);

/** At least one reading, the newest first. */
export type Sitting = readonly Reading[];

interface OpenSitting {
  sitting: Reading[];
  /** Of its newest reading. */
  hour: number;
}

/** Sittings of one measure, the newest first. */
function splitOneMeasure(readings: Reading[]): readonly Sitting[] {
  readings.sort((a, b) => compareText(b.takenAt, a.takenAt) || compareText(a.id, b.id));
  const open: OpenSitting[] = [];
  const sittings: Reading[][] = [];
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
  return sittings;
}

/**
 * Sittings by their measure, the newest of each first; see {@link splitSittings}.
 *
 * @param readings of one person, in any order
 * @returns for every measure that was taken
 */
export function splitByMeasure(
  readings: readonly Reading[],
): ReadonlyMap<string, readonly Sitting[]> {
  const ofMeasure = new Map<string, Reading[]>();
  for (const reading of readings) {
    if (!isCounted(reading)) continue;
    const like = ofMeasure.get(reading.measure);
    if (like === undefined) ofMeasure.set(reading.measure, [reading]);
    else like.push(reading);
  }
  const sittings = new Map<string, readonly Sitting[]>();
  for (const [measure, like] of ofMeasure) sittings.set(measure, splitOneMeasure(like));
  return sittings;
}

/**
 * The readings that may be pooled with one another: of one measure, side, state, posture
 * and measurer, within six hours of the last of them. Cold and warm are never pooled.
 *
 * @param readings any; those set aside are passed over
 * @returns one measure's after the other's, the newest first
 */
export const splitSittings = (readings: readonly Reading[]): readonly Sitting[] =>
  [...splitByMeasure(readings).values()].flat();
