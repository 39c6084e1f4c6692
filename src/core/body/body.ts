import type { MeasureId } from '../measures/protocols/index.ts';
import { otherSide, type Side } from '../measures/protocol.ts';
import { findValue, type MeasureSet } from '../measures/measureSet.ts';
import { problem, type Problem, type Result } from '../problems/problem.ts';
import { metresFromCm, type Metres } from '../units/brands.ts';
import {
  ESTIMATE_ERROR_SHARE,
  FIST_WIDTH_CM,
  GIRTH_CM,
  HIP_BONE_WIDTH_PER_STATURE,
  HIP_CENTRE,
  PELVIS_DEPTH_PER_HIP_BONE_WIDTH,
  PER_STATURE,
} from './proportions.ts';

/** Where a value came from, shown beside every number that rests on it. */
export type MeasureSource = 'measured' | 'other-side' | 'estimated' | 'default' | 'provisional';

export interface MeasureUse {
  readonly measure: MeasureId;
  readonly side: Side | null;
  /** In the measure's own unit: cm, degrees or seconds. */
  readonly value: number;
  readonly error: number;
  readonly source: MeasureSource;
  readonly takenAt: string | null;
}

/** One person's lengths, metres. A limb's two sides are never averaged. */
export interface Body {
  readonly stature: Metres;
  readonly thigh: Readonly<Record<Side, Metres>>;
  readonly shank: Readonly<Record<Side, Metres>>;
  readonly legLength: Readonly<Record<Side, Metres>>;
  readonly armReach: Readonly<Record<Side, Metres>>;
  readonly ankleHeight: Metres;
  readonly footLength: Metres;
  readonly footWidth: Metres;
  readonly hipBoneWidth: Metres;
  readonly hipCentreDistance: Metres;
  readonly pelvisDepth: Metres;
  /** Pelvis centre to the middle of the shoulder line. */
  readonly trunk: Metres;
  readonly shoulderWidth: Metres;
  readonly wristSpan: Metres;
  readonly fistWidth: Metres;
  /** For strap loops alone: what is not measured takes a usual girth, and no part in error bars. */
  readonly thighGirth: Readonly<Record<Side, Metres>>;
  readonly footGirth: Readonly<Record<Side, Metres>>;
  readonly uses: readonly MeasureUse[];
}

/** Shoulders must stand clear of the hips, and each leg segment must be a real one. Our choice. */
const SHORTEST_TRUNK_CM = 25;
const SHORTEST_LEG_PART_CM = 15;

/** Reads lengths in cm, measured or estimated, and remembers where each came from. */
class LengthReader {
  readonly uses: MeasureUse[] = [];
  readonly problems: Problem[] = [];

  constructor(private readonly set: MeasureSet) {}

  read(measure: MeasureId, side: Side | null, estimateCm: () => number | null): number {
    const own = findValue(this.set, measure, side);
    if (own !== null) return this.use(measure, side, own.value, own.error, 'measured', own.takenAt);
    const other =
      side === null ? null : findValue(this.set, measure, side === 'left' ? 'right' : 'left');
    if (other !== null) {
      const error = Math.max(other.error, other.value * ESTIMATE_ERROR_SHARE);
      return this.use(measure, side, other.value, error, 'other-side', other.takenAt);
    }
    const estimate = estimateCm();
    if (estimate === null) {
      this.problems.push(problem('stature-needed', 'stature', { measure }));
      return NaN;
    }
    return this.use(measure, side, estimate, estimate * ESTIMATE_ERROR_SHARE, 'estimated', null);
  }

  private use(
    measure: MeasureId,
    side: Side | null,
    value: number,
    error: number,
    source: MeasureSource,
    takenAt: string | null,
  ): number {
    this.uses.push({ measure, side, value, error, source, takenAt });
    return value;
  }
}

/**
 * Builds the body from measured lengths; what is missing comes from the other
 * side, then from stature by published proportions, marked as such.
 *
 * @param set values of one person
 * @returns the body, or problems that name the measure: `stature-needed`, `leg-parts-disagree`,
 *   `trunk-too-short`
 * @example
 * calcBody(context.set).ok // → true
 */
export function calcBody(set: MeasureSet): Result<Body> {
  const reader = new LengthReader(set);
  const ownStature = findValue(set, 'stature', null)?.value ?? null;
  const perStature = (share: number) => () => (ownStature === null ? null : ownStature * share);
  const bothSides = (measure: MeasureId, estimate: (side: Side) => () => number | null) => ({
    left: reader.read(measure, 'left', estimate('left')),
    right: reader.read(measure, 'right', estimate('right')),
  });

  const trochanter = bothSides('trochanter-height', () => perStature(PER_STATURE.trochanterHeight));
  const stature = reader.read(
    'stature',
    null,
    () => (trochanter.left + trochanter.right) / 2 / PER_STATURE.trochanterHeight,
  );
  const share = (fraction: number) => () => stature * fraction;
  // A knee divides this person's own leg, so its estimate follows the measured leg, not stature.
  const kneeShare = PER_STATURE.kneeHeight / PER_STATURE.trochanterHeight;
  const knee = bothSides('knee-height', (side) => () => trochanter[side] * kneeShare);
  const legLength = bothSides('leg-length', (side) => () => trochanter[side]);
  const ankleHeight = reader.read('ankle-height', null, share(PER_STATURE.ankleHeight));
  const footLength = reader.read('foot-length', null, share(PER_STATURE.footLength));
  const footWidth = reader.read('foot-width', null, share(PER_STATURE.footWidth));
  const hipBoneWidth = reader.read('hip-bone-width', null, share(HIP_BONE_WIDTH_PER_STATURE));
  const pelvisDepth = reader.read(
    'pelvis-depth',
    null,
    () => hipBoneWidth * PELVIS_DEPTH_PER_HIP_BONE_WIDTH,
  );
  const shoulderHeight = reader.read('shoulder-height', null, share(PER_STATURE.shoulderHeight));
  const shoulderWidth = reader.read(
    'shoulder-width',
    null,
    share(2 * PER_STATURE.halfShoulderWidth),
  );
  const palmShare = PER_STATURE.upperArm + PER_STATURE.forearm + PER_STATURE.hand / 2;
  const armReach = bothSides('arm-reach', () => share(palmShare));
  const wristShare =
    2 * (PER_STATURE.halfShoulderWidth + PER_STATURE.upperArm + PER_STATURE.forearm);
  const wristSpan = reader.read('wrist-span', null, share(wristShare));
  const fistWidth = reader.read('fist-width', null, () => FIST_WIDTH_CM);
  if (reader.problems.length > 0) return { ok: false, problems: reader.problems };

  const trochanterMean = (trochanter.left + trochanter.right) / 2;
  const disagreements = (['left', 'right'] as const)
    .filter(
      (side) =>
        knee[side] - ankleHeight < SHORTEST_LEG_PART_CM ||
        trochanter[side] - knee[side] < SHORTEST_LEG_PART_CM,
    )
    .map((side) =>
      problem('leg-parts-disagree', `knee-height ${side}`, {
        side,
        knee: knee[side].toFixed(1),
        ankle: ankleHeight.toFixed(1),
        trochanter: trochanter[side].toFixed(1),
      }),
    );
  if (shoulderHeight - trochanterMean < SHORTEST_TRUNK_CM) {
    disagreements.push(
      problem('trunk-too-short', 'shoulder-height', {
        shoulder: shoulderHeight.toFixed(1),
        trochanter: trochanterMean.toFixed(1),
      }),
    );
  }
  if (disagreements.length > 0) return { ok: false, problems: disagreements };

  const sides = (cm: (side: Side) => number): Record<Side, Metres> => ({
    left: metresFromCm(cm('left')),
    right: metresFromCm(cm('right')),
  });
  const girth = (measure: MeasureId, usual: number): Record<Side, Metres> =>
    sides(
      (side) =>
        (findValue(set, measure, side) ?? findValue(set, measure, otherSide(side)))?.value ?? usual,
    );
  return {
    ok: true,
    value: {
      stature: metresFromCm(stature),
      thigh: sides((side) => trochanter[side] - knee[side]),
      shank: sides((side) => knee[side] - ankleHeight),
      legLength: sides((side) => legLength[side]),
      armReach: sides((side) => armReach[side]),
      ankleHeight: metresFromCm(ankleHeight),
      footLength: metresFromCm(footLength),
      footWidth: metresFromCm(footWidth),
      hipBoneWidth: metresFromCm(hipBoneWidth),
      hipCentreDistance: metresFromCm(hipBoneWidth * (1 - 2 * HIP_CENTRE.inward)),
      pelvisDepth: metresFromCm(pelvisDepth),
      trunk: metresFromCm(shoulderHeight - trochanterMean),
      shoulderWidth: metresFromCm(shoulderWidth),
      wristSpan: metresFromCm(wristSpan),
      fistWidth: metresFromCm(fistWidth),
      thighGirth: girth('thigh-girth', GIRTH_CM.thigh),
      footGirth: girth('foot-girth', GIRTH_CM.foot),
      uses: reader.uses,
    },
  };
}

/**
 * Thigh and shank together, the length of every arc and closed form.
 *
 * @param body lengths of the body, metres
 * @param side left or right
 * @returns metres
 */
export const hipToAnkle = (body: Body, side: Side): Metres =>
  (body.thigh[side] + body.shank[side]) as Metres;
