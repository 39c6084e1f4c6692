import { USUAL_PROPS, type PropItem } from '../../props/propList.ts';
import { listNeeds, type Needy } from './needs.ts';
import { sharePoses, type Deadline, type SolveWithin } from './shareCupboard.ts';

/** Something that is missing. */
export interface Shopping {
  readonly name: string;
  readonly count: number;
}

/** What would serve a class better than what it has. */
export interface ShoppingList {
  readonly items: readonly Shopping[];
  /** Needs that even these leave without. */
  readonly stillWithout: number;
}

/** No list is longer, and nobody is sent for more of one thing. Our choice. */
const MOST_ITEMS = 3;
const MOST_OF_ONE = 64;

const withMore = (props: readonly PropItem[], item: PropItem, more: number): readonly PropItem[] =>
  props.some(({ id }) => id === item.id)
    ? props.map((each) => (each.id === item.id ? { ...each, count: each.count + more } : each))
    : [...props, { ...item, count: more }];

/** What might be bought: more of what there is, and of what a studio usually has. */
function listWares(props: readonly PropItem[]): readonly PropItem[] {
  const usual = USUAL_PROPS.filter(({ kind }) => !props.some((each) => each.kind === kind));
  return [...props, ...usual.map((each) => ({ ...each, count: 0 }))].filter(
    ({ kind }) => kind !== 'mat',
  );
}

/**
 * The shortest list that would serve everyone: the thing that helps most, as few of it as do, then the
 * next one.
 *
 * @param planned every pose of every member
 * @param poses of the class
 * @param props what the class has
 * @param solve solves a mixed-integer program
 * @param deadline when it is enough
 * @returns empty when everybody is served
 */
export async function findShopping(
  planned: readonly Needy[],
  poses: readonly string[],
  props: readonly PropItem[],
  solve: SolveWithin,
  deadline: Deadline,
): Promise<ShoppingList> {
  const findWithout = async (cupboard: readonly PropItem[], among: ReadonlySet<string> | null) => {
    const needs = listNeeds(planned, poses, cupboard).filter(
      (each) => among === null || among.has(each.pose),
    );
    const { chosen } = await sharePoses(needs, cupboard, solve, deadline);
    return needs.filter((need, i) => need.choices[chosen.get(i) ?? 0]?.isServing !== true);
  };
  // Where everybody is served already, more changes nothing.
  const first = await findWithout(props, null);
  const short = new Set(first.map(({ pose }) => pose));
  const without = async (cupboard: readonly PropItem[]): Promise<number> =>
    (await findWithout(cupboard, short)).length;
  const items: Shopping[] = [];
  let cupboard = props;
  let left = first.length;
  while (left > 0 && items.length < MOST_ITEMS && deadline.seconds > 0) {
    let best: { readonly item: PropItem; readonly left: number } | null = null;
    for (const item of listWares(cupboard)) {
      const then = await without(withMore(cupboard, item, MOST_OF_ONE));
      if (then < (best?.left ?? left)) best = { item, left: then };
    }
    if (best === null) break;
    let [low, high] = [1, MOST_OF_ONE];
    while (low < high) {
      const middle = Math.floor((low + high) / 2);
      if ((await without(withMore(cupboard, best.item, middle))) <= best.left) high = middle;
      else low = middle + 1;
    }
    const { name } = best.item;
    const known = items.findIndex((each) => each.name === name);
    if (known < 0) items.push({ name, count: high });
    else items[known] = { name, count: items[known]!.count + high };
    cupboard = withMore(cupboard, best.item, high);
    ({ left } = best);
  }
  return { items, stillWithout: left };
}
