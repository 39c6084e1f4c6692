import type { Side, Unit } from './protocol.ts';

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
}
