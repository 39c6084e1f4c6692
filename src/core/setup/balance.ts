import { toHundredths } from '../units/rounding.ts';
import type { Point2 } from '../geometry/polygon.ts';
import type { Side } from '../measures/protocol.ts';
import { calcWeightInside } from '../conditions/quantities.ts';
import { findBase, type Skeleton } from '../skeleton/skeleton.ts';
import { cmFromMetres } from '../units/brands.ts';
import type { BalanceMargins } from './setUp.ts';

const toHundredthCm = (metres: number): number => toHundredths(cmFromMetres(metres));

/** Where a line through the centre of mass along one axis leaves the base: lower and upper end. */
function findExits(base: readonly Point2[], at: Point2, axis: 0 | 1): readonly [number, number] {
  const other = axis === 0 ? 1 : 0;
  const exits: number[] = [];
  base.forEach((a, i) => {
    const b = base[(i + 1) % base.length]!;
    const [from, to] = [a[other] - at[other], b[other] - at[other]];
    if (from === to || from * to > 0) return;
    exits.push(a[axis] + ((b[axis] - a[axis]) * from) / (from - to));
  });
  return exits.length === 0 ? [at[axis], at[axis]] : [Math.min(...exits), Math.max(...exits)];
}

/**
 * How far the centre of mass lies inside the base, along the mat and across it.
 *
 * @param skeleton the posed body, metres and radians, solver frame
 * @param side the real side of the front leg: left in front is the mirror
 * @returns centimetres
 */
export function calcMargins(skeleton: Skeleton, side: Side): BalanceMargins {
  const { centreOfMass } = skeleton;
  const base = findBase(skeleton);
  const at: Point2 = [centreOfMass[0], centreOfMass[1]];
  const [behind, ahead] = findExits(base, at, 0);
  const [low, high] = findExits(base, at, 1);
  const toFrontSide = toHundredthCm(at[1] - low);
  const toBackSide = toHundredthCm(high - at[1]);
  return {
    nearestEdgeCm: toHundredthCm(calcWeightInside(skeleton)),
    aheadCm: toHundredthCm(ahead - at[0]),
    behindCm: toHundredthCm(at[0] - behind),
    toLeftCm: side === 'right' ? toBackSide : toFrontSide,
    toRightCm: side === 'right' ? toFrontSide : toBackSide,
  };
}
