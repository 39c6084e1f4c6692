import type { Side } from '../measures/protocol.ts';
import { turnBetween, type FootPlace } from './feetPlaces.ts';

/** A place on the mat that is marked once. */
export interface Mark {
  /** From 1, in the order in which the flow comes to them. */
  readonly number: number;
  readonly side: Side;
  readonly place: FootPlace;
  /** The steps that stand on it, by their index. */
  readonly serves: readonly number[];
}

/** One foot of one step. */
export interface Stand {
  readonly step: number;
  readonly side: Side;
  readonly place: FootPlace;
}

/** Places this near to each other become one mark, cm and degrees. */
const ONE_MARK_CM = 2;
const ONE_MARK_DEG = 3;
/** Up to so many places near each other every choice of marks is tried. */
const TRIED_ALL = 12;

const isNear = (a: Stand, b: Stand): boolean =>
  a.side === b.side &&
  a.place.part === b.place.part &&
  Math.hypot(a.place.x - b.place.x, a.place.y - b.place.y) <= ONE_MARK_CM &&
  turnBetween(a.place.turnDeg, b.place.turnDeg) <= ONE_MARK_DEG;

/** Which of the places would do for which other ones. */
type Serves = (mark: number, stand: number) => boolean;

/** The fewest of so many places that serve all of them; the earliest of equal choices. */
function coverFewest(count: number, serves: Serves): readonly number[] {
  const all = Array.from({ length: count }, (_, i) => i);
  if (count > TRIED_ALL) return coverGreedily(all, serves);
  let best = all;
  for (let choice = 1; choice < 1 << count; choice += 1) {
    const chosen = all.filter((i) => (choice & (1 << i)) !== 0);
    if (chosen.length >= best.length) continue;
    if (all.every((stand) => chosen.some((mark) => serves(mark, stand)))) best = chosen;
  }
  return best;
}

function coverGreedily(all: readonly number[], serves: Serves): readonly number[] {
  const chosen: number[] = [];
  let open = all;
  while (open.length > 0) {
    const gain = (mark: number): number => open.filter((stand) => serves(mark, stand)).length;
    const most = all.reduce((a, b) => (gain(b) > gain(a) ? b : a));
    chosen.push(most);
    open = open.filter((stand) => !serves(most, stand));
  }
  return chosen;
}

/** Stands that hang together: each near to some other one of its group. */
function groupNear(stands: readonly Stand[]): readonly (readonly Stand[])[] {
  const groups: Stand[][] = [];
  for (const stand of stands) {
    const near = groups.filter((group) => group.some((each) => isNear(each, stand)));
    const merged = [...near.flat(), stand];
    for (const group of near) groups.splice(groups.indexOf(group), 1);
    groups.push(merged.sort((a, b) => a.step - b.step));
  }
  return groups;
}

/** Stands on exactly one place count once. */
const placeKey = ({ side, place }: Stand): string =>
  [side, place.part, ...[place.x, place.y, place.turnDeg].map((each) => each.toFixed(2))].join(' ');

/**
 * The fewest marks that a flow needs: places within 2 cm and 3° become one, where the poses allow it.
 *
 * @param stands every foot of every step
 * @param mayStand whether a step's foot may stand on another place instead; costly, asked once each
 * @returns in the order in which the flow comes to them
 */
export function findMarks(
  stands: readonly Stand[],
  mayStand: (stand: Stand, place: FootPlace) => boolean,
): readonly Mark[] {
  const marks = groupNear(stands).flatMap((group): Omit<Mark, 'number'>[] => {
    const byPlace = new Map<string, Stand[]>();
    for (const each of group) {
      byPlace.set(placeKey(each), [...(byPlace.get(placeKey(each)) ?? []), each]);
    }
    const places = [...byPlace.values()];
    const first = places.map((each) => each[0]!);
    const asked = new Map<string, boolean>();
    const serves: Serves = (mark, stand) => {
      if (mark === stand) return true;
      const { place } = first[mark]!;
      if (!isNear(first[mark]!, first[stand]!)) return false;
      const key = `${String(mark)} ${String(stand)}`;
      const may = asked.get(key) ?? places[stand]!.every((each) => mayStand(each, place));
      asked.set(key, may);
      return may;
    };
    const chosen = coverFewest(places.length, serves);
    const taken = new Set<number>();
    return chosen.map((mark) => {
      const own = places.flatMap((each, stand) => {
        if (taken.has(stand) || (stand !== mark && chosen.includes(stand))) return [];
        if (!serves(mark, stand)) return [];
        taken.add(stand);
        return each;
      });
      const { side, place } = first[mark]!;
      return { side, place, serves: own.map(({ step }) => step).sort((a, b) => a - b) };
    });
  });
  return marks
    .sort((a, b) => a.serves[0]! - b.serves[0]! || a.side.localeCompare(b.side))
    .map((mark, i) => ({ number: i + 1, ...mark }));
}
