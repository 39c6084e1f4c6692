import type { AsFound } from '../rules/houseRules.ts';
import { getValue, type SetUp } from '../setup/setUp.ts';
import { findPose } from '../poses/catalogue/index.ts';
import { metresFromCm } from '../units/brands.ts';
import { writeLength, type LengthUnit } from '../units/readQuantity.ts';
import { toTenths } from '../units/rounding.ts';

/** The settings that a teacher moves first: where the back foot stands, how deep, how high the hand. */
export type MovedSetting = 'stance' | 'depth' | 'hand';

/** One setting of a set-up changed. */
export interface Step {
  readonly setting: MovedSetting;
  /** Degrees or cm; + = more of it. */
  readonly by: number;
  readonly unit: 'deg' | 'cm';
  readonly change: Partial<AsFound>;
}

/** One face of a block more under the hand, cm. Common practice, no source. */
const FACE_CM = 7.5;
/** A stance is changed by a twentieth. Common practice, no source. */
const STANCE_SHARE = 0.05;
/** Common practice, no source. */
const DEPTH_STEP = { deg: 10, cm: 3 } as const;

const onHalf = (value: number): number => Math.round(value * 2) / 2;

/**
 * A setting changed by so many of its usual steps: a twentieth of the stance, one face of a block,
 * 10° or 3 cm of depth.
 *
 * @param setUp as it is now
 * @param setting which
 * @param steps + = longer, higher, deeper; need not be whole
 * @returns null when the set-up does not have it
 */
export function stepSetting(setUp: SetUp, setting: MovedSetting, steps: number): Step | null {
  switch (setting) {
    case 'stance': {
      const stance = getValue(setUp, 'stance-length');
      if (stance === null) return null;
      const stanceCm = onHalf(stance * (1 + STANCE_SHARE * steps));
      return { setting, by: toTenths(stanceCm - stance), unit: 'cm', change: { stanceCm } };
    }
    case 'hand': {
      const hand = getValue(setUp, 'hand-height');
      if (hand === null) return null;
      const handCm = Math.max(0, onHalf(hand + FACE_CM * steps));
      return { setting, by: toTenths(handCm - hand), unit: 'cm', change: { handCm } };
    }
    case 'depth': {
      const { depth } = setUp;
      if (depth?.value == null) return null;
      const deeper = depth.value < depth.textbook ? 1 : -1;
      const to = Math.round(depth.value + deeper * DEPTH_STEP[depth.unit] * steps);
      return { setting, by: toTenths(to - depth.value), unit: depth.unit, change: { depth: to } };
    }
  }
}

/**
 * A changed setting, as it is said to a student.
 *
 * @param step what is changed
 * @param pose its id
 * @param unit centimetres or inches
 * @returns a sentence
 */
export function sayStep(
  { setting, by, unit: of }: Omit<Step, 'change'>,
  pose: string,
  unit: LengthUnit,
): string {
  const size = Math.abs(by);
  const amount = of === 'deg' ? `${size.toFixed(0)}°` : writeLength(metresFromCm(size), unit, 1);
  switch (setting) {
    case 'stance':
      return `Stance ${amount} ${by < 0 ? 'shorter' : 'longer'}.`;
    case 'hand':
      return `Hand ${amount} ${by < 0 ? 'lower' : 'higher'}.`;
    case 'depth': {
      const words = findPose(pose)?.depth?.words ?? 'depth';
      return `${words.charAt(0).toUpperCase()}${words.slice(1)} ${amount} ${by < 0 ? 'less' : 'more'}.`;
    }
  }
}
