import type { Side } from '../measures/protocol.ts';
import type { Experience, PersonRecord } from '../person/person.ts';
import type { HouseRules } from '../rules/houseRules.ts';
import { planSetUp } from '../setup/planSetUp.ts';
import { getReserve } from '../setup/reserve.ts';
import type { SetUp } from '../setup/setUp.ts';

/** A depth that lies this near the deepest safe one is at it, in the pose's own unit. */
const AT_BOUND = 0.5;

/**
 * Least to spare of any joint against its measured value less the error, degrees: what a
 * person's experience keeps in reserve counts as theirs, what a caution keeps does not.
 *
 * @returns null when there is no posture, or no limit is known
 */
export function calcSpare(setUp: SetUp, experience: Experience): number | null {
  const { rules, reserve } = setUp.provenance;
  const own = getReserve(rules, experience);
  const share = reserve > own ? 0 : own;
  const spares = setUp.joints.flatMap(({ askedDeg, hasDeg }) =>
    askedDeg === null || hasDeg === null ? [] : [Math.max(hasDeg, hasDeg / (1 - share)) - askedDeg],
  );
  return spares.length === 0 ? null : Math.round(Math.min(...spares) * 10) / 10;
}

/** Whether a set-up is already the deepest safe one. */
export const isAtBound = ({ depth }: SetUp): boolean =>
  depth?.value != null && depth.deepest !== null && depth.value >= depth.deepest - AT_BOUND;

/**
 * Whether a pose can be held as deep as it was with this much to spare at every joint,
 * against measured values less their errors. What is set on the mat counts: a set-up lets
 * pelvis and chest go to where they are best, which may use up one joint although another
 * share of the same feet and depth would leave room at all of them.
 *
 * @param depth what was held; null = the pose has no degrees of depth
 */
export function hasRoom(
  record: PersonRecord,
  {
    pose,
    side,
    level,
    rules,
  }: {
    readonly pose: string;
    readonly side: Side;
    readonly level: string | null;
    readonly rules: Partial<HouseRules>;
  },
  depth: number | null,
  spareDeg: number,
): boolean {
  const bare = { minimumToSpareDeg: spareDeg, reserveByExperience: false, firstStepDeg: 0 };
  const roomy = { ...rules, depth: 'recommended', ...bare } as const;
  const planned = planSetUp(record, pose, side, roomy, level);
  if (!planned.ok || planned.value.status === 'failed') return false;
  const farthest = planned.value.depth?.value ?? null;
  return depth === null || farthest === null || depth <= farthest + AT_BOUND;
}
