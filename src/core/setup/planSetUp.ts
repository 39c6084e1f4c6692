import { adapt } from '../cautions/adapt.ts';
import { findStopSigns } from '../cautions/stopSigns.ts';
import { calcMeasureSet } from '../measures/measureSet.ts';
import type { Side } from '../measures/protocol.ts';
import type { PersonRecord } from '../person/person.ts';
import { findPose, POSES } from '../poses/catalogue/index.ts';
import { findLyingPose, LYING_POSES } from '../poses/lying/index.ts';
import { withLevel } from '../poses/level.ts';
import { problem, type Problem, type Result } from '../problems/problem.ts';
import { resolveRules } from '../rules/chosenSchools.ts';
import type { HouseRules } from '../rules/houseRules.ts';
import {
  describeDepth,
  describeFailure,
  describeSolved,
  describeStopped,
  describeUnsolved,
} from './describeSetUp.ts';
import { calcNumbers, type Numbers } from './numbers.ts';
import { findMissingMeasures } from './planningLimits.ts';
import { planLying } from './planLying.ts';
import type { Request } from './request.ts';
import { getReserve } from './reserve.ts';
import type { SetUp } from './setUp.ts';
import { solvePose, type PoseAnswer, type PoseRequest } from './solvePose.ts';

/** A set-up with all that it was made from, for those who solve on from there. */
export interface Plan {
  readonly request: Request;
  readonly numbers: Numbers;
  readonly poseRequest: PoseRequest;
  readonly answer: PoseAnswer;
  readonly setUp: SetUp;
}

export type Planned =
  | { readonly kind: 'problems'; readonly problems: readonly Problem[] }
  /** Nothing was solved: a stop sign, or a pose that a caution excludes. */
  | { readonly kind: 'stopped'; readonly setUp: SetUp }
  | ({ readonly kind: 'planned' } & Plan);

const refuse = (...problems: readonly Problem[]): Planned => ({ kind: 'problems', problems });

/** Fills in level, house rules and cautions; a problem when the pose or level is not known. */
function makeRequest(
  record: PersonRecord,
  poseId: string,
  side: Side,
  rules: Partial<HouseRules>,
  level: string | null,
): Result<Request> {
  const usual = findPose(poseId);
  if (usual === null) {
    const known = [...POSES, ...LYING_POSES].map((each) => each.id);
    return { ok: false, problems: [problem('unknown-pose', 'pose', { text: poseId, known })] };
  }
  if (level !== null && !usual.levels.some((each) => each.id === level)) {
    const known = usual.levels.map((each) => each.id);
    return { ok: false, problems: [problem('unknown-level', 'level', { text: level, known })] };
  }
  const resolved = resolveRules(record.person, poseId, rules);
  const adapted = adapt(record.person, withLevel(usual, level), resolved);
  const reserve = Math.max(adapted.reserve, getReserve(adapted.rules, record.person.experience));
  const { pose } = adapted;
  return {
    ok: true,
    value: { record, pose, level, side, rules: adapted.rules, reserve, adapted },
  };
}

/** The whole plan of one pose; see {@link planSetUp} for its arguments. */
export function planPose(
  record: PersonRecord,
  poseId: string,
  side: Side,
  rules: Partial<HouseRules> = {},
  level: string | null = null,
): Planned {
  const made = makeRequest(record, poseId, side, rules, level);
  if (!made.ok) return refuse(...made.problems);
  const request = made.value;
  const stopSigns = [...findStopSigns(record.person), ...request.adapted.excluded];
  if (stopSigns.length > 0) return { kind: 'stopped', setUp: describeStopped(request, stopSigns) };
  const set = calcMeasureSet(record.readings);
  const missing = findMissingMeasures(set, request.rules, request.pose, POSES);
  if (missing.length > 0) return refuse(...missing);
  const numbers = calcNumbers(set, request);
  if (!numbers.ok) return refuse(...numbers.problems);
  const poseRequest = toPoseRequest(request, numbers.value);
  const answer = solvePose(poseRequest);
  const setUp = describe(request, numbers.value, answer);
  return { kind: 'planned', request, numbers: numbers.value, poseRequest, answer, setUp };
}

export const toPoseRequest = (request: Request, numbers: Numbers): PoseRequest => ({
  pose: request.pose,
  numbers,
  side: request.side,
  rules: request.rules,
  experience: request.record.person.experience,
});

function describe(request: Request, { body, ranges }: Numbers, answer: PoseAnswer): SetUp {
  const { pose, rules } = request;
  const { found, built } = answer;
  const unsolved = describeUnsolved(request);
  const measures = [...body.uses, ...[...ranges.values()].map((range) => range.use)];
  const known: SetUp = {
    ...unsolved,
    depth: describeDepth(pose.depth, found, rules),
    firstDepth: describeDepth(pose.firstDepth, answer.first, rules),
    provenance: { ...unsolved.provenance, measures },
  };
  if (found.kind === 'cannot') {
    return { ...known, problems: [describeFailure(request, answer, found)] };
  }
  return describeSolved(request, known, body, built, found);
}

/**
 * The set-up of one pose for one person: feet, knee, pelvis, hand and prop, with what
 * each joint is asked and has, and the sum behind every number.
 *
 * @param record the person with all readings, as in a person file
 * @param poseId one of poses/catalogue
 * @param side the front (or standing) leg
 * @param rules house rules that differ from the defaults
 * @param level one of the pose's levels; null = the pose as it is usually done
 * @returns a set-up, which may say `failed` (an answer too), or problems:
 *   `unknown-pose`, `unknown-level`, `missing-measure`, and those of the body
 */
export function planSetUp(
  record: PersonRecord,
  poseId: string,
  side: Side,
  rules: Partial<HouseRules> = {},
  level: string | null = null,
): Result<SetUp> {
  const lying = findLyingPose(poseId);
  if (lying !== null) return planLying(record, lying, side, rules);
  const planned = planPose(record, poseId, side, rules, level);
  return planned.kind === 'problems'
    ? { ok: false, problems: planned.problems }
    : { ok: true, value: planned.setUp };
}
