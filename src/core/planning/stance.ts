import type { Body } from '../body/body.ts';
import type { Must } from '../conditions/poseTask.ts';
import type { Side } from '../measures/protocol.ts';
import type { PoseDefinition, StanceDefinition } from '../poses/poseDefinition.ts';
import { BOOK_STANCE_CM, type HouseRules } from '../rules/houseRules.ts';
import { metresFromCm } from '../units/brands.ts';
import { resolveRule } from './resolveRule.ts';

/** How stance length is set for this person; `metres` is null when the solver finds it. */
export interface StancePlan {
  readonly definition: StanceDefinition;
  readonly metres: number | null;
}

/**
 * The stance that a pose, a rule or the solver sets for this person.
 *
 * @param pose the pose's data
 * @param body lengths of the body, metres
 * @param frontSide the side of the front leg
 * @param rules house rules, all filled in
 * @returns held or free, metres
 */
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

/** A stance by rule, to compare this person's own with. */
export interface StanceRule {
  readonly of: 'leg-length' | 'wrist-span';
  readonly factor: number;
  readonly metres: number;
}

/**
 * The rule that a pose's stance follows or is compared with: where the solver finds the stance and
 * schools differ about it, one leg length.
 *
 * @param pose the pose's data
 * @param body lengths of the body, metres
 * @param frontSide the side of the front leg
 * @param rules house rules, all filled in
 * @returns null when no rule is known for it, or its length is fixed
 */
export function findStanceRule(
  pose: PoseDefinition,
  body: Body,
  frontSide: Side,
  rules: HouseRules,
): StanceRule | null {
  const own = findStance(pose, body, frontSide, rules).definition;
  const definition =
    own.kind === 'free' ? resolveRule(pose.stance, { ...rules, stance: 'leg-length' }) : own;
  if (definition.kind !== 'times' && definition.kind !== 'longest-up-to') return null;
  const factor = definition.factor * (pose.stanceShare ?? 1);
  const unit = definition.of === 'leg-length' ? body.legLength[frontSide] : body.wristSpan;
  return { of: definition.of, factor, metres: unit * factor };
}

/** A recommended stance on a straight back leg is no shorter, as a share of the leg's length. Our choice. */
export const LEAST_STANCE_SHARE = 0.75;

/**
 * Ends of a stance that is solved for.
 *
 * @param pose the pose's data
 * @param body lengths of the body, metres
 * @param frontSide the side of the front leg
 * @param rules house rules, all filled in
 * @returns none when the stance is held
 */
export function findStanceMusts(
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
