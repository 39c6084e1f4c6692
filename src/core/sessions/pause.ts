import { type VerdictKind, judge } from './ladder.ts';
import type { Session } from './session.ts';
import { toHolds } from './toHolds.ts';
import { SIDES } from '../measures/protocol.ts';
import { findDecision } from './findDecision.ts';

const STOPS: readonly VerdictKind[] = ['pause', 'pause-and-send-on', 'end-session'];

/**
 * Why a pose is paused for this person.
 *
 * @param sessions of this person, in any order
 * @param pose which
 * @returns the reasons; none when it is not paused
 */
export function findPause(sessions: readonly Session[], pose: string): readonly string[] {
  const log = toHolds(sessions);
  const verdict = judge(log, { pose, side: 'left', isStale: false });
  if (!STOPS.includes(verdict.kind)) {
    return SIDES.flatMap((side) => {
      const decision = findDecision(sessions, pose, side);
      const isPaused = decision?.choice === 'overruled' && STOPS.includes(decision.kind);
      return isPaused ? [`paused by the teacher: ${decision.reason}`] : [];
    }).slice(0, 1);
  }
  const latest = log
    .filter((each) => each.pose === pose)
    .reduce((last, { at }) => (at > last ? at : last), '');
  // A sign has to be cleared; a pause for pain may be overruled once it was announced.
  const hasSign = log.some(({ sign }) => sign !== null && sign.clearedBy === null);
  const isOverruled = SIDES.some((side) => {
    const decision = findDecision(sessions, pose, side);
    return decision !== null && decision.at > latest && !STOPS.includes(decision.kind);
  });
  return isOverruled && !hasSign ? [] : verdict.facts;
}
