import { SIDES, otherSide, type Side } from '../measures/protocol.ts';
import { findFeltPlace, namePlace, sayFelt, type Felt } from './places.ts';

/** A place as it would be on the other side of the body. */
function mirror(id: string): string {
  const place = findFeltPlace(id);
  return place?.side == null ? id : namePlace(place.region, otherSide(place.side));
}

/** What was felt on each side of a pose. */
export type FeltOnSides = Readonly<Record<Side, readonly Felt[]>>;

/**
 * Left against right: whether both sides of a pose are felt in the same places.
 *
 * @param felt on each side
 * @returns one line, or two; empty until both sides were noted
 */
export function compareFeltSides(felt: FeltOnSides): readonly string[] {
  if (SIDES.some((side) => felt[side].length === 0)) return [];
  const key = ({ place, how }: Felt): string => `${how} ${place}`;
  const left = felt.left.map(key).toSorted().join();
  const right = felt.right
    .map((each) => key({ ...each, place: mirror(each.place) }))
    .toSorted()
    .join();
  if (left === right) return ['Left and right are felt in the same places.'];
  return SIDES.map((side) => `Held ${side}: ${sayFelt(felt[side])}.`);
}
