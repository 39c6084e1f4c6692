import type { Side } from '../measures/protocol.ts';
import type { PersonRecord } from '../person/person.ts';
import { PlanningContext } from '../planning/planningContext.ts';
import { FITTING_LEVEL } from '../poses/level.ts';
import { withHeldPoses } from '../sessions/heldPoses.ts';
import { planSession, type LeftOut } from '../sessions/planSession.ts';
import type { Session } from '../sessions/session.ts';
import { adaptToday } from '../sessions/today.ts';
import { toPlannedHold, type PlannedPair } from '../sessions/toPlannedHold.ts';
import { planPose } from '../setup/planSetUp.ts';
import { planMoved } from '../whatIf/planMoved.ts';
import { toHeld, type ClassSetting } from './lossOnGrid.ts';

/** Someone of a class, as they are planned. */
export interface Member {
  readonly record: PersonRecord;
  /** All of this person; none of a guest. */
  readonly sessions: readonly Session[];
}

/** One pose of a class for one of its members. */
export interface MemberPose {
  readonly member: string;
  readonly pose: string;
  /** A side each, the right one first; none where the pose is kept from. */
  readonly pairs: readonly PlannedPair[];
  /** Why it is kept from, and what to do instead; null = it is held. */
  readonly leftOut: LeftOut | null;
  readonly harder: Side | null;
}

/** What the class is told for one pose, as far as it concerns one member. */
export interface Told {
  readonly setting: ClassSetting;
  readonly values: Partial<Readonly<Record<Side, number>>>;
}

/** The hold with what the class is told; the hold itself where that cannot be held. */
function withTold(
  { record, sessions }: Member,
  pair: PlannedPair,
  { setting, values }: Told,
  now: string,
): PlannedPair {
  const { plan } = pair;
  const value = values[plan.side];
  if (value === undefined) return pair;
  const adapted = adaptToday(withHeldPoses(record, sessions), null);
  const context = new PlanningContext(adapted.record);
  const planned = planPose(context, plan.pose, plan.side, adapted.rules, FITTING_LEVEL);
  if (planned.kind !== 'planned') return pair;
  const moved = toHeld(setting, value);
  const answer = planMoved(planned, moved);
  if (answer === null || answer.gives !== null || answer.setUp.status === 'failed') return pair;
  const found = { setUp: answer.setUp, moved, why: ['as the whole class is told'] };
  return toPlannedHold(plan, found, adapted, now);
}

/**
 * One pose for one member of a class, both sides: as a session of their own would plan it, at the
 * version that fits them, with what the class is told.
 *
 * @param member the person or guest
 * @param pose id
 * @param told null = everybody has their own numbers
 * @param now ISO date; the core has no clock
 * @returns holds, or why the pose is left out
 */
export function planMember(
  member: Member,
  pose: string,
  told: Told | null,
  now: string,
): MemberPose {
  const { record, sessions } = member;
  const poses = [{ pose, level: FITTING_LEVEL }];
  const asked = { poses, order: 'equal', breaths: null, rounds: 1 } as const;
  const planned = planSession(record, sessions, null, asked, now);
  const id = record.person.id;
  if (!planned.ok) return { member: id, pose, pairs: [], leftOut: null, harder: null };
  const { holds, leftOut, harder } = planned.value;
  const pairs = holds
    .map((pair) => (told === null ? pair : withTold(member, pair, told, now)))
    .map(({ plan, setUp }) => ({ plan: { ...plan, id: `${pose} ${plan.side}` }, setUp }))
    .toSorted((a, b) => (a.plan.side === b.plan.side ? 0 : a.plan.side === 'right' ? -1 : 1));
  return { member: id, pose, pairs, leftOut: leftOut[0] ?? null, harder: harder[0]?.side ?? null };
}
