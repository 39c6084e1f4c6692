/**
 * How a pelvis rests against square: “short of square”, “past square” where it is turned on over
 * the front leg, or “square”. The number beside it is written without its sign.
 *
 * @param shortDeg the setting `pelvis-short-of-square`
 * @returns words for the teacher
 */
export function saySquare(shortDeg: number): string {
  if (Math.abs(shortDeg) < 0.5) return 'square';
  return shortDeg > 0 ? 'short of square' : 'past square';
}

/**
 * A knee as straight, soft or bent.
 *
 * @param whose knee, as it is said
 * @param value as it is written
 * @param raw degrees
 * @param to what it is measured to
 * @returns words for the teacher
 */
export const sayKnee = (whose: string, value: string, raw: number, to: string): string => {
  if (raw < 5) return `${whose} straight`;
  if (raw < 12) return `${whose} soft, ${value}`;
  return `${whose} bent ${value}${to.endsWith('ankle') ? ', over its ankle' : ''}`;
};
