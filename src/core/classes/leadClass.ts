import type { NewEntry, Session } from '../sessions/session.ts';
import { readSession } from '../sessions/readSession.ts';
import type { PlannedPair } from '../sessions/toPlannedHold.ts';
import type { MemberPose } from './planMember.ts';

/**
 * The holds of one member’s session in a class: pose by pose, the right side first.
 *
 * @param planned every pose of every member
 * @param poses of the class, in order
 * @param member whose
 * @returns none of a pose that they are kept from
 */
export const toClassHolds = (
  planned: readonly MemberPose[],
  poses: readonly string[],
  member: string,
): readonly PlannedPair[] =>
  poses.flatMap(
    (pose) => planned.find((each) => each.member === member && each.pose === pose)?.pairs ?? [],
  );

/**
 * What a pose comes to for one member when the class leaves it: as planned where nothing was noted.
 *
 * @param session of the member
 * @param pose that is left
 * @returns one entry for each hold that nothing was said of
 */
export const noteLeft = (session: Session, pose: string): readonly NewEntry[] => {
  const { holds, ended } = readSession(session);
  if (ended !== null) return [];
  return holds
    .filter(({ plan, at }) => plan.pose === pose && at === null)
    .map(({ plan }) => ({
      kind: 'note',
      hold: plan.id,
      change: {
        outcome: 'done',
        breath: 'easy',
        breaths: plan.breaths,
        rounds: plan.rounds,
      },
    }));
};
