import { findStopSigns } from '../cautions/stopSigns.ts';
import { calcMeasureSet } from '../measures/measureSet.ts';
import type { MeasureId } from '../measures/protocols/index.ts';
import { SHORT_ROUND } from '../measures/rounds.ts';
import { isStale } from '../measures/staleness.ts';
import type { PersonRecord } from '../person/person.ts';
import { readSession } from './readSession.ts';
import type { Session } from './session.ts';

/** What is next for a person. */
export type NextAction =
  /** A stop sign holds every set-up back. */
  | { readonly kind: 'health' }
  | { readonly kind: 'measure' }
  /** Before the first session, what the short round still lacks; later it was left out on purpose. */
  | { readonly kind: 'finish-round'; readonly measures: readonly MeasureId[] }
  | { readonly kind: 'go-on'; readonly session: string }
  /** Values that are old enough to be taken again. */
  | { readonly kind: 're-measure'; readonly measures: readonly MeasureId[]; readonly count: number }
  | { readonly kind: 'set-up' }
  | { readonly kind: 'session' };

/**
 * The one thing that is next for a person: what is unsafe first, then what is begun, then what the
 * numbers rest on, then practice.
 *
 * @param record the person with all readings
 * @param sessions of this person, the latest planned first
 * @param now ISO date; the core has no clock
 * @returns never nothing
 */
export function findNextAction(
  record: PersonRecord,
  sessions: readonly Session[],
  now: string,
): NextAction {
  if (findStopSigns(record.person).length > 0) return { kind: 'health' };
  if (record.readings.length === 0) return { kind: 'measure' };
  const open = sessions.find((each) => readSession(each).ended === null);
  if (open !== undefined) return { kind: 'go-on', session: open.id };
  const stale = [...calcMeasureSet(record.readings).values()].filter(({ measure, takenAt }) =>
    isStale(measure, takenAt, now, record.person.birthYear),
  );
  if (stale.length > 0) {
    const measures = [...new Set(stale.map(({ measure }) => measure))];
    return { kind: 're-measure', measures, count: stale.length };
  }
  if (sessions.length > 0) return { kind: 'session' };
  const measured = new Set(record.readings.map(({ measure }) => measure));
  const measures = SHORT_ROUND.filter((each) => !measured.has(each));
  return measures.length > 0 ? { kind: 'finish-round', measures } : { kind: 'set-up' };
}

/** The hold of a pose that was logged last. */
export interface LastHold {
  readonly pose: string;
  readonly side: 'left' | 'right';
  readonly at: string;
}

/**
 * What a person held last.
 *
 * @param sessions of this person, in any order
 * @returns null when nothing was logged yet
 */
export function findLastHold(sessions: readonly Session[]): LastHold | null {
  let last: LastHold | null = null;
  for (const session of sessions) {
    for (const { plan, notes, at } of readSession(session).holds) {
      const isHeld = notes.outcome !== 'skipped' && notes.outcome !== 'swapped';
      if (at !== null && isHeld && at > (last?.at ?? ''))
        last = { pose: plan.pose, side: plan.side, at };
    }
  }
  return last;
}
