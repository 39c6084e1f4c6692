import type { Reading } from '../measures/reading.ts';

export type Experience = 'new' | 'steady' | 'seasoned';

/** One line of a person's cautions; its id is one of cautions/catalogue.ts, or kept as it is. */
export interface CautionEntry {
  readonly id: string;
  readonly side: 'left' | 'right' | 'both' | null;
  readonly since: string | null;
  readonly severity: 'mild' | 'marked' | 'stop';
  readonly clearedBy: string | null;
  readonly clearedAt: string | null;
  readonly note: string;
}

export interface Person {
  readonly id: string;
  readonly name: string;
  readonly birthYear: number | null;
  /** Only chooses which published reference band is shown. */
  readonly sexForReference: 'female' | 'male' | null;
  readonly bodyMassKg: number | null;
  readonly experience: Experience;
  readonly cautions: readonly CautionEntry[];
  readonly notes: string;
  /** When the stop signs were last asked; null = not yet. */
  readonly cautionsAskedAt: string | null;
}

/** Everything a set-up is computed from. */
export interface PersonRecord {
  readonly person: Person;
  readonly readings: readonly Reading[];
}
