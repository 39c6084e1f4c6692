import clsx from 'clsx';
import { toTenths } from '../../core/units/rounding.ts';
import { compareValues, type Comparison } from '../../core/measures/compareValues.ts';
import { explainError } from '../../core/measures/explainError.ts';
import { calcMeasureValue, findThirdReadingNote } from '../../core/measures/measureValue.ts';
import { getProtocol, type MeasureId } from '../../core/measures/protocols/index.ts';
import { otherSide, SIDES, type Side } from '../../core/measures/protocol.ts';
import type { Reading } from '../../core/measures/reading.ts';
import { questionSides } from '../../core/measures/questionReading.ts';
import type { PersonRecord } from '../../core/person/person.ts';
import { saveReadings } from '../../data/readings.ts';
import { useUnit } from '../shared/useRecord.ts';
import { writeDate, writeValue } from '../shared/writeValue.ts';
import { useWrite } from '../shared/useWrite.tsx';
import { WordButton } from '../shared/ui/Button.tsx';
import { valueLine as text } from './words.ts';

/** What has changed by more than measuring alone would show. */
function sayDifference(
  { difference, smallestReal, verdict }: Comparison,
  write: (value: number) => string,
): string {
  if (verdict === 'other-state') return text.notComparedOneCold;
  if (verdict === 'other-posture') return text.notComparedTakenAnother;
  if (verdict === 'other-measurer') return text.notComparedSomeoneElse;
  const signed = `${difference < 0 ? '−' : '+'} ${write(Math.abs(difference))}`;
  return verdict === 'real'
    ? text.beyondMeasuringError(signed, write(smallestReal))
    : text.withinMeasuringError(signed, write(smallestReal));
}

/** Left against right, against their own error. */
export function SidesLine({ record, measure }: { record: PersonRecord; measure: MeasureId }) {
  const unit = useUnit();
  const { write, told } = useWrite();
  const [left, right] = SIDES.map((side) => calcMeasureValue(record.readings, measure, side));
  if (!left || !right) return null;
  const swapped = questionSides(record.readings, measure);
  if (swapped !== null) {
    const changeOver = (): void => {
      const ids = new Set([...left.readingIds, ...right.readingIds]);
      const changed = record.readings.flatMap((each): Reading[] =>
        ids.has(each.id) && each.side !== null ? [{ ...each, side: otherSide(each.side) }] : [],
      );
      write(() => saveReadings(record.person.id, changed));
    };
    return (
      <div className="col-span-full font-semibold">
        {swapped.message} {swapped.hint}{' '}
        <WordButton onClick={changeOver}>{text.swapLeftRight}</WordButton>
        {told}
      </div>
    );
  }
  const { difference, smallestReal, verdict } = compareValues(left, right);
  if (verdict !== 'real' && verdict !== 'noise') return null;
  const say = (each: number): string => writeValue(each, getProtocol(measure).unit, unit);
  const apart = say(toTenths(Math.abs(difference)));
  const error = say(toTenths(smallestReal));
  return (
    <p className="col-span-full">
      {verdict === 'noise'
        ? text.noClearDifferenceBetween(apart, error)
        : text.hasLessBeyondMeasuring(difference < 0 ? 'left' : 'right', apart, error)}
    </p>
  );
}

interface ValueLineProps {
  record: PersonRecord;
  measure: MeasureId;
  side: Side | null;
  before: readonly Reading[];
}

/** What the readings come to, with spread and error, and what it was before. */
export function ValueLine({ record, measure, side, before }: ValueLineProps) {
  const unit = useUnit();
  const protocol = getProtocol(measure);
  const value = calcMeasureValue(record.readings, measure, side);
  const earlier = calcMeasureValue(before, measure, side);
  if (value === null)
    return <p className="text-faint border-t border-hair pt-[0.4rem]">{text.noReadingYet}</p>;
  const third = findThirdReadingNote(value);
  const write = (each: number): string => writeValue(each, protocol.unit, unit);
  const isOld = earlier?.takenAt === value.takenAt;
  return (
    <div className="border-t border-hair pt-[0.4rem]" aria-live="polite">
      <p>
        <span
          className={clsx(
            'font-serif text-[1.6rem] leading-[normal] font-medium normal-nums',
            isOld && 'text-faint',
          )}
          data-testid="value"
        >
          {write(value.value)}
        </span>{' '}
        ± {write(value.error)}
        {value.readingIds.length > 1 && text.spread(write(value.spread))}
        {isOld && <span className="text-faint">, {writeDate(value.takenAt)}</span>}
      </p>
      <details>
        <summary className="text-faint">{text.accuracy}</summary>
        {explainError(value).map((each) => (
          <p key={each}>{each}</p>
        ))}
      </details>
      {third !== null && !isOld && (
        <p className="font-semibold">{`${third.message} ${third.hint}`}</p>
      )}
      {earlier !== null && !isOld && (
        <p className="text-faint">
          {text.before(
            write(earlier.value),
            writeDate(earlier.takenAt),
            sayDifference(compareValues(value, earlier), write),
          )}
        </p>
      )}
    </div>
  );
}
