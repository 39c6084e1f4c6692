import { measureKey, sidesOf } from '../measures/measureSet.ts';
import { calcSittingValue, type MeasureValue } from '../measures/measureValue.ts';
import { calcOwnWithin } from '../measures/ownWithin.ts';
import { PROTOCOLS, type MeasureId } from '../measures/protocols/index.ts';
import type { Side } from '../measures/protocol.ts';
import type { Reading } from '../measures/reading.ts';
import { splitSittings } from '../measures/sittings.ts';

/** One measure of one side over time, in one state and posture; the oldest value first. */
export interface Series {
  readonly key: string;
  readonly measure: MeasureId;
  readonly side: Side | null;
  readonly state: MeasureValue['state'];
  readonly posture: MeasureValue['posture'];
  readonly values: readonly MeasureValue[];
}

/**
 * Every measure over time. Cold and warm, and one posture and another, are series of their
 * own: they are never compared as change.
 *
 * @param readings of one person, in any order
 * @returns values by date
 */
export function listSeries(readings: readonly Reading[]): readonly Series[] {
  const own = calcOwnWithin(readings);
  return PROTOCOLS.flatMap(({ id, sided }) => {
    const measure = id as MeasureId;
    return sidesOf(sided).flatMap((side): Series[] => {
      const sittings = splitSittings(
        readings.filter((each) => each.measure === measure && each.side === side),
      );
      const groups = new Map<string, MeasureValue[]>();
      for (const sitting of sittings.toReversed()) {
        const value = calcSittingValue(sitting, measure, side, own);
        const key = [measureKey(measure, side), value.state ?? '', value.posture ?? ''].join('|');
        groups.set(key, [...(groups.get(key) ?? []), value]);
      }
      return [...groups].map(([key, values]) => {
        const sorted = values.toSorted((a, b) => a.takenAt.localeCompare(b.takenAt));
        const { state, posture } = sorted[0]!;
        return { key, measure, side, state, posture, values: sorted };
      });
    });
  });
}
