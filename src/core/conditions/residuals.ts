import { PLACES } from '../poses/poseDefinition.ts';
import type { QuantityId } from '../poses/quantityId.ts';
import { CM_PER_METRE, DEGREES_PER_RADIAN } from '../units/brands.ts';
import type { Residuals, ResidualShape, Derivatives } from '../leastSquares/linearModel.ts';
import { PIECE_ALONG, PIECE_OBSERVABLES, PIECE_SIGNS } from './demandPieces.ts';
import { DemandSheet } from './demandSheet.ts';
import type { PoseTask, Wish } from './poseTask.ts';
import { getQuantity } from './quantities.ts';
import { findLegObservable, Observables } from './observables.ts';
import type { Skeleton } from '../skeleton/skeleton.ts';

/** How a run of the solver is steered. */
export interface Aim {
  /** Kept free at every joint whose limit is known, radians. */
  readonly toSpare: number;
  /** No wish may be off by more than this many tolerances; null = musts alone. */
  readonly wishesWithin: number | null;
  /**
   * Pull one quantity up or down to a value, as far as the musts allow, or hold it there. A
   * pull that ends sooner than at `strongAs` is as strong as one that ends there.
   */
  readonly toward: {
    readonly quantity: QuantityId;
    readonly value: number;
    readonly how: 'up' | 'down' | 'hold';
    readonly strongAs?: number;
  } | null;
}

/**
 * Whether a quantity is taken as far as the musts allow, and not only held.
 *
 * @returns false for a quantity that is held, or for none
 */
export const isPull = ({ toward }: Aim): boolean => toward !== null && toward.how !== 'hold';

/** One degree and one centimetre weigh alike before they share a tolerance. */
const SCALE = { angle: DEGREES_PER_RADIAN, length: CM_PER_METRE, percent: 1 } as const;

/** A pull of 10° or 10 cm short costs one tolerance; it aims beyond its end so that it never tires. */
const PULL_SCALE = 10;
const PULL_BEYOND = 20;
/** While a quantity is pulled to its end, wishes only break ties. */
const WISH_WEIGHT_IN_PULL = 0.02;
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

/** Stands for a limit that is not there. */
const FREE = -1;
const orFree = (excess: number): number => (Number.isNaN(excess) ? FREE : excess);

/** Musts in degrees or centimetres: `equal` should be 0, `below` at most 0. */
export interface Musts {
  readonly equal: Float64Array;
  readonly below: Float64Array;
}

/** How the musts press on a run: how heavily, and shifted by how much. */
export interface Multipliers {
  readonly shift: Musts;
  readonly weight: number;
}

/** A condition on one observable: (observable − goal) · perUnit, in degrees, centimetres or tolerances. */
interface Condition {
  readonly at: number;
  readonly goal: number;
  readonly perUnit: number;
}

const valueOf = ({ at, goal, perUnit }: Condition, observables: Float64Array): number =>
  (observables[at]! - goal) * perUnit;

/** One task's conditions under one aim: each straight in what is read off a posture. */
export class Conditions {
  readonly observables = new Observables();
  private readonly equal: Condition[] = [];
  private readonly below: Condition[] = [];
  private readonly preferences: readonly Condition[];
  private readonly demands: DemandSheet;
  private readonly musts: Musts;

  /** @param like any skeleton of the task */
  constructor(
    task: PoseTask,
    private readonly aim: Aim,
    like: Skeleton,
  ) {
    const { front, back } = like.legs;
    const { equal, below, observables } = this;
    this.demands = new DemandSheet(task.limits, {
      front: front.ankleBears,
      back: back.ankleBears,
    });
    for (const place of PLACES) {
      const overreach = {
        at: findLegObservable(place, 'overreach'),
        goal: 0,
        perUnit: CM_PER_METRE,
      };
      (like.legs[place].closure === 'must-close' ? equal : below).push(overreach);
    }
    const prepare = (quantity: QuantityId, goal: number, perUnit: number): Condition => ({
      at: observables.prepare(quantity),
      goal,
      perUnit,
    });
    for (const { quantity, atLeast, atMost } of task.musts) {
      const unit = toScaled(quantity, 1);
      const { pieces } = getQuantity(quantity);
      if (atLeast !== null && atLeast === atMost) {
        equal.push(prepare(quantity, atLeast, unit));
        continue;
      }
      // What is the least of several pieces is a must for each piece.
      if (atLeast !== null && pieces !== undefined) {
        const { from, count } = observables.preparePieces(pieces, like);
        for (let i = 0; i < count; i += 1) {
          below.push({ at: from + i, goal: atLeast, perUnit: -unit });
        }
      } else if (atLeast !== null) below.push(prepare(quantity, atLeast, -unit));
      if (atMost !== null) below.push(prepare(quantity, atMost, unit));
    }
    const { toward, wishesWithin } = aim;
    for (const { quantity, goal, sigma } of task.wishes) {
      if (wishesWithin === null) break;
      const most = wishesWithin * sigma;
      const unit = toScaled(quantity, 1);
      below.push(prepare(quantity, goal + most, unit), prepare(quantity, goal - most, -unit));
    }
    // Last, so that all else stands at one place whether a quantity is pulled or held.
    const direction = toward?.how === 'down' ? -1 : 1;
    if (toward !== null) {
      const { quantity, value, how } = toward;
      const beyond = prepare(quantity, value, direction * toScaled(quantity, 1));
      (how === 'hold' ? equal : below).push(beyond);
    }
    const pull = toward?.how === 'hold' ? null : toward;
    const weight = pull === null ? 1 : WISH_WEIGHT_IN_PULL;
    const preferences = [...task.wishes, ...task.eases].map(({ quantity, goal, sigma }) =>
      prepare(quantity, goal, weight / sigma),
    );
    if (pull !== null) {
      const unit = toScaled(pull.quantity, 1);
      const beyond = (pull.strongAs ?? pull.value) + (direction * PULL_BEYOND) / unit;
      preferences.push(prepare(pull.quantity, beyond, -unit / PULL_SCALE));
    }
    this.preferences = preferences;
    this.musts = this.makeMusts();
  }

  /** @param unknowns of a posture of the task */
  shapeOf(unknowns: number): ResidualShape {
    const { equal, below, preferences, observables } = this;
    const pieces = PIECE_OBSERVABLES.length;
    const oneSided = new Int32Array(pieces + below.length);
    const oneSidedAlong = new Int32Array(oneSided.length);
    oneSided.set(PIECE_OBSERVABLES);
    oneSidedAlong.set(PIECE_ALONG);
    for (let i = 0; i < below.length; i += 1) {
      oneSided[pieces + i] = below[i]!.at;
      oneSidedAlong[pieces + i] = below[i]!.at;
    }
    const twoSided = new Int32Array(equal.length + preferences.length);
    for (let i = 0; i < equal.length; i += 1) twoSided[i] = equal[i]!.at;
    for (let i = 0; i < preferences.length; i += 1) {
      twoSided[equal.length + i] = preferences[i]!.at;
    }
    return { unknowns, observables: observables.length, twoSided, oneSided, oneSidedAlong };
  }

  /** Room for every must, all of them 0. */
  makeMusts(): Musts {
    return {
      equal: new Float64Array(this.equal.length),
      below: new Float64Array(PIECE_OBSERVABLES.length + this.below.length),
    };
  }

  /**
   * Every must at a posture; both lists keep their length and order whatever the posture.
   *
   * @returns written over by the next call
   */
  calcMusts(observables: Float64Array): Musts {
    this.writeMusts(observables, this.musts);
    return this.musts;
  }

  /** What wishes, eases and the pull cost, in squared tolerances. */
  calcPreferenceCost(observables: Float64Array): number {
    let sum = 0;
    for (const each of this.preferences) sum += valueOf(each, observables) ** 2;
    return sum;
  }

  /**
   * Writes all that a run weighs over the residuals of another posture: musts under
   * multipliers, then wishes, eases and the pull, in tolerances.
   */
  writeResiduals(observables: Float64Array, { shift, weight }: Multipliers, into: Residuals): void {
    const { twoSided, oneSided } = into;
    this.writeMusts(observables, { equal: twoSided, below: oneSided });
    const { preferences, equal } = this;
    for (let i = 0; i < equal.length; i += 1) {
      twoSided[i] = weight * (twoSided[i]! + shift.equal[i]!);
    }
    for (let i = 0; i < oneSided.length; i += 1) {
      oneSided[i] = weight * (oneSided[i]! + shift.below[i]!);
    }
    for (let i = 0; i < preferences.length; i += 1) {
      twoSided[equal.length + i] = valueOf(preferences[i]!, observables);
    }
  }

  /** Writes every must over those of another posture. */
  private writeMusts(observables: Float64Array, { equal, below }: Musts): void {
    const { demands } = this;
    const { toSpare } = this.aim;
    demands.fill(observables);
    const { asked, has } = demands;
    for (let i = 0; i < has.length; i += 1) {
      below[i] = orFree((asked[i]! + toSpare - has[i]!) * DEGREES_PER_RADIAN);
    }
    for (let i = 0; i < this.below.length; i += 1) {
      const value = valueOf(this.below[i]!, observables);
      below[PIECE_OBSERVABLES.length + i] = Number.isFinite(value) ? value : FREE;
    }
    for (let i = 0; i < this.equal.length; i += 1) equal[i] = valueOf(this.equal[i]!, observables);
  }

  /**
   * Writes the derivatives of all that {@link writeResiduals} writes, with respect to its observables.
   *
   * @param weight of the musts
   */
  writeDerivatives(
    observables: Float64Array,
    weight: number,
    { twoSided, oneSided, oneSidedAlong }: Omit<Derivatives, 'jacobian'>,
  ): void {
    const { demands, equal, below, preferences } = this;
    demands.fill(observables);
    const perRadian = weight * DEGREES_PER_RADIAN;
    const { has, rise } = demands;
    for (let i = 0; i < has.length; i += 1) {
      const isFree = Number.isNaN(has[i]!);
      oneSided[i] = isFree ? 0 : PIECE_SIGNS[i]! * perRadian;
      oneSidedAlong[i] = isFree ? 0 : -rise[i]! * perRadian;
    }
    for (let i = 0; i < below.length; i += 1) {
      oneSided[PIECE_OBSERVABLES.length + i] = weight * below[i]!.perUnit;
      oneSidedAlong[PIECE_OBSERVABLES.length + i] = 0;
    }
    for (let i = 0; i < equal.length; i += 1) twoSided[i] = weight * equal[i]!.perUnit;
    for (let i = 0; i < preferences.length; i += 1) {
      twoSided[equal.length + i] = preferences[i]!.perUnit;
    }
  }
}

/**
 * The largest broken must, in degrees or centimetres; 0 = all kept.
 *
 * @returns degrees or centimetres
 */
export function findLargestExcess({ equal, below }: Musts): number {
  let most = 0;
  for (const each of equal) most = Math.max(most, Math.abs(each));
  for (const each of below) most = Math.max(most, each);
  return most;
}
