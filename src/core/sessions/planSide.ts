import type { SetUp } from '../setup/setUp.ts';
import { type AsFound, type HouseRules, RULES_VERSION } from '../rules/houseRules.ts';
import type { Session } from './session.ts';
import type { Side } from '../measures/protocol.ts';
import { findDecision } from './findDecision.ts';
import { findLevelHeld } from './readSession.ts';
import { findLastHeld } from './toHolds.ts';
import type { PlanningContext } from '../planning/planningContext.ts';
import type { AdaptedToday } from './today.ts';
import type { Result } from '../problems/problem.ts';
import { isMoved, planMoved, NOT_MOVED } from '../whatIf/planMoved.ts';
import { findPose } from '../poses/catalogue/index.ts';
import { FITTING_LEVEL } from '../poses/level.ts';
import { planPose, planSetUp } from '../setup/planSetUp.ts';

/** A set-up that was found for one side, and why it is this one. */
export interface PlannedSide {
  readonly setUp: SetUp;
  readonly moved: AsFound | null;
  readonly why: readonly string[];
}

/** What is held of a pose and side by what was decided, or as it was last held. */
function findHeld(
  sessions: readonly Session[],
  pose: string,
  side: Side,
  holdsBack: boolean,
): Pick<PlannedSide, 'moved' | 'why'> {
  const decision = findDecision(sessions, pose, side);
  if (decision === null) return { moved: null, why: [] };
  if (decision.level !== undefined && !(holdsBack && decision.kind === 'go-on')) {
    const way = decision.kind === 'go-on' ? 'harder' : 'easier';
    return { moved: null, why: [`the next ${way} version, as decided`] };
  }
  if (holdsBack && decision.kind === 'go-on') {
    const last = findLastHeld(sessions, pose, side)?.hold;
    const moved = last?.notes.used ?? last?.plan.moved ?? null;
    return { moved, why: ['one step further was decided, but today is not the day for it'] };
  }
  const words =
    decision.kind === 'keep'
      ? 'the same as last time'
      : decision.kind === 'go-on'
        ? 'one step further'
        : 'one step easier';
  return { moved: decision.held, why: decision.held === null ? [] : [`${words}, as decided`] };
}

/**
 * The set-up of one pose and side for a session: as it was decided, or as it was last held, or as it
 * is recommended today.
 *
 * @param context the person as they are today
 * @param adapted house rules of today, and whether it is a day for a step further
 * @param sessions of this person, in any order
 * @param pose which
 * @param asked one of the pose's levels; null = the pose as it is usually done
 * @param side left or right
 * @returns the set-up with its reasons, or why there is none
 */
export function planSide(
  context: PlanningContext,
  { rules, holdsBack, why: reasons }: AdaptedToday,
  sessions: readonly Session[],
  pose: string,
  asked: string | null,
  side: Side,
): Result<PlannedSide> {
  const { moved, why } = findHeld(sessions, pose, side, holdsBack);
  const level = holdsBack ? keepLevel(sessions, pose, side, asked) : asked;
  const plan =
    moved !== null && isMoved(moved) && findPose(pose) !== null
      ? planPose(context, pose, side, rules, level)
      : null;
  if (moved !== null && plan?.kind === 'planned') {
    const recommended = plan.setUp.depth?.value ?? null;
    const answer = planMoved(plan, moved);
    const held = answer?.setUp.depth?.value ?? null;
    // A cold or tired body holds back more than usual, whatever was decided on another day.
    const isTooDeep = reasons.length > 0 && isDeeper(held, recommended);
    const isHeld = answer?.gives === null && answer.setUp.status !== 'failed';
    if (isHeld && !isTooDeep) {
      const other = sayOtherDepth(plan.setUp.depth, held);
      return { ok: true, value: { setUp: answer.setUp, moved, why: [...why, ...other] } };
    }
    if (plan.setUp.status !== 'failed') {
      const gone = isTooDeep
        ? 'last time’s depth is too much today, so the recommended set-up is used'
        : 'last time’s set-up cannot be held today, so the recommended one is used';
      return { ok: true, value: { setUp: plan.setUp, moved: null, why: [gone] } };
    }
  }
  const planned = planSetUp(context, pose, side, rules, level);
  if (!planned.ok) return planned;
  if (planned.value.status === 'failed') return { ok: false, problems: planned.value.problems };
  const stepped = keepLastDepth(context, sessions, rules, planned.value);
  const asDecided = { setUp: planned.value, moved: null, why: moved === null ? why : [] };
  return { ok: true, value: stepped ?? asDecided };
}

/** On a day that is not one for a step further, the level that fits is the one that was held last. */
function keepLevel(
  sessions: readonly Session[],
  pose: string,
  side: Side,
  asked: string | null,
): string | null {
  const last = findLastHeld(sessions, pose, side)?.hold;
  if (asked !== FITTING_LEVEL || last === undefined) return asked;
  if (findDecision(sessions, pose, side)?.kind !== 'go-on') return asked;
  return findLevelHeld(last);
}

/** A depth that lies this near another one is the same, degrees or cm. */
const SAME_DEPTH = 0.5;

const isDeeper = (depth: number | null, than: number | null): boolean =>
  depth !== null && than !== null && depth > than + SAME_DEPTH;

/** What the set-up sheet recommends, where a session holds another depth. */
function sayOtherDepth(recommended: SetUp['depth'], held: number | null): readonly string[] {
  if (recommended?.value == null || held === null) return [];
  if (Math.abs(recommended.value - held) <= SAME_DEPTH) return [];
  const unit = recommended.unit === 'deg' ? '°' : ' cm';
  return [`the recommended set-up goes to ${recommended.value.toFixed(0)}${unit}`];
}

/**
 * The set-up at the depth that was last held, where the recommended one goes deeper: the
 * first step has ended, but only the ladder goes further. null = there is nothing to keep.
 */
function keepLastDepth(
  context: PlanningContext,
  sessions: readonly Session[],
  rules: Partial<HouseRules>,
  { pose, side, level, depth }: SetUp,
): PlannedSide | null {
  const last = findLastHeld(sessions, pose, side)?.hold;
  if (last === undefined || depth?.value == null || findPose(pose) === null) return null;
  const { plan, notes } = last;
  const held = notes.used?.depth ?? plan.depth;
  const isAlike = plan.level === level && plan.rulesVersion === RULES_VERSION;
  if (!isAlike || held === null || depth.value <= held + SAME_DEPTH) return null;
  const planned = planPose(context, pose, side, rules, level);
  const moved = { ...NOT_MOVED, depth: held };
  const answer = planned.kind === 'planned' ? planMoved(planned, moved) : null;
  if (answer === null || answer.gives !== null || answer.setUp.status === 'failed') return null;
  const why = ['as deep as last time', ...sayOtherDepth(depth, held)];
  return { setUp: answer.setUp, moved, why };
}
