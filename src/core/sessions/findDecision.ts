import type { Session, Decision } from './session.ts';
import type { Side } from '../measures/protocol.ts';
import { readSession } from './readSession.ts';

/**
 * The latest decision on a pose and side.
 *
 * @param sessions of this person, in any order
 * @param pose which
 * @param side which
 * @returns null when nothing was decided yet
 */
export function findDecision(
  sessions: readonly Session[],
  pose: string,
  side: Side,
): (Decision & { readonly at: string }) | null {
  return sessions
    .flatMap((each) => readSession(each).decisions)
    .filter((each) => each.pose === pose && each.side === side)
    .reduce<(Decision & { readonly at: string }) | null>(
      (last, each) => (last === null || each.at > last.at ? each : last),
      null,
    );
}
