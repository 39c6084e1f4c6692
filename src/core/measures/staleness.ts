import { getProtocol, type MeasureId } from './protocols/index.ts';

const MS_PER_DAY = 86_400_000;
/** Our choice: ranges drift within weeks, grown lengths hardly at all. */
const RANGE_DAYS = 8 * 7;
const LENGTH_DAYS = 2 * 365;
const GROWING_LENGTH_DAYS = 182;
const ADULT_AGE = 18;

/**
 * Whether a value is old enough to be taken again.
 *
 * @param measure which measure
 * @param takenAt ISO date of the latest reading
 * @param now ISO date; the core has no clock
 * @param birthYear null when unknown: taken as grown up
 * @returns by the age that the measure keeps
 */
export function isStale(
  measure: MeasureId,
  takenAt: string,
  now: string,
  birthYear: number | null,
): boolean {
  const ageInDays = (Date.parse(now) - Date.parse(takenAt)) / MS_PER_DAY;
  if (getProtocol(measure).unit !== 'cm') return ageInDays > RANGE_DAYS;
  const growing = birthYear !== null && Number(now.slice(0, 4)) - birthYear < ADULT_AGE;
  return ageInDays > (growing ? GROWING_LENGTH_DAYS : LENGTH_DAYS);
}
