import { isFirmUnderHand, type PropItem, type PropKind } from './propList.ts';

/** One prop in a stack, standing at one of its heights. */
interface StackedProp {
  readonly id: string;
  readonly name: string;
  readonly heightCm: number;
}

/** Props on top of each other, the lowest first; none = the floor. */
export interface Stack {
  readonly props: readonly StackedProp[];
  readonly heightCm: number;
}

export const FLOOR: Stack = { props: [], heightCm: 0 };

/** No stack is higher than this many pieces: more of them slide. Our choice. */
const MOST_PIECES = 3;
/** Under a loaded hand never more blocks than this. Common practice, no source. */
const MOST_BLOCKS_UNDER_HAND = 2;

/**
 * Whether one prop may stand on another under a hand that bears weight. Common practice,
 * no source: a block lies on its broad face under another, and only a broad or middle face
 * goes on top; nothing hard stands on anything soft; a chair carries a folded blanket.
 */
function mayStandOn(
  top: PropItem,
  topHeight: number,
  below: PropItem,
  belowHeight: number,
): boolean {
  const lowest = below.heightsCm[0];
  if (below.kind === 'block') {
    if (belowHeight !== lowest) return false;
    return top.kind === 'block' ? topHeight !== top.heightsCm[2] : top.kind === 'blanket';
  }
  return (below.kind === 'chair' || below.kind === 'own') && top.kind === 'blanket';
}

/**
 * The rails of chairs, bare and with folded blankets over them, lowest first.
 *
 * @param props what the studio has
 * @returns none where no chair's rail is known
 */
export function findRails(props: readonly PropItem[]): readonly Stack[] {
  const blankets = props
    .filter(({ kind, count }) => kind === 'blanket' && count > 0)
    .flatMap((each) => Array<PropItem>(Math.min(MOST_PIECES - 1, each.count)).fill(each))
    .slice(0, MOST_PIECES - 1);
  return props
    .filter(({ kind, count, railCm }) => kind === 'chair' && count > 0 && railCm !== undefined)
    .flatMap(({ id, name, railCm = 0 }) =>
      [0, ...blankets.map((_, i) => i + 1)].map((many): Stack => {
        const over = blankets.slice(0, many).map((each) => ({
          id: each.id,
          name: each.name,
          heightCm: each.heightsCm[0] ?? 0,
        }));
        const rail = { id, name: `Rail of ${name.toLowerCase()}`, heightCm: railCm };
        const heightCm = over.reduce((sum, each) => sum + each.heightCm, railCm);
        return { props: [rail, ...over], heightCm };
      }),
    )
    .toSorted((a, b) => a.heightCm - b.heightCm);
}

/** What may serve under each part of a body. Common practice, no source. */
export const SERVES = {
  thigh: ['chair', 'blanket', 'bolster'],
  heel: ['wedge', 'blanket'],
  kneeOnMat: ['pad', 'blanket'],
  ball: ['block'],
  lyingLimb: ['block', 'blanket', 'bolster'],
  head: ['blanket', 'bolster'],
} as const satisfies Readonly<Record<string, readonly PropKind[]>>;

/** Of stacks that are as high as one another, this many with the fewest pieces are kept. Our choice. */
const MOST_OF_ONE_HEIGHT = 12;
/** Heights that differ by less are one height, cm. */
const SAME_HEIGHT_CM = 0.05;

/** Lowest first, fewest pieces first; of one height those of more pieces serve no better. */
function pruneStacks(stacks: readonly Stack[]): Stack[] {
  const counts = new Map<number, number>();
  return stacks
    .toSorted((a, b) => a.heightCm - b.heightCm || a.props.length - b.props.length)
    .filter(({ heightCm }) => {
      const height = Math.round(heightCm / SAME_HEIGHT_CM);
      const count = (counts.get(height) ?? 0) + 1;
      counts.set(height, count);
      return count <= MOST_OF_ONE_HEIGHT;
    });
}

/** The stacks of each cupboard by what they serve: a cupboard is asked about with every move of a hand. */
const known = new WeakMap<readonly PropItem[], Map<Under, readonly Stack[]>>();

/** What a stack supports: a hand that bears weight, or another part of the body with these kinds of prop. */
type Under = 'hand' | readonly PropKind[];

/**
 * The safe stacks under a hand or another part of the body, lowest first, fewest pieces first among equals.
 * Of many that are as high as one another the first twelve are enough.
 *
 * @param props what there is, never changed in place; no stack needs more of a kind than its count
 * @param under `hand`, or the kinds of prop that may support the part
 * @returns with their heights, cm
 */
export function findStacks(props: readonly PropItem[], under: Under = 'hand'): readonly Stack[] {
  const ofProps = known.get(props) ?? new Map<Under, readonly Stack[]>();
  known.set(props, ofProps);
  const stacks = ofProps.get(under) ?? makeStacks(props, under);
  ofProps.set(under, stacks);
  return stacks;
}

function makeStacks(props: readonly PropItem[], under: Under): readonly Stack[] {
  const stacks: Stack[] = [FLOOR];
  const mostBlocks = under === 'hand' ? MOST_BLOCKS_UNDER_HAND : MOST_PIECES;
  const serves = (each: PropItem): boolean =>
    under === 'hand' ? isFirmUnderHand(each) : under.includes(each.kind);
  const usable = props.filter((each) => serves(each) && each.count > 0);
  const grow = (
    pieces: readonly { readonly item: PropItem; readonly heightCm: number }[],
  ): void => {
    if (pieces.length > 0) {
      stacks.push({
        props: pieces.map(({ item, heightCm }) => ({ id: item.id, name: item.name, heightCm })),
        heightCm: pieces.reduce((sum, each) => sum + each.heightCm, 0),
      });
    }
    if (pieces.length === MOST_PIECES) return;
    const below = pieces.at(-1);
    for (const item of usable) {
      const used = pieces.filter((each) => each.item === item).length;
      const blocks = pieces.filter((each) => each.item.kind === 'block').length;
      if (used >= item.count || (item.kind === 'block' && blocks >= mostBlocks)) continue;
      for (const heightCm of item.heightsCm) {
        const fits = below === undefined || mayStandOn(item, heightCm, below.item, below.heightCm);
        if (fits) grow([...pieces, { item, heightCm }]);
      }
    }
  };
  grow([]);
  return pruneStacks(stacks);
}

/**
 * The nearest stack at or above a height, or one of fewer pieces that is hardly higher than
 * needed; null when nothing is that high.
 *
 * @param stacks lowest first
 * @param heightCm that is needed
 * @returns null when none is high enough
 */
export function findNearestAbove(stacks: readonly Stack[], heightCm: number): Stack | null {
  // Half of what can be set counts as reached.
  const serving = stacks.filter((each) => each.heightCm >= heightCm - HALF_SETTABLE_CM);
  const hardlyHigher = serving.filter((each) => each.heightCm <= heightCm + HARDLY_HIGHER_CM);
  const [fewest] = hardlyHigher.toSorted((a, b) => a.props.length - b.props.length);
  return fewest ?? serving[0] ?? null;
}

const HALF_SETTABLE_CM = 0.25;
/** A stack this much higher than needed is as good as one of that height. Our choice. */
const HARDLY_HIGHER_CM = 2;

/** Two straps that are joined lose this much to the join, cm. Common practice, no source. */
const JOIN_CM = 15;

/** One strap, or two that are joined. */
export interface StrapLength {
  readonly straps: readonly PropItem[];
  readonly lengthCm: number;
}

/**
 * The shortest strap that is at least this long; where none is, the shortest two that are when they
 * are joined.
 *
 * @param props what the studio has
 * @param lengthCm that is needed
 * @returns null when no two straps make it
 */
export function findStrap(props: readonly PropItem[], lengthCm: number): StrapLength | null {
  const straps = listStraps(props);
  const shortest = (lengths: readonly StrapLength[]): StrapLength | null =>
    lengths
      .filter((each) => each.lengthCm >= lengthCm)
      .toSorted((a, b) => a.lengthCm - b.lengthCm)[0] ?? null;
  return shortest(straps.map(toLength)) ?? shortest(joinTwo(straps));
}

/**
 * The longest that any one or two straps reach.
 *
 * @param props what the studio has
 * @returns null when there is no strap
 */
export function findLongestStrap(props: readonly PropItem[]): StrapLength | null {
  return listStrapLengths(props).toSorted((a, b) => b.lengthCm - a.lengthCm)[0] ?? null;
}

/**
 * Every length that one strap or two joined ones make.
 *
 * @param props what the studio has
 * @returns single straps first
 */
export function listStrapLengths(props: readonly PropItem[]): readonly StrapLength[] {
  const straps = listStraps(props);
  return [...straps.map(toLength), ...joinTwo(straps)];
}

/** Every strap, as often as the cupboard has it; two of each are enough. */
const listStraps = (props: readonly PropItem[]): readonly PropItem[] =>
  props
    .filter(({ kind, lengthCm }) => kind === 'strap' && lengthCm !== null)
    .flatMap((each) => Array<PropItem>(Math.min(2, each.count)).fill(each));

const toLength = (strap: PropItem): StrapLength => ({
  straps: [strap],
  lengthCm: strap.lengthCm ?? 0,
});

const joinTwo = (straps: readonly PropItem[]): readonly StrapLength[] =>
  straps.flatMap((one, i) =>
    straps.slice(i + 1).map((other) => ({
      straps: [one, other],
      lengthCm: (one.lengthCm ?? 0) + (other.lengthCm ?? 0) - JOIN_CM,
    })),
  );
