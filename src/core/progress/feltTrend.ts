import type { Felt } from '../felt/places.ts';
import type { Side } from '../measures/protocol.ts';
import { readSession } from '../sessions/readSession.ts';
import type { Session } from '../sessions/session.ts';
import { findSessionTime } from '../sessions/toHolds.ts';

/** A place where a pose was felt, over sessions. */
export interface FeltPlaceTrend extends Felt {
  /** In how many sessions. */
  readonly times: number;
  /** ISO date of the first and of the latest. */
  readonly first: string;
  readonly last: string;
}

/** Where one side of a pose was felt, over sessions. */
export interface FeltTrend {
  readonly pose: string;
  readonly side: Side;
  /** Sessions in which anything was noted. */
  readonly sessions: number;
  /** The commonest first. */
  readonly places: readonly FeltPlaceTrend[];
}

/** Every place of one pose and side in one session, once. */
interface Noted {
  readonly at: string;
  readonly felt: readonly Felt[];
}

const toKey = ({ place, how }: Felt): string => `${how} ${place}`;

function countPlaces(noted: readonly Noted[]): readonly FeltPlaceTrend[] {
  const places = new Map<string, FeltPlaceTrend>();
  for (const { at, felt } of noted) {
    for (const each of felt) {
      const key = toKey(each);
      const known = places.get(key) ?? { ...each, times: 0, first: at, last: at };
      places.set(key, { ...known, times: known.times + 1, last: at });
    }
  }
  return [...places.values()].toSorted((a, b) => b.times - a.times);
}

/**
 * Where each pose and side was felt, session by session.
 *
 * @param sessions of one person, in any order
 * @returns poses in the order in which they were first felt; none = nothing was noted
 */
export function listFeltTrends(sessions: readonly Session[]): readonly FeltTrend[] {
  const byHold = new Map<string, { pose: string; side: Side; noted: Noted[] }>();
  const sorted = sessions.toSorted((a, b) => findSessionTime(a).localeCompare(findSessionTime(b)));
  for (const session of sorted) {
    const inSession = new Map<string, Map<string, Felt>>();
    for (const { plan, notes } of readSession(session).holds) {
      if (notes.felt.length === 0) continue;
      const key = `${plan.pose} ${plan.side}`;
      const felt = inSession.get(key) ?? new Map<string, Felt>();
      for (const each of notes.felt) felt.set(toKey(each), each);
      inSession.set(key, felt);
      if (!byHold.has(key)) byHold.set(key, { pose: plan.pose, side: plan.side, noted: [] });
    }
    for (const [key, felt] of inSession) {
      byHold.get(key)?.noted.push({ at: findSessionTime(session), felt: [...felt.values()] });
    }
  }
  return [...byHold.values()].map(({ pose, side, noted }) => ({
    pose,
    side,
    sessions: noted.length,
    places: countPlaces(noted),
  }));
}
