import type { CautionEntry, Person } from '../person/person.ts';
import { problem, type Problem } from '../problems/problem.ts';
import { findCautionKind, type CautionKind } from './catalogue.ts';

export interface ActiveCaution {
  readonly entry: CautionEntry;
  /** null when the id is not one we know; it is kept and shown by its id. */
  readonly kind: CautionKind | null;
  readonly stops: boolean;
}

const isCleared = (entry: CautionEntry): boolean =>
  entry.clearedBy !== null && entry.clearedAt !== null;

/**
 * Whether an entry holds back every set-up: a sign of the first three tiers that
 * nobody has cleared, or any caution marked as a stop.
 */
function stops(entry: CautionEntry, kind: CautionKind | null): boolean {
  if (isCleared(entry)) return false;
  return entry.severity === 'stop' || (kind !== null && kind.tier !== 'adapt');
}

/**
 * The cautions of a person that were not cleared.
 *
 * @param person with their cautions
 * @returns each entry with its kind; kind null = none that we know
 */
export function findActiveCautions(person: Person): ActiveCaution[] {
  return person.cautions.map((entry) => {
    const kind = findCautionKind(entry.id);
    return { entry, kind, stops: stops(entry, kind) };
  });
}

/**
 * The stop signs of a person as problems, the most urgent first; empty when none holds.
 *
 * @param person with answers and cautions
 * @returns one problem for each sign
 */
export function findStopSigns(person: Person): Problem[] {
  const urgency = (kind: CautionKind | null): number =>
    ['emergency', 'same-day', 'send-on'].indexOf(kind?.tier ?? 'send-on');
  return findActiveCautions(person)
    .filter((each) => each.stops)
    .sort((a, b) => urgency(a.kind) - urgency(b.kind))
    .map(({ entry, kind }) =>
      problem('stop-sign', `cautions.${entry.id}`, {
        caution: kind?.name ?? entry.id,
        advice:
          kind?.tier === 'adapt' || kind === null
            ? 'No set-up until a doctor or physiotherapist has cleared it.'
            : kind.advice,
      }),
    );
}
