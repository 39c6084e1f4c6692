import { toTenths } from '../units/rounding.ts';
import type { DepthDefinition } from '../poses/poseDefinition.ts';
import type { Skeleton } from '../skeleton/skeleton.ts';
import type { AsFound, HouseRules } from '../rules/houseRules.ts';
import { findHeelLine } from '../planning/heelLine.ts';
import { describeDepth } from '../setup/describeDepth.ts';
import { describeSolved } from '../setup/describeSetUp.ts';
import type { HeldDepth } from '../planning/findDepth.ts';
import { reportPushed, toForce, withBareLimits } from './force.ts';
import type { Side } from '../measures/protocol.ts';
import type { PlanningContext } from '../planning/planningContext.ts';
import type { Result } from '../problems/problem.ts';
import { planPose, type Plan } from '../setup/planSetUp.ts';
import type { Force } from '../planning/poseRequest.ts';
import { solvePushed } from './pushed.ts';
import type { DepthReport, PushedReport, SetUp } from '../setup/setUp.ts';
import { solveMoved } from '../planning/solveMoved.ts';
import { plain } from '../planning/working.ts';
import { getQuantity } from '../conditions/quantities.ts';
import { toScaled } from '../conditions/violation.ts';
import { cmFromMetres, radiansFromDegrees } from '../units/brands.ts';

/** A set-up in which something was moved by hand, and what gives if the pose could not follow. */
export interface MovedPlan {
  readonly setUp: SetUp;
  /** null = the pose holds there within what was measured. */
  readonly gives: PushedReport | null;
}

/** Nothing is moved. */
export const NOT_MOVED: AsFound = {
  stanceCm: null,
  widthCm: null,
  backFootDeg: null,
  depth: null,
  handCm: null,
};

/**
 * Whether anything of a set-up is held by hand.
 *
 * @param moved what is held; null = free
 * @returns false when every field is free
 */
export const isMoved = (moved: AsFound): boolean =>
  Object.values(moved).some((each) => each !== null);

/** The depth that a posture has, whatever was found. */
function withDepthOf(
  skeleton: Skeleton,
  definition: DepthDefinition | null,
  report: DepthReport | null,
): DepthReport | null {
  if (definition === null || report === null) return null;
  const { quantity, words } = definition;
  const value = toScaled(quantity, getQuantity(quantity).calc(skeleton));
  return { ...report, value: toTenths(value), working: [plain(`${words}, as it is moved`, value)] };
}

/**
 * A set-up round another posture of a plan; its depth is what the posture has.
 *
 * @param plan the plan
 * @param found the posture, as if it were what the plan found
 * @returns settings, joints, landmarks and loads of that posture
 */
export function describeMoved(plan: Plan, found: HeldDepth): SetUp {
  const { request, setUp } = plan;
  const { pose, rules } = request;
  const { skeleton } = found.answer;
  const depth = describeDepth(pose.depth, found, rules);
  const recommended = setUp.depth?.recommended ?? null;
  const known: SetUp = {
    ...setUp,
    firstDepth: withDepthOf(skeleton, pose.firstDepth, setUp.firstDepth),
    depth: withDepthOf(skeleton, pose.depth, depth === null ? null : { ...depth, recommended }),
  };
  return describeSolved(request, known, plan, found);
}

/** A foot moved across the mat stands diagonally, however its turn changes. */
function withHeelLine(plan: Plan, widthCm: number | null): Plan {
  if (widthCm === null) return plan;
  const rules = { ...plan.request.rules, heelLine: 'diagonal', heelLineCm: widthCm } as const;
  return {
    ...plan,
    request: { ...plan.request, rules },
    poseRequest: { ...plan.poseRequest, rules },
  };
}

/** A plan in which something is held by hand, and what gives if the pose cannot follow. */
interface HeldPlan {
  readonly plan: Plan;
  readonly gives: PushedReport | null;
}

/**
 * What was moved is held and the rest solved again: first as the pose should be, within
 * every limit; where that cannot be, with slack on what gives in practice. Nothing is
 * clamped.
 *
 * @param plan of the set-up that was moved
 * @param moved what is held; null = free
 * @returns a plan to ask on from; null when there is nothing to move, because nothing was solved
 */
export function holdByHand(plan: Plan, moved: AsFound): HeldPlan | null {
  const { found } = plan.answer;
  if (found.kind === 'cannot') return null;
  if (!isMoved(moved)) return { plan, gives: null };
  const { pose, side } = plan.request;
  const planned = found.answer.skeleton;
  const force: Force = toForce(moved, pose, planned);
  const free = withHeelLine(plan, moved.widthCm);
  const { widening, ...parts } = force.parts;
  const within = moved.widthCm === null ? force : { ...force, parts: { ...parts, widening: 0 } };
  const solved = solveMoved(free.poseRequest, plan.answer, within);
  if (solved !== null) {
    const held: Plan = { ...free, answer: solved.answer };
    return { plan: { ...held, setUp: describeMoved(held, solved.found) }, gives: null };
  }
  const pushed = solvePushed(withBareLimits(plan), pose, side, planned, force);
  const forced: HeldDepth = { ...found, answer: pushed.answer };
  return {
    plan: {
      ...plan,
      answer: { ...plan.answer, found: forced },
      setUp: describeMoved(plan, forced),
    },
    gives: reportPushed('as moved', pushed),
  };
}

/**
 * The set-up in which something is held by hand; see {@link holdByHand}.
 *
 * @param plan of the set-up that was moved
 * @param moved what is held; null = free
 * @returns null when there is nothing to move, because nothing was solved
 */
export function planMoved(plan: Plan, moved: AsFound): MovedPlan | null {
  const held = holdByHand(plan, moved);
  return held === null ? null : { setUp: held.plan.setUp, gives: held.gives };
}

/** A set-up that is asked for with something held by hand. */
export interface HeldRequest {
  readonly pose: string;
  readonly side: Side;
  readonly rules: Partial<HouseRules>;
  readonly level: string | null;
  readonly held: AsFound;
}

/** A plan as it is recommended, and with what is held by hand. */
export interface PlannedByHand extends HeldPlan {
  readonly recommended: Plan;
}

/**
 * Plans a pose and holds something of it by hand; see {@link holdByHand}.
 *
 * @param context the person, see {@link PlanningContext}
 * @param asked which pose, and what is held
 * @returns why it is not planned, where it is not
 */
export function planByHand(
  context: PlanningContext,
  { pose, side, rules, level, held }: HeldRequest,
): Result<PlannedByHand> {
  const planned = planPose(context, pose, side, rules, level);
  if (planned.kind === 'problems') return { ok: false, problems: planned.problems };
  const byHand = planned.kind === 'planned' ? holdByHand(planned, held) : null;
  if (planned.kind !== 'planned' || byHand === null) {
    return { ok: false, problems: planned.setUp.problems };
  }
  return { ok: true, value: { ...byHand, recommended: planned } };
}

/** A heel line that a foot may snap to, and how wide it stands. */
export interface HeelLineMark {
  readonly rule: NonNullable<HouseRules['heelLine']>;
  readonly widthCm: number;
}

/**
 * The heel lines of a plan at a turn of the back foot.
 *
 * @param backFootDeg turn of the back foot
 * @returns centimetres across the mat
 */
export function findHeelLines(
  { request, limited }: Plan,
  backFootDeg: number,
): readonly HeelLineMark[] {
  return (['heel-to-arch', 'heel-to-heel', 'hip-width', 'two-fists'] as const).map((rule) => ({
    rule,
    widthCm: cmFromMetres(
      findHeelLine(request.pose, limited.body, { ...request.rules, heelLine: rule }).width(
        radiansFromDegrees(backFootDeg),
      ),
    ),
  }));
}
