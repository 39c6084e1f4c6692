import { toHundredths, toTenths } from '../units/rounding.ts';
import type { MeasureValue } from './measureValue.ts';
import { getProtocol } from './protocols/index.ts';
import { calcSmallestRealChange, calcWorth, ERROR_TERMS } from './readingErrors.ts';

const write = (value: number): string => String(toTenths(value));
const inTwo = (value: number): string => String(toHundredths(value));

/**
 * A value's error in plain steps: the standard error of measurement and the smallest real change.
 *
 * @returns one sentence a step
 */
export function explainError({ measure, within, readingIds, error }: MeasureValue): string[] {
  const { errorKind, unit } = getProtocol(measure);
  const sign = unit === 'deg' ? '°' : ` ${unit}`;
  const { between, within: usual } = ERROR_TERMS[errorKind];
  const count = readingIds.length;
  const readings = count === 1 ? 'one reading' : `${String(count)} readings`;
  const worth = calcWorth(count);
  const countWords = count >= 3 ? `${readings}, whose middle is worth ${write(worth)}` : readings;
  const own =
    within.repeats === 0
      ? `Within a sitting ${write(usual)}${sign}, our default.`
      : `Within a sitting ${inTwo(within.within)}${sign}: our default ${write(usual)}${sign}, refined by ${String(within.repeats)} of this person’s own repeats.`;
  return [
    `Between days ${write(between)}${sign}, our default. ${own}`,
    `Standard error of measurement (SEM) of ${countWords}: √(${write(between)}² + ${inTwo(within.within)}² / ${write(worth)}) = ${inTwo(error)}${sign}.`,
    `Smallest real change (MDC) against a value as sure: 1.96 · √2 · ${inTwo(error)} = ${inTwo(calcSmallestRealChange(error, error))}${sign}.`,
  ];
}
