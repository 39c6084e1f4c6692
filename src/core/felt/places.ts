import { SIDES, type Side } from '../measures/protocol.ts';

/** A part of the body where a stretch may be felt. */
export interface FeltRegion {
  readonly id: string;
  /** From which side of the body it is seen. */
  readonly face: 'front' | 'back';
  readonly isSided: boolean;
}

const region = (face: FeltRegion['face'], id: string, isSided = true): FeltRegion => ({
  id,
  face,
  isSided,
});

/** From the head down, as they lie on a body. */
export const FELT_REGIONS = [
  region('front', 'belly', false),
  region('front', 'side of waist'),
  region('front', 'front of hip'),
  region('front', 'inner thigh'),
  region('front', 'front of thigh'),
  region('back', 'low back', false),
  region('back', 'outer hip'),
  region('back', 'seat'),
  region('back', 'back of thigh'),
  region('back', 'calf'),
  region('back', 'outer ankle'),
  region('back', 'sole'),
] as const satisfies readonly FeltRegion[];

/** A region of one side of the body. */
export interface FeltPlace {
  /** As it is said and stored: "left calf", "low back". */
  readonly id: string;
  readonly region: string;
  readonly face: FeltRegion['face'];
  /** null = in the middle. */
  readonly side: Side | null;
}

/**
 * A place as it is said and stored.
 *
 * @param id of the region
 * @param side null = in the middle
 * @returns "left calf", "low back"
 */
export const namePlace = (id: string, side: Side | null): string =>
  side === null ? id : `${side} ${id}`;

/** Every place, left before right. */
export const FELT_PLACES: readonly FeltPlace[] = FELT_REGIONS.flatMap(({ id, face, isSided }) =>
  (isSided ? SIDES : [null]).map((side) => ({ id: namePlace(id, side), region: id, face, side })),
);

/**
 * A place by its id.
 *
 * @param id as it is stored
 * @returns null = not one of ours
 */
export const findFeltPlace = (id: string): FeltPlace | null =>
  FELT_PLACES.find((each) => each.id === id) ?? null;

/** Said of a stretch that is felt in no place. */
export const NOWHERE = 'nowhere';

/** Something that was felt while a pose was held. */
export interface Felt {
  /** One of FELT_PLACES, or NOWHERE. */
  readonly place: string;
  /** A muscle that lengthens, or one that works. */
  readonly how: 'stretch' | 'work';
}

/**
 * What was felt, in a few words.
 *
 * @param felt in any order
 * @returns "stretch in the left calf, work in the right seat"; empty = nothing was noted
 */
export const sayFelt = (felt: readonly Felt[]): string =>
  felt
    .map(({ place, how }) => (place === NOWHERE ? 'no stretch felt' : `${how} in the ${place}`))
    .join(', ');
