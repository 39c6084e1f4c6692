import { useRef, useState } from 'react';
import { ArrowLeft, ArrowRight } from 'lucide-react';
import { judgeMeasuring } from '../../core/cautions/measuring.ts';
import { drawDemonstration } from '../../core/drawing/demonstration/drawDemonstration.ts';
import { findDrawnBody } from '../../core/drawing/demonstration/drawnBody.ts';
import { sidesOf } from '../../core/measures/measureSet.ts';
import { getProtocol, type MeasureId } from '../../core/measures/protocols/index.ts';
import type { Protocol } from '../../core/measures/protocol.ts';
import type { PersonRecord } from '../../core/person/person.ts';
import { SheetDrawing } from '../shared/SheetDrawing.tsx';
import { Fields } from './Fields.tsx';
import { CrossChecks } from './CrossChecks.tsx';
import { RoundWords, useHowTaken, useWay, WayChoice } from './HowTaken.tsx';
import { LandmarkTerms } from './LandmarkTerms.tsx';
import { LiveReading } from './live/LiveReading.tsx';
import { NotTaken } from './NotTaken.tsx';
import { PhotoReading } from './photo/PhotoReading.tsx';
import { ReadingsList } from './ReadingsList.tsx';
import { findSlots, splitByNow } from './slots.ts';
import { Stopwatch } from './Stopwatch.tsx';
import { SidesLine, ValueLine } from './ValueLine.tsx';
import { Button } from '../shared/ui/Button.tsx';
import { measureStep as say } from './words.ts';

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
  words.length < 2 ? (words[0] ?? '') : say.or(words.slice(0, -1).join(', '), words.at(-1) ?? '');

/** One measure on one screen: how it is taken, and a place for each reading. */
export function MeasureStep({ record, measure, round, onGo }: StepProps) {
  const protocol = getProtocol(measure);
  const index = round.indexOf(measure);
  const next = round[index + 1] ?? null;
  const back = round[index - 1] ?? null;
  return (
    <section className="grid grid-cols-[minmax(0,1fr)_minmax(0,1.15fr)] gap-x-16 gap-y-6 pt-2 max-phone:grid-cols-[minmax(0,1fr)] [&_h1]:mb-0 [&_h1]:text-[2.6rem]">
      <div>
        <p className="text-faint">{say.of(index + 1, round.length, protocol.posture)}</p>
        <h1>{protocol.name}</h1>
        <p className="font-serif text-[1.25rem] leading-[normal] text-faint italic">
          {protocol.plainName}
        </p>
        <p>{say.by(capitalise(protocol.landmarks), listWords(protocol.instruments))}</p>
        <LandmarkTerms text={protocol.landmarks} readings={record.readings} />
        <ol className="my-3 grid list-decimal gap-[0.4rem] pl-[1.8rem] text-[1.15rem]">
          {protocol.steps.map((each) => (
            <li key={each}>{each}</li>
          ))}
        </ol>
        <p className="text-faint">{say.usedFor(protocol.feeds)}</p>
        <p className="text-faint">{say.watchFor(protocol.spoils.toLowerCase())}</p>
        {protocol.caution !== 'None.' && <p className="font-semibold">{protocol.caution}</p>}
        <DemonstrationDrawing record={record} protocol={protocol} />
      </div>
      <div>
        <p>
          <RoundWords />
          <WayChoice protocol={protocol} />.
        </p>
        <CareFirst record={record} protocol={protocol} />
        <CrossChecks record={record} measure={measure} />
        <Readings
          record={record}
          measure={measure}
          onNext={() => {
            onGo(next);
          }}
        />
        <div className="my-4 flex flex-wrap gap-3">
          <Button
            isPlain
            onClick={() => {
              onGo(back);
            }}
          >
            <ArrowLeft aria-hidden size={18} /> {back === null ? 'Overview' : 'Back'}
          </Button>
          <Button
            onClick={() => {
              onGo(next);
            }}
          >
            {next === null ? 'Finish' : say.next(getProtocol(next).name.toLowerCase())}{' '}
            <ArrowRight aria-hidden size={18} />
          </Button>
        </div>
        <ReadingsList record={record} measure={measure} />
      </div>
    </section>
  );
}

/** The posture, the landmarks and the instrument, on this person's own body. */
function DemonstrationDrawing({ record, protocol }: { record: PersonRecord; protocol: Protocol }) {
  const drawing = drawDemonstration(findDrawnBody(record.readings), protocol);
  return <SheetDrawing drawing={drawing} className="mt-[0.8rem] block h-76 w-full max-w-136" />;
}

/** What a person's cautions say to this measure, before a hand is laid on. */
function CareFirst({ record, protocol }: { record: PersonRecord; protocol: Protocol }) {
  const verdicts = sidesOf(protocol.sided).map((side) => ({
    side,
    ...judgeMeasuring(record.person, protocol, side),
  }));
  return verdicts
    .filter(({ verdict }) => verdict !== 'free')
    .map(({ side, verdict, reasons }) => (
      <p
        key={String(side)}
        className="font-semibold"
        role={verdict === 'blocked' ? 'alert' : 'note'}
      >
        {side === null ? '' : `${capitalise(side)}: `}
        {verdict === 'blocked' ? say.notTaken : ''}
        {reasons.join(' ')}
      </p>
    ));
}

interface ReadingsProps {
  record: PersonRecord;
  measure: MeasureId;
  onNext: () => void;
}

/** The places for this sitting's readings, filled in the chosen way, and what they come to. */
function Readings({ record, measure, onNext }: ReadingsProps) {
  const protocol = getProtocol(measure);
  const how = useHowTaken(protocol);
  const way = useWay(protocol);
  const form = useRef<HTMLDivElement>(null);
  const [now] = useState(() => Date.now());
  const slots = findSlots(record, measure, now);
  const sides = slots[0]?.map((each) => each.side) ?? [];
  if (sides.length === 0) return null;

  /**
   * Enter leads from field to field, left before right, and on to the next measure; from an empty field
   * at once when every side has its reading.
   */
  const focusAfter = (from: HTMLInputElement): void => {
    const fields = [...(form.current?.querySelectorAll('input[data-reading]') ?? [])];
    const following = fields[fields.indexOf(from) + 1];
    const isDone = slots[0]?.every(({ reading }) => reading !== null) === true;
    if (from.value === '' && isDone) onNext();
    else if (following instanceof HTMLInputElement) following.focus();
    else onNext();
  };
  const shared = { record, protocol, slots, how, onNext };
  return (
    <div ref={form}>
      {(way === 'inclinometer' || way === 'phone') && (
        <LiveReading key={`${measure} ${way}`} {...shared} way={way} />
      )}
      {way === 'photo' && (
        <PhotoReading key={measure} record={record} protocol={protocol} slots={slots} how={how} />
      )}
      {way === 'stopwatch' && <Stopwatch key={measure} {...shared} />}
      <div
        className="grid gap-x-6 gap-y-2"
        style={{ gridTemplateColumns: `repeat(${String(sides.length)}, 1fr)` }}
      >
        <Fields
          record={record}
          measure={measure}
          slots={slots}
          way={way}
          how={how}
          onEnter={focusAfter}
        />
        {sides.map((side) => (
          <ValueLine
            key={String(side)}
            record={record}
            measure={measure}
            side={side}
            before={splitByNow(record, measure, side, now).before}
          />
        ))}
        {sides.length === 2 && <SidesLine record={record} measure={measure} />}
        {sides.map((side) => (
          <NotTaken key={String(side)} record={record} measure={measure} side={side} />
        ))}
      </div>
      {way === 'typed' && <p className="text-faint">{say.enterSavesMovesEnter}</p>}
    </div>
  );
}
