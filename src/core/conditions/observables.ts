import { PLACES, type Place } from '../poses/poseDefinition.ts';
import type { QuantityId } from '../poses/quantityId.ts';
import type { LegPose } from '../skeleton/leg.ts';
import { getQuantity, type Pieces, type Quantity } from './quantities.ts';
import type { Skeleton } from '../skeleton/skeleton.ts';

const LEG = [
  'hipFlexion',
  'hipAbduction',
  'hipExternalRotation',
  'kneeFlexion',
  'ankleDorsiflexion',
  'ankleInversion',
  'overreach',
] as const;
const TRUNK = ['backHeelLift', 'spineFlexion', 'spineSideBend', 'spineRotation'] as const;

export type LegObservable = (typeof LEG)[number];
export type TrunkObservable = (typeof TRUNK)[number];

const TRUNK_AT = PLACES.length * LEG.length;

/**
 * Where a leg's observable stands among all observables.
 *
 * @param place front or back leg
 * @param observable its name
 * @returns its index
 */
export const findLegObservable = (place: Place, observable: LegObservable): number =>
  PLACES.indexOf(place) * LEG.length + LEG.indexOf(observable);

/**
 * Where an observable of the trunk or the lifted heel stands among all observables.
 *
 * @param observable its name
 * @returns its index
 */
export const findTrunkObservable = (observable: TrunkObservable): number =>
  TRUNK_AT + TRUNK.indexOf(observable);

/**
 * The observables of a task's conditions, computed from a skeleton in one order: joint angles,
 * then quantities and the pieces of those that are the least of several, as they were
 * prepared. Radians and metres; NaN = not defined there.
 */
export class Observables {
  private readonly quantities: {
    readonly id: QuantityId;
    readonly at: number;
    readonly calc: Quantity['calc'];
  }[] = [];
  private readonly pieces: { readonly at: number; readonly write: Pieces['write'] }[] = [];
  private count = TRUNK_AT + TRUNK.length;

  get length(): number {
    return this.count;
  }

  /** @returns where a quantity is read */
  prepare(id: QuantityId): number {
    const known = this.quantities.find((each) => each.id === id);
    if (known !== undefined) return known.at;
    this.quantities.push({ id, at: this.count, calc: getQuantity(id).calc });
    this.count += 1;
    return this.count - 1;
  }

  /**
   * @param like any skeleton of the task: they all have as many pieces
   * @returns where the first piece is read, and how many follow it
   */
  preparePieces(
    { count, write }: Pieces,
    like: Skeleton,
  ): { readonly from: number; readonly count: number } {
    const from = this.count;
    const pieces = count(like);
    this.pieces.push({ at: from, write });
    this.count += pieces;
    return { from, count: pieces };
  }

  /** Reads a skeleton into a list as long as this one. */
  read(skeleton: Skeleton, into: Float64Array): void {
    const { legs, posture } = skeleton;
    readLeg(legs.front, into, 0);
    readLeg(legs.back, into, LEG.length);
    into[TRUNK_AT] = posture.parts.backHeelLift;
    into[TRUNK_AT + 1] = posture.spine.flexion;
    into[TRUNK_AT + 2] = posture.spine.sideBend;
    into[TRUNK_AT + 3] = posture.spine.rotation;
    for (const { at, calc } of this.quantities) into[at] = calc(skeleton);
    for (const { at, write } of this.pieces) write(skeleton, into, at);
  }
}

function readLeg(leg: LegPose, into: Float64Array, at: number): void {
  const { hipAngles, ankleAngles } = leg;
  into[at] = hipAngles.flexion;
  into[at + 1] = hipAngles.abduction;
  into[at + 2] = hipAngles.externalRotation ?? NaN;
  into[at + 3] = leg.kneeFlexion;
  into[at + 4] = ankleAngles.dorsiflexion;
  into[at + 5] = ankleAngles.inversion;
  into[at + 6] = leg.overreach;
}
