import type { Side } from '../measures/protocol.ts';
import type { PersonRecord } from '../person/person.ts';
import { PlanningContext } from '../planning/planningContext.ts';
import { hasSides } from '../poses/hasSides.ts';
import { FITTING_LEVEL } from '../poses/level.ts';
import { withHeldPoses } from '../sessions/heldPoses.ts';
import { findPause } from '../sessions/pause.ts';
import {
  findBreaths,
  isUnmeasured,
  sayInstead,
  sayProblems,
  type LeftOut,
} from '../sessions/planSession.ts';
import { planSide, type PlannedSide } from '../sessions/planSide.ts';
import type { Session } from '../sessions/session.ts';
import { findHarderSide } from '../sessions/sides.ts';
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

/** The group numbers of one pose that one member has, by side. */
export interface GroupValues {
  readonly setting: ClassSetting;
  readonly values: Partial<Readonly<Record<Side, number>>>;
}

/** The reason that a hold with a group’s number carries. */
export const GROUP_REASON = 'the number of their group';

/**
 * Nothing is asked about today in a class: set-ups are those of everybody’s own page, and what was
 * decided after their last session.
 */
const ORDINARY_DAY = { rules: {}, holdsBack: false, why: [], changes: [] } as const;

/** A set-up at the group’s number; unchanged where that number breaks a limit. */
function withGroupValue(
  context: PlanningContext,
  pose: string,
  side: Side,
  found: PlannedSide,
  { setting, values }: GroupValues,
): PlannedSide {
  const value = values[side];
  if (value === undefined) return found;
  const planned = planPose(context, pose, side, {}, FITTING_LEVEL);
  if (planned.kind !== 'planned') return found;
  const moved = toHeld(setting, value);
  const answer = planMoved(planned, moved);
  if (answer === null || answer.gives !== null || answer.setUp.status === 'failed') return found;
  return { setUp: answer.setUp, moved, why: [GROUP_REASON] };
}

/**
 * One pose for one member of a class, both sides, at the version that fits them: the set-up of their
 * own page, or what was decided after their last session, or the number of their group.
 *
 * @param member the person or guest
 * @param pose id
 * @param group numbers of this member’s groups; null = their own numbers
 * @param now ISO date; the core has no clock
 * @returns holds, or why the pose is left out
 */
export function planMember(
  { record, sessions }: Member,
  pose: string,
  group: GroupValues | null,
  now: string,
): MemberPose {
  const own = withHeldPoses(record, sessions);
  const context = new PlanningContext(own);
  const adapted = { ...ORDINARY_DAY, record: own };
  const leave = (
    why: readonly string[],
    { isPaused = false, isUnmeasured = false }: Partial<LeftOut> = {},
  ): MemberPose => ({
    member: record.person.id,
    pose,
    pairs: [],
    leftOut: { pose, why, instead: sayInstead(pose), isPaused, isUnmeasured },
    harder: null,
  });
  const paused = findPause(sessions, pose);
  if (paused.length > 0) return leave(paused, { isPaused: true });
  const plan = (side: Side) => planSide(context, adapted, sessions, pose, FITTING_LEVEL, side);
  const [right, left] = [plan('right'), plan('left')];
  if (!right.ok || !left.ok) {
    const problems = [right, left].flatMap((each) => (each.ok ? [] : each.problems));
    return leave(sayProblems(problems), { isUnmeasured: problems.every(isUnmeasured) });
  }
  const found = { right: right.value, left: left.value };
  const setUps = { right: found.right.setUp, left: found.left.setUp };
  const harder = findHarderSide(setUps, context.set, sessions);
  const sides = hasSides(pose) ? (['right', 'left'] as const) : (['right'] as const);
  const pairs = sides.map((side): PlannedPair => {
    const set =
      group === null ? found[side] : withGroupValue(context, pose, side, found[side], group);
    const asked = { id: `${pose} ${side}`, pose, side, breaths: findBreaths(pose), rounds: 1 };
    return toPlannedHold(asked, set, ORDINARY_DAY, now);
  });
  return { member: record.person.id, pose, pairs, leftOut: null, harder: harder?.side ?? null };
}
