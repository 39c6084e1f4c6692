import { PROTOCOLS, type MeasureId } from './protocols/index.ts';
import { SIDES, type Side } from './protocol.ts';
import { calcMeasureValue, type MeasureValue } from './measureValue.ts';
import { calcOwnWithin } from './ownWithin.ts';
import type { Reading } from './reading.ts';

/** All values of one person, found by measure and side. */
export type MeasureSet = ReadonlyMap<string, MeasureValue>;

export const measureKey = (measure: MeasureId, side: Side | null): string =>
  side === null ? measure : `${measure} ${side}`;

/** The sides a measure is taken on: left and right, or none. */
export const sidesOf = (sided: boolean): readonly (Side | null)[] => (sided ? SIDES : [null]);

/** Every measure that has at least one reading, as a value with its error. */
export function calcMeasureSet(readings: readonly Reading[]): MeasureSet {
  const own = calcOwnWithin(readings);
  const set = new Map<string, MeasureValue>();
  for (const protocol of PROTOCOLS) {
    const measure = protocol.id as MeasureId;
    for (const side of sidesOf(protocol.sided)) {
      const value = calcMeasureValue(readings, measure, side, own);
      if (value !== null) set.set(measureKey(measure, side), value);
    }
  }
  return set;
}

export const findValue = (
  set: MeasureSet,
  measure: MeasureId,
  side: Side | null,
): MeasureValue | null => set.get(measureKey(measure, side)) ?? null;
