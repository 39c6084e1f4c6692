import { SIDES, type Side } from '../measures/protocol.ts';
import type { PersonRecord } from '../person/person.ts';
import { findPose } from '../poses/catalogue/index.ts';
import { findLyingPose } from '../poses/lying/index.ts';
import { saySwap } from '../poses/swaps.ts';
import type { Problem, Result } from '../problems/problem.ts';
import { RULES_VERSION, type AsFound, type HouseRules } from '../rules/houseRules.ts';
import { keepSetUp } from '../whatIf/keptSetUp.ts';
import { isMoved, NOT_MOVED, planMoved } from '../whatIf/planMoved.ts';
import { PlanningContext } from '../planning/planningContext.ts';
import { planPose, planSetUp } from '../setup/planSetUp.ts';
import type { SetUp } from '../setup/setUp.ts';
import { withHeldPoses } from './heldPoses.ts';
import { judge, type VerdictKind } from './ladder.ts';
import { readSession } from './readSession.ts';
import type { Decision, PlannedHold, Session } from './session.ts';
import { findHarderSide, orderSides, type HarderSide } from './sides.ts';
import { calcSpare, isAtBound } from './spare.ts';
import { adaptToday, type AdaptedToday, type Today, type TodayChange } from './today.ts';
import { findLastHeld, toHolds } from './toHolds.ts';

/** What is asked of a session before it is planned. */
export interface SessionAsked {
  readonly poses: readonly { readonly pose: string; readonly level: string | null }[];
  readonly order: HouseRules['sides'];
  /** null = as each pose says. */
  readonly breaths: number | null;
  readonly rounds: number;
}

/** A hold with the whole set-up that it was planned from. */
export interface PlannedPair {
  readonly plan: PlannedHold;
  readonly setUp: SetUp;
}

/** A pose that is not held today, why, and what may be done in its place. */
interface LeftOut {
  readonly pose: string;
  readonly why: readonly string[];
  readonly instead: string;
  /** It is paused, and may be held again once it is cleared. */
  readonly isPaused: boolean;
}

export interface SessionPlan {
  readonly holds: readonly PlannedPair[];
  readonly leftOut: readonly LeftOut[];
  /** What the answers of today change, with the reason. */
  readonly changes: readonly TodayChange[];
  readonly harder: readonly ({ readonly pose: string } & HarderSide)[];
}

interface Found {
  readonly setUp: SetUp;
  readonly moved: AsFound | null;
  readonly why: readonly string[];
}

/** Why a pose cannot be set up; all that is not measured in one sentence. */
function sayProblems(problems: readonly Problem[]): readonly string[] {
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

/** The latest decision on a pose and side. */
function findDecision(
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

/** What is held of a pose and side by what was decided, or as it was last held. */
function findHeld(
  sessions: readonly Session[],
  pose: string,
  side: Side,
  holdsBack: boolean,
): Pick<Found, 'moved' | 'why'> {
  const decision = findDecision(sessions, pose, side);
  if (decision === null) return { moved: null, why: [] };
  if (holdsBack && decision.kind === 'go-on') {
    const last = findLastHeld(sessions, pose, side)?.hold;
    const moved = last?.notes.used ?? last?.plan.moved ?? null;
    return { moved, why: ['one step further was decided, but not on a day like this'] };
  }
  const words =
    decision.kind === 'keep'
      ? 'the same again'
      : decision.kind === 'go-on'
        ? 'one step further'
        : 'one step easier';
  return { moved: decision.held, why: decision.held === null ? [] : [`${words}, as decided`] };
}

function planSide(
  context: PlanningContext,
  { rules, holdsBack, why: reasons }: AdaptedToday,
  sessions: readonly Session[],
  pose: string,
  level: string | null,
  side: Side,
): Result<Found> {
  const { moved, why } = findHeld(sessions, pose, side, holdsBack);
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
        ? 'last time’s depth is too much for today: the recommended set-up instead'
        : 'as it was held it does not hold today: the recommended set-up instead';
      return { ok: true, value: { setUp: plan.setUp, moved: null, why: [gone] } };
    }
  }
  const planned = planSetUp(context, pose, side, rules, level);
  if (!planned.ok) return planned;
  if (planned.value.status === 'failed') return { ok: false, problems: planned.value.problems };
  const stepped = keepLastDepth(context, sessions, rules, planned.value);
  return { ok: true, value: stepped ?? { setUp: planned.value, moved: null, why: [] } };
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
): Found | null {
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

const STOPS: readonly VerdictKind[] = ['pause', 'pause-and-send-on', 'end-session'];

/** Why a pose is paused for this person; empty = it is not. */
function findPause(sessions: readonly Session[], pose: string): readonly string[] {
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

const findGuidance = (pose: string) => (findPose(pose) ?? findLyingPose(pose))?.guidance ?? null;

function sayInstead(pose: string): string {
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
  const found = new Map<string, Readonly<Record<Side, Found>>>();
  const harder: { pose: string; side: Side; why: string }[] = [];
  for (const { pose, level } of asked.poses) {
    const leave = (why: readonly string[], isPaused: boolean): void => {
      leftOut.push({ pose, why, instead: sayInstead(pose), isPaused });
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
      leave(sayProblems(problems), false);
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
    const { setUp, moved, why } = found.get(turn.pose)![turn.side];
    const kept = keepSetUp(setUp, { id: '', keptAt: now, rules: adapted.rules, moved, reason: '' });
    const plan: PlannedHold = {
      id: String(i + 1),
      pose: turn.pose,
      level: kept.level,
      side: turn.side,
      breaths: asked.breaths ?? findGuidance(turn.pose)?.breaths ?? 5,
      rounds: turn.rounds,
      madeAt: now,
      rules: adapted.rules,
      rulesVersion: kept.rulesVersion,
      moved,
      settings: kept.settings,
      depth: setUp.depth?.value ?? null,
      toSpareDeg: calcSpare(setUp),
      isAtBound: isAtBound(setUp),
      why: [...adapted.why, ...why],
    };
    return { plan, setUp };
  });
  return { ok: true, value: { holds, leftOut, changes: adapted.changes, harder } };
}
