import { PLACES } from '../poses/poseDefinition.ts';
import type { QuantityId } from '../poses/quantityId.ts';
import { CM_PER_METRE, DEGREES_PER_RADIAN } from '../units/brands.ts';
import { visitDemands } from './limits.ts';
import type { PoseTask, Wish } from './poseTask.ts';
import { getQuantity } from './quantities.ts';
import type { Skeleton } from './skeleton.ts';

/** How a run of the solver is steered. */
export interface Aim {
  /** Kept free at every joint whose limit is known, radians. */
  readonly toSpare: number;
  /** No wish may be off by more than this many tolerances; null = musts alone. */
  readonly wishesWithin: number | null;
  /** Pull one quantity as far toward a value as the musts allow, or hold it there. */
  readonly toward: {
    readonly quantity: QuantityId;
    readonly value: number;
    readonly hold: boolean;
  } | null;
}

/** One degree and one centimetre weigh alike before they share a tolerance. */
const SCALE = { angle: DEGREES_PER_RADIAN, length: CM_PER_METRE, percent: 1 } as const;

/** A pull of 10° or 10 cm short costs one tolerance; it aims beyond its end so that it never tires. */
const PULL_SCALE = 10;
const PULL_BEYOND = 20;
/** While a quantity is pulled to its end, wishes only break ties. */
const WISH_WEIGHT_IN_PULL = 0.02;
/** A wish may stretch by this many tolerances before it counts as broken. */
export const WISH_STRETCH = 2;

export const toScaled = (quantity: QuantityId, value: number): number =>
  value * SCALE[getQuantity(quantity).kind];

/** How many tolerances a wish is off, signed. */
export const calcWishOff = (wish: Wish, skeleton: Skeleton): number =>
  (getQuantity(wish.quantity).calc(skeleton) - wish.goal) / wish.sigma;

/** Stands for a limit that is not there. */
const FREE = -1;

/** Musts in degrees or centimetres: `equal` should be 0, `below` at most 0. */
export interface Musts {
  readonly equal: number[];
  readonly below: number[];
}

export function calcMusts(task: PoseTask, skeleton: Skeleton, aim: Aim): Musts {
  const equal: number[] = [];
  const below: number[] = [];
  visitDemands(skeleton, task.limits, (_joint, _place, _motion, asked, pieces) => {
    if (pieces === null) return;
    const least = asked === null ? null : asked + aim.toSpare;
    if (typeof pieces === 'number') {
      below.push(least === null ? FREE : (least - pieces) * DEGREES_PER_RADIAN);
      return;
    }
    for (let i = 0; i < 2; i += 1) {
      const piece = pieces[i]!;
      const isFree = least === null || piece === Infinity;
      below.push(isFree ? FREE : (least - piece) * DEGREES_PER_RADIAN);
    }
  });
  for (const { quantity, atLeast, atMost } of task.musts) {
    const value = getQuantity(quantity).calc(skeleton);
    if (atLeast !== null && atLeast === atMost) {
      equal.push(toScaled(quantity, value - atLeast));
      continue;
    }
    if (atLeast !== null) below.push(toScaled(quantity, atLeast - value));
    if (atMost !== null) below.push(toScaled(quantity, value - atMost));
  }
  for (const place of PLACES) {
    const { overreach, closure } = skeleton.legs[place];
    (closure === 'must-close' ? equal : below).push(overreach * CM_PER_METRE);
  }
  if (aim.wishesWithin !== null) {
    for (const wish of task.wishes) {
      const off = calcWishOff(wish, skeleton);
      const size = toScaled(wish.quantity, wish.sigma);
      below.push((off - aim.wishesWithin) * size, (-off - aim.wishesWithin) * size);
    }
  }
  if (aim.toward !== null) {
    const { quantity, value, hold } = aim.toward;
    const beyond = toScaled(quantity, getQuantity(quantity).calc(skeleton) - value);
    if (hold) equal.push(beyond);
    else below.push(beyond);
  }
  return { equal, below };
}

/** The largest broken must, in degrees or centimetres; 0 = all kept. */
export const findLargestExcess = ({ equal, below }: Musts): number =>
  Math.max(0, ...equal.map(Math.abs), ...below);

/** Wishes, eases and the pull, in tolerances. */
export function calcPreferences(task: PoseTask, skeleton: Skeleton, aim: Aim): number[] {
  const pull = aim.toward?.hold === false ? aim.toward : null;
  const weight = pull === null ? 1 : WISH_WEIGHT_IN_PULL;
  const preferences: number[] = [];
  for (const wish of task.wishes) preferences.push(weight * calcWishOff(wish, skeleton));
  for (const ease of task.eases) preferences.push(weight * calcWishOff(ease, skeleton));
  if (pull !== null) {
    const short = toScaled(pull.quantity, pull.value - getQuantity(pull.quantity).calc(skeleton));
    preferences.push((short + PULL_BEYOND) / PULL_SCALE);
  }
  return preferences;
}
