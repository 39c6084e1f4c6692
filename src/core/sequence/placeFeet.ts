import { otherSide, SIDES, type Side } from '../measures/protocol.ts';
import type { AnyPose } from '../poses/anyPose.ts';
import { calcFeetMove, NO_FEET, type FeetPlaces, type FootPlace } from './feetPlaces.ts';
import type { Passage } from './ways.ts';

/** Where the front heels of a person stand when nothing else says so, cm: the front mark of each side. */
export type HomeMarks = Readonly<Record<Side, { readonly x: number; readonly y: number }>>;

/**
 * The front marks: as far apart as the heels in mountain.
 *
 * @param heelsApartCm of this person
 * @returns at x = 0
 */
export const findHomeMarks = (heelsApartCm: number): HomeMarks => ({
  left: { x: 0, y: heelsApartCm / 2 },
  right: { x: 0, y: -heelsApartCm / 2 },
});

/** Links on hands and feet have their feet this far behind the front marks, cm. Our choice: about one stance. */
const HANDS_TO_FEET_CM = 95;

/** Both feet on one spot, to tell a wide stance from one that is not. */
const SPOT: FootPlace = { part: 'foot', x: 0, y: 0, turnDeg: 0 };
const TOGETHER: FeetPlaces = { left: SPOT, right: SPOT };

const shift = (place: FootPlace | null, by: { readonly x: number; readonly y: number }) =>
  place === null ? null : { ...place, x: place.x + by.x, y: place.y + by.y };

const shiftBoth = (
  feet: FeetPlaces,
  by: { readonly x: number; readonly y: number },
): FeetPlaces => ({ left: shift(feet.left, by), right: shift(feet.right, by) });

/** The foot that stays where it is during a transition; null = neither does. */
function findStandingSide(
  before: FeetPlaces,
  own: FeetPlaces,
  foot: Passage['transition']['foot'],
  frontSide: Side,
): Side | null {
  if (foot === 'both') return null;
  const wanted = foot === 'front' ? otherSide(frontSide) : frontSide;
  const stands = (side: Side): boolean =>
    before[side]?.part === own[side]?.part && own[side] !== null;
  return stands(wanted) ? wanted : null;
}

/** A pose without an anchor: its front foot on its front mark, or both feet round the middle. */
function placeAtHome(own: FeetPlaces, any: AnyPose, frontSide: Side, home: HomeMarks): FeetPlaces {
  const front = own[frontSide];
  if (any.hasSides && front !== null) {
    const mark = home[frontSide];
    return shiftBoth(own, { x: mark.x - front.x, y: mark.y - front.y });
  }
  const places = SIDES.flatMap((side) => own[side] ?? []);
  if (places.length === 0) return own;
  const mean = (of: (place: FootPlace) => number): number =>
    places.reduce((sum, place) => sum + of(place), 0) / places.length;
  const [x, y] = [mean((place) => place.x), mean((place) => place.y)];
  const isWide = calcFeetMove(own, TOGETHER).cm > HANDS_TO_FEET_CM / 2;
  const back = any.height === 'hands-and-feet' ? 1 : isWide ? 0.5 : 0;
  return shiftBoth(own, { x: -x - back * HANDS_TO_FEET_CM, y: -y });
}

/**
 * The feet of the next pose on the mat: the foot that the transition leaves alone stays on its
 * mark, and the other one goes to its place from there. Where both move, the front foot goes to
 * its front mark.
 *
 * @param before on the mat
 * @param own of the pose, in a frame of its own
 * @param any the pose
 * @param frontSide the front or standing leg; for a pose without sides, that of the pose before
 * @param foot the one that moves; null = it is the first pose
 * @param home the front marks
 * @returns on the mat, x = 0 at the front marks
 */
export function placeFeet(
  before: FeetPlaces,
  own: FeetPlaces,
  any: AnyPose,
  frontSide: Side,
  foot: Passage['transition']['foot'] | null,
  home: HomeMarks,
): FeetPlaces {
  if (own.left === null && own.right === null) return NO_FEET;
  if (foot === 'none') {
    const moved = calcFeetMove(before, own);
    const isAlike = SIDES.every((side) => before[side]?.part === own[side]?.part);
    // Where no foot has to leave its place, a hair’s breadth between two solves is no move.
    if (isAlike && moved.cm < 0.05 && moved.turnDeg < 0.05) return before;
  }
  const standing = foot === null ? null : findStandingSide(before, own, foot, frontSide);
  if (standing === null) return placeAtHome(own, any, frontSide, home);
  const [was, is] = [before[standing]!, own[standing]!];
  return shiftBoth(own, { x: was.x - is.x, y: was.y - is.y });
}
