import type { ErrorKind } from './protocol.ts';

export interface ErrorTerms {
  /** Differs from day to day and does not shrink with repeats. */
  readonly between: number;
  /** Differs within a sitting and shrinks with repeats. */
  readonly within: number;
}

/** Default error terms in the measure's own unit. Our choice, listed in docs/numbers.md. */
export const ERROR_TERMS: Readonly<Record<ErrorKind, ErrorTerms>> = {
  range: { between: 2.0, within: 2.5 },
  ankle: { between: 1.5, within: 1.5 },
  length: { between: 0.3, within: 0.3 },
  floor: { between: 1.5, within: 1.0 },
  balance: { between: 5, within: 5 },
};

/** Spread beyond which a third reading is asked for: 5°, 1 cm, 3 cm of a fold or 10 s. Our choice. */
export const SPREAD_ASKING_FOR_THIRD: Readonly<Record<ErrorKind, number>> = {
  range: 5,
  ankle: 5,
  length: 1,
  floor: 3,
  balance: 10,
};

/** The median of three readings is worth 2.2 averaged ones. Our choice. */
const MEDIAN_WORTH_OF_THREE = 2.2;

/**
 * How many averaged readings a value of `count` of them is worth.
 *
 * @param count how many
 * @returns less than the count where a median is taken
 */
export const calcWorth = (count: number): number =>
  count >= 3 ? (MEDIAN_WORTH_OF_THREE * count) / 3 : count;

/** Two values differ really when they are further apart than 95 of 100 repeats would be. */
const NINETY_FIVE = 1.96;

/**
 * Smallest real difference of two values: 1.96 · √(error₁² + error₂²).
 *
 * @param error of one value
 * @param otherError of the other
 * @returns in the unit of the errors
 * @example
 * Number(calcSmallestRealChange(3.2, 3.2).toFixed(1)) // → 8.9
 */
export const calcSmallestRealChange = (error: number, otherError: number): number =>
  NINETY_FIVE * Math.sqrt(error ** 2 + otherError ** 2);

/**
 * Standard error of a value from n readings of one sitting:
 * √(between² + within² / n), the median of n ≥ 3 counting as 2.2 · n / 3.
 *
 * @param kind of the measure's error
 * @param count readings, at least 1
 * @param within the person's own term; see ownWithin.ts
 * @returns in the measure's own unit
 * @example
 * calcStandardError('range', 1) === Math.sqrt(4 + 6.25) // → true
 */
export function calcStandardError(
  kind: ErrorKind,
  count: number,
  within = ERROR_TERMS[kind].within,
): number {
  return Math.sqrt(ERROR_TERMS[kind].between ** 2 + within ** 2 / calcWorth(count));
}
