import type { Body } from '../body/body.ts';
import type { Limits } from '../conditions/limits.ts';
import type { Must, PoseTask } from '../conditions/poseTask.ts';
import type { Side } from '../measures/protocol.ts';
import type { Place, PoseDefinition, Stage } from '../poses/poseDefinition.ts';
import type { HouseRules } from '../rules/houseRules.ts';
import type { ArmPlan } from '../skeleton/arm.ts';
import { toCanonicalBody } from '../skeleton/canonicalBody.ts';
import { findSoleHeights } from '../skeleton/legOnLeg.ts';
import type { Parts, Posture } from '../skeleton/posture.ts';
import { planFeet } from '../skeleton/contacts.ts';
import { metresFromCm, radiansFromDegrees } from '../units/brands.ts';
import { findHeelLine, type HeelLine } from './heelLine.ts';
import { findRange, type LimitKind, type PlanningRanges } from './ranges.ts';
import { toSolverLimits } from './solverLimits.ts';
import {
  findAnkleConditions,
  findFreeParts,
  findPartMusts,
  resolveAngle,
  resolveArm,
  resolveMust,
  resolveWish,
} from './poseConditions.ts';
import { resolveRule } from './resolveRule.ts';
import { findStance, findStanceMusts, type StancePlan } from './stance.ts';
import { buildStart } from './startPosture.ts';

/** A straight knee keeps one degree, a soft one half of 5–10°. Our choice within the handed-down ranges. */
const STRAIGHT_KNEE_DEG = { straight: 1, soft: 7.5 } as const;

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

/**
 * The same task under other limits.
 *
 * @param kind safe, recommended or measured
 * @returns a changed copy of the task
 */
export const withLimits = ({ task, limits }: BuiltTask, kind: LimitKind): PoseTask => ({
  ...task,
  limits: limits[kind],
});

/**
 * Fills a pose with one person's lengths, limits and house rules.
 *
 * @param pose the pose's data
 * @param body lengths of the body, metres
 * @param ranges ranges as they are planned with
 * @param frontSide the real side of the front leg; the task itself has it on the right
 * @param rules house rules, all filled in
 * @param held what is known before: a stance found first, or the feet of the pose this one stands
 *   on; metres and radians
 * @param near a posture to start from before the pose's own starts
 * @returns the task, its limits, and what was resolved for it
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
  const canonicalBody = toCanonicalBody(body, frontSide, {
    left: thighFootAngle('left'),
    right: thighFootAngle('right'),
  });
  const sole = findSoleHeights(canonicalBody, pose.soleAt ?? 'shin');
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
  const armOf = (place: Place): ArmPlan => resolveArm(pose.arms[place], pose.handsOnCm ?? 0);
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
      body: canonicalBody,
      contacts: {
        feet: planFeet(
          canonicalBody,
          pose.backContact,
          heelLine.width,
          metresFromCm(pose.frontBallOnCm ?? 0),
          radiansFromDegrees(pose.backShinOutDeg ?? 0),
        ),
        soleAt: pose.soleAt ?? 'shin',
        arms: { front: armOf('front'), back: armOf('back') },
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
