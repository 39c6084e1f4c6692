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

/** A condition made ready to be read off many skeletons: degrees, centimetres or tolerances. */
interface Reading {
  readonly calc: (skeleton: Skeleton) => number;
  readonly goal: number;
  readonly perUnit: number;
}

function makeReading(quantity: QuantityId, goal: number, perUnit: number): Reading {
  return { calc: getQuantity(quantity).calc, goal, perUnit };
}

const read = ({ calc, goal, perUnit }: Reading, skeleton: Skeleton): number =>
  (calc(skeleton) - goal) * perUnit;

/** One task's conditions under one aim. */
export class Conditions {
  private readonly equal: Reading[] = [];
  private readonly below: Reading[] = [];
  private readonly stretched: readonly { readonly wish: Reading; readonly most: number }[];
  private readonly preferences: readonly Reading[];

  constructor(
    private readonly task: PoseTask,
    private readonly aim: Aim,
  ) {
    const { toward, wishesWithin } = aim;
    for (const { quantity, atLeast, atMost } of task.musts) {
      const unit = toScaled(quantity, 1);
      if (atLeast !== null && atLeast === atMost) {
        this.equal.push(makeReading(quantity, atLeast, unit));
        continue;
      }
      if (atLeast !== null) this.below.push(makeReading(quantity, atLeast, -unit));
      if (atMost !== null) this.below.push(makeReading(quantity, atMost, unit));
    }
    if (toward !== null) {
      const beyond = makeReading(toward.quantity, toward.value, toScaled(toward.quantity, 1));
      (toward.hold ? this.equal : this.below).push(beyond);
    }
    this.stretched =
      wishesWithin === null
        ? []
        : task.wishes.map(({ quantity, goal, sigma }) => {
            const unit = toScaled(quantity, 1);
            const wish = makeReading(quantity, goal, unit);
            return { wish, most: wishesWithin * sigma * unit };
          });
    const pull = toward?.hold === false ? toward : null;
    const weight = pull === null ? 1 : WISH_WEIGHT_IN_PULL;
    const preferences = [...task.wishes, ...task.eases].map(({ quantity, goal, sigma }) =>
      makeReading(quantity, goal, weight / sigma),
    );
    if (pull !== null) {
      const unit = toScaled(pull.quantity, 1);
      const beyond = pull.value + PULL_BEYOND / unit;
      preferences.push(makeReading(pull.quantity, beyond, -unit / PULL_SCALE));
    }
    this.preferences = preferences;
  }

  /** Every must at a posture; both lists keep their length and order whatever the posture. */
  calcMusts(skeleton: Skeleton): Musts {
    const { task, aim } = this;
    const equal: number[] = [];
    const below: number[] = [];
    const limit = (asked: number | null, has: number | null): void => {
      const isFree = asked === null || has === null;
      below.push(isFree ? FREE : (asked + aim.toSpare - has) * DEGREES_PER_RADIAN);
    };
    visitDemands(skeleton, task.limits, (_joint, _place, _motion, asked, has, alsoHas) => {
      limit(asked, has);
      if (alsoHas !== undefined) limit(asked, alsoHas);
    });
    for (const place of PLACES) {
      const { overreach, closure } = skeleton.legs[place];
      (closure === 'must-close' ? equal : below).push(overreach * CM_PER_METRE);
    }
    for (const each of this.equal) equal.push(read(each, skeleton));
    for (const each of this.below) below.push(read(each, skeleton));
    for (const { wish, most } of this.stretched) {
      const off = read(wish, skeleton);
      below.push(off - most, -off - most);
    }
    return { equal, below };
  }

  /** Wishes, eases and the pull, in tolerances. */
  calcPreferences(skeleton: Skeleton): number[] {
    return this.preferences.map((each) => read(each, skeleton));
  }
}

/** The largest broken must, in degrees or centimetres; 0 = all kept. */
export function findLargestExcess({ equal, below }: Musts): number {
  let most = 0;
  for (const each of equal) most = Math.max(most, Math.abs(each));
  for (const each of below) most = Math.max(most, each);
  return most;
}
