import type { Body } from '../body/body.ts';
import { hipToAnkle } from '../body/body.ts';
import { FOOT } from '../body/proportions.ts';
import { fromYawTiltList, type Rotation } from '../geometry/rotation.ts';
import { addScaled, type Vec3 } from '../geometry/vector.ts';
import { otherSide, type Side } from '../measures/protocol.ts';
import type {
  AngleDefinition,
  ArmDefinition,
  MustDefinition,
  PoseDefinition,
  StanceDefinition,
  Stage,
  StartDefinition,
  WishDefinition,
} from '../poses/poseDefinition.ts';
import { BOOK_STANCE_CM, type HouseRules } from '../rules/houseRules.ts';
import type { ArmPlan } from '../skeleton/arm.ts';
import { figureOf } from '../skeleton/figure.ts';
import type { Limits } from '../conditions/limits.ts';
import type { Must, PoseTask, Wish } from '../conditions/poseTask.ts';
import type { QuantityId } from '../poses/quantityId.ts';
import { findSoleHeights } from '../skeleton/leg.ts';
import type { PartId, Parts, Posture } from '../skeleton/posture.ts';
import { planFeet } from '../skeleton/skeleton.ts';
import { getQuantity } from '../conditions/quantities.ts';
import { metresFromCm, radiansFromDegrees } from '../units/brands.ts';
import { findHeelLine, type HeelLine } from './heelLine.ts';
import {
  findRange,
  toSolverLimits,
  type LimitKind,
  type PlanningRanges,
} from './planningLimits.ts';
import { resolveRule } from './resolveRule.ts';

/** A straight knee keeps one degree, a soft one half of 5–10°. Our choice within the handed-down ranges. */
const STRAIGHT_KNEE_DEG = { straight: 1, soft: 7.5 } as const;
/** Half the width of a block on its tallest face. Common practice, no source. */
const HALF_BLOCK_CM = 3.75;
/** A hand is moved from under its shoulder by at most this. Our choice. */
const MOST_ASIDE_CM = 15;

/** How stance length is set for this person; `metres` is null when the solver finds it. */
export interface StancePlan {
  readonly definition: StanceDefinition;
  readonly metres: number | null;
}

export interface BuiltTask {
  /** What the deepest safe set-up keeps. */
  readonly task: PoseTask;
  /** The limits as measured, those of the deepest safe and those of a recommended set-up. */
  readonly limits: Readonly<Record<LimitKind, Limits>>;
  /** Which of them the set-up that is asked for keeps. */
  readonly usable: 'safe' | 'recommended';
  readonly stance: StancePlan;
  readonly heelLine: HeelLine;
}

/** A share of the spine's extension is never less than the pose stood on already uses. */
const keepInUse = (limits: Limits, extension: number): Limits => {
  const { trunk } = limits;
  const most = trunk.extension === null ? null : Math.max(trunk.extension, extension);
  return { ...limits, trunk: { ...trunk, extension: most } };
};

/** The same task under other limits. */
export const withLimits = ({ task, limits }: BuiltTask, kind: LimitKind): PoseTask => ({
  ...task,
  limits: limits[kind],
});

export function findStance(
  pose: PoseDefinition,
  body: Body,
  frontSide: Side,
  rules: HouseRules,
): StancePlan {
  const bothFeetDown = pose.backContact === 'flat' || pose.backContact === 'ball';
  const definition = resolveRule(pose.stance, rules);
  if (rules.stance === 'fixed' && bothFeetDown && definition.kind !== 'none') {
    const cm = rules.fixedStanceCm ?? BOOK_STANCE_CM;
    return { definition: { kind: 'fixed' }, metres: metresFromCm(cm) };
  }
  switch (definition.kind) {
    case 'times':
    case 'longest-up-to': {
      const unit = definition.of === 'leg-length' ? body.legLength[frontSide] : body.wristSpan;
      return { definition, metres: unit * definition.factor * (pose.stanceShare ?? 1) };
    }
    case 'free':
      return { definition, metres: null };
    case 'none':
      return { definition, metres: 0 };
    case 'fixed':
      throw new Error(`Pose ${pose.id} names a fixed stance without the rule`);
  }
}

function toScale(quantity: QuantityId, value: number): number {
  const { kind } = getQuantity(quantity);
  if (kind === 'percent') return value;
  return kind === 'angle' ? radiansFromDegrees(value) : metresFromCm(value);
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
    bears: arm.bears === true,
    clearFrontFoot: arm.clearOfFrontFoot === true ? metresFromCm(HALF_BLOCK_CM) : null,
    mostAside: metresFromCm(arm.mostAsideCm ?? MOST_ASIDE_CM),
  };
}

/** Below this a leg counts as straight when a start is built, degrees. */
const NEARLY_STRAIGHT_DEG = 5;
/** Hips of a kneeling start stand this far ahead of the knee, metres. */
const KNEELING_AHEAD = 0.03;

/** Where the pelvis starts: over the bent front knee, midway between straight legs, over the one foot or knee. */
function findStartCentre(
  pose: PoseDefinition,
  start: StartDefinition,
  body: Body,
  frontSide: Side,
  stance: number,
  pelvis: Rotation,
): Vec3 {
  const bend = radiansFromDegrees(start.kneeBend);
  const { [frontSide]: thigh } = body.thigh;
  const bent = start.kneeBend > NEARLY_STRAIGHT_DEG;
  const height = body.ankleHeight + body.shank[frontSide] + thigh * Math.cos(bend);
  switch (pose.backContact) {
    case 'lifted':
    case 'on-front-leg': {
      const ahead = (FOOT.ankle - FOOT.heelCentre) * body.footLength;
      const overFoot: Vec3 = [ahead, 0, height - 0.005];
      return addScaled(overFoot, pelvis.left, body.hipCentreDistance / 2);
    }
    case 'knee-toes-tucked':
    case 'knee-foot-flat':
      return [KNEELING_AHEAD - stance, 0, body.thigh[otherSide(frontSide)]];
    case 'shin-on-wall':
    case 'shin-leaning-on-wall':
      return [0 - thigh, 0, body.ankleHeight + body.shank[frontSide]];
    default: {
      // With both legs straight the hips hang midway; a bent front knee holds them behind it.
      const behind = bent ? thigh * Math.sin(bend) : stance / 2;
      const drop = bent ? 0 : height - Math.sqrt(Math.max(0.01, height ** 2 - (stance / 2) ** 2));
      return [-behind, 0, height - drop];
    }
  }
}

/** A posture to start from. */
function buildStart(
  pose: PoseDefinition,
  start: StartDefinition,
  body: Body,
  frontSide: Side,
  held: Partial<Parts>,
): Posture {
  const stance = held.stance ?? start.stanceShare * hipToAnkle(body, frontSide);
  const pelvis = fromYawTiltList({
    yaw: radiansFromDegrees(start.pelvisTurn),
    tilt: radiansFromDegrees(start.pelvisTilt),
    list: radiansFromDegrees(start.pelvisList),
  });
  const [flexion, abduction, rotation] = start.lifted ?? [0, 0, 0];
  return {
    pelvisCentre: findStartCentre(pose, start, body, frontSide, stance, pelvis),
    pelvis,
    spine: { flexion: 0, sideBend: 0, rotation: radiansFromDegrees(start.spineRotation) },
    parts: {
      widening: 0,
      frontFootYaw: 0,
      backFootYaw: 0,
      backHeelLift: 0,
      backHipFlexion: radiansFromDegrees(flexion),
      backHipAbduction: radiansFromDegrees(abduction),
      backHipRotation: radiansFromDegrees(rotation),
      backKneeOut: Math.PI / 4,
      backSoleHeight: 0,
      backShinLean: Math.PI / 6,
      frontKneeDrift: 0,
      ...held,
      stance,
    },
  };
}

/** An angle's start, and whether the solver may move it. */
function resolveAngle(
  angle: AngleDefinition,
  rules: HouseRules,
  forced: number | null,
): { readonly rad: number; readonly free: boolean } {
  const chosen = resolveRule(angle.kind === 'free' ? angle.start : angle.at, rules);
  return {
    rad: radiansFromDegrees(forced ?? chosen),
    free: angle.kind === 'free' && forced === null,
  };
}

/** Parts that this pose leaves to the solver beside pelvis and spine. */
function findFreeParts(
  pose: PoseDefinition,
  stanceIsFree: boolean,
  frontFootIsFree: boolean,
  backFootIsFree: boolean,
): PartId[] {
  const free: PartId[] = [];
  if (stanceIsFree) free.push('stance');
  if ((pose.mostWidening ?? 0) > 0) free.push('widening');
  if (frontFootIsFree) free.push('frontFootYaw');
  if (backFootIsFree) free.push('backFootYaw');
  if (pose.backHeelLift !== null) free.push('backHeelLift');
  if (pose.backContact === 'lifted') {
    free.push('backHipFlexion', 'backHipAbduction', 'backHipRotation');
  }
  if (pose.backContact === 'on-front-leg') free.push('backKneeOut');
  if (pose.backContact === 'on-front-leg' && pose.soleAt !== 'ankle') free.push('backSoleHeight');
  if (pose.backContact === 'shin-leaning-on-wall') free.push('backShinLean');
  return free;
}

/** A shin that leans back to a wall does so by up to this, degrees. Our choice. */
const MOST_SHIN_LEAN_DEG = 65;

/** Ends of what is free, as musts. */
function findPartMusts(
  pose: PoseDefinition,
  backFoot: AngleDefinition,
  free: readonly PartId[],
): MustDefinition[] {
  const musts: MustDefinition[] = [];
  const between = (quantity: QuantityId, from: number, to: number): void => {
    musts.push({ quantity, atLeast: from, atMost: to });
  };
  const { frontFootYaw: front, backHeelLift: lift } = pose;
  if (free.includes('widening')) between('widening', 0, pose.mostWidening ?? 0);
  if (free.includes('frontFootYaw') && front.kind === 'free') {
    between('front-foot-angle', front.from, front.to);
  }
  if (free.includes('backFootYaw') && backFoot.kind === 'free') {
    between('back-foot-angle', backFoot.from, backFoot.to);
  }
  if (free.includes('backShinLean')) between('back-shin-lean', 0, MOST_SHIN_LEAN_DEG);
  if (lift !== null) between('back-heel-lift', lift.from, lift.to);
  return musts;
}

/** A back foot that stands flat keeps its outer edge down. Our modelling choice. */
const MOST_INVERSION_DEG = 40;
const ROLLED_OUT: WishDefinition = { quantity: 'back-ankle-rolled-out', goal: 0, sigma: 2.5 };

/**
 * How far a flat back ankle may roll outward. It is a margin of ours: where limits are taken
 * as measured it does not count.
 */
function findAnkleConditions(
  { backContact, origin }: PoseDefinition,
  rules: HouseRules,
): Pick<PoseDefinition, 'musts' | 'wishes'> {
  const standsBehind = backContact === 'flat' && origin !== 'mid-stance';
  if (!standsBehind || rules.limitMarginSem === 0) return { musts: [], wishes: [] };
  return {
    musts: [{ quantity: 'back-ankle-inversion', atMost: MOST_INVERSION_DEG }],
    wishes: [ROLLED_OUT],
  };
}

/** A recommended stance on a straight back leg is no shorter, as a share of the leg's length. Our choice. */
export const LEAST_STANCE_SHARE = 0.75;

/** Ends of a stance that is solved for. */
function findStanceMusts(
  pose: PoseDefinition,
  { definition }: StancePlan,
  body: Body,
  frontSide: Side,
  rules: HouseRules,
): Must[] {
  const length = body.legLength[frontSide];
  const ends = definition.kind === 'free' ? definition.legLengths : undefined;
  if (ends !== undefined) {
    const [least, most] = ends;
    return [{ quantity: 'stance', atLeast: least * length, atMost: most * length }];
  }
  const standsLong = pose.backContact === 'flat' || pose.backContact === 'ball';
  return rules.depth === 'recommended' && standsLong
    ? [{ quantity: 'stance', atLeast: LEAST_STANCE_SHARE * length, atMost: null }]
    : [];
}

/**
 * Fills a pose with one person's lengths, limits and house rules.
 *
 * @param frontSide the real side of the front leg; the task itself has it on the right
 * @param held what is known before: a stance found first, or the feet of the pose this one stands on; metres and radians
 * @param near a posture to start from before the pose's own starts
 */
export function buildTask(
  pose: PoseDefinition,
  body: Body,
  ranges: PlanningRanges,
  frontSide: Side,
  rules: HouseRules,
  held: Partial<Parts> = {},
  near: Posture | null = null,
): BuiltTask {
  const planned = findStance(pose, body, frontSide, rules);
  const longest = planned.definition.kind === 'longest-up-to' && held.stance === undefined;
  const stance = held.stance ?? (longest ? null : planned.metres);
  const heelLine = findHeelLine(pose, body, rules);
  const standsOnBackFoot = pose.backContact === 'flat' || pose.backContact === 'ball';
  const frontFoot = resolveAngle(pose.frontFootYaw, rules, null);
  const backFootYaw = resolveRule(pose.backFootYaw, rules);
  const backFoot = resolveAngle(
    backFootYaw,
    rules,
    backFootYaw.kind === 'free' ? rules.backFootDeg : null,
  );
  const free = findFreeParts(
    pose,
    stance === null,
    frontFoot.free,
    backFoot.free && standsOnBackFoot,
  ).filter((part) => held[part] === undefined);
  const thighFootAngle = (side: Side): number =>
    radiansFromDegrees(findRange(ranges, 'thigh-foot-angle', side)?.use.value ?? 0);
  const straight = radiansFromDegrees(STRAIGHT_KNEE_DEG[rules.straightKnees]);
  const figure = figureOf(body, frontSide, {
    left: thighFootAngle('left'),
    right: thighFootAngle('right'),
  });
  const sole = findSoleHeights(figure, pose.soleAt ?? 'shin');
  const ankle = findAnkleConditions(pose, rules);
  const musts: Must[] = [
    ...[...pose.musts, ...ankle.musts, ...findPartMusts(pose, backFootYaw, free)].map((must) =>
      resolveMust(must, rules),
    ),
    ...(free.includes('backSoleHeight')
      ? [{ quantity: 'sole-height', atLeast: sole.from, atMost: sole.to } as const]
      : []),
    ...(free.includes('stance') ? findStanceMusts(pose, planned, body, frontSide, rules) : []),
  ];
  const wishes = [...pose.wishes, ...ankle.wishes]
    .filter((wish) => wish.quantity !== 'back-foot-angle' || free.includes('backFootYaw'))
    .map((wish) => resolveWish(wish, rules));
  const parts: Partial<Parts> = {
    frontFootYaw: frontFoot.rad,
    backFootYaw: backFoot.rad,
    backHeelLift: radiansFromDegrees(pose.backHeelLift?.start ?? 0),
    backSoleHeight: (sole.from + sole.to) / 2,
    ...(stance === null ? {} : { stance }),
    ...held,
  };
  const starts = pose.starts.map((start) => buildStart(pose, start, body, frontSide, parts));
  const findAgain = (stage: Stage): readonly Posture[] => [
    ...(near === null ? [] : [near]),
    ...starts.filter((_, i) => pose.starts[i]!.again?.includes(stage) === true),
  ];
  const limitsOf = (kind: LimitKind): Limits =>
    toSolverLimits(ranges, kind, frontSide, pose, rules);
  const isShared = pose.trunkShares?.extension !== undefined;
  const extensionInUse = near !== null && isShared ? Math.max(0, -near.spine.flexion) : 0;
  const limits = {
    measured: limitsOf('measured'),
    safe: keepInUse(limitsOf('safe'), extensionInUse),
    recommended: keepInUse(limitsOf('recommended'), extensionInUse),
  };
  return {
    stance: planned,
    heelLine,
    limits,
    usable: rules.depth === 'deepest' ? 'safe' : 'recommended',
    task: {
      figure,
      contacts: {
        feet: planFeet(
          figure,
          pose.backContact,
          heelLine.width,
          metresFromCm(pose.frontBallOnCm ?? 0),
        ),
        soleAt: pose.soleAt ?? 'shin',
        arms: { front: resolveArm(pose.arms.front), back: resolveArm(pose.arms.back) },
        straightKnee: {
          front: pose.straightLegs.includes('front') ? straight : null,
          back: pose.straightLegs.includes('back') ? straight : null,
        },
      },
      limits: limits.safe,
      musts,
      wishes,
      eases: pose.eases.map((ease) => resolveWish(ease, rules)),
      free,
      starts: near === null ? starts : [near, ...starts],
      again: { sparing: findAgain('sparing'), settled: findAgain('settled') },
    },
  };
}
