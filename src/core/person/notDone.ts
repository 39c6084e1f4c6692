import type { Side } from '../measures/protocol.ts';
import { isCounted } from '../measures/reading.ts';
import type { NotDone, PersonRecord } from './person.ts';

/**
 * Why a test stands open: the latest reason, unless a reading came after it.
 *
 * @param measure which
 * @param side null = a measure without sides
 * @returns null when it was taken since, or never left out
 */
export function findNotDone(
  { person, readings }: PersonRecord,
  measure: string,
  side: Side | null,
): NotDone | null {
  const isOf = (each: { readonly measure: string; readonly side: Side | null }): boolean =>
    each.measure === measure && each.side === side;
  const latest = person.notDone
    .filter(isOf)
    .reduce<NotDone | null>(
      (last, each) => (last === null || each.at >= last.at ? each : last),
      null,
    );
  if (latest === null) return null;
  const isAnswered = readings.some(
    (each) => isOf(each) && isCounted(each) && each.takenAt > latest.at,
  );
  return isAnswered ? null : latest;
}

/**
 * Notes why a test was not taken, in place of an earlier reason for it.
 *
 * @param notDone the reasons so far
 * @param entry the new one
 * @returns the reasons with it
 */
export const noteNotDone = (notDone: readonly NotDone[], entry: NotDone): readonly NotDone[] => [
  ...notDone.filter((each) => each.measure !== entry.measure || each.side !== entry.side),
  entry,
];
