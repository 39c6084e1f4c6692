/**
 * Words with a capital letter at their beginning.
 *
 * @param words any words
 * @returns the same words
 * @example
 * capital('hand on a chair') // → "Hand on a chair"
 */
export const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);
