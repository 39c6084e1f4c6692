import type { Side, Unit } from './protocol.ts';

/** Why a reading no longer counts; it is kept. */
interface SetAside {
  readonly reason: string;
  readonly at: string;
}

/** What a reading said before it was put right. */
interface Correction {
  /** Its very first value, in its own unit. */
  readonly from: number;
  readonly reason: string;
  readonly at: string;
}

/** One reading, exactly as it stands in a person file (centimetres, degrees, seconds). */
export interface Reading {
  readonly id: string;
  readonly measure: string;
  readonly side: Side | null;
  readonly value: number;
  readonly unit: Unit;
  readonly raw?: Readonly<Record<string, unknown>> | null;
  readonly instrument: string;
  readonly posture: string | null;
  readonly state: 'cold' | 'warm' | null;
  readonly takenAt: string;
  readonly note: string;
  /** Who measured; absent or null = not said. */
  readonly takenBy?: string | null;
  readonly setAside?: SetAside | null;
  readonly corrected?: Correction | null;
  /** Taken with a simulated instrument, to practise: it counts for nothing. */
  readonly isSimulated?: true;
}

/**
 * Whether a reading is used: it is neither set aside nor simulated.
 *
 * @returns false for what is kept but not used
 */
export const isCounted = ({ setAside, isSimulated }: Reading): boolean =>
  setAside == null && isSimulated !== true;

/**
 * A reading with a new value; its first one is kept.
 *
 * @param reading one reading
 * @param value the right one
 * @param reason why it was corrected
 * @param at ISO date
 * @returns a new reading of the same id
 */
export function correctReading(
  reading: Reading,
  value: number,
  reason: string,
  at: string,
): Reading {
  const from = reading.corrected?.from ?? reading.value;
  const { corrected, ...plain } = reading;
  return value === from
    ? { ...plain, value }
    : { ...plain, value, corrected: { from, reason, at } };
}
