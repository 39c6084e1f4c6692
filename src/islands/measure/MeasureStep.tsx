import { useRef } from 'react';
import { ArrowLeft, ArrowRight } from 'lucide-react';
import { calcBody } from '../../core/body/body.ts';
import { calcMeasureValue, findThirdReadingNote } from '../../core/measures/measureValue.ts';
import { getProtocol, type MeasureId } from '../../core/measures/protocols/index.ts';
import { calcMeasureSet, sidesOf } from '../../core/measures/measureSet.ts';
import { findTapeForm, type TapeBody } from '../../core/measures/tapeForms.ts';
import { cmFromMetres } from '../../core/units/brands.ts';
import { judgeMeasuring } from '../../core/cautions/measuring.ts';
import type { Protocol, Side } from '../../core/measures/protocol.ts';
import type { Reading } from '../../core/measures/reading.ts';
import type { PersonRecord } from '../../core/person/person.ts';
import { useQuery } from '../shared/useQuery.ts';
import { useUnit } from '../shared/useRecord.ts';
import { InstrumentChoice, StateChoice } from './HowTaken.tsx';
import { ReadingField } from './ReadingField.tsx';
import { TapeReading } from './TapeReading.tsx';
import { SidesLine, ValueLine } from './ValueLine.tsx';

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
