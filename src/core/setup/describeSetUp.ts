import { toHundredths, toTenths } from '../units/rounding.ts';
import { findActiveCautions } from '../cautions/stopSigns.ts';
import { toYawTiltList } from '../geometry/rotation.ts';
import type { DepthDefinition, PoseDefinition } from '../poses/poseDefinition.ts';
import { saySwap } from '../poses/swaps.ts';
import { problem, type Problem } from '../problems/problem.ts';
import type { HouseRules } from '../rules/houseRules.ts';
import { soleOutline } from '../skeleton/foot.ts';
import { calcWeightInside, getQuantity } from '../conditions/quantities.ts';
import { calcWishOff, toScaled, WISH_STRETCH } from '../conditions/residuals.ts';
import { findBase, type Skeleton } from '../skeleton/skeleton.ts';
import { cmFromMetres, degreesFromRadians } from '../units/brands.ts';
import { calcMargins } from './balance.ts';
import type { BuiltTask } from '../planning/buildTask.ts';
import type { DepthAnswer, HeldDepth } from '../planning/findDepth.ts';
import {
  calcJointReports,
  findLimiting,
  isCalledOn,
  makeHeldBackFinder,
  nameJoint,
  type PoseSide,
  type ReportLimits,
} from './jointReport.ts';
import { calcLandmarks, findOrigin } from './landmarks.ts';
import { calcLoads } from './loads.ts';
import { layOnMat, onHalfCentimetre, type MatFit } from './mat.ts';
import type { Request } from '../planning/request.ts';
import { calcSettings } from './settings.ts';
import {
  SET_UP_FORMAT,
  SET_UP_VERSION,
  type DepthReport,
  type JointReport,
  type SetUp,
} from './setUp.ts';
import type { SolvedRequest } from '../planning/solveRequest.ts';
import { closeSum, limitStep, term, type WorkingStep } from '../planning/working.ts';

/** A joint counts as at its limit when this little is left, degrees. */
const AT_LIMIT_DEG = 0.5;
/** Inversion of the back ankle that deserves a word, degrees. Our modelling choice. */
const WIDE_ANKLE_DEG = 35;
/** A chest that falls this short is worth a note, degrees. */
const FALLS_SHORT_DEG = 1;

const describeNoDepth = ({ quantity, textbook }: DepthDefinition): DepthReport => ({
  id: quantity,
  value: null,
  unit: getQuantity(quantity).kind === 'length' ? 'cm' : 'deg',
  recommended: null,
  deepest: null,
  textbook,
  plusMinus: null,
  working: [],
});

/** What every set-up says before anything is solved. */
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
  return {
    format: SET_UP_FORMAT,
    version: SET_UP_VERSION,
    pose: pose.id,
    level,
    levels: [],
    standsOn: legs === null ? null : { pose: legs.pose.id, level: legs.level },
    side,
    status: 'failed',
    provisional: rules.provisional,
    depth: pose.depth === null ? null : describeNoDepth(pose.depth),
    firstDepth: pose.firstDepth === null ? null : describeNoDepth(pose.firstDepth),
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
    adaptations: adapted.told,
    loads: [],
    bounds: null,
    ifPushed: null,
    asFound: null,
    handProp: null,
    supportProps: [],
    problems: [],
    provenance: {
      measures: [],
      rules,
      reserve: Math.max(reserve, adapted.reserve),
    },
  };
}

export const describeStopped = (request: Request, problems: readonly Problem[]): SetUp => ({
  ...describeUnsolved(request),
  problems,
});

/** The limits that an answer is reported against. */
export const reportLimitsOf = ({
  answer: { built },
  numbers,
  poseRequest,
}: SolvedRequest): ReportLimits => ({
  measured: built.limits.measured,
  safe: built.limits.safe,
  used: built.limits[built.usable],
  findReason: makeHeldBackFinder(numbers.ranges, built.usable, poseRequest.pose),
});

/** Names what stands in the way: the joints that would have to give, by how much. */
export function describeFailure(request: Request, solved: SolvedRequest): Problem {
  const { pose, side } = request;
  const { found, built } = solved.answer;
  const { skeleton } = found.answer;
  const joints = calcJointReports(skeleton, reportLimitsOf(solved), side)
    .filter((each) => each.toSpareDeg !== null && each.toSpareDeg < AT_LIMIT_DEG)
    .map((each) => {
      const short = -(each.toSpareDeg ?? 0);
      const name = nameJoint(each, { pose: pose.id, side });
      return short > AT_LIMIT_DEG
        ? `${name} lacks ${short.toFixed(0)}°`
        : `${name} is at its limit`;
    });
  const wishes = built.task.wishes
    .filter((wish) => Math.abs(calcWishOff(wish, skeleton)) > WISH_STRETCH)
    .map((wish) => `${getQuantity(wish.quantity).words} would be too far off`);
  const reasons = [...joints, ...wishes];
  if (reasons.length === 0) reasons.push('the lengths do not meet');
  const { failedLegs } = solved;
  if (failedLegs !== null) reasons.unshift(`it stands on ${failedLegs.name}, which cannot be held`);
  const isHeldBack = found.kind === 'cannot' && found.because === 'held-back';
  return isHeldBack
    ? problem('too-little-margin', 'pose', { reasons, swap: saySwap(pose) })
    : problem('cannot-hold', 'pose', { reasons, swap: saySwap(pose) });
}

const REASON_WORDS = {
  step: 'less the first-time step by experience',
  'held-back': 'less what leaves free what is held back at every joint',
  deepest: 'settled just inside its edge',
} as const;

/** How deep, of how deep it may be, with the sum; null when the pose has no depth. */
export function describeDepth(
  depth: DepthDefinition | null,
  found: DepthAnswer | null,
  rules: HouseRules,
): DepthReport | null {
  if (depth === null) return null;
  const none = describeNoDepth(depth);
  if (found === null) return none;
  // Rounded down: a deepest safe depth that is told has to be one that can be held.
  const deepest = found.deepest === null ? null : Math.floor(found.deepest * 10) / 10;
  if (found.kind === 'cannot' || found.depth === null || found.deepest === null) {
    return { ...none, deepest };
  }
  const { reason } = found;
  const part = (text: string, value: number): WorkingStep =>
    term(text, value.toFixed(2), value, none.unit);
  return {
    ...none,
    deepest,
    value: toTenths(found.depth),
    recommended: rules.depth === 'recommended' ? toTenths(found.depth) : null,
    working: closeSum(
      depth.words,
      [
        part('deepest safe: the largest depth that keeps every limit', found.deepest),
        part(REASON_WORDS[reason.kind], found.depth - found.deepest),
      ],
      none.unit,
    ),
  };
}

function describeLimits(joints: readonly JointReport[], of: PoseSide): WorkingStep[] {
  const told = joints.filter((each) => each.toSpareDeg !== null).slice(0, 3);
  return told.map((each) =>
    limitStep(`${nameJoint(each, of)}: has less asked`, each.askedDeg ?? 0, each.hasDeg ?? 0),
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
      swap: saySwap(request.pose),
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

export function describeSolved(
  request: Request,
  known: SetUp,
  solved: SolvedRequest,
  found: HeldDepth,
): SetUp {
  const { pose, side, rules } = request;
  const { built } = solved.answer;
  const { body } = solved.numbers;
  const { figure } = built.task;
  const { skeleton } = found.answer;
  const joints = calcJointReports(skeleton, reportLimitsOf(solved), side);
  const mat = onHalfCentimetre(layOnMat(figure, skeleton));
  const told = describeLimits(joints, { pose: pose.id, side });
  const wishes = judgeWishes(request, built, skeleton);
  const mirrored = side === 'left' ? -1 : 1;
  const origin = findOrigin(pose, skeleton);
  const euler = toYawTiltList(skeleton.posture.pelvis);
  const flat = (points: readonly (readonly [number, number])[]): (readonly [number, number])[] =>
    points.map(([x, y]) => [
      toHundredthCm(x - origin[0]),
      toHundredthCm((y - origin[1]) * mirrored),
    ]);
  return {
    ...known,
    status: wishes.degraded ? 'degraded' : 'solved',
    settings: calcSettings({
      ...built,
      pose,
      rules,
      body,
      frontSide: side,
      figure,
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
    landmarks: calcLandmarks(figure, skeleton, side, origin),
    joints,
    limiting: findLimiting(joints.filter(isCalledOn)) ?? findLimiting(joints),
    balance: { base: flat(findBase(skeleton)), ...calcMargins(skeleton, side) },
    loads: calcLoads(skeleton, side, request.record.person.bodyMassKg),
    mat: { lengthCm: mat.lengthCm, widthCm: mat.widthCm, fits: mat.fits },
    footprints: {
      front: flat(soleOutline(figure, skeleton.legs.front.foot)),
      back: flat(soleOutline(figure, skeleton.legs.back.foot)),
    },
    problems: [...wishes.problems, ...findSideNotes(pose, joints, mat, skeleton)],
  };
}

const toHundredthCm = (metres: number): number => toHundredths(cmFromMetres(metres));

/** Weight nearer to the edge than this asks for feet set wider, metres. Our modelling choice. */
const SMALL_MARGIN = 0.03;

function findSideNotes(
  pose: PoseDefinition,
  joints: readonly JointReport[],
  mat: MatFit,
  skeleton: Skeleton,
): Problem[] {
  const notes: Problem[] = [];
  const onTwoFeet = pose.backContact === 'flat' || pose.backContact === 'ball';
  const weightInside = calcWeightInside(skeleton);
  if (onTwoFeet && weightInside < SMALL_MARGIN) {
    const inside = cmFromMetres(weightInside).toFixed(1);
    notes.push(problem('small-margin', 'balance', { inside }));
  }
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
