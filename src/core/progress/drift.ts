import type { Side } from '../measures/protocol.ts';
import { readSession } from '../sessions/readSession.ts';
import type { Session } from '../sessions/session.ts';
import type { SettingId } from '../setup/setUp.ts';

/** What was really used of a set-up in one session. */
export interface DriftPoint {
  readonly at: string;
  readonly level: string | null;
  readonly depth: number | null;
  readonly stanceCm: number | null;
  readonly handCm: number | null;
}

/** One pose and side over the sessions, oldest first. */
export interface Drift {
  readonly pose: string;
  readonly side: Side;
  readonly points: readonly DriftPoint[];
}

/** How the set-ups of every pose and side that was held have moved over the sessions. */
export function listDrifts(sessions: readonly Session[]): readonly Drift[] {
  const drifts = new Map<string, { pose: string; side: Side; points: DriftPoint[] }>();
  for (const session of sessions) {
    for (const { plan, notes, at } of readSession(session).holds) {
      if (at === null || notes.outcome === 'skipped' || notes.outcome === 'swapped') continue;
      const key = `${plan.pose} ${plan.side}`;
      const drift = drifts.get(key) ?? { pose: plan.pose, side: plan.side, points: [] };
      const planned = (id: SettingId): number | null =>
        plan.settings.find((each) => each.id === id)?.value ?? null;
      drift.points.push({
        at,
        level: notes.level ?? plan.level,
        depth: notes.used?.depth ?? plan.depth,
        stanceCm: notes.used?.stanceCm ?? planned('stance-length'),
        handCm: notes.used?.handCm ?? planned('hand-height'),
      });
      drifts.set(key, drift);
    }
  }
  return [...drifts.values()].map((each) => ({
    ...each,
    points: each.points.toSorted((a, b) => a.at.localeCompare(b.at)),
  }));
}
