import { DEGREES_PER_RADIAN } from '../units/brands.ts';
import type { Residuals, ResidualShape, Derivatives } from '../leastSquares/linearModel.ts';
import { PIECE_ALONG, PIECE_OBSERVABLES, PIECE_SIGNS } from './demandPieces.ts';
import { DemandSheet } from './demandSheet.ts';
import { listConditions, type Aim, type Condition } from './listConditions.ts';
import type { PoseTask } from './poseTask.ts';
import { Observables } from './observables.ts';
import type { Skeleton } from '../skeleton/skeleton.ts';

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

const valueOf = ({ at, goal, perUnit }: Condition, observables: Float64Array): number =>
  (observables[at]! - goal) * perUnit;

/** One task's conditions under one aim: each straight in what is read off a posture. */
export class Conditions {
  readonly observables = new Observables();
  private readonly equal: readonly Condition[];
  private readonly below: readonly Condition[];
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
    this.demands = new DemandSheet(task.limits, {
      front: front.ankleBears,
      back: back.ankleBears,
    });
    const lists = listConditions(task, aim, like, this.observables);
    this.equal = lists.equal;
    this.below = lists.below;
    this.preferences = lists.preferences;
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
