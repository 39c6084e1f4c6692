/**
 * To one decimal, and never −0.
 *
 * @param value any number
 * @returns in the same unit
 * @example
 * toTenths(12.345) // → 12.3
 */
export const toTenths = (value: number): number => Math.round(value * 10) / 10 + 0;

/**
 * To three decimals, and never −0.
 *
 * @param value any number
 * @returns in the same unit
 */
export const toThousandths = (value: number): number => Math.round(value * 1000) / 1000 + 0;

/**
 * To two decimals, and never −0.
 *
 * @param value any number
 * @returns in the same unit
 */
export const toHundredths = (value: number): number => Math.round(value * 100) / 100 + 0;
