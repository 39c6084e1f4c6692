import type { Side } from '../measures/protocol.ts';
import { findLevelHeld, readSession } from '../sessions/readSession.ts';
import type { Session } from '../sessions/session.ts';
import type { SettingId } from '../setup/settingKinds.ts';
import { sayCount } from '../units/sayCount.ts';

/** What was really used of a set-up in one session. */
export interface DriftPoint {
  readonly at: string;
  readonly level: string | null;
  readonly depth: number | null;
  readonly stanceCm: number | null;
  readonly handCm: number | null;
  /** Its numbers were made by other rules than those of the hold before it. */
  readonly hasOtherRules: boolean;
}

/** One pose and side over the sessions, oldest first. */
export interface Drift {
  readonly pose: string;
  readonly side: Side;
  readonly points: readonly DriftPoint[];
}

/** From the first to the last of them that is known, in whole half centimetres and degrees. */
function sayMove(name: string, values: readonly (number | null)[], unit: '°' | ' cm'): string {
  const known = values.filter((each) => each !== null);
  const [first] = known;
  const last = known.at(-1);
  if (first === undefined || last === undefined) return '';
  const round = (value: number): number =>
    unit === '°' ? Math.round(value) : Math.round(value * 2) / 2;
  const [from, to] = [round(first), round(last)];
  return from === to
    ? `${name} as before, ${String(to)}${unit}`
    : `${name} from ${String(from)} to ${String(to)}${unit}`;
}

/**
 * How a set-up has moved, in a sentence: “Over 8 sessions stance from 92 to 96.5 cm, …”
 *
 * @returns words for the teacher
 */
export function sayDrift({ points: all }: Drift): string {
  if (all.length < 2) return 'Held in one session so far.';
  // What other rules changed is no change of the person.
  const points = all.slice(
    Math.max(
      0,
      all.findLastIndex((each) => each.hasOtherRules),
    ),
  );
  if (points.length < 2) return 'The rules changed: held once under today’s rules.';
  const moves = [
    sayMove(
      'stance',
      points.map((each) => each.stanceCm),
      ' cm',
    ),
    sayMove(
      'hand',
      points.map((each) => each.handCm),
      ' cm',
    ),
    sayMove(
      'depth',
      points.map((each) => each.depth),
      '°',
    ),
  ].filter((each) => each !== '');
  const since = points.length < all.length ? ' since the rules changed' : '';
  return `Over ${sayCount(points.length, 'hold')}${since}: ${moves.join(', ')}.`;
}

type VersionedPoint = Omit<DriftPoint, 'hasOtherRules'> & { readonly rulesVersion: number };

/**
 * How the set-ups of every pose and side that was held have moved over the sessions.
 *
 * @param sessions of this person, in any order
 * @returns one for each pose and side, its points from the oldest on
 */
export function listDrifts(sessions: readonly Session[]): readonly Drift[] {
  const drifts = new Map<string, { pose: string; side: Side; points: VersionedPoint[] }>();
  for (const session of sessions) {
    for (const { plan, notes, at } of readSession(session).holds) {
      if (at === null || notes.outcome === 'skipped' || notes.outcome === 'swapped') continue;
      const key = `${plan.pose} ${plan.side}`;
      const drift = drifts.get(key) ?? { pose: plan.pose, side: plan.side, points: [] };
      const planned = (id: SettingId): number | null =>
        plan.settings.find((each) => each.id === id)?.value ?? null;
      drift.points.push({
        at,
        level: findLevelHeld({ plan, notes }),
        depth: notes.used?.depth ?? plan.depth,
        stanceCm: notes.used?.stanceCm ?? planned('stance-length'),
        handCm: notes.used?.handCm ?? planned('hand-height'),
        rulesVersion: plan.rulesVersion,
      });
      drifts.set(key, drift);
    }
  }
  return [...drifts.values()].map((each) => ({
    ...each,
    points: each.points
      .toSorted((a, b) => a.at.localeCompare(b.at))
      .map(({ rulesVersion, ...point }, i, sorted) => ({
        ...point,
        hasOtherRules: i > 0 && sorted[i - 1]!.rulesVersion !== rulesVersion,
      })),
  }));
}
