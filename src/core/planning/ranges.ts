import { type MeasureId, getProtocol } from '../measures/protocols/index.ts';
import type { MeasureUse, MeasureSource } from '../body/body.ts';
import { type Side, SIDES } from '../measures/protocol.ts';
import type { RangeCut, Adapted } from '../cautions/adapt.ts';
import { type MeasureSet, findValue } from '../measures/measureSet.ts';
import type { HouseRules } from '../rules/houseRules.ts';

/**
 * Limits that may always stand in for a missing measure, degrees. They take no margin
 * and no reserve. Our modelling choice, listed in docs/numbers.md.
 */
export const STATED_DEFAULTS: Partial<Record<MeasureId, number>> = {
  'hip-adduction': 20,
  'knee-flexion': 130,
  'thigh-foot-angle': 10,
  'trunk-extension': 20,
  'trunk-side-bend': 25,
};

/** A stiff body, used for what is missing when a provisional set-up is asked for. Our choice. */
const PROVISIONAL_RANGES: Partial<Record<MeasureId, number>> = {
  'hip-flexion': 105,
  'hip-extension': 12,
  'hip-extension-bent-knee': 3,
  'hip-abduction': 32,
  'hip-external-rotation': 30,
  'hip-internal-rotation': 20,
  'ankle-dorsiflexion-bent': 35,
  'ankle-dorsiflexion-straight': 28,
  'trunk-rotation': 35,
};

/** What asks most to be held back of a range. */
export type HeldBackReason = 'measuring' | 'experience' | 'least-margin' | 'caution' | 'pose';

/** A limit inside a measured range, degrees, and why it lies where it does; null = it is the whole range. */
interface InnerLimit {
  readonly limit: number;
  readonly reason: HeldBackReason | null;
}

/** One range as it is planned with. */
export interface PlanningRange {
  readonly use: MeasureUse;
  /** What the deepest safe set-up may use: the value less z standard errors, and what cautions keep. */
  readonly safe: InnerLimit;
  /** What a recommended set-up may use: the experience's reserve and the least margin are kept too. */
  readonly recommended: InnerLimit;
}

export type PlanningRanges = ReadonlyMap<string, PlanningRange>;

/** Which limits to plan with: the range as it was measured, or what is inside of it. */
export type LimitKind = 'measured' | 'safe' | 'recommended';

const rangeKey = (measure: MeasureId, side: Side | null): string => `${measure} ${side ?? ''}`;

/**
 * A range as it is planned with.
 *
 * @param ranges of one person
 * @param measure which
 * @param side null = a measure without sides
 * @returns null when it is neither measured nor stated
 */
export const findRange = (
  ranges: PlanningRanges,
  measure: MeasureId,
  side: Side | null,
): PlanningRange | null => ranges.get(rangeKey(measure, side)) ?? null;

/** Of a range no more than this share is held back, unless a caution keeps more. Our choice. */
const MOST_HELD_BACK = 0.25;

/** Something that wants a part of a range held back, degrees. */
type Claim = readonly [HeldBackReason, number];

/**
 * The range less the largest of the claims on it; they are never added up.
 *
 * @param value of the range, degrees
 * @param claims of the plan itself: together at most a quarter of the range
 * @param cuts of cautions: in full
 * @returns the limit, what is held back, and its reason
 */
export function holdBack(
  value: number,
  claims: readonly Claim[],
  cuts: readonly RangeCut[],
): InnerLimit {
  const most = MOST_HELD_BACK * Math.max(0, value);
  const capped = claims.map(([reason, deg]): Claim => [reason, Math.min(most, deg)]);
  const ofCautions = cuts.flatMap(({ reserve, cap }): Claim[] => [
    ['caution', reserve * value],
    ['caution', value - cap],
  ]);
  let largest: Claim | null = null;
  for (const claim of [...capped, ...ofCautions]) {
    if (claim[1] > (largest?.[1] ?? 0)) largest = claim;
  }
  return { limit: value - (largest?.[1] ?? 0), reason: largest?.[0] ?? null };
}

/**
 * Every known range of a person with what is held back of it. Held back is the largest of
 * z standard errors, the reserve by experience and the least margin; stated defaults and
 * provisional values keep the least margin only.
 *
 * @param set values of one person
 * @param rules house rules, all filled in
 * @param reserve share kept of measured ranges by experience, 0 to 1
 * @param cautions the share that cautions keep of every measured range, and of single ones
 * @returns ranges found by measure and side
 */
export function calcPlanningRanges(
  set: MeasureSet,
  rules: HouseRules,
  reserve: number,
  cautions: Pick<Adapted, 'reserve' | 'cuts'>,
): PlanningRanges {
  const ranges = new Map<string, PlanningRange>();
  const put = (use: MeasureUse, cuts: readonly RangeCut[]): void => {
    const { measure, side, value, error, source } = use;
    const measured = source === 'measured' ? 1 : 0;
    const ofError: Claim = ['measuring', measured * rules.limitMarginSem * error];
    const ofPlan: readonly Claim[] = [
      ofError,
      ['experience', measured * reserve * value],
      ['least-margin', rules.minimumToSpareDeg],
    ];
    ranges.set(rangeKey(measure, side), {
      use,
      safe: holdBack(value, [ofError], cuts),
      recommended: holdBack(value, ofPlan, cuts),
    });
  };
  const find = (measure: MeasureId, side: Side | null): void => {
    const own = cautions.cuts.filter((each) => each.measure === measure && each.side === side);
    const found = findValue(set, measure, side);
    if (found !== null) {
      const { value, error, takenAt } = found;
      const everywhere: RangeCut = { measure, side, reserve: cautions.reserve, cap: Infinity };
      put({ measure, side, value, error, source: 'measured', takenAt }, [everywhere, ...own]);
      return;
    }
    const stated = STATED_DEFAULTS[measure];
    const provisional = rules.provisional ? PROVISIONAL_RANGES[measure] : undefined;
    const value = stated ?? provisional;
    if (value === undefined) return;
    const source: MeasureSource = stated === undefined ? 'provisional' : 'default';
    put({ measure, side, value, error: 0, source, takenAt: null }, own);
  };
  for (const measure of RANGE_MEASURES) {
    for (const side of getProtocol(measure).sided ? SIDES : [null]) find(measure, side);
  }
  return ranges;
}

const RANGE_MEASURES: readonly MeasureId[] = [
  'hip-opening',
  'hip-external-rotation',
  'hip-internal-rotation',
  'hip-abduction',
  'hip-adduction',
  'hip-flexion',
  'straight-leg-raise',
  'hip-extension',
  'hip-extension-bent-knee',
  'knee-flexion',
  'ankle-dorsiflexion-bent',
  'ankle-dorsiflexion-straight',
  'thigh-foot-angle',
  'trunk-rotation',
  'trunk-side-bend',
  'trunk-extension',
];
