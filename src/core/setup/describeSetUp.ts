import type { Request } from '../planning/request.ts';
import { makeEmptySetUp } from './emptySetUp.ts';
import type { JointReport, SetUp } from './setUp.ts';
import { describeNoDepth } from './describeDepth.ts';
import type { Problem } from '../problems/problem.ts';
import type { SolvedRequest } from '../planning/solveRequest.ts';
import {
  type ReportLimits,
  makeHeldBackFinder,
  type PoseSide,
  nameJoint,
  calcJointReports,
  findLimiting,
  isCalledOn,
} from './jointReport.ts';
import { type WorkingStep, limitStep } from '../planning/working.ts';
import type { HeldDepth } from '../planning/findDepth.ts';
import { onHalfCentimetre, layOnMat } from './mat.ts';
import { judgeWishes, findSideNotes, findWallNote } from './notes.ts';
import { findOrigin, calcLandmarks } from './landmarks.ts';
import { toYawTiltList } from '../geometry/rotation.ts';
import { calcSettings } from './settings.ts';
import { toHundredths } from '../units/rounding.ts';
import { degreesFromRadians, cmFromMetres } from '../units/brands.ts';
import { findBase } from '../skeleton/skeleton.ts';
import { calcMargins } from './balance.ts';
import { calcLoads } from './loads.ts';
import { calcWeights } from './weights.ts';
import { findStanceRule } from '../planning/stance.ts';
import { withProps } from './withProps.ts';
import { findMat, USUAL_STUDIO } from '../studio/studio.ts';
import { soleOutline } from '../skeleton/foot.ts';

/** A joint counts as at its limit when this little is left, degrees. */
export const AT_LIMIT_DEG = 0.5;

/**
 * What every set-up says before anything is solved.
 *
 * @returns a failed set-up without numbers
 */
export function describeUnsolved({
  record,
  pose,
  level,
  side,
  rules,
  reserve,
  adapted,
  legs,
}: Request): SetUp {
  const { person } = record;
  const kept = Math.max(reserve, adapted.reserve);
  return {
    ...makeEmptySetUp({ pose: pose.id, level, side, rules, reserve: kept, person }),
    standsOn: legs === null ? null : { pose: legs.pose.id, level: legs.level },
    depth: pose.depth === null ? null : describeNoDepth(pose.depth),
    firstDepth: pose.firstDepth === null ? null : describeNoDepth(pose.firstDepth),
    adaptations: adapted.told,
  };
}

/**
 * A set-up that is held back before anything is solved.
 *
 * @param request what was asked
 * @param problems why: stop signs, and poses that a caution excludes
 * @returns a failed set-up
 */
export const describeStopped = (request: Request, problems: readonly Problem[]): SetUp => ({
  ...describeUnsolved(request),
  problems,
});

/**
 * The limits that an answer is reported against.
 *
 * @returns measured, safe and used
 */
export const reportLimitsOf = ({
  answer: { built },
  limited,
  poseRequest,
}: SolvedRequest): ReportLimits => ({
  measured: built.limits.measured,
  safe: built.limits.safe,
  used: built.limits[built.usable],
  findReason: makeHeldBackFinder(limited.ranges, built.usable, poseRequest.pose),
});

function describeLimits(joints: readonly JointReport[], of: PoseSide): WorkingStep[] {
  const told = joints.filter((each) => each.toSpareDeg !== null).slice(0, 3);
  return told.map((each) =>
    limitStep(`${nameJoint(each, of)}: is asked for less`, each.askedDeg ?? 0, each.hasDeg ?? 0),
  );
}

/**
 * The set-up of a solved posture.
 *
 * @param request what was asked
 * @param known the set-up so far: what was asked, the cautions and the depths
 * @param solved posture, limits and task
 * @param found the depth that is held
 * @returns settings, joints, balance, loads and marks; `degraded` when a wish is far off
 */
export function describeSolved(
  request: Request,
  known: SetUp,
  solved: SolvedRequest,
  found: HeldDepth,
): SetUp {
  const { pose, side, rules } = request;
  const { built } = solved.answer;
  const { body } = solved.limited;
  const { body: canonicalBody } = built.task;
  const { skeleton } = found.answer;
  const joints = calcJointReports(skeleton, reportLimitsOf(solved), side);
  const { cupboard } = request.record.studio ?? USUAL_STUDIO;
  const mat = onHalfCentimetre(layOnMat(canonicalBody, skeleton, findMat(cupboard)));
  const told = describeLimits(joints, { pose: pose.id, side });
  const wishes = judgeWishes(request, built, skeleton);
  const mirrored = side === 'left' ? -1 : 1;
  const origin = findOrigin(pose, skeleton);
  const weights = calcWeights(skeleton, pose, side, origin);
  const euler = toYawTiltList(skeleton.posture.pelvis);
  const flat = (points: readonly (readonly [number, number])[]): (readonly [number, number])[] =>
    points.map(([x, y]) => [
      toHundredthCm(x - origin[0]),
      toHundredthCm((y - origin[1]) * mirrored),
    ]);
  const setUp: SetUp = {
    ...known,
    status: wishes.degraded ? 'degraded' : 'solved',
    settings: calcSettings({
      ...built,
      pose,
      rules,
      body,
      frontSide: side,
      canonicalBody,
      skeleton,
      mat,
      depths: [known.firstDepth, known.depth],
      limitSteps: told,
    }),
    pelvis: {
      yawDeg: toHundredths(degreesFromRadians(euler.yaw) * mirrored),
      tiltDeg: toHundredths(degreesFromRadians(euler.tilt)),
      listDeg: toHundredths(degreesFromRadians(euler.list) * mirrored),
    },
    landmarks: calcLandmarks(canonicalBody, skeleton, side, origin),
    joints,
    limiting: findLimiting(joints.filter(isCalledOn)) ?? findLimiting(joints),
    balance: { base: flat(findBase(skeleton)), ...calcMargins(skeleton, side) },
    stanceRule: describeStanceRule(request, solved),
    weights,
    loads: calcLoads({
      skeleton,
      pose,
      weights,
      frontSide: side,
      legLength: body.legLength[side],
      massKg: request.record.person.bodyMassKg,
    }),
    mat: { lengthCm: mat.lengthCm, widthCm: mat.widthCm, fits: mat.fits },
    footprints: {
      front: flat(soleOutline(canonicalBody, skeleton.legs.front.foot)),
      back: flat(soleOutline(canonicalBody, skeleton.legs.back.foot)),
    },
    problems: [...wishes.problems, ...findSideNotes(pose, joints, mat, skeleton)],
  };
  const wall = findWallNote(setUp, request.record.studio);
  return withProps({ ...setUp, problems: [...setUp.problems, ...wall] }, cupboard);
}

function describeStanceRule(
  { pose, side, rules }: Request,
  { limited, answer }: SolvedRequest,
): SetUp['stanceRule'] {
  if (answer.built.stance.definition.kind === 'none') return null;
  const rule = findStanceRule(pose, limited.body, side, rules);
  if (rule === null) return null;
  return { of: rule.of, factor: toHundredths(rule.factor), cm: toHundredthCm(rule.metres) };
}

const toHundredthCm = (metres: number): number => toHundredths(cmFromMetres(metres));
