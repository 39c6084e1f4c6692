import type { Body } from '../body/body.ts';
import { hipToAnkle } from '../body/body.ts';
import { fromYawTiltList } from '../geometry/rotation.ts';
import type { Side } from '../measures/protocol.ts';
import type {
  ArmDefinition,
  MustDefinition,
  PoseDefinition,
  StanceDefinition,
  StartDefinition,
  WishDefinition,
} from '../poses/poseDefinition.ts';
import { BOOK_STANCE_CM, type HouseRules } from '../rules/houseRules.ts';
import type { ArmPlan } from '../solver/arm.ts';
import { figureOf } from '../solver/figure.ts';
import type { Must, PoseTask, Wish } from '../solver/poseTask.ts';
import type { Posture } from '../solver/posture.ts';
import { planFeet } from '../solver/skeleton.ts';
import { getQuantity } from '../solver/quantities.ts';
import { metresFromCm, radiansFromDegrees } from '../units/brands.ts';
import { findHeelLine, type HeelLine } from './heelLine.ts';
import { findRange, toSolverLimits, type PlanningRanges } from './planningLimits.ts';
import { resolveRule } from './resolveRule.ts';

/** A straight knee keeps one degree, a soft one half of 5–10°. Our choice within the handed-down ranges. */
const STRAIGHT_KNEE_DEG = { straight: 1, soft: 7.5 } as const;
/** Half the width of a block on its tallest face. Common practice, no source. */
const HALF_BLOCK_CM = 3.75;

/** How stance length is set for this person; `metres` is null when the solver finds it. */
export interface StancePlan {
  readonly definition: StanceDefinition;
  readonly metres: number | null;
}

export interface BuiltTask {
  readonly task: PoseTask;
  readonly stance: StancePlan;
  readonly heelLine: HeelLine;
}

export function findStance(
  pose: PoseDefinition,
  body: Body,
  frontSide: Side,
  rules: HouseRules,
): StancePlan {
  if (rules.stance === 'fixed') {
    const cm = rules.fixedStanceCm ?? BOOK_STANCE_CM;
    return { definition: { kind: 'fixed' }, metres: metresFromCm(cm) };
  }
  const definition = resolveRule(pose.stance, rules);
  switch (definition.kind) {
    case 'times':
    case 'longest-up-to': {
      const unit = definition.of === 'leg-length' ? body.legLength[frontSide] : body.wristSpan;
      return { definition, metres: unit * definition.factor };
    }
    case 'free':
      return { definition, metres: null };
    case 'fixed':
      throw new Error(`Pose ${pose.id} names a fixed stance without the rule`);
  }
}

function toScale(quantity: MustDefinition['quantity'], value: number): number {
  return getQuantity(quantity).kind === 'angle' ? radiansFromDegrees(value) : metresFromCm(value);
}

function resolveMust(must: MustDefinition, rules: HouseRules): Must {
  const end = (value: MustDefinition['atLeast']): number | null =>
    value === undefined ? null : toScale(must.quantity, resolveRule(value, rules));
  return { quantity: must.quantity, atLeast: end(must.atLeast), atMost: end(must.atMost) };
}

function resolveWish(wish: WishDefinition, rules: HouseRules): Wish {
  const { quantity } = wish;
  return {
    quantity,
    goal: toScale(quantity, resolveRule(wish.goal, rules)),
    sigma: toScale(quantity, resolveRule(wish.sigma, rules)),
  };
}

function resolveArm(arm: ArmDefinition): ArmPlan {
  return {
    reach: arm.reach,
    clearFrontFoot: arm.clearOfFrontFoot === true ? metresFromCm(HALF_BLOCK_CM) : null,
  };
}

/** A posture to start from: the pelvis above the front knee's bend, between the feet. */
function buildStart(
  start: StartDefinition,
  body: Body,
  frontSide: Side,
  stance: number | null,
  backFootYaw: number,
  backHeelLiftDeg: number,
): Posture {
  const bend = radiansFromDegrees(start.kneeBend);
  const { [frontSide]: thigh } = body.thigh;
  const along = stance ?? start.stanceShare * hipToAnkle(body, frontSide);
  const height = body.ankleHeight + body.shank[frontSide] + thigh * Math.cos(bend);
  // With both legs straight the hips hang midway; a bent front knee holds them behind it.
  const behind = start.kneeBend > 5 ? thigh * Math.sin(bend) : along / 2;
  const drop =
    start.kneeBend > 5 ? 0 : height - Math.sqrt(Math.max(0.01, height ** 2 - (along / 2) ** 2));
  return {
    pelvisCentre: [-behind, 0, height - drop],
    pelvis: fromYawTiltList({
      yaw: radiansFromDegrees(start.pelvisTurn),
      tilt: radiansFromDegrees(start.pelvisTilt),
      list: radiansFromDegrees(start.pelvisList),
    }),
    spineFlexion: 0,
    spineSideBend: 0,
    spineRotation: radiansFromDegrees(start.spineRotation),
    stance: along,
    backFootYaw,
    backHeelLift: radiansFromDegrees(backHeelLiftDeg),
  };
}

/**
 * Fills a pose with one person's lengths, limits and house rules.
 *
 * @param frontSide the real side of the front leg; the task itself has it on the right
 * @param heldStance stance found before, metres; null = as the pose and rules say
 */
export function buildTask(
  pose: PoseDefinition,
  body: Body,
  ranges: PlanningRanges,
  frontSide: Side,
  rules: HouseRules,
  heldStance: number | null,
): BuiltTask {
  const planned = findStance(pose, body, frontSide, rules);
  const longest = planned.definition.kind === 'longest-up-to' && heldStance === null;
  const stance = heldStance ?? (longest ? null : planned.metres);
  const heelLine = findHeelLine(pose, body, rules);
  const foot = pose.backFootYaw;
  const schoolYaw = resolveRule(foot.kind === 'free' ? foot.start : foot.at, rules);
  const yaw = radiansFromDegrees(rules.backFootDeg ?? schoolYaw);
  const footIsFree = foot.kind === 'free' && rules.backFootDeg === null;
  const thighFootAngle = (side: Side): number =>
    radiansFromDegrees(findRange(ranges, 'thigh-foot-angle', side)?.use.value ?? 0);
  const straight = radiansFromDegrees(STRAIGHT_KNEE_DEG[rules.straightKnees]);
  const musts = pose.musts.map((must) => resolveMust(must, rules));
  if (footIsFree) {
    const { from, to } = foot;
    musts.push(resolveMust({ quantity: 'back-foot-angle', atLeast: from, atMost: to }, rules));
  }
  const lift = pose.backHeelLift;
  if (lift !== null) {
    const { from, to } = lift;
    musts.push(resolveMust({ quantity: 'back-heel-lift', atLeast: from, atMost: to }, rules));
  }
  const wishes = pose.wishes
    .filter((wish) => footIsFree || wish.quantity !== 'back-foot-angle')
    .map((wish) => resolveWish(wish, rules));
  const figure = figureOf(body, frontSide, {
    left: thighFootAngle('left'),
    right: thighFootAngle('right'),
  });
  const frontFootYaw = radiansFromDegrees(resolveRule(pose.frontFootYaw, rules));
  return {
    stance: planned,
    heelLine,
    task: {
      figure,
      contacts: {
        feet: planFeet(figure, frontFootYaw, heelLine.width, lift !== null),
        arms: { front: resolveArm(pose.arms.front), back: resolveArm(pose.arms.back) },
        straightKnee: {
          front: pose.straightLegs.includes('front') ? straight : null,
          back: pose.straightLegs.includes('back') ? straight : null,
        },
      },
      limits: toSolverLimits(ranges, frontSide),
      musts,
      wishes,
      eases: pose.eases.map((ease) => resolveWish(ease, rules)),
      held: { stance: stance !== null, backFootYaw: !footIsFree, backHeelLift: lift === null },
      starts: pose.starts.map((start) =>
        buildStart(start, body, frontSide, stance, yaw, lift?.start ?? 0),
      ),
    },
  };
}
