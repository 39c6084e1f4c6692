import type { HouseRules } from '../rules/houseRules.ts';
import type { Session } from './session.ts';
import { type TodayChange, type Today, adaptToday } from './today.ts';
import { type HarderSide, findHarderSide, orderSides } from './sides.ts';
import type { Problem, Result } from '../problems/problem.ts';
import { findPose } from '../poses/catalogue/index.ts';
import { findLyingPose } from '../poses/lying/index.ts';
import { saySwap } from '../poses/swaps.ts';
import type { PersonRecord } from '../person/person.ts';
import { withHeldPoses } from './heldPoses.ts';
import { PlanningContext } from '../planning/planningContext.ts';
import type { Side } from '../measures/protocol.ts';
import { type PlannedSide, planSide } from './planSide.ts';
import { findPause } from './pause.ts';
import { toPlannedHold, type PlannedPair } from './toPlannedHold.ts';

/** What is asked of a session before it is planned. */
export interface SessionAsked {
  readonly poses: readonly { readonly pose: string; readonly level: string | null }[];
  readonly order: HouseRules['sides'];
  /** null = as each pose says. */
  readonly breaths: number | null;
  readonly rounds: number;
}

/** A pose that is not held today, why, and what may be done in its place. */
export interface LeftOut {
  readonly pose: string;
  readonly why: readonly string[];
  readonly instead: string;
  /** It is paused, and may be held again once it is cleared. */
  readonly isPaused: boolean;
  /** Nothing speaks against it: it rests on what is not measured yet. */
  readonly isUnmeasured: boolean;
}

export interface SessionPlan {
  readonly holds: readonly PlannedPair[];
  readonly leftOut: readonly LeftOut[];
  /** What the answers of today change, with the reason. */
  readonly changes: readonly TodayChange[];
  readonly harder: readonly ({ readonly pose: string } & HarderSide)[];
}

/**
 * Why a pose cannot be set up; all that is not measured in one sentence.
 *
 * @param problems of its set-up
 * @returns sentences
 */
export function sayProblems(problems: readonly Problem[]): readonly string[] {
  const missing = problems.filter(({ code }) => code === 'missing-measure');
  const names = [
    ...new Set(missing.map(({ details }) => String(details?.['measure']).toLowerCase())),
  ];
  const others = problems.filter((each) => !missing.includes(each)).map(({ message }) => message);
  return [
    ...(names.length === 0 ? [] : [`Not measured yet: ${names.join(', ')}.`]),
    ...new Set(others),
  ];
}

/**
 * Whether a problem is only that something is not measured yet.
 *
 * @returns false for what speaks against a pose
 */
export const isUnmeasured = ({ code }: Problem): boolean =>
  code === 'missing-measure' || code === 'stature-needed';

/** Of a pose that says nothing of it. Common practice, no source. */
const USUAL_BREATHS = 5;

/**
 * How long a pose is held, as it says itself.
 *
 * @param pose its id
 * @returns breaths
 */
export const findBreaths = (pose: string): number =>
  (findPose(pose) ?? findLyingPose(pose))?.guidance.breaths ?? USUAL_BREATHS;

/**
 * What may be done in place of a pose.
 *
 * @param pose its id
 * @returns '' when nothing is known
 */
export function sayInstead(pose: string): string {
  const found = findPose(pose);
  return found === null ? '' : saySwap(found);
}

/**
 * Plans a session for one person: every pose on its sides, each set-up solved with what is
 * said about today and with what was decided last time, and frozen with its date. A pose that
 * cannot be held, or is paused, is left out with the reason and what may be done instead.
 *
 * @param record the person with all readings
 * @param sessions all of this person
 * @param today what was said of today; null = nothing was asked
 * @param asked poses, order, breaths and rounds
 * @param now ISO date; the core has no clock
 * @returns holds with their set-ups, and what was left out
 */
export function planSession(
  record: PersonRecord,
  sessions: readonly Session[],
  today: Today | null,
  asked: SessionAsked,
  now: string,
): Result<SessionPlan> {
  const adapted = adaptToday(withHeldPoses(record, sessions), today);
  const context = new PlanningContext(adapted.record);
  const leftOut: LeftOut[] = [];
  const found = new Map<string, Readonly<Record<Side, PlannedSide>>>();
  const harder: { pose: string; side: Side; why: string }[] = [];
  for (const { pose, level } of asked.poses) {
    const leave = (why: readonly string[], isPaused: boolean, isUnmeasured = false): void => {
      leftOut.push({ pose, why, instead: sayInstead(pose), isPaused, isUnmeasured });
    };
    const paused = findPause(sessions, pose);
    if (paused.length > 0) {
      leave(paused, true);
      continue;
    }
    const left = planSide(context, adapted, sessions, pose, level, 'left');
    const right = planSide(context, adapted, sessions, pose, level, 'right');
    if (!left.ok || !right.ok) {
      const problems = [...(left.ok ? [] : left.problems), ...(right.ok ? [] : right.problems)];
      leave(sayProblems(problems), false, problems.every(isUnmeasured));
      continue;
    }
    const both = { left: left.value, right: right.value };
    found.set(pose, both);
    const side = findHarderSide(
      { left: both.left.setUp, right: both.right.setUp },
      context.set,
      sessions,
    );
    if (side !== null) harder.push({ pose, ...side });
  }
  const poses = [...found.keys()].map((id) => ({
    id,
    harder: harder.find((each) => each.pose === id)?.side ?? null,
  }));
  const holds = orderSides(poses, asked.order, asked.rounds).map((turn, i): PlannedPair => {
    const breaths = asked.breaths ?? findBreaths(turn.pose);
    const hold = { ...turn, id: String(i + 1), breaths };
    return toPlannedHold(hold, found.get(turn.pose)![turn.side], adapted, now);
  });
  return { ok: true, value: { holds, leftOut, changes: adapted.changes, harder } };
}
