import type { QuantityId } from '../poses/quantityId.ts';
import { CM_PER_METRE, DEGREES_PER_RADIAN } from '../units/brands.ts';
import type { Residuals } from './leastSquares.ts';
import { DemandSheet, HAS_TWO_PIECES } from './limits.ts';
import type { PoseTask, Wish } from './poseTask.ts';
import { getQuantity } from './quantities.ts';
import { QuantitySheet, type Reading } from './quantitySheet.ts';
import type { Skeleton } from './skeleton.ts';

/** How a run of the solver is steered. */
export interface Aim {
  /** Kept free at every joint whose limit is known, radians. */
  readonly toSpare: number;
  /** No wish may be off by more than this many tolerances; null = musts alone. */
  readonly wishesWithin: number | null;
  /** Pull one quantity up or down toward a value, as far as the musts allow, or hold it there. */
  readonly toward: {
    readonly quantity: QuantityId;
    readonly value: number;
    readonly how: 'up' | 'down' | 'hold';
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
const orFree = (excess: number): number => (Number.isNaN(excess) ? FREE : excess);

/** Musts in degrees or centimetres: `equal` should be 0, `below` at most 0. */
export interface Musts {
  readonly equal: number[];
  readonly below: number[];
}

/** How the musts press on a run: how heavily, and shifted by how much. */
export interface Pressure {
  readonly shift: Musts;
  readonly weight: number;
}

interface PiecesMust {
  readonly pieces: (skeleton: Skeleton) => readonly number[];
  readonly atLeast: number;
  readonly unit: number;
}

/** One task's conditions under one aim. */
export class Conditions {
  private readonly equal: Reading[] = [];
  private readonly below: Reading[] = [];
  /** Lower ends of what is the least of several pieces: a must for each piece. */
  private readonly pieces: PiecesMust[] = [];
  private readonly stretched: readonly { readonly wish: Reading; readonly most: number }[];
  private readonly preferences: readonly Reading[];
  private readonly demands: DemandSheet;
  private readonly quantities = new QuantitySheet();

  constructor(
    task: PoseTask,
    private readonly aim: Aim,
  ) {
    const { toward, wishesWithin } = aim;
    const { quantities } = this;
    this.demands = new DemandSheet(task.limits);
    for (const { quantity, atLeast, atMost } of task.musts) {
      const unit = toScaled(quantity, 1);
      if (atLeast !== null && atLeast === atMost) {
        this.equal.push(quantities.prepare(quantity, atLeast, unit));
        continue;
      }
      const { pieces } = getQuantity(quantity);
      if (atLeast !== null && pieces !== undefined) this.pieces.push({ pieces, atLeast, unit });
      else if (atLeast !== null) this.below.push(quantities.prepare(quantity, atLeast, -unit));
      if (atMost !== null) this.below.push(quantities.prepare(quantity, atMost, unit));
    }
    const direction = toward?.how === 'down' ? -1 : 1;
    if (toward !== null) {
      const { quantity, value, how } = toward;
      const beyond = quantities.prepare(quantity, value, direction * toScaled(quantity, 1));
      (how === 'hold' ? this.equal : this.below).push(beyond);
    }
    this.stretched =
      wishesWithin === null
        ? []
        : task.wishes.map(({ quantity, goal, sigma }) => {
            const unit = toScaled(quantity, 1);
            const wish = quantities.prepare(quantity, goal, unit);
            return { wish, most: wishesWithin * sigma * unit };
          });
    const pull = toward?.how === 'hold' ? null : toward;
    const weight = pull === null ? 1 : WISH_WEIGHT_IN_PULL;
    const preferences = [...task.wishes, ...task.eases].map(({ quantity, goal, sigma }) =>
      quantities.prepare(quantity, goal, weight / sigma),
    );
    if (pull !== null) {
      const unit = toScaled(pull.quantity, 1);
      const beyond = pull.value + (direction * PULL_BEYOND) / unit;
      preferences.push(quantities.prepare(pull.quantity, beyond, -unit / PULL_SCALE));
    }
    this.preferences = preferences;
  }

  /** Every must at a posture; both lists keep their length and order whatever the posture. */
  calcMusts(skeleton: Skeleton): Musts {
    const musts: Musts = { equal: [], below: [] };
    this.look(skeleton);
    this.writeMusts(skeleton, musts);
    return musts;
  }

  /**
   * Writes all that a run weighs over the residuals of another posture: musts under
   * pressure, then wishes, eases and the pull, in tolerances.
   */
  writeResiduals(skeleton: Skeleton, { shift, weight }: Pressure, into: Residuals): void {
    const { twoSided, oneSided } = into;
    this.look(skeleton);
    const equalCount = this.writeMusts(skeleton, { equal: twoSided, below: oneSided });
    for (let i = 0; i < equalCount; i += 1) {
      twoSided[i] = weight * (twoSided[i]! + shift.equal[i]!);
    }
    for (let i = 0; i < oneSided.length; i += 1) {
      oneSided[i] = weight * (oneSided[i]! + shift.below[i]!);
    }
    const { preferences, quantities } = this;
    for (let i = 0; i < preferences.length; i += 1) {
      twoSided[equalCount + i] = quantities.read(preferences[i]!);
    }
  }

  /** Fills both sheets, which everything is read off. */
  private look(skeleton: Skeleton): void {
    this.demands.fill(skeleton);
    this.quantities.fill(skeleton);
  }

  /** Writes every must over those of another posture, by place: to grow a list costs more than the sums. */
  private writeMusts(skeleton: Skeleton, { equal, below }: Musts): number {
    let equalCount = 0;
    let belowCount = 0;
    const { demands, quantities } = this;
    const { toSpare } = this.aim;
    for (let i = 0; i < DemandSheet.length; i += 1) {
      const needed = demands.asked[i]! + toSpare;
      below[belowCount] = orFree((needed - demands.has[i]!) * DEGREES_PER_RADIAN);
      belowCount += 1;
      if (!HAS_TWO_PIECES[i]!) continue;
      below[belowCount] = orFree((needed - demands.alsoHas[i]!) * DEGREES_PER_RADIAN);
      belowCount += 1;
    }
    const { legs } = skeleton;
    for (const { overreach, closure } of [legs.front, legs.back]) {
      if (closure === 'must-close') {
        equal[equalCount] = overreach * CM_PER_METRE;
        equalCount += 1;
      } else {
        below[belowCount] = overreach * CM_PER_METRE;
        belowCount += 1;
      }
    }
    for (const each of this.equal) {
      equal[equalCount] = quantities.read(each);
      equalCount += 1;
    }
    for (const each of this.below) {
      below[belowCount] = quantities.read(each);
      belowCount += 1;
    }
    for (const { pieces, atLeast, unit } of this.pieces) {
      for (const piece of pieces(skeleton)) {
        below[belowCount] = piece === Infinity ? FREE : (atLeast - piece) * unit;
        belowCount += 1;
      }
    }
    for (const { wish, most } of this.stretched) {
      const off = quantities.read(wish);
      below[belowCount] = off - most;
      below[belowCount + 1] = -off - most;
      belowCount += 2;
    }
    return equalCount;
  }

  /** Wishes, eases and the pull, in tolerances. */
  calcPreferences(skeleton: Skeleton): number[] {
    const { preferences, quantities } = this;
    quantities.fill(skeleton);
    return preferences.map((each) => quantities.read(each));
  }
}

/** The largest broken must, in degrees or centimetres; 0 = all kept. */
export function findLargestExcess({ equal, below }: Musts): number {
  let most = 0;
  for (const each of equal) most = Math.max(most, Math.abs(each));
  for (const each of below) most = Math.max(most, each);
  return most;
}
