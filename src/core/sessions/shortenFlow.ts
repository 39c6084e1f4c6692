import type { FlowPlanner } from '../sequence/flowPlanner.ts';
import type { FlowStep } from '../sequence/flow.ts';
import { findAnyPose } from '../poses/anyPose.ts';
import { EASY_BREATH_SECONDS } from '../studio/studio.ts';
import { leadFlow, toFlow, type LedFlow, type LedStep } from './ledFlow.ts';

/** A flow that ends in time. */
export interface Shortened {
  /** All steps, those that were done among them. */
  readonly steps: readonly LedStep[];
  /** Steps of the flow that are left out, in order. */
  readonly dropped: readonly LedStep[];
  /** From the step on that it stands at. */
  readonly seconds: number;
}

/** A last rest is not cut further, breaths. Our choice. */
const SHORTEST_REST = 12;
/** A pose whose other side was done already is kept before anything else. */
const OTHER_SIDE_DONE = 1;

/** What is left out together: both sides of a pose, or one link or movement. */
interface Group {
  readonly ids: readonly string[];
  readonly worth: number;
  /** Where it begins: of those that matter alike, the later goes first. */
  readonly at: number;
}

const keyOf = ({ step, place }: LedStep): string =>
  step?.kind === 'warm-up' ? step.movement : place.pose;

const isRest = (each: LedStep | undefined): boolean =>
  each?.step?.kind === 'link' && findAnyPose(each.place.pose)?.effort === 'passive';

/** What may be left out, what matters least first. The peak, and a rest at the end, stay. */
function listGroups(
  { peak }: LedFlow,
  done: readonly LedStep[],
  toCome: readonly LedStep[],
): readonly Group[] {
  const groups = new Map<string, Group>();
  for (const [at, each] of toCome.entries()) {
    const isLast = at === toCome.length - 1;
    if (each.step === null || each.place.pose === peak || (isLast && isRest(each))) continue;
    const key = each.step.kind === 'link' ? `${keyOf(each)} ${each.id}` : keyOf(each);
    const known = groups.get(key);
    const isBegun = each.step.kind !== 'link' && done.some((one) => keyOf(one) === keyOf(each));
    const worth = Math.max(known?.worth ?? 0, each.toward) + (isBegun ? OTHER_SIDE_DONE : 0);
    groups.set(key, { ids: [...(known?.ids ?? []), each.id], worth, at: known?.at ?? at });
  }
  return [...groups.values()].toSorted((a, b) => a.worth - b.worth || b.at - a.at);
}

/** The last rest for so many breaths. */
const withRest = (steps: readonly LedStep[], breaths: number): readonly LedStep[] =>
  steps.map((each, i): LedStep => {
    if (i < steps.length - 1 || each.step === null) return each;
    const step: FlowStep = { ...each.step, manner: { kind: 'held', breaths } };
    return { ...each, step };
  });

const breathsOf = ({ step }: LedStep): number =>
  step?.manner.kind === 'held' ? step.manner.breaths : 1;

/**
 * A running flow with less time left: what matters least for the peak is left out, both sides of a
 * pose together, until the rest of it ends in time. The ways between what stays are found again. A
 * foot that comes from another pose than was planned is set on its marks, by the numbers of its
 * set-up.
 *
 * @param planner of the person as they are today
 * @param flow as it is led
 * @param at id of the step that it stands at
 * @param secondsLeft until it should end
 * @returns as short as it can be, even when that is longer
 */
export function shortenFlow(
  planner: FlowPlanner,
  flow: LedFlow,
  at: string,
  secondsLeft: number,
): Shortened {
  const here = flow.steps.findIndex(({ id }) => id === at);
  // A pose that is passed through leads to the step after it: that one is begun.
  const begun = flow.steps.findIndex(({ step }, i) => i >= here && step !== null);
  const done = flow.steps.slice(0, begun + 1);
  const toCome = flow.steps.slice(begun + 1);
  const groups = listGroups(flow, done, toCome);
  const last = toCome.at(-1);
  const rests = last !== undefined && isRest(last);
  const usualRest = rests ? breathsOf(last) : 0;
  const shortRest = Math.min(usualRest, SHORTEST_REST);
  const plan = (count: number, rest: number): Shortened => {
    const out = new Set(groups.slice(0, count).flatMap(({ ids }) => ids));
    const kept = toCome.filter(({ id }) => !out.has(id));
    const steps = [...done, ...(rests ? withRest(kept, rest) : kept)];
    const led = leadFlow(planner.plan(toFlow(flow, steps), 'known')).steps;
    const joined = joinLed(flow.steps, done, led);
    return {
      steps: joined,
      dropped: toCome.filter(({ id, step }) => out.has(id) && step !== null),
      seconds: joined.slice(Math.max(0, begun)).reduce((sum, { seconds }) => sum + seconds, 0),
    };
  };
  let count = 0;
  let found = plan(count, usualRest);
  if (found.seconds > secondsLeft) found = plan(count, shortRest);
  while (found.seconds > secondsLeft && count < groups.length) {
    count += 1;
    found = plan(count, shortRest);
  }
  const spare = Math.floor((secondsLeft - found.seconds) / EASY_BREATH_SECONDS);
  if (!rests || spare <= 0) return found;
  return plan(count, Math.min(usualRest, shortRest + spare));
}

/** The steps that were done as they were, and those to come as they are led now. */
function joinLed(
  before: readonly LedStep[],
  done: readonly LedStep[],
  led: readonly LedStep[],
): readonly LedStep[] {
  const last = done.findLast(({ step }) => step !== null);
  const from = last === undefined ? 0 : led.findIndex(({ id }) => id === last.id) + 1;
  return [
    ...done,
    ...led.slice(from).map((each, i): LedStep => {
      const old = before.find(({ id }) => id === each.id);
      const was = old === undefined ? undefined : before[before.indexOf(old) - 1];
      const comesFrom = led[from + i - 1];
      const isAsPlanned =
        old !== undefined &&
        was?.place.pose === comesFrom?.place.pose &&
        was?.place.side === comesFrom?.place.side;
      const common = { ...each, toward: old?.toward ?? 0, shows: old?.shows ?? each.shows };
      return { ...common, moves: isAsPlanned ? old.moves : [] };
    }),
  ];
}
