import { type LimitKind, holdBack, type PlanningRanges, findRange } from './ranges.ts';
import { radiansFromDegrees } from '../units/brands.ts';
import type { Side } from '../measures/protocol.ts';
import type { PoseDefinition, Place } from '../poses/poseDefinition.ts';
import type { HouseRules } from '../rules/houseRules.ts';
import type { Limits, LegLimits, TrunkLimits } from '../conditions/limits.ts';
import type { MeasureId } from '../measures/protocols/index.ts';
import { sideOfPlace } from '../skeleton/canonicalBody.ts';

/** Spine flexion that still counts as a long back; not measured. Our modelling choice. */
const LONG_BACK_FLEXION_DEG = 10;

/** Toe extension under a lifted heel; not measured. Our modelling choice. */
const TOE_EXTENSION_DEG = 60;

/** A limit that nobody measures keeps the least margin, like a stated default. */
const keepLeastMargin = (deg: number, kind: LimitKind, leastDeg: number): number =>
  radiansFromDegrees(
    kind === 'recommended' ? holdBack(deg, [['least-margin', leastDeg]], []).limit : deg,
  );

/**
 * The limits as the solver takes them: by front and back, radians.
 *
 * @param ranges ranges as they are planned with
 * @param kind safe, recommended or measured
 * @param frontSide the side of the front leg
 * @param pose which may use only a share of the trunk's ranges
 * @returns null where nothing is known
 */
export function toSolverLimits(
  ranges: PlanningRanges,
  kind: LimitKind,
  frontSide: Side,
  { trunkShares: shares = {}, spineFlexionDeg = LONG_BACK_FLEXION_DEG }: PoseDefinition,
  { minimumToSpareDeg }: Pick<HouseRules, 'minimumToSpareDeg'>,
): Limits {
  const limit = (measure: MeasureId, side: Side | null): number | null => {
    const found = findRange(ranges, measure, side);
    if (found === null) return null;
    return radiansFromDegrees(kind === 'measured' ? found.use.value : found[kind].limit);
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
      toeExtension: keepLeastMargin(TOE_EXTENSION_DEG, kind, minimumToSpareDeg),
    };
  };
  // A pose that uses only a share of a range keeps the rest of it; that is no second margin.
  const part = (measure: MeasureId, side: Side | null, share = 1): number | null => {
    const found = findRange(ranges, measure, side);
    const whole = limit(measure, side);
    if (found === null || whole === null || kind === 'measured') return whole;
    return Math.min(whole, radiansFromDegrees(share * found.use.value));
  };
  const frontOf = sideOfPlace('front', frontSide);
  const backOf = sideOfPlace('back', frontSide);
  const trunk: TrunkLimits = {
    flexion: keepLeastMargin(spineFlexionDeg, kind, minimumToSpareDeg),
    extension: part('trunk-extension', null, shares.extension),
    sideBendToFront: limit('trunk-side-bend', frontOf),
    sideBendToBack: limit('trunk-side-bend', backOf),
    rotationToFront: part('trunk-rotation', frontOf, shares.rotation),
    rotationToBack: part('trunk-rotation', backOf, shares.rotation),
  };
  return { front: leg('front'), back: leg('back'), trunk };
}
