import { type LyingNumbers, DEG, cm, cmTerm, f } from './lyingNumbers.ts';
import type { Setting } from './setUp.ts';
import { HALF_THIGH_CM } from '../body/proportions.ts';

/** Hip centre above a seat less the ankle above the floor, cm. */
export const SEATED_HIP_LESS_ANKLE = 3.5;

/** Above this seat the knees are bent over a roll instead, cm. */
const HIGHEST_SEAT = 25;

const calcLacking = (n: LyingNumbers): number => Math.max(0, 90 - n.range('straight-leg-raise'));

/** The seat that its leg raise asks for, before it is judged to be safe, cm; below 0 = none. */
const calcWantedHeight = (n: LyingNumbers): number =>
  n.leg * Math.sin(calcLacking(n) * DEG) - SEATED_HIP_LESS_ANKLE;

/**
 * Height of the seat, cm; 0 = the floor.
 *
 * @param n one person's numbers
 * @returns cm
 */
export const calcSeatHeight = (n: LyingNumbers): number =>
  Math.min(HIGHEST_SEAT, Math.max(0, calcWantedHeight(n)));

/**
 * A seat that lets the low back be long: what the leg raise lacks to a right angle.
 *
 * @param n one person's numbers
 * @returns its settings
 */
export function seat(n: LyingNumbers): Setting[] {
  const lacking = calcLacking(n);
  const height = calcWantedHeight(n);
  if (height > HIGHEST_SEAT) {
    return [
      cm(
        'seat-height',
        'floor',
        'seat',
        cmTerm('the highest safe seat', f(HIGHEST_SEAT), HIGHEST_SEAT),
      ),
      cm(
        'knee-support',
        'floor',
        'knees',
        cmTerm('a roll under both knees', f(HALF_THIGH_CM), HALF_THIGH_CM),
      ),
    ];
  }
  if (height <= 0) return [cm('seat-height', 'floor', 'seat', cmTerm('the floor', '0', 0))];
  return [
    cm(
      'seat-height',
      'floor',
      'seat',
      cmTerm(
        'leg by what is missing to a right angle of the raise',
        `${f(n.leg)} × sin(${f(lacking)}°)`,
        n.leg * Math.sin(lacking * DEG),
      ),
      cmTerm(
        'less the hip above the seat and the ankle',
        f(-SEATED_HIP_LESS_ANKLE),
        -SEATED_HIP_LESS_ANKLE,
      ),
    ),
  ];
}
