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
    <section className="live" aria-label="Stopwatch">
      <div className={`live-row ${next?.side ?? ''}`}>
        <p className="live-side">{next?.side ?? 'all taken'}</p>
        <p className="live-number">
          {seconds.toFixed(1)}
          <span> s</span>
        </p>
      </div>
      <div className="button-row">
        <button type="button" className="button" onClick={press}>
          {startedAt !== null ? 'Stop' : next === null ? 'Next measure' : 'Start'} <kbd>Space</kbd>
        </button>
        <button type="button" className="button plain" onClick={undo} disabled={lastId === null}>
          Undo <kbd>⌫</kbd>
        </button>
      </div>
      {told}
    </section>
  );
}
