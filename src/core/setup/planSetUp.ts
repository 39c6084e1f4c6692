import { findStopSigns } from '../cautions/stopSigns.ts';
import type { Side } from '../measures/protocol.ts';
import { findPose, POSES } from '../poses/catalogue/index.ts';
import { FITTING_LEVEL, findLevel, USUAL_LEVEL, withLevel } from '../poses/level.ts';
import { findLyingPose, LYING_POSES } from '../poses/lying/index.ts';
import type { LevelDefinition, PoseDefinition } from '../poses/poseDefinition.ts';
import { problem, type Problem, type Result } from '../problems/problem.ts';
import type { HouseRules } from '../rules/houseRules.ts';
import { describeDepth } from './describeDepth.ts';
import { describeFailure } from './describeFailure.ts';
import { describeSolved, describeStopped, describeUnsolved } from './describeSetUp.ts';
import { getValue } from './setUp.ts';
import { describeLevel } from './levelReport.ts';
import { findMissingMeasures } from '../planning/missingMeasures.ts';
import { planLying } from './planLying.ts';
import type { PlanningContext } from '../planning/planningContext.ts';
import { makeRequest, type Request } from '../planning/request.ts';
import type { LevelReport, SetUp } from './setUp.ts';
import { solveRequest, type SolvedRequest } from '../planning/solveRequest.ts';

/** A set-up with all that it was made from, for those who solve on from there. */
export interface Plan extends SolvedRequest {
  readonly request: Request;
  readonly setUp: SetUp;
}

export type PlanResult =
  | { readonly kind: 'problems'; readonly problems: readonly Problem[] }
  /** Nothing was solved: a stop sign, or a pose that a caution excludes. */
  | { readonly kind: 'stopped'; readonly request: Request; readonly setUp: SetUp }
  | ({ readonly kind: 'planned' } & Plan);

const refusePlan = (...problems: readonly Problem[]): PlanResult => ({
  kind: 'problems',
  problems,
});

/**
 * The whole plan of one pose; see {@link planSetUp} for its arguments.
 *
 * @param context the person, see {@link PlanningContext}
 * @param poseId one of the catalogue
 * @param side left or right
 * @param rules house rules that differ from the defaults
 * @param level one of the pose's levels; null = the pose as it is usually done
 * @returns its `levels` report those that were tried
 */
export function planPose(
  context: PlanningContext,
  poseId: string,
  side: Side,
  rules: Partial<HouseRules> = {},
  level: string | null = null,
): PlanResult {
  const pose = findPose(poseId);
  if (pose === null) {
    const known = [...POSES, ...LYING_POSES].map((each) => each.id);
    return refusePlan(problem('unknown-pose', 'pose', { text: poseId, known }));
  }
  if (level === FITTING_LEVEL) return planFittingLevel(context, pose, side, rules);
  if (level !== null && level !== USUAL_LEVEL && findLevel(pose, level) === null) {
    const known = [FITTING_LEVEL, USUAL_LEVEL, ...pose.levels.map((each) => each.id)];
    return refusePlan(
      problem('unknown-level', 'level', { text: level, known: [...new Set(known)] }),
    );
  }
  return planLevel(context, pose, side, rules, level);
}

/** One level of a pose, on the feet of the pose it stands on. */
function planLevel(
  context: PlanningContext,
  pose: PoseDefinition,
  side: Side,
  rules: Partial<HouseRules>,
  level: string | null,
): PlanResult {
  const { restsOn } = withLevel(pose, level);
  let legs: Request | null = null;
  if (restsOn !== undefined) {
    const ownRules = { ...rules, depth: 'recommended' } as const;
    const standing = planPose(
      context,
      restsOn.pose,
      side,
      ownRules,
      restsOn.level ?? FITTING_LEVEL,
    );
    if (standing.kind === 'problems') return standing;
    legs = standing.request;
  }
  const request = makeRequest(context.record, pose, side, rules, level, legs);
  const stopSigns = findStopSigns(context.record.person);
  const excluded = [...(legs?.adapted.excluded ?? []), ...request.adapted.excluded];
  if (stopSigns.length + excluded.length > 0) {
    const setUp = describeStopped(request, [...stopSigns, ...excluded]);
    return { kind: 'stopped', request, setUp };
  }
  const missing = findMissingMeasures(context.set, request.rules, request.pose, POSES);
  if (missing.length > 0) return refusePlan(...missing);
  const solved = solveRequest(request, context);
  if (!solved.ok) return refusePlan(...solved.problems);
  return {
    kind: 'planned',
    request,
    ...solved.value,
    setUp: describeAnswer(request, solved.value),
  };
}

/**
 * The set-up of a solved request.
 *
 * @param request what was asked
 * @param solved its answer, or another one to the same request
 * @returns a failed set-up where nothing is held
 */
export function describeAnswer(request: Request, solved: SolvedRequest): SetUp {
  const { pose, rules } = request;
  const { found, first } = solved.answer;
  const { body, ranges } = solved.limited;
  const unsolved = describeUnsolved(request);
  const measures = [...body.uses, ...[...ranges.values()].map((range) => range.use)];
  const provenance = { ...unsolved.provenance, measures };
  if (solved.failedLegs !== null) {
    const problems = [describeFailure(request, solved)];
    return { ...unsolved, provenance, problems };
  }
  const known: SetUp = {
    ...unsolved,
    depth: describeDepth(pose.depth, found, rules),
    firstDepth: describeDepth(pose.firstDepth, first, rules),
    provenance,
  };
  return found.kind === 'cannot'
    ? { ...known, problems: [describeFailure(request, solved)] }
    : describeSolved(request, known, solved, found);
}

/** Whether an easier level that holds is opened in place of the harder one. */
function isPreferred(
  where: NonNullable<LevelDefinition['insteadWhere']>,
  softer: SetUp,
  harder: SetUp,
): boolean {
  if ('handAboveCm' in where) return (getValue(harder, 'hand-height') ?? 0) > where.handAboveCm;
  const stanceOf = (setUp: SetUp): number => getValue(setUp, 'stance-length') ?? 0;
  return stanceOf(harder) < (1 - where.stanceShorterBy) * stanceOf(softer);
}

/** A level and how it came out. */
interface Tried {
  readonly level: string;
  readonly planned: PlanResult;
}

/**
 * The hardest level that this person holds within their margins; once a session of the pose
 * was logged, the level that it was held at. Where no level can be held, the easiest one, whose
 * report names the joint that prevents it.
 */
function planFittingLevel(
  context: PlanningContext,
  pose: PoseDefinition,
  side: Side,
  rules: Partial<HouseRules>,
): PlanResult {
  const plan = (level: string): PlanResult => planLevel(context, pose, side, rules, level);
  const held = context.record.held?.filter((each) => each.pose === pose.id) ?? [];
  const logged = held.find((each) => each.side === side) ?? held[0];
  if (logged !== undefined && (logged.level === null || findLevel(pose, logged.level) !== null)) {
    const before = plan(logged.level ?? USUAL_LEVEL);
    if (before.kind !== 'planned' || before.setUp.status !== 'failed') return before;
  }
  const levels = pose.levels.filter(({ reachedBy }) => reachedBy === undefined);
  const [easiest = USUAL_LEVEL] = levels.map(({ id }) => id);
  const tried: Tried[] = [];
  let degraded: PlanResult | null = null;
  let unmeasured: PlanResult | null = null;
  for (let i = levels.length - 1; i >= 0; i -= 1) {
    const { id } = levels[i]!;
    const planned = plan(id);
    if (planned.kind === 'stopped') return planned;
    tried.push({ level: id, planned });
    if (planned.kind === 'problems') {
      if (id === USUAL_LEVEL) unmeasured = planned;
      continue;
    }
    if (planned.setUp.status === 'degraded') degraded ??= planned;
    if (planned.setUp.status !== 'solved') continue;
    const softer = levels[i - 1];
    if (softer?.insteadWhere !== undefined) {
      const other = plan(softer.id);
      const isHeld = other.kind === 'planned' && other.setUp.status === 'solved';
      if (isHeld && isPreferred(softer.insteadWhere, other.setUp, planned.setUp)) {
        return withTried(other, pose, tried);
      }
    }
    return withTried(planned, pose, tried);
  }
  const last = degraded ?? unmeasured ?? tried.at(-1)?.planned ?? plan(easiest);
  return withTried(last, pose, tried);
}

/** The chosen level's plan, with what the harder ones still need. */
function withTried(planned: PlanResult, pose: PoseDefinition, tried: readonly Tried[]): PlanResult {
  if (planned.kind !== 'planned') return planned;
  const reports = tried.flatMap(({ level, planned: each }): LevelReport[] => {
    const found = findLevel(pose, level);
    return found === null || each.kind !== 'planned'
      ? []
      : [describeLevel(found, each.request, each)];
  });
  return { ...planned, setUp: { ...planned.setUp, levels: reports.reverse() } };
}

/**
 * Every level of a pose from easier to harder: ready, or what it still needs.
 *
 * @param context the person, see {@link PlanningContext}
 * @param poseId one of the catalogue
 * @param side left or right
 * @param rules house rules that differ from the defaults
 * @returns none for an unknown pose
 * @example
 * describeLevels(context, 'tree', 'left', {}).length // → 4
 */
export function describeLevels(
  context: PlanningContext,
  poseId: string,
  side: Side,
  rules: Partial<HouseRules>,
): readonly LevelReport[] {
  const pose = findPose(poseId);
  return (pose?.levels ?? []).flatMap((level): LevelReport[] => {
    const planned = planLevel(context, pose!, side, rules, level.id);
    return planned.kind === 'planned' ? [describeLevel(level, planned.request, planned)] : [];
  });
}

/**
 * The set-up of one pose for one person: feet, knee, pelvis, hand and prop, with what
 * each joint is asked and has, and the sum behind every number.
 *
 * @param context the person, see {@link PlanningContext}
 * @param poseId one of poses/catalogue
 * @param side the front (or standing) leg
 * @param rules house rules that differ from the defaults
 * @param level one of the pose's levels; null = its usual one, `auto` = the hardest that fits
 * @returns a set-up, which may say `failed` (an answer too), or problems:
 *   `unknown-pose`, `unknown-level`, `missing-measure`, and those of the body
 * @example
 * planSetUp(context, 'triangle', 'right').value.status // → "solved"
 */
export function planSetUp(
  context: PlanningContext,
  poseId: string,
  side: Side,
  rules: Partial<HouseRules> = {},
  level: string | null = null,
): Result<SetUp> {
  const lying = findLyingPose(poseId);
  if (lying !== null) return planLying(context, lying, side, rules);
  const planned = planPose(context, poseId, side, rules, level);
  return planned.kind === 'problems'
    ? { ok: false, problems: planned.problems }
    : { ok: true, value: planned.setUp };
}
