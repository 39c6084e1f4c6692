import type { QuantityId } from '../poses/quantityId.ts';
import type { Skeleton } from '../skeleton/skeleton.ts';
import { CM_PER_METRE, DEGREES_PER_RADIAN } from '../units/brands.ts';
import type { Wish } from './poseTask.ts';
import { getQuantity } from './quantities.ts';

/** One degree and one centimetre weigh alike before they share a tolerance. */
const SCALE = { angle: DEGREES_PER_RADIAN, length: CM_PER_METRE, percent: 1 } as const;

/** A wish may stretch by this many tolerances before it counts as broken. */
export const WISH_STRETCH = 2;

/**
 * A quantity in the unit in which violations are judged.
 *
 * @param quantity its name, which says whether it is an angle or a length
 * @param value radians or metres
 * @returns degrees or centimetres
 */
export const toScaled = (quantity: QuantityId, value: number): number =>
  value * SCALE[getQuantity(quantity).kind];

/**
 * How many tolerances a wish is off, signed.
 *
 * @param wish goal and tolerance
 * @param skeleton the posed body, metres and radians, solver frame
 * @returns 1 = one tolerance above the goal
 */
export const calcWishOff = (wish: Wish, skeleton: Skeleton): number =>
  (getQuantity(wish.quantity).calc(skeleton) - wish.goal) / wish.sigma;
