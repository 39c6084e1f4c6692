import { useEffect, useRef, useState } from 'react';
import {
  AngleReader,
  type CapturedAngle,
  type ReaderState,
} from '../../../core/instruments/angleReader.ts';
import type { InstrumentSource } from './sources.ts';

/** Without a sample for this long the instrument counts as gone. */
const GONE_AFTER_MS = 1500;

export interface LiveReader {
  /** null = nothing has come yet. */
  readonly state: ReaderState | null;
  readonly isLost: boolean;
  readonly reader: AngleReader;
}

/**
 * Listens to a stream as long as the view stands.
 *
 * @param onCaptured called with what was taken by stillness
 */
export function useAngleReader(
  source: InstrumentSource | null,
  onCaptured: (angle: CapturedAngle, reader: AngleReader) => void,
): LiveReader {
  const [reader] = useState(() => new AngleReader());
  const [state, setState] = useState<ReaderState | null>(null);
  const [isLost, setIsLost] = useState(false);
  const latest = useRef(onCaptured);
  useEffect(() => {
    latest.current = onCaptured;
  });
  useEffect(() => {
    if (source === null) return;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const lose = (): void => {
      setIsLost(true);
      reader.reconnect();
    };
    const watch = (): void => {
      clearTimeout(timer);
      timer = setTimeout(lose, GONE_AFTER_MS);
    };
    watch();
    const stop = source({
      onSample: (sample) => {
        watch();
        setIsLost(false);
        const now = reader.push(sample);
        setState(now);
        if (now.captured !== null) latest.current(now.captured, reader);
      },
      onLost: lose,
    });
    return () => {
      clearTimeout(timer);
      stop();
    };
  }, [source, reader]);
  return { state, isLost, reader };
}
