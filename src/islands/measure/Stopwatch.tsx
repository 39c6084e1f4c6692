import clsx from 'clsx';
import { LIVE_ROW, ON_THE_RIGHT } from './liveRow.ts';
import { toTenths } from '../../core/units/rounding.ts';
import { useEffect, useRef, useState } from 'react';
import type { Protocol } from '../../core/measures/protocol.ts';
import type { PersonRecord } from '../../core/person/person.ts';
import { removeReading, saveReading } from '../../data/readings.ts';
import type { HowTaken } from './HowTaken.tsx';
import { useCaptureKeys } from './live/useCaptureKeys.ts';
import { findNextSlot, type Slot } from './slots.ts';
import { useWrite } from '../shared/useWrite.tsx';
import type { Reading } from '../../core/measures/reading.ts';
import { Button } from '../shared/ui/Button.tsx';
import { stopwatch as say } from './words.ts';

interface StopwatchProps {
  record: PersonRecord;
  protocol: Protocol;
  slots: readonly (readonly Slot[])[];
  how: HowTaken;
  onNext: () => void;
}

/** One press starts, one stops and stores; it stops by itself at the measure's longest. */
export function Stopwatch({ record, protocol, slots, how, onNext }: StopwatchProps) {
  const longest = protocol.possible[1];
  const [startedAt, setStartedAt] = useState<number | null>(null);
  const [seconds, setSeconds] = useState(0);
  const [lastId, setLastId] = useState<string | null>(null);
  const next = findNextSlot(slots);
  const { write, told } = useWrite();

  const stop = (value: number): void => {
    setStartedAt(null);
    setSeconds(value);
    if (next === null) return;
    const id = crypto.randomUUID();
    setLastId(id);
    const taken: Reading = {
      id,
      measure: protocol.id,
      side: next.side,
      value: toTenths(value),
      unit: 's',
      raw: null,
      instrument: 'stopwatch',
      posture: protocol.posture,
      state: how.state,
      takenBy: how.takenBy,
      takenAt: new Date().toISOString(),
      note: '',
    };
    write(() => saveReading(record.person.id, taken), taken);
  };
  const latest = useRef(stop);
  useEffect(() => {
    latest.current = stop;
  });
  useEffect(() => {
    if (startedAt === null) return;
    const timer = setInterval(() => {
      const passed = (performance.now() - startedAt) / 1000;
      if (passed >= longest) latest.current(longest);
      else setSeconds(passed);
    }, 100);
    return () => {
      clearInterval(timer);
    };
  }, [startedAt, longest]);

  const press = (): void => {
    if (startedAt !== null) stop((performance.now() - startedAt) / 1000);
    else if (next === null) onNext();
    else {
      setSeconds(0);
      setStartedAt(performance.now());
    }
  };
  const undo = (): void => {
    if (lastId === null) return;
    write(async () => {
      await removeReading(record.person.id, lastId);
      setLastId(null);
      setSeconds(0);
    });
  };
  useCaptureKeys({ onTake: press, onUndo: undo });
  return (
    <section
      className="mb-4 outline-none [&_kbd]:rounded-[3px] [&_kbd]:border [&_kbd]:border-current [&_kbd]:px-[0.35rem] [&_kbd]:font-sans [&_kbd]:text-[0.8rem] [&_kbd]:leading-[normal] [&_kbd]:opacity-80"
      aria-label={say.stopwatch}
    >
      <div className={clsx(LIVE_ROW, next?.side === 'right' && ON_THE_RIGHT)}>
        <p className="m-0 font-serif text-[3.5rem] leading-none font-semibold max-phone:text-[2.6rem]">
          {next?.side ?? say.allSaved}
        </p>
        <p className="m-0 min-w-[5.2ch] text-right text-[7rem] leading-none whitespace-nowrap max-phone:min-w-[4.4ch] max-phone:text-[4.2rem] [&_span]:text-[3rem]">
          {seconds.toFixed(1)}
          <span> s</span>
        </p>
      </div>
      <div className="my-4 flex flex-wrap gap-3">
        <Button onClick={press}>
          {startedAt !== null ? 'Stop' : next === null ? say.nextMeasure : 'Start'}{' '}
          <kbd>{say.space}</kbd>
        </Button>
        <Button isPlain onClick={undo} disabled={lastId === null}>
          {say.undo}
          <kbd>⌫</kbd>
        </Button>
      </div>
      {told}
    </section>
  );
}
