import type { Side } from '../measures/protocol.ts';
import type { QuantityId } from '../poses/quantityId.ts';
import type { PoseDefinition } from '../poses/poseDefinition.ts';
import { FOOT } from '../body/proportions.ts';
import type { Must, PoseTask, Wish } from '../conditions/poseTask.ts';
import { withParts, type PartId } from '../skeleton/posture.ts';
import { getQuantity } from '../conditions/quantities.ts';
import { toScaled } from '../conditions/residuals.ts';
import type { Skeleton } from '../skeleton/skeleton.ts';
import type { Answer } from '../solver/run.ts';
import { settleFreely } from '../solver/solve.ts';
import { metresFromCm, radiansFromDegrees } from '../units/brands.ts';
import {
  calcJointReports,
  nameJoint,
  withoutHoldingBack,
  type PoseSide,
} from '../setup/jointReport.ts';
import type { Force } from '../planning/poseRequest.ts';
import type { Give, GiveId, JointReport } from '../setup/setUp.ts';

/**
 * What gives when a pose is pushed, and how much of it costs as much as one unit of
 * anything else: 5° of list, 10° of pelvis turn, 2 cm of back heel, 3 cm of knee drift,
 * 10° of rounding, 20° of chest. Common practice, no source; the costs are our choice.
 */
const COST = {
  list: radiansFromDegrees(5),
  turn: radiansFromDegrees(10),
  heel: metresFromCm(2),
  drift: metresFromCm(3),
  rounding: radiansFromDegrees(10),
  chest: radiansFromDegrees(20),
} as const;

/** A back rounds this far when it is let, radians. Our modelling choice. */
const MOST_ROUNDING = radiansFromDegrees(60);
const MOST_HEEL = radiansFromDegrees(60);
/** Gives smaller than this share of their cost are not told. */
const WORTH_TELLING = 0.15;
const BEYOND_LIMIT_DEG = 0.5;

/** Quantities whose musts are let go, because they are what gives. */
const GIVING: readonly QuantityId[] = [
  'pelvis-level',
  'pelvis-turn',
  'pelvis-tilt',
  'pelvis-stacking',
  'spine-flexion',
  'spine-side-bend',
  'front-knee-beside-ankle',
  'trunk-lean',
];

/** A posture forced where it would not go by itself, and what gave. */
export interface Pushed {
  readonly answer: Answer;
  readonly gives: readonly Give[];
  readonly joints: readonly JointReport[];
  readonly sentence: string;
}

const heelAngle = (task: PoseTask): number =>
  COST.heel / ((FOOT.ball - FOOT.heelCentre) * task.figure.footLength);

const stacksKnee = (pose: PoseDefinition): boolean =>
  pose.musts.some((must) => must.quantity === 'front-knee-beside-ankle');

/** The same pose with its musts slack: limits and contacts hold, the rest gives at its cost. */
function slacken(
  task: PoseTask,
  pose: PoseDefinition,
  planned: Skeleton,
  { parts, quantities }: Force,
): PoseTask {
  const near = (quantity: QuantityId, sigma: number, goal?: number): Wish => ({
    quantity,
    goal: goal ?? getQuantity(quantity).calc(planned),
    sigma,
  });
  const forced: Must[] = quantities.map(({ quantity, value }) => ({
    quantity,
    atLeast: value,
    atMost: value,
  }));
  const taken = new Set(quantities.map((each) => each.quantity));
  const heelGives = pose.backContact === 'flat';
  const eases: Wish[] = [
    near('pelvis-level', COST.list),
    near('pelvis-turn', COST.turn),
    near('spine-flexion', COST.rounding),
    // What is not among the gives stays about where it was planned.
    near('spine-side-bend', COST.rounding),
    near('spine-rotation', COST.chest),
    near('trunk-lean-along', COST.chest),
    near('trunk-lean-across', COST.rounding),
    ...(pose.chestTarget === null ? [] : [near('chest-turn', COST.chest)]),
    ...(stacksKnee(pose)
      ? [near('front-knee-beside-ankle', COST.drift), near('front-knee-drift', COST.drift, 0)]
      : []),
    ...(heelGives ? [near('back-heel-lift', heelAngle(task), 0)] : []),
  ];
  return {
    ...task,
    limits: { ...task.limits, trunk: { ...task.limits.trunk, flexion: MOST_ROUNDING } },
    musts: [
      ...task.musts.filter(({ quantity }) => !GIVING.includes(quantity) && !taken.has(quantity)),
      ...forced,
      ...(heelGives
        ? [{ quantity: 'back-heel-lift', atLeast: 0, atMost: MOST_HEEL } as const]
        : []),
    ],
    wishes: [],
    eases: eases.filter((each) => !taken.has(each.quantity)),
    free: [
      ...task.free.filter((part) => parts[part] === undefined),
      ...(stacksKnee(pose) ? (['frontKneeDrift'] as const) : []),
      ...(heelGives ? (['backHeelLift'] as const) : []),
    ],
  };
}

/** A force part of the way from what was planned. */
function partOf({ parts, quantities }: Force, planned: Skeleton, share: number): Force {
  const between = (from: number, to: number): number => from + share * (to - from);
  const entries = Object.entries(parts) as [PartId, number][];
  return {
    parts: Object.fromEntries(
      entries.map(([part, to]) => [part, between(planned.posture.parts[part], to)]),
    ),
    quantities: quantities.map(({ quantity, value }) => ({
      quantity,
      value: between(getQuantity(quantity).calc(planned), value),
    })),
  };
}

/** A push goes there in this many strides, each from the last, so that it never leaps to another shape. */
const STRIDES = 6;

function pushStepwise(
  task: PoseTask,
  pose: PoseDefinition,
  planned: Skeleton,
  force: Force,
): { readonly answer: Answer; readonly slack: PoseTask } {
  let { posture } = planned;
  for (let stride = 1; ; stride += 1) {
    const now = partOf(force, planned, stride / STRIDES);
    const slack = slacken(task, pose, planned, now);
    const starts = [withParts(posture, now.parts)];
    const answer = settleFreely({ ...slack, starts }, { toSpare: 0, wishesWithin: null });
    if (stride === STRIDES) return { answer, slack };
    ({ posture } = answer.skeleton);
  }
}

function findGives(
  task: PoseTask,
  pose: PoseDefinition,
  planned: Skeleton,
  pushed: Skeleton,
): Give[] {
  const change = (quantity: QuantityId): number =>
    getQuantity(quantity).calc(pushed) - getQuantity(quantity).calc(planned);
  const give = (id: GiveId, quantity: QuantityId, moved: number, cost: number): Give => ({
    id,
    amount: toScaled(quantity, moved),
    unit: getQuantity(quantity).kind === 'length' ? 'cm' : 'deg',
    cost: Math.abs(moved) / cost,
  });
  const lift = pushed.posture.parts.backHeelLift - planned.posture.parts.backHeelLift;
  const heel = (FOOT.ball - FOOT.heelCentre) * task.figure.footLength * Math.sin(lift);
  const gives: Give[] = [
    give('pelvis-drops', 'pelvis-level', change('pelvis-level'), COST.list),
    give('pelvis-turns', 'pelvis-turn', change('pelvis-turn'), COST.turn),
    give('heel-lifts', 'stance', heel, COST.heel),
    ...(stacksKnee(pose)
      ? [give('knee-drifts', 'stance', change('front-knee-beside-ankle'), COST.drift)]
      : []),
    give('back-rounds', 'spine-flexion', change('spine-flexion'), COST.rounding),
    ...(pose.chestTarget === null
      ? []
      : [give('chest-short', 'chest-turn', change('chest-turn'), COST.chest)]),
  ];
  return gives.filter((each) => each.cost > WORTH_TELLING).sort((a, b) => b.cost - a.cost);
}

const GIVE_WORDS: Readonly<Record<GiveId, (amount: number) => string>> = {
  'pelvis-drops': (amount) => `the ${amount > 0 ? 'front' : 'back'} side of the pelvis drops`,
  'pelvis-turns': (amount) =>
    `the pelvis turns ${amount > 0 ? 'further open' : 'toward the front leg'} by`,
  'heel-lifts': () => 'the back heel lifts',
  'knee-drifts': (amount) => `the front knee drifts ${amount > 0 ? 'in' : 'out'}`,
  'back-rounds': (amount) => (amount > 0 ? 'the low back rounds' : 'the low back hollows'),
  'chest-short': () => 'the chest swings by',
};

function write({ amount, unit }: Give): string {
  const size = Math.abs(amount);
  return unit === 'deg' ? `${size.toFixed(0)}°` : `${size.toFixed(1)} cm`;
}

function describe(
  gives: readonly Give[],
  joints: readonly JointReport[],
  of: PoseSide,
  wasHeld: boolean,
): string {
  const parts = gives.map((each) => `${GIVE_WORDS[each.id](each.amount)} ${write(each)}`);
  for (const each of joints) {
    if ((each.toSpareDeg ?? 0) < -BEYOND_LIMIT_DEG) {
      const over = (-(each.toSpareDeg ?? 0)).toFixed(0);
      parts.push(`the ${nameJoint(each, of)} is asked ${over}° more than it has`);
    }
  }
  if (parts.length === 0) {
    return wasHeld ? 'Nothing gives.' : 'The body cannot be brought there at all.';
  }
  const text = parts.join(', ');
  return `${text.charAt(0).toUpperCase()}${text.slice(1)}.`;
}

/**
 * Forces a pose to a depth or to a school's numbers: a real solve, with slack on what
 * gives in practice and none on joint limits, lengths and contacts.
 *
 * @param planned the posture that was planned; what gives is told against it
 */
export function solvePushed(
  task: PoseTask,
  pose: PoseDefinition,
  side: Side,
  planned: Skeleton,
  force: Force,
): Pushed {
  const { answer, slack } = pushStepwise(task, pose, planned, force);
  const joints = calcJointReports(answer.skeleton, withoutHoldingBack(slack.limits), side);
  const gives = findGives(task, pose, planned, answer.skeleton);
  const sentence = describe(gives, joints, { pose: pose.id, side }, answer.kept);
  return { answer, gives, joints, sentence };
}
