/**
 * How a pelvis rests against square: “short of square”, “past square” where it is turned on over
 * the front leg, or “square”. The number beside it is told without its sign.
 *
 * @param shortDeg the setting `pelvis-short-of-square`
 */
export function saySquare(shortDeg: number): string {
  if (Math.abs(shortDeg) < 0.5) return 'square';
  return shortDeg > 0 ? 'short of square' : 'past square';
}
