import type { Adapted, RangeCut } from '../cautions/adapt.ts';
import type { MeasureUse, Source } from '../body/body.ts';
import { findValue, type MeasureSet } from '../measures/measureSet.ts';
import { getProtocol, type MeasureId } from '../measures/protocols/index.ts';
import { SIDES, type Side } from '../measures/protocol.ts';
import type { Place, PoseDefinition } from '../poses/poseDefinition.ts';
import { problem, type Problem } from '../problems/problem.ts';
import type { HouseRules } from '../rules/houseRules.ts';
import { sideOfPlace } from '../solver/figure.ts';
import type { LegLimits, Limits, TrunkLimits } from '../solver/limits.ts';
import { radiansFromDegrees } from '../units/brands.ts';

/**
 * Limits that may always stand in for a missing measure, degrees. They take no margin
 * and no reserve. Our modelling choice, listed in docs/numbers.md.
 */
const STATED_DEFAULTS: Partial<Record<MeasureId, number>> = {
  'hip-adduction': 20,
  'knee-flexion': 130,
  'thigh-foot-angle': 10,
  'trunk-extension': 20,
  'trunk-side-bend': 25,
};

/** Spine flexion that still counts as a long back; not measured. Our modelling choice. */
const LONG_BACK_FLEXION_DEG = 10;
/** Toe extension under a lifted heel; not measured. Our modelling choice. */
const TOE_EXTENSION_DEG = 60;

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

/** Even a provisional set-up rests on these. */
const PROVISIONAL_NEEDS: readonly MeasureId[] = [
  'stature',
  'trochanter-height',
  'hip-opening',
  'straight-leg-raise',
];

/** One range as it is planned with: the measured value less margin and reserve. */
export interface PlanningRange {
  readonly use: MeasureUse;
  /** Degrees. */
  readonly limit: number;
}

export type PlanningRanges = ReadonlyMap<string, PlanningRange>;

const rangeKey = (measure: MeasureId, side: Side | null): string => `${measure} ${side ?? ''}`;

export const findRange = (
  ranges: PlanningRanges,
  measure: MeasureId,
  side: Side | null,
): PlanningRange | null => ranges.get(rangeKey(measure, side)) ?? null;

/**
 * Every known range of a person as a limit to plan with: value − z · error, less the
 * reserve; stated defaults and provisional values as they stand.
 *
 * @param reserve share taken off measured ranges, 0 to 1
 * @param cuts what cautions take off single ranges beside
 */
export function calcPlanningRanges(
  set: MeasureSet,
  rules: HouseRules,
  reserve: number,
  { cuts }: Pick<Adapted, 'cuts'> = { cuts: [] },
): PlanningRanges {
  const cutFor = (measure: MeasureId, side: Side | null): RangeCut[] =>
    cuts.filter((each) => each.measure === measure && each.side === side);
  const ranges = new Map<string, PlanningRange>();
  const cut = (
    value: number,
    measure: MeasureId,
    side: Side | null,
    ownReserve: number,
  ): number => {
    const own = cutFor(measure, side);
    const share = Math.max(ownReserve, ...own.map((each) => each.reserve));
    return Math.min(value * (1 - share), ...own.map((each) => each.cap));
  };
  const put = (measure: MeasureId, side: Side | null): void => {
    const own = findValue(set, measure, side);
    if (own !== null) {
      const { value, error, takenAt } = own;
      const use: MeasureUse = { measure, side, value, error, source: 'measured', takenAt };
      const inside = value - rules.limitMarginSem * error;
      ranges.set(rangeKey(measure, side), { use, limit: cut(inside, measure, side, reserve) });
      return;
    }
    const stated = STATED_DEFAULTS[measure];
    const provisional = rules.provisional ? PROVISIONAL_RANGES[measure] : undefined;
    const value = stated ?? provisional;
    if (value === undefined) return;
    const source: Source = stated === undefined ? 'provisional' : 'default';
    const use: MeasureUse = { measure, side, value, error: 0, source, takenAt: null };
    ranges.set(rangeKey(measure, side), { use, limit: cut(value, measure, side, 0) });
  };
  for (const measure of RANGE_MEASURES) {
    for (const side of getProtocol(measure).sided ? SIDES : [null]) put(measure, side);
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

/**
 * The limits as the solver takes them: by front and back, radians.
 *
 * @param pose which may use only a share of the trunk's ranges
 */
export function toSolverLimits(
  ranges: PlanningRanges,
  frontSide: Side,
  { trunkShares: shares = {}, spineFlexionDeg = LONG_BACK_FLEXION_DEG }: PoseDefinition,
): Limits {
  const limit = (measure: MeasureId, side: Side | null): number | null => {
    const found = findRange(ranges, measure, side);
    return found === null ? null : radiansFromDegrees(found.limit);
  };
  const leg = (place: Place): LegLimits => {
    const side = sideOfPlace(place, frontSide);
    return {
      straightLegRaise: limit('straight-leg-raise', side),
      flexion: limit('hip-flexion', side),
      extension: limit('hip-extension', side),
      extensionBentKnee: limit('hip-extension-bent-knee', side),
      abduction: limit('hip-abduction', side),
      opening: limit('hip-opening', side),
      adduction: limit('hip-adduction', side),
      externalRotation: limit('hip-external-rotation', side),
      internalRotation: limit('hip-internal-rotation', side),
      dorsiflexionStraight: limit('ankle-dorsiflexion-straight', side),
      dorsiflexionBent: limit('ankle-dorsiflexion-bent', side),
      kneeFlexion: limit('knee-flexion', side),
      toeExtension: radiansFromDegrees(TOE_EXTENSION_DEG),
    };
  };
  const part = (whole: number | null, share = 1): number | null =>
    whole === null ? null : whole * share;
  const frontOf = sideOfPlace('front', frontSide);
  const backOf = sideOfPlace('back', frontSide);
  const trunk: TrunkLimits = {
    flexion: radiansFromDegrees(spineFlexionDeg),
    extension: part(limit('trunk-extension', null), shares.extension),
    sideBendToFront: limit('trunk-side-bend', frontOf),
    sideBendToBack: limit('trunk-side-bend', backOf),
    rotationToFront: part(limit('trunk-rotation', frontOf), shares.rotation),
    rotationToBack: part(limit('trunk-rotation', backOf), shares.rotation),
  };
  return { front: leg('front'), back: leg('back'), trunk };
}

/** Measures a pose needs and this person lacks, each as a problem that names the poses it holds up. */
export function findMissingMeasures(
  set: MeasureSet,
  rules: HouseRules,
  pose: PoseDefinition,
  allPoses: readonly PoseDefinition[],
): Problem[] {
  const needs = rules.provisional ? PROVISIONAL_NEEDS : pose.needs;
  return needs.flatMap((measure) => {
    const protocol = getProtocol(measure);
    const namePoses = (): readonly string[] =>
      allPoses
        .filter((each) => each === pose || each.needs.includes(measure))
        .map((each) => each.name);
    return (protocol.sided ? SIDES : [null])
      .filter((side) => findValue(set, measure, side) === null)
      .map((side) =>
        problem('missing-measure', side === null ? measure : `${measure} ${side}`, {
          measure: protocol.name,
          side: side === null ? '' : `, ${side},`,
          poses: namePoses(),
        }),
      );
  });
}
