const PLURAL = new Intl.PluralRules('en');
const NUMBER = new Intl.NumberFormat('en');

/**
 * A count with its noun: “1 reading”, “12 readings”.
 *
 * @param count a whole number
 * @param one the noun for one
 * @param many the noun for any other count; by default with an s
 * @returns words
 * @example
 * sayCount(1, 'reading') // → "1 reading"
 * @example
 * sayCount(2, 'person', 'people') // → "2 people"
 */
export const sayCount = (count: number, one: string, many = `${one}s`): string =>
  `${NUMBER.format(count)} ${PLURAL.select(count) === 'one' ? one : many}`;
