import { PROTOCOLS, type MeasureId } from './protocols/index.ts';
import { SIDES, type Side } from './protocol.ts';
import { calcSittingValue, type MeasureValue } from './measureValue.ts';
import { poolWithin } from './ownWithin.ts';
import type { Reading } from './reading.ts';
import { splitByMeasure } from './sittings.ts';

/** All values of one person, found by measure and side. */
export type MeasureSet = ReadonlyMap<string, MeasureValue>;

/**
 * The key of a value in a measure set.
 *
 * @param measure which
 * @param side null = a measure without sides
 * @returns measure and side as one text
 * @example
 * measureKey('hip-flexion', 'left') // → "hip-flexion left"
 */
export const measureKey = (measure: MeasureId, side: Side | null): string =>
  side === null ? measure : `${measure} ${side}`;

/**
 * The sides a measure is taken on: left and right, or none.
 *
 * @param sided whether it has sides
 * @returns `null` alone for a measure without sides
 */
export const sidesOf = (sided: boolean): readonly (Side | null)[] => (sided ? SIDES : [null]);

/**
 * Every measure that has at least one reading, as a value with its error.
 *
 * @param readings of one person, in any order
 * @returns values found by measure and side
 * @example
 * calcMeasureSet(record.readings).get('stature').value // → 171
 */
export function calcMeasureSet(readings: readonly Reading[]): MeasureSet {
  const sittings = splitByMeasure(readings);
  const own = poolWithin([...sittings.values()].flat());
  const set = new Map<string, MeasureValue>();
  for (const { id, sided } of PROTOCOLS) {
    const measure = id as MeasureId;
    const newestFirst = sittings.get(measure) ?? [];
    for (const side of sidesOf(sided)) {
      const latest = newestFirst.find(([reading]) => reading!.side === side);
      if (latest === undefined) continue;
      set.set(measureKey(measure, side), calcSittingValue(latest, measure, side, own));
    }
  }
  return set;
}

/**
 * A value of a measure set.
 *
 * @param set of one person
 * @param measure which
 * @param side null = a measure without sides
 * @returns null when it was never taken
 * @example
 * findValue(context.set, 'hip-flexion', 'left').value // → 120
 */
export const findValue = (
  set: MeasureSet,
  measure: MeasureId,
  side: Side | null,
): MeasureValue | null => set.get(measureKey(measure, side)) ?? null;
