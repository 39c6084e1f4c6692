import type { Joint, Motion } from '../conditions/limits.ts';
import { findMotionOf } from '../conditions/motionMeasures.ts';
import { otherSide, SIDES, type Side } from '../measures/protocol.ts';
import { getProtocol, type MeasureId } from '../measures/protocols/index.ts';
import type { PlanningContext } from '../planning/planningContext.ts';
import { calcPlanningRanges, findRange } from '../planning/ranges.ts';
import { getReserve } from '../planning/reserve.ts';
import type { AskedRange, LyingPose } from '../poses/lying/lyingPose.ts';
import type { WarmUp } from '../poses/warmUps/index.ts';
import { resolveRules } from '../rules/chosenSchools.ts';
import type { HouseRules } from '../rules/houseRules.ts';
import type { SetUp } from '../setup/setUp.ts';

/** A motion of one joint, on one side where it has any. */
export interface JointSideMotion {
  readonly joint: Joint;
  readonly motion: Motion;
  readonly side: Side | null;
}

/** What a pose or a movement asks of a motion: a share of the whole measured range, 0 to 1. */
export interface Asked extends JointSideMotion {
  readonly share: number;
}

/**
 * Whether two are the same motion of the same joint on the same side.
 *
 * @param a a motion
 * @param b another one
 * @returns true when they are
 */
export const isSameMotion = (a: JointSideMotion, b: JointSideMotion): boolean =>
  a.joint === b.joint && a.motion === b.motion && a.side === b.side;

/**
 * What a solved set-up asks of every joint whose whole range is known.
 *
 * @param setUp of a standing pose
 * @returns none of a pose that failed
 */
export const findAskedBySetUp = ({ joints }: Pick<SetUp, 'joints'>): readonly Asked[] =>
  joints.flatMap(({ joint, motion, side, askedDeg, measuredDeg }) =>
    askedDeg === null || measuredDeg === null || measuredDeg <= 0 || askedDeg <= 0
      ? []
      : [{ joint, motion, side, share: askedDeg / measuredDeg }],
  );

const hasSidesOf = (measure: MeasureId): boolean => {
  const motion = findMotionOf(measure);
  return !(motion?.joint === 'spine' && motion.motion === 'extension');
};

const toAsked = (measure: MeasureId, side: Side | null, share: number): readonly Asked[] => {
  const motion = findMotionOf(measure);
  return motion === null
    ? []
    : [
        {
          joint: motion.joint,
          motion: motion.motion,
          side: hasSidesOf(measure) ? side : null,
          share,
        },
      ];
};

/**
 * What a warm-up asks.
 *
 * @param warmUp of the list
 * @param own the side it is done on; null = both share it
 * @returns each range that it goes into
 */
export function findAskedByWarmUp({ asks }: WarmUp, own: Side | null): readonly Asked[] {
  return asks.flatMap(({ measure, share }) => {
    const sides = !hasSidesOf(measure) ? [null] : own === null ? SIDES : [own];
    return sides.flatMap((side) => toAsked(measure, side, share));
  });
}

const listSides = (of: AskedRange['of'], side: Side): readonly Side[] =>
  of === 'both' ? SIDES : [of === 'front' ? side : otherSide(side)];

/**
 * What a lying or seated form asks: it goes as far as each of its ranges is planned with.
 *
 * @param pose the form's data
 * @param side its front, raised or crossed leg
 * @param context the person, see {@link PlanningContext}
 * @param given house rules that differ from the defaults
 * @returns none for a range that is not known
 */
export function findAskedByLying(
  pose: LyingPose,
  side: Side,
  { record, set }: PlanningContext,
  given: Partial<HouseRules>,
): readonly Asked[] {
  const rules = resolveRules(record, pose.id, given);
  const reserve = getReserve(rules, record.person.experience);
  const ranges = calcPlanningRanges(set, rules, reserve, { reserve: 0, cuts: [] });
  return pose.asks.flatMap(({ measure, of, mostDeg = Infinity }) =>
    listSides(of, side).flatMap((each) => {
      const range = findRange(ranges, measure, getProtocol(measure).sided ? each : null);
      if (range === null || range.use.value <= 0) return [];
      const askedDeg = Math.min(mostDeg, range.recommended.limit);
      return toAsked(measure, each, askedDeg / range.use.value);
    }),
  );
}
