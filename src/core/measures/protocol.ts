import type { Demonstration } from './demonstration.ts';

export type Side = 'left' | 'right';
export const SIDES: readonly Side[] = ['left', 'right'];
/**
 * The other side.
 *
 * @param side left or right
 * @returns right or left
 * @example
 * otherSide('left') // → "right"
 */
export const otherSide = (side: Side): Side => (side === 'left' ? 'right' : 'left');

export type Unit = 'cm' | 'deg' | 's';

/** Which pair of default errors a measure carries; see readingErrors.ts. */
export type ErrorKind = 'range' | 'ankle' | 'length' | 'floor' | 'balance';

/** How one measure is taken: data for the measuring screens and for validation. */
export interface Protocol {
  readonly id: string;
  /** The field's term, then a plain one for the student's ear. */
  readonly name: string;
  readonly plainName: string;
  readonly unit: Unit;
  readonly errorKind: ErrorKind;
  readonly sided: boolean;
  /** Outside `usual` an entry is questioned, outside `possible` it is refused. Our choice. */
  readonly usual: readonly [number, number];
  readonly possible: readonly [number, number];
  readonly posture: 'standing' | 'lying on the back' | 'lying face down' | 'seated';
  readonly landmarks: string;
  readonly instruments: readonly (
    'tape' | 'goniometer' | 'inclinometer' | 'phone' | 'photo' | 'stopwatch'
  )[];
  readonly steps: readonly string[];
  /** What makes a reading wrong without anyone noticing. */
  readonly spoils: string;
  readonly caution: string;
  readonly feeds: string;
  readonly demonstration: Demonstration;
}
