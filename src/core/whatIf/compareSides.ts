import type { Setting, SetUp } from '../setup/setUp.ts';
import type { SettingId } from '../setup/settingKinds.ts';

/** One number of a pose on both sides. */
export interface SidePair {
  readonly id: SettingId;
  readonly unit: Setting['unit'];
  readonly left: number;
  readonly right: number;
  /** Left less right. */
  readonly difference: number;
  /**
   * Whether the difference is more than its error; null = the error is not computed.
   * 1.96 standard errors of a difference: one in twenty by chance.
   */
  readonly isReal: boolean | null;
}

const Z = 1.96;

function isBeyondError(difference: number, a: Setting, b: Setting): boolean | null {
  if (a.plusMinus === null || b.plusMinus === null) return null;
  return Math.abs(difference) > Z * Math.hypot(a.plusMinus, b.plusMinus);
}

/**
 * The numbers that both sides of one pose have, left beside right.
 *
 * @param left set-up of the left side
 * @param right set-up of the right side
 * @returns one pair a setting
 */
export function compareSides(left: SetUp, right: SetUp): readonly SidePair[] {
  return left.settings.flatMap((a): SidePair[] => {
    const b = right.settings.find((each) => each.id === a.id);
    if (b === undefined) return [];
    const difference = a.value - b.value;
    return [
      {
        id: a.id,
        unit: a.unit,
        left: a.value,
        right: b.value,
        difference,
        isReal: isBeyondError(difference, a, b),
      },
    ];
  });
}
