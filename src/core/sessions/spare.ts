import { toTenths } from '../units/rounding.ts';
import type { Side } from '../measures/protocol.ts';
import type { HouseRules } from '../rules/houseRules.ts';
import type { PlanningContext } from '../planning/planningContext.ts';
import { findDepthToSpare } from '../planning/findDepth.ts';
import { planPose } from '../setup/planSetUp.ts';
import type { SetUp } from '../setup/setUp.ts';

/** A depth that lies this near the deepest safe one is at it, in the pose's own unit. */
const AT_BOUND = 0.5;

/**
 * Least to spare of any joint against the limits of the deepest safe set-up, degrees: the
 * measured value less its error, and what cautions keep. What a person's experience keeps
 * in reserve counts as theirs.
 *
 * @returns null when there is no posture, or no limit is known
 */
export function calcSpare({ joints }: SetUp): number | null {
  const spares = joints.flatMap(({ askedDeg, safeDeg }) =>
    askedDeg === null || safeDeg === null ? [] : [safeDeg - askedDeg],
  );
  return spares.length === 0 ? null : toTenths(Math.min(...spares));
}

/**
 * Whether a set-up is already the deepest safe one.
 *
 * @returns false when it has no depth
 */
export const isAtBound = ({ depth }: SetUp): boolean =>
  depth?.value != null && depth.deepest !== null && depth.value >= depth.deepest - AT_BOUND;

/** What is planned, as far as its depth depends on it. */
interface PlannedPose {
  readonly pose: string;
  readonly side: Side;
  readonly level: string | null;
  readonly rules: Partial<HouseRules>;
}

/**
 * Whether what was held is shallower than what is recommended, which leaves all that is held back.
 *
 * @param context the person, see {@link PlanningContext}
 * @param depth what was held; null = no depth
 * @returns false when no depth is recommended
 */
export function isBelowRecommended(
  context: PlanningContext,
  { pose, side, level, rules }: PlannedPose,
  depth: number | null,
): boolean {
  const planned = planPose(context, pose, side, rules, level);
  const recommended = planned.kind === 'planned' ? planned.setUp.depth?.recommended : null;
  return depth !== null && recommended != null && depth < recommended - AT_BOUND;
}

/**
 * Whether a pose can be held as deep as it was with this much to spare at every joint,
 * against measured values less their errors. What is set on the mat counts: a set-up lets
 * pelvis and chest go to where they are best, which may use up one joint although another
 * share of the same feet and depth would leave room at all of them.
 *
 * @param context the person, see {@link PlanningContext}
 * @param depth what was held; null = the pose has no degrees of depth
 * @param spareDeg degrees at every joint
 * @returns false when it cannot be planned
 */
export function hasRoom(
  context: PlanningContext,
  { pose, side, level, rules }: PlannedPose,
  depth: number | null,
  spareDeg: number,
): boolean {
  const planned = planPose(context, pose, side, rules, level);
  if (planned.kind !== 'planned' || planned.setUp.status === 'failed') return false;
  const { answer, request } = planned;
  if (depth === null || request.pose.depth === null) return true;
  const farthest = findDepthToSpare(answer.built, request.pose.depth, spareDeg);
  return farthest !== null && depth <= farthest + AT_BOUND;
}
