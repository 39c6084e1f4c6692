import { radiansFromDegrees } from '../units/brands.ts';
import type { QuantityId } from '../poses/quantityId.ts';
import type { Solution } from '../solver/run.ts';
import type { Give, JointReport } from '../setup/setUp.ts';
import type { PoseTask, Wish, Must } from '../conditions/poseTask.ts';
import { COST, stacksKnee, findGives, describeGive } from './gives.ts';
import { FOOT } from '../body/proportions.ts';
import type { PoseDefinition } from '../poses/poseDefinition.ts';
import type { Skeleton } from '../skeleton/skeleton.ts';
import type { Force } from '../planning/poseRequest.ts';
import { getQuantity } from '../conditions/quantities.ts';
import { type PartId, withParts } from '../skeleton/posture.ts';
import { settleFreely } from '../solver/solve.ts';
import type { Side } from '../measures/protocol.ts';
import { calcJointReports, withoutHoldingBack } from '../setup/jointReport.ts';

/** A back rounds this far when it is let, radians. Our modelling choice. */
const MOST_ROUNDING = radiansFromDegrees(60);

const MOST_HEEL = radiansFromDegrees(60);

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
  readonly answer: Solution;
  readonly gives: readonly Give[];
  readonly joints: readonly JointReport[];
  readonly sentence: string;
}

const heelAngle = (task: PoseTask): number =>
  COST.heel / ((FOOT.ball - FOOT.heelCentre) * task.body.footLength);

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
      ...new Set<PartId>([
        ...task.free,
        ...(stacksKnee(pose) ? (['frontKneeDrift'] as const) : []),
        ...(heelGives ? (['backHeelLift'] as const) : []),
      ]),
    ].filter((part) => parts[part] === undefined),
  };
}

/** A force part of the way from what was planned. */
function scaleForce({ parts, quantities }: Force, planned: Skeleton, share: number): Force {
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
): { readonly answer: Solution; readonly slack: PoseTask } {
  let { posture } = planned;
  for (let stride = 1; ; stride += 1) {
    const now = scaleForce(force, planned, stride / STRIDES);
    const slack = slacken(task, pose, planned, now);
    const starts = [withParts(posture, now.parts)];
    const answer = settleFreely({ ...slack, starts }, { toSpare: 0, wishesWithin: null });
    if (stride === STRIDES) return { answer, slack };
    ({ posture } = answer.skeleton);
  }
}

/**
 * Forces a pose to a depth or to a school's numbers: a real solve, with slack on what
 * gives in practice and none on joint limits, lengths and contacts.
 *
 * @param task the pose with one person's lengths, limits and rules filled in
 * @param pose the pose's data
 * @param side left or right
 * @param planned the posture that was planned; compensations are measured against it
 * @param force what it is forced to
 * @returns the forced posture and what gives
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
  const sentence = describeGive(gives, joints, { pose: pose.id, side }, answer.kept);
  return { answer, gives, joints, sentence };
}
