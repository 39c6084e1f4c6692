import type { PoseDefinition } from '../../poses/poseDefinition.ts';

/** What may be chosen. All choices stand in the order in which they would be done. */
export interface Choice {
  readonly id: string;
  /** Indexes of the goals that it serves. */
  readonly serves: readonly number[];
  /** With both sides and the way into it: held as short, and as long, as it may be. */
  readonly leastSeconds: number;
  readonly mostSeconds: number;
  readonly family: PoseDefinition['family'];
  /** Poses of the same name stand on the same feet; null = its feet are in nobody’s way. */
  readonly feet: string | null;
  readonly isPassive: boolean;
  /** Limiting motions that it asks at once. */
  readonly actions: number;
  /** How much of it does not lead to the pose that follows: motions of which only it asks much, other hips. */
  readonly besides: number;
}

/** What is to be chosen, and for what. */
export interface ChoiceTask {
  readonly choices: readonly Choice[];
  /** How much each goal counts. */
  readonly goals: readonly number[];
  /** To be filled, and not to be passed. */
  readonly seconds: number;
  /** Of them, no more than this is passive. */
  readonly passiveSeconds: number;
  /** The pose that follows. */
  readonly next: Pick<Choice, 'family' | 'feet'>;
}

export interface Chosen {
  /** Indexes of the choices, rising. */
  readonly picks: readonly number[];
  /** See {@link calcChoiceCost}. */
  readonly cost: number;
  /** It is proven that nothing costs less; otherwise it is the best that was found. */
  readonly isProven: boolean;
}

/** All goals together count a hundred. The other weights are our choice. */
const ALL_GOALS = 100;
const COST = {
  flip: 4,
  feet: 1,
  action: 0.5,
  besides: 1,
  pick: 0.5,
  unfilledMinute: 5,
} as const;
/** What costs less by this little is not better: sums of halves and thirds differ so. */
const SAME_COST = 1e-9;
/** After so many steps the search ends with the best that it has: under a second. */
const MOST_NODES = 200_000;

/** What is chosen so far. Its cost, without goals and time, never falls when more is chosen. */
interface Last {
  readonly family: Choice['family'];
  readonly feet: string | null;
  readonly cost: number;
  readonly least: number;
  readonly most: number;
  readonly passive: number;
}

const NOTHING_CHOSEN: Last = {
  family: 'neutral',
  feet: null,
  cost: 0,
  least: 0,
  most: 0,
  passive: 0,
};

function calcChange(last: Last, { family, feet }: Pick<Choice, 'family' | 'feet'>): number {
  const isFlip = family !== 'neutral' && last.family !== 'neutral' && family !== last.family;
  const isStep = feet !== null && last.feet !== null && feet !== last.feet;
  return (isFlip ? COST.flip : 0) + (isStep ? COST.feet : 0);
}

const addChoice = (last: Last, choice: Choice): Last => ({
  family: choice.family === 'neutral' ? last.family : choice.family,
  feet: choice.feet ?? last.feet,
  cost:
    last.cost +
    calcChange(last, choice) +
    COST.pick +
    COST.action * Math.max(0, choice.actions - 1) +
    COST.besides * choice.besides,
  least: last.least + choice.leastSeconds,
  most: last.most + choice.mostSeconds,
  passive: last.passive + (choice.isPassive ? choice.mostSeconds : 0),
});

const sum = (values: readonly number[]): number => values.reduce((all, each) => all + each, 0);

const calcUnfilled = (task: ChoiceTask, mostSeconds: number): number =>
  (COST.unfilledMinute * Math.max(0, task.seconds - mostSeconds)) / 60;

/** Of all goals, the share that none of these serves, as points. */
function calcUnserved({ goals }: ChoiceTask, served: ReadonlySet<number>): number {
  const open = goals.reduce((all, weight, i) => all + (served.has(i) ? 0 : weight), 0);
  return goals.length === 0 ? 0 : (ALL_GOALS * open) / sum(goals);
}

/**
 * What choices cost: goals that none of them serves (100 = all), changes between open and closed
 * hips, changes of feet, more than one action at once, much of what is not asked for, every choice itself, and minutes that they
 * cannot fill.
 *
 * @param task what is chosen for
 * @param picks indexes of the choices, rising
 * @returns Infinity when they take longer than there is time
 */
export function calcChoiceCost(task: ChoiceTask, picks: readonly number[]): number {
  const picked = picks.map((i) => task.choices[i]!);
  const { least, most, passive, cost, ...last } = picked.reduce(addChoice, NOTHING_CHOSEN);
  if (least > task.seconds || passive > task.passiveSeconds) return Infinity;
  const served = new Set(picked.flatMap(({ serves }) => serves));
  const atEnd = calcChange({ ...NOTHING_CHOSEN, ...last }, task.next);
  return cost + atEnd + calcUnserved(task, served) + calcUnfilled(task, most);
}

/** One choice more, one less, or one for another, as long as it gets cheaper. */
function findByExchange(task: ChoiceTask): Omit<Chosen, 'isProven'> {
  const all = task.choices.map((_each, i) => i);
  let best: Omit<Chosen, 'isProven'> = { picks: [], cost: calcChoiceCost(task, []) };
  for (;;) {
    const { picks, cost } = best;
    const others = all.filter((i) => !picks.includes(i));
    const neighbours = [
      ...others.map((i) => [...picks, i]),
      ...picks.map((i) => picks.filter((each) => each !== i)),
      ...picks.flatMap((i) => others.map((j) => [...picks.filter((each) => each !== i), j])),
    ].map((each) => each.toSorted((a, b) => a - b));
    for (const each of neighbours) {
      const own = calcChoiceCost(task, each);
      if (own < best.cost - SAME_COST) best = { picks: each, cost: own };
    }
    if (best.cost === cost) return best;
  }
}

/** A depth-first search. What it has chosen is counted as it goes, so that a step costs little. */
class Search {
  nodes = 0;
  best: Omit<Chosen, 'isProven'>;
  /** How many of those chosen serve each goal. */
  private readonly served: number[];
  private readonly picks: number[] = [];
  /** For each choice: the goals that it and those after it serve, and how long they may last. */
  private readonly later: readonly { readonly serves: readonly boolean[]; readonly most: number }[];
  private readonly pointsPerGoal: number;

  constructor(private readonly task: ChoiceTask) {
    const { choices, goals } = task;
    this.best = findByExchange(task);
    this.served = goals.map(() => 0);
    this.pointsPerGoal = goals.length === 0 ? 0 : ALL_GOALS / sum(goals);
    this.later = [...choices.keys(), choices.length].map((i) => {
      const rest = choices.slice(i);
      const served = new Set(rest.flatMap(({ serves }) => serves));
      return {
        serves: goals.map((_weight, goal) => served.has(goal)),
        most: sum(rest.map(({ mostSeconds }) => mostSeconds)),
      };
    });
  }

  /** Nothing that begins with these picks can cost less. */
  private calcBound(i: number, cost: number, most: number): number {
    const { serves, most: mostLater } = this.later[i]!;
    const open = this.task.goals.reduce(
      (all, weight, goal) => (this.served[goal] === 0 && !serves[goal] ? all + weight : all),
      0,
    );
    return cost + this.pointsPerGoal * open + calcUnfilled(this.task, most + mostLater);
  }

  run(i = 0, last: Last = NOTHING_CHOSEN): void {
    const { choices, seconds, passiveSeconds } = this.task;
    this.nodes += 1;
    if (this.nodes > MOST_NODES || last.least > seconds || last.passive > passiveSeconds) return;
    if (this.calcBound(i, last.cost, last.most) >= this.best.cost - SAME_COST) return;
    const choice = choices[i];
    if (choice === undefined) {
      const cost = calcChoiceCost(this.task, this.picks);
      if (cost < this.best.cost - SAME_COST) this.best = { picks: [...this.picks], cost };
      return;
    }
    this.picks.push(i);
    for (const goal of choice.serves) this.served[goal]! += 1;
    this.run(i + 1, addChoice(last, choice));
    for (const goal of choice.serves) this.served[goal]! -= 1;
    this.picks.pop();
    this.run(i + 1, last);
  }
}

/**
 * The cheapest choice: a depth-first search that leaves out what cannot become cheaper. The same
 * task gives the same answer, on any machine.
 *
 * @param task what is chosen for
 * @returns proven to be the cheapest, unless the search was too long
 */
export function choose(task: ChoiceTask): Chosen {
  const search = new Search(task);
  search.run();
  return { ...search.best, isProven: search.nodes <= MOST_NODES };
}
