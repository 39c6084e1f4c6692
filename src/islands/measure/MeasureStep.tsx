import { useRef } from 'react';
import { ArrowLeft, ArrowRight } from 'lucide-react';
import { calcBody } from '../../core/body/body.ts';
import { calcMeasureValue, findThirdReadingNote } from '../../core/measures/measureValue.ts';
import { getProtocol, type MeasureId } from '../../core/measures/protocols/index.ts';
import { calcMeasureSet, sidesOf } from '../../core/measures/measureSet.ts';
import { findTapeForm, type TapeBody } from '../../core/measures/tapeForms.ts';
import { cmFromMetres } from '../../core/units/brands.ts';
import { judgeMeasuring } from '../../core/cautions/measuring.ts';
import { compareValues, type Comparison } from '../../core/measures/compareValues.ts';
import { SIDES, type Protocol, type Side } from '../../core/measures/protocol.ts';
import type { Reading } from '../../core/measures/reading.ts';
import type { PersonRecord } from '../../core/person/person.ts';
import { useQuery } from '../shared/useQuery.ts';
import { useUnit } from '../shared/useRecord.ts';
import { writeDate, writeValue } from '../shared/words.ts';
import { ReadingField } from './ReadingField.tsx';
import { TapeReading } from './TapeReading.tsx';

const READINGS_WISHED = 2;
const SITTING_MS = 6 * 3_600_000;

interface StepProps {
  record: PersonRecord;
  measure: MeasureId;
  /** What is measured one after the other. */
  round: readonly MeasureId[];
  onGo: (measure: MeasureId | null) => void;
}

const capitalise = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** "tape, phone or photo" */
const listWords = (words: readonly string[]): string =>
  words.length < 2 ? (words[0] ?? '') : `${words.slice(0, -1).join(', ')} or ${words.at(-1) ?? ''}`;

/** One measure on one screen: how it is taken, and a field for each reading. */
export function MeasureStep({ record, measure, round, onGo }: StepProps) {
  const protocol = getProtocol(measure);
  const index = round.indexOf(measure);
  const form = useRef<HTMLDivElement>(null);
  const next = round[index + 1] ?? null;
  const back = round[index - 1] ?? null;

  /** Enter leads from field to field, left before right, and on to the next measure. */
  const focusAfter = (from: HTMLInputElement): void => {
    const fields = [...(form.current?.querySelectorAll('input.reading') ?? [])];
    const following = fields[fields.indexOf(from) + 1];
    if (following instanceof HTMLInputElement) following.focus();
    else onGo(next);
  };

  return (
    <section className="measure-step">
      <div>
        <p className="quiet">
          {index + 1} of {round.length}, {protocol.posture}
        </p>
        <h1>{protocol.name}</h1>
        <p className="plain-name">{protocol.plainName}</p>
        <p>
          {capitalise(protocol.landmarks)}; by {listWords(protocol.instruments)}.
        </p>
        <ol className="steps">
          {protocol.steps.map((each) => (
            <li key={each}>{each}</li>
          ))}
        </ol>
        <p className="quiet">Spoiled by: {protocol.spoils.toLowerCase()}</p>
        {protocol.caution !== 'None.' && <p className="caution">{protocol.caution}</p>}
      </div>
      <div ref={form}>
        <p>
          <StateChoice />
          {findTapeForm(measure) !== null && <InstrumentChoice protocol={protocol} />}.
        </p>
        <CareFirst record={record} protocol={protocol} />
        <Fields protocol={protocol} measure={measure} record={record} onEnter={focusAfter} />
        <div className="button-row">
          <button
            type="button"
            className="button plain"
            onClick={() => {
              onGo(back);
            }}
          >
            <ArrowLeft aria-hidden size={18} /> {back === null ? 'Overview' : 'Back'}
          </button>
          <button
            type="button"
            className="button"
            onClick={() => {
              onGo(next);
            }}
          >
            {next === null ? 'Finish' : `Next: ${getProtocol(next).name.toLowerCase()}`}{' '}
            <ArrowRight aria-hidden size={18} />
          </button>
        </div>
        <p className="quiet">
          Enter saves and leads on. An empty field and Enter skips it. Lengths may be written as 34
          1/2 in, 3&apos;2&quot; or 86.5 cm.
        </p>
      </div>
    </section>
  );
}

/** Cold or warmed up: asked once a round and kept with each range. */
function StateChoice() {
  const [query, setQuery] = useQuery();
  const state = query.get('state') === 'warm' ? 'warm' : 'cold';
  const other = state === 'cold' ? 'warm' : 'cold';
  return (
    <>
      Ranges are taken{' '}
      <button
        type="button"
        className="word-button"
        onClick={() => {
          setQuery({ state: other });
        }}
      >
        {state === 'cold' ? 'cold' : 'warmed up'}
        <span className="sr-only">, change to {other === 'cold' ? 'cold' : 'warmed up'}</span>
      </button>
    </>
  );
}

/** By the protocol's first instrument, typed as an angle, or by tape with the trigonometry done. */
function InstrumentChoice({ protocol }: { protocol: Protocol }) {
  const [query, setQuery] = useQuery();
  const byTape = query.get('by') === 'tape';
  const other = protocol.instruments.find((each) => each !== 'tape') ?? 'goniometer';
  return (
    <>
      {' '}
      and read by{' '}
      <button
        type="button"
        className="word-button"
        onClick={() => {
          setQuery({ by: byTape ? null : 'tape' });
        }}
      >
        {byTape ? 'tape' : other}
        <span className="sr-only">, change to {byTape ? other : 'tape'}</span>
      </button>
    </>
  );
}

/** The lengths of one leg that tape sums need; null while they cannot be told. */
function findTapeBody(record: PersonRecord, side: Side | null): TapeBody | null {
  const body = calcBody(calcMeasureSet(record.readings));
  if (!body.ok || side === null) return null;
  const { thigh, shank, footLength, hipCentreDistance } = body.value;
  return {
    thigh: cmFromMetres(thigh[side]),
    shank: cmFromMetres(shank[side]),
    footLength: cmFromMetres(footLength),
    hipCentreDistance: cmFromMetres(hipCentreDistance),
  };
}

const isOfNow = (reading: Reading, now: number): boolean =>
  now - Date.parse(reading.takenAt) < SITTING_MS;

/** What a person's cautions say to this measure, before a hand is laid on. */
function CareFirst({ record, protocol }: { record: PersonRecord; protocol: Protocol }) {
  const verdicts = sidesOf(protocol.sided).map((side) => ({
    side,
    ...judgeMeasuring(record.person, protocol, side),
  }));
  return verdicts
    .filter(({ verdict }) => verdict !== 'free')
    .map(({ side, verdict, reasons }) => (
      <p key={String(side)} className="caution" role={verdict === 'blocked' ? 'alert' : 'note'}>
        {side === null ? '' : `${capitalise(side)}: `}
        {verdict === 'blocked' ? 'not to be taken. ' : ''}
        {reasons.join(' ')}
      </p>
    ));
}

interface FieldsProps {
  protocol: Protocol;
  measure: MeasureId;
  record: PersonRecord;
  onEnter: (from: HTMLInputElement) => void;
}

function Fields({ protocol, measure, record, onEnter }: FieldsProps) {
  const unit = useUnit();
  const [query] = useQuery();
  const state = protocol.unit === 'deg' ? (query.get('state') === 'warm' ? 'warm' : 'cold') : null;
  const form = query.get('by') === 'tape' ? findTapeForm(measure) : null;
  const now = new Date().getTime();
  const sides = sidesOf(protocol.sided).filter(
    (side) => judgeMeasuring(record.person, protocol, side).verdict !== 'blocked',
  );
  const ofSide = (side: Side | null): Reading[] =>
    record.readings.filter((each) => each.measure === measure && each.side === side);
  const current = (side: Side | null): Reading[] =>
    ofSide(side).filter((each) => isOfNow(each, now));
  const rows = Math.max(
    READINGS_WISHED,
    ...sides.map((side) => current(side).length + (asksForThird(record, measure, side) ? 1 : 0)),
  );
  if (sides.length === 0) return null;
  return (
    <div
      className="reading-grid"
      style={{ gridTemplateColumns: `repeat(${String(sides.length)}, 1fr)` }}
    >
      {Array.from({ length: rows }, (_, row) =>
        sides.map((side) =>
          form !== null ? (
            <TapeReading
              key={`tape ${String(side)} ${String(row)}`}
              personId={record.person.id}
              protocol={protocol}
              form={form}
              body={findTapeBody(record, side)}
              side={side}
              row={row}
              reading={current(side)[row] ?? null}
              state={state}
              unit={unit}
              onEnter={onEnter}
            />
          ) : (
            <ReadingField
              key={`${String(side)} ${String(row)}`}
              personId={record.person.id}
              protocol={protocol}
              side={side}
              row={row}
              reading={current(side)[row] ?? null}
              state={state}
              unit={unit}
              focusFirst={row === 0 && side === sides[0]}
              onEnter={onEnter}
            />
          ),
        ),
      )}
      {sides.map((side) => (
        <ValueLine
          key={String(side)}
          record={record}
          measure={measure}
          side={side}
          before={ofSide(side).filter((each) => !isOfNow(each, now))}
        />
      ))}
      {sides.length === 2 && <SidesLine record={record} measure={measure} />}
    </div>
  );
}

function asksForThird(record: PersonRecord, measure: MeasureId, side: Side | null): boolean {
  const value = calcMeasureValue(record.readings, measure, side);
  return value !== null && findThirdReadingNote(value) !== null;
}

/** What has changed, told apart from what measuring alone would show. */
function sayChange(
  { difference, smallestReal, verdict }: Comparison,
  write: (value: number) => string,
): string {
  if (verdict === 'other-state') return 'not compared: cold and warm differ by themselves';
  const signed = `${difference < 0 ? '−' : '+'} ${write(Math.abs(difference))}`;
  return verdict === 'real'
    ? `${signed}, more than the ${write(smallestReal)} of measuring error`
    : `${signed}, inside the ${write(smallestReal)} of measuring error`;
}

/** Left against right, against their own error. */
function SidesLine({ record, measure }: { record: PersonRecord; measure: MeasureId }) {
  const unit = useUnit();
  const [left, right] = SIDES.map((side) => calcMeasureValue(record.readings, measure, side));
  if (!left || !right) return null;
  const { difference, smallestReal, verdict } = compareValues(left, right);
  if (verdict === 'other-state') return null;
  const write = (each: number): string => writeValue(each, getProtocol(measure).unit, unit);
  const apart = write(Math.round(Math.abs(difference) * 10) / 10);
  const error = write(Math.round(smallestReal * 10) / 10);
  return (
    <p className="sides-line">
      {verdict === 'noise'
        ? `No clear difference between left and right: ${apart}, and measuring alone gives up to ${error}.`
        : `The ${difference < 0 ? 'left' : 'right'} has ${apart} less, more than the ${error} of measuring error.`}
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
function ValueLine({ record, measure, side, before }: ValueLineProps) {
  const unit = useUnit();
  const protocol = getProtocol(measure);
  const value = calcMeasureValue(record.readings, measure, side);
  const earlier = calcMeasureValue(before, measure, side);
  if (value === null) return <p className="quiet value-line">no reading yet</p>;
  const third = findThirdReadingNote(value);
  const write = (each: number): string => writeValue(each, protocol.unit, unit);
  const isOld = earlier?.takenAt === value.takenAt;
  return (
    <div className="value-line" aria-live="polite">
      <p>
        <span className={isOld ? 'value quiet' : 'value'}>{write(value.value)}</span> ±{' '}
        {write(value.error)}
        {value.readingIds.length > 1 && `, spread ${write(value.spread)}`}
        {isOld && <span className="quiet">, {writeDate(value.takenAt)}</span>}
      </p>
      {third !== null && !isOld && <p className="caution">{`${third.message} ${third.hint}`}</p>}
      {earlier !== null && !isOld && (
        <p className="quiet">
          before: {write(earlier.value)}, {writeDate(earlier.takenAt)};{' '}
          {sayChange(compareValues(value, earlier), write)}
        </p>
      )}
    </div>
  );
}
