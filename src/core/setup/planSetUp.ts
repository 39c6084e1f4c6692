import { calcBody, type Body } from '../body/body.ts';
import { findActiveCautions, findStopSigns } from '../cautions/stopSigns.ts';
import { toYawTiltList } from '../geometry/rotation.ts';
import { calcMeasureSet, type MeasureSet } from '../measures/measureSet.ts';
import type { Side } from '../measures/protocol.ts';
import type { PersonRecord } from '../person/person.ts';
import { findPose, POSES } from '../poses/catalogue/index.ts';
import type { PoseDefinition } from '../poses/poseDefinition.ts';
import { problem, type Problem, type Result } from '../problems/problem.ts';
import { DEFAULT_RULES, type HouseRules } from '../rules/houseRules.ts';
import type { PoseTask } from '../solver/poseTask.ts';
import { getQuantity } from '../solver/quantities.ts';
import { calcWishOff, toScaled, WISH_STRETCH } from '../solver/residuals.ts';
import { soleOutline, type Skeleton } from '../solver/skeleton.ts';
import { reachFarthest } from '../solver/solve.ts';
import { cmFromMetres, degreesFromRadians, radiansFromDegrees } from '../units/brands.ts';
import { buildTask, findStance, type BuiltTask } from './buildTask.ts';
import { findDepth, type DepthAnswer } from './findDepth.ts';
import { calcJointReports, findLimiting, nameJoint } from './jointReport.ts';
import { calcLandmarks } from './landmarks.ts';
import { layOnMat } from './mat.ts';
import { calcPlanningRanges, findMissingMeasures, type PlanningRanges } from './planningLimits.ts';
import { getReserve } from './reserve.ts';
import { calcSettings } from './settings.ts';
import { SET_UP_FORMAT, SET_UP_VERSION, type JointReport, type SetUp } from './setUp.ts';
import { closeSum, limitStep, term, type WorkingStep } from './working.ts';

/** A joint counts as at its limit when this little is left, degrees. */
const AT_LIMIT_DEG = 0.5;
/** Inversion of the back ankle that deserves a word, degrees. Our modelling choice. */
const WIDE_ANKLE_DEG = 35;
/** A chest that falls this short is worth a note, degrees. */
const FALLS_SHORT_DEG = 1;

interface Request {
  readonly record: PersonRecord;
  readonly pose: PoseDefinition;
  readonly side: Side;
  readonly rules: HouseRules;
}

/**
 * The set-up of one pose for one person: feet, knee, pelvis, hand and prop, with what
 * each joint is asked and has, and the sum behind every number.
 *
 * @param record the person with all readings, as in a person file
 * @param poseId one of poses/catalogue
 * @param side the front (or standing) leg
 * @param rules house rules that differ from the defaults
 * @returns a set-up, which may say `failed` (an answer too), or problems:
 *   `unknown-pose`, `missing-measure`, and those of the body
 */
export function planSetUp(
  record: PersonRecord,
  poseId: string,
  side: Side,
  rules: Partial<HouseRules> = {},
): Result<SetUp> {
  const pose = findPose(poseId);
  if (pose === null) {
    const known = POSES.map((each) => each.id);
    return { ok: false, problems: [problem('unknown-pose', 'pose', { text: poseId, known })] };
  }
  const request: Request = { record, pose, side, rules: { ...DEFAULT_RULES, ...rules } };
  const stopSigns = findStopSigns(record.person);
  if (stopSigns.length > 0) return { ok: true, value: describeStopped(request, stopSigns) };

  const set = calcMeasureSet(record.readings);
  const missing = findMissingMeasures(set, request.rules, pose, POSES);
  if (missing.length > 0) return { ok: false, problems: missing };
  const body = calcBody(set);
  if (!body.ok) return body;
  return { ok: true, value: solveSetUp(request, set, body.value) };
}

/** What every set-up says before anything is solved. */
function describeUnsolved({ record, pose, side, rules }: Request): SetUp {
  return {
    format: SET_UP_FORMAT,
    version: SET_UP_VERSION,
    pose: pose.id,
    side,
    status: 'failed',
    provisional: rules.provisional,
    depth: {
      id: pose.depth.quantity,
      value: null,
      unit: 'deg',
      recommended: null,
      deepest: null,
      textbook: pose.depth.textbook,
      working: [],
    },
    settings: [],
    pelvis: null,
    landmarks: {},
    joints: [],
    limiting: null,
    balance: null,
    mat: null,
    footprints: null,
    cautions: findActiveCautions(record.person).map(({ entry, kind }) => ({
      id: entry.id,
      name: kind?.name ?? entry.id,
      advice: kind?.advice ?? entry.note,
    })),
    problems: [],
    provenance: {
      measures: [],
      rules,
      reserve: getReserve(rules, record.person.experience),
    },
  };
}

const describeStopped = (request: Request, problems: readonly Problem[]): SetUp => ({
  ...describeUnsolved(request),
  problems,
});

/**
 * While the longest stance is looked for, wishes may stretch by one tolerance only and
 * every joint keeps two degrees more than it must, so that the depth found in it
 * afterwards still has room. Our modelling choice.
 */
const WISHES_IN_LONGEST = 1;
const MORE_TO_SPARE_IN_LONGEST_DEG = 2;
/** No pyramid is looked for below half the stance its rule wants. Our modelling choice. */
const SHORTEST_SHARE = 0.5;

/** Some stances are as long as can be, up to a rule: found once, then held. */
function findHeldStance(request: Request, body: Body, ranges: PlanningRanges): number | null {
  const { pose, side, rules } = request;
  const { definition, metres } = findStance(pose, body, side, rules);
  if (definition.kind !== 'longest-up-to' || metres === null) return null;
  const { task } = buildTask(pose, body, ranges, side, rules, null);
  const spare = rules.depth === 'deepest' ? 0 : rules.minimumToSpareDeg;
  const aim = {
    toSpare: radiansFromDegrees(spare + MORE_TO_SPARE_IN_LONGEST_DEG),
    wishesWithin: WISHES_IN_LONGEST,
  };
  const way = { quantity: 'stance', from: metres * SHORTEST_SHARE, to: metres } as const;
  const longest = reachFarthest(task, way, aim, null);
  return longest.kept ? Math.min(metres, longest.skeleton.posture.stance) : metres;
}

function solveSetUp(request: Request, set: MeasureSet, body: Body): SetUp {
  const { record, pose, side, rules } = request;
  const { experience } = record.person;
  const ranges = calcPlanningRanges(set, rules, getReserve(rules, experience));
  const held = findHeldStance(request, body, ranges);
  const built = buildTask(pose, body, ranges, side, rules, held);
  const found = findDepth(built.task, pose, rules, experience);
  const unsolved = describeUnsolved(request);
  const known: SetUp = {
    ...unsolved,
    depth: { ...unsolved.depth, deepest: toTenths(found.deepestDeg) },
    provenance: { ...unsolved.provenance, measures: listUses(body, ranges) },
  };
  if (found.kind === 'cannot') {
    return { ...known, problems: [describeFailure(request, built.task, found)] };
  }
  return describeSolved(request, known, body, built, found);
}

const toTenths = (value: number | null): number | null =>
  value === null ? null : Math.round(value * 10) / 10;

const listUses = (body: Body, ranges: PlanningRanges): SetUp['provenance']['measures'] => [
  ...body.uses,
  ...[...ranges.values()].map((range) => range.use),
];

/** Names what stands in the way: the joints that would have to give, by how much. */
function describeFailure(
  { pose, side, rules }: Request,
  task: PoseTask,
  found: Extract<DepthAnswer, { kind: 'cannot' }>,
): Problem {
  const spare = found.because === 'to-spare' ? rules.minimumToSpareDeg : 0;
  const { skeleton } = found.answer;
  const joints = calcJointReports(skeleton, task.limits, side)
    .filter((each) => each.toSpareDeg !== null && each.toSpareDeg < spare + AT_LIMIT_DEG)
    .map((each) => {
      const short = spare - (each.toSpareDeg ?? 0);
      const name = nameJoint(each, side);
      return short > AT_LIMIT_DEG
        ? `${name} lacks ${short.toFixed(0)}°`
        : `${name} is at its limit`;
    });
  const wishes = task.wishes
    .filter((wish) => Math.abs(calcWishOff(wish, skeleton)) > WISH_STRETCH)
    .map((wish) => `${getQuantity(wish.quantity).words} would be too far off`);
  const reasons = [...joints, ...wishes];
  if (reasons.length === 0) reasons.push('the lengths do not meet');
  return found.because === 'musts'
    ? problem('cannot-hold', 'pose', { reasons, swap: pose.easier })
    : problem('too-little-to-spare', 'pose', { reasons, spare, swap: pose.easier });
}

function describeDepth(
  pose: PoseDefinition,
  found: Extract<DepthAnswer, { kind: 'held' }>,
): WorkingStep[] {
  const { depthDeg, deepestDeg, reason } = found;
  const degrees = (text: string, value: number): WorkingStep =>
    term(text, value.toFixed(2), value, 'deg');
  const deepest = degrees('deepest safe: the largest depth that keeps every limit', deepestDeg);
  const rest = depthDeg - deepestDeg;
  const words: Readonly<Record<typeof reason.kind, string>> = {
    step: 'less the step by experience',
    'to-spare': `less what leaves ${String(reason.kind === 'to-spare' ? reason.spareDeg : 0)}° to spare at every joint`,
    deepest: 'settled just inside its edge',
  };
  return closeSum(pose.depth.words, [deepest, degrees(words[reason.kind], rest)], 'deg');
}

function describeLimits(joints: readonly JointReport[], side: Side): WorkingStep[] {
  const told = joints.filter((each) => each.toSpareDeg !== null).slice(0, 3);
  return told.map((each) =>
    limitStep(`${nameJoint(each, side)}: has less asked`, each.askedDeg ?? 0, each.hasDeg ?? 0),
  );
}

function judgeWishes(
  request: Request,
  built: BuiltTask,
  skeleton: Skeleton,
): { readonly degraded: boolean; readonly problems: Problem[] } {
  const off = built.task.wishes.map((wish) => ({
    wish,
    sigmas: Math.abs(calcWishOff(wish, skeleton)),
  }));
  const broken = off.filter(({ sigmas }) => sigmas > WISH_STRETCH + 0.01);
  const say = (
    { wish, sigmas }: (typeof off)[number],
    code: 'wish-far-off' | 'falls-short',
  ): Problem => {
    const { words, kind } = getQuantity(wish.quantity);
    const unit = kind === 'angle' ? '°' : ' cm';
    const sigma = toScaled(wish.quantity, wish.sigma);
    return problem(code, wish.quantity, {
      wish: words,
      off: `${(sigma * sigmas).toFixed(0)}${unit}`,
      sigma: `${sigma.toFixed(0)}${unit}`,
      swap: request.pose.easier,
    });
  };
  const short = off.filter(
    (each) =>
      each.wish.quantity === 'chest-turn' &&
      !broken.includes(each) &&
      toScaled('chest-turn', each.wish.sigma) * each.sigmas > FALLS_SHORT_DEG,
  );
  return {
    degraded: broken.length > 0,
    problems: [
      ...broken.map((each) => say(each, 'wish-far-off')),
      ...short.map((each) => say(each, 'falls-short')),
    ],
  };
}

function describeSolved(
  request: Request,
  known: SetUp,
  body: Body,
  built: BuiltTask,
  found: Extract<DepthAnswer, { kind: 'held' }>,
): SetUp {
  const { pose, side, rules } = request;
  const { figure, limits } = built.task;
  const { skeleton } = found.answer;
  const joints = calcJointReports(skeleton, limits, side);
  const mat = layOnMat(figure, skeleton);
  const depthWorking = describeDepth(pose, found);
  const told = describeLimits(joints, side);
  const wishes = judgeWishes(request, built, skeleton);
  const mirrored = side === 'left' ? -1 : 1;
  const euler = toYawTiltList(skeleton.posture.pelvis);
  const flat = (points: readonly (readonly [number, number])[]): (readonly [number, number])[] =>
    points.map(([x, y]) => [toHundredthCm(x), toHundredthCm(y * mirrored)]);
  return {
    ...known,
    status: wishes.degraded ? 'degraded' : 'solved',
    depth: {
      ...known.depth,
      value: toTenths(found.depthDeg),
      recommended: rules.depth === 'recommended' ? toTenths(found.depthDeg) : null,
      working: depthWorking,
    },
    settings: calcSettings({
      ...built,
      pose,
      rules,
      body,
      figure,
      skeleton,
      mat,
      depthWorking: [...depthWorking, ...told],
      limits: told,
    }),
    pelvis: {
      yawDeg: toHundredths(degreesFromRadians(euler.yaw) * mirrored),
      tiltDeg: toHundredths(degreesFromRadians(euler.tilt)),
      listDeg: toHundredths(degreesFromRadians(euler.list) * mirrored),
    },
    landmarks: calcLandmarks(figure, skeleton, side),
    joints,
    limiting: findLimiting(joints),
    balance: {
      base: flat(skeleton.base),
      nearestEdgeCm: toHundredths(cmFromMetres(skeleton.weightInside)),
    },
    mat: { lengthCm: mat.lengthCm, widthCm: mat.widthCm, fits: mat.fits },
    footprints: {
      front: flat(soleOutline(figure, skeleton.legs.front.foot)),
      back: flat(soleOutline(figure, skeleton.legs.back.foot)),
    },
    problems: [...wishes.problems, ...findSideNotes(joints, mat)],
  };
}

const toHundredths = (value: number): number => Math.round(value * 100) / 100 + 0;
const toHundredthCm = (metres: number): number => toHundredths(cmFromMetres(metres));

function findSideNotes(
  joints: readonly JointReport[],
  mat: ReturnType<typeof layOnMat>,
): Problem[] {
  const notes: Problem[] = [];
  const inversion = joints.find(
    (each) => each.motion === 'inversion' && (each.askedDeg ?? 0) > WIDE_ANKLE_DEG,
  );
  if (inversion !== undefined) {
    notes.push(problem('wide-ankle', 'inversion', { asked: (inversion.askedDeg ?? 0).toFixed(0) }));
  }
  if (!mat.fits) {
    const over = (mat.extentCm - mat.lengthCm).toFixed(1);
    notes.push(problem('does-not-fit-mat', 'stance-length', { over }));
  }
  return notes;
}
