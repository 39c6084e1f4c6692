import { SIDES, type Side } from '../measures/protocol.ts';
import type { PlanningContext } from '../planning/planningContext.ts';
import { hasSides } from '../poses/hasSides.ts';
import type { Problem } from '../problems/problem.ts';
import type { HouseRules } from '../rules/houseRules.ts';
import { findBlueprint } from '../sequence/sharedStance.ts';
import { planPose, type Plan } from '../setup/planSetUp.ts';
import { getValue } from '../setup/setUp.ts';
import { toTenths } from '../units/rounding.ts';
import { calcErrorBars } from '../whatIf/errorBars.ts';
import { calcLosses, type ClassSetting, type Grid, type OwnLosses } from './lossOnGrid.ts';

/** One body that an instruction is for: a side of a person, or both where they hardly differ. */
export interface OwnPlace extends OwnLosses {
  readonly person: string;
  readonly sides: readonly Side[];
}

/** The poses and the setting that one number is sought for. */
export interface InstructionAsked {
  /** The first is the pose itself; the others follow it on unmoved feet. */
  readonly poses: readonly string[];
  readonly level: string | null;
  readonly setting: ClassSetting;
  readonly rules: Partial<HouseRules>;
}

/** The plans of one person, those of the pose itself first. */
interface PlannedSide {
  readonly side: Side;
  readonly plans: readonly Plan[];
  readonly own: number;
}

/** What one person sets by themselves, and why nothing where they cannot. */
export interface PlannedPerson {
  readonly sides: readonly PlannedSide[];
  readonly problems: readonly Problem[];
}

/**
 * One person’s plans of a pose, with those of the poses that follow on unmoved feet.
 *
 * @param context the person
 * @param asked which poses, and which setting
 * @returns a side without that setting is left out
 */
export function planOwn(
  context: PlanningContext,
  { poses, level, setting, rules }: InstructionAsked,
): PlannedPerson {
  const sides: PlannedSide[] = [];
  const problems: Problem[] = [];
  const [first = ''] = poses;
  for (const side of hasSides(first) ? SIDES : (['right'] as const)) {
    const plans = poses.flatMap((pose, i): Plan[] => {
      const planned = planPose(context, pose, side, rules, level);
      if (planned.kind === 'planned') return [planned];
      if (i === 0) {
        problems.push(...(planned.kind === 'problems' ? planned.problems : planned.setUp.problems));
      }
      return [];
    });
    const [plan, ...others] = plans;
    if (plan?.request.pose.id !== first) continue;
    const own = plan.setUp.status === 'failed' ? null : getValue(plan.setUp, setting);
    if (own === null) continue;
    const blueprint = findBlueprint(plan);
    const onSameFeet = others.filter((each) => findBlueprint(each) === blueprint);
    sides.push({ side, plans: [plan, ...(blueprint === null ? [] : onSameFeet)], own });
  }
  return { sides, problems };
}

/** In every pose or on every side: what the worst of them loses, where all of them can be held. */
function takeWorst(all: readonly OwnLosses[]): ReadonlyMap<number, number> {
  const [first, ...others] = all;
  const losses = new Map<number, number>();
  for (const [value, lost] of first?.losses ?? []) {
    const there = others.map((each) => each.losses.get(value) ?? Infinity);
    const worst = Math.max(lost, ...there);
    if (worst < Infinity) losses.set(value, worst);
  }
  return losses;
}

/** One in twenty differences is larger by chance. */
const Z = 1.96;
/** A difference within a step of the grid is none. */
const GRID_STEP = 1;

/** Whether the two sides of a person set really different numbers. */
function areDifferent(a: PlannedSide, b: PlannedSide, setting: ClassSetting): boolean {
  const difference = Math.abs(a.own - b.own);
  if (difference <= GRID_STEP) return false;
  const errors = [a, b].map(
    ({ plans: [plan] }) => calcErrorBars(plan!)?.plusMinus.get(setting) ?? 0,
  );
  return difference > Z * Math.hypot(...errors);
}

/**
 * What each whole value costs one person: a side by itself where the sides differ beyond error.
 *
 * @param person id
 * @param planned see {@link planOwn}
 * @param setting which
 * @param grid no value outside of it is tried
 * @returns none, one or two bodies
 */
export function listOwnPlaces(
  person: string,
  { sides }: PlannedPerson,
  setting: ClassSetting,
  grid: Grid,
): readonly OwnPlace[] {
  const places = sides.flatMap(({ side, plans, own }): OwnPlace[] => {
    const all = plans.flatMap((plan) => calcLosses(plan, setting, grid) ?? []);
    const [{ depth } = { depth: null }] = all;
    return [{ person, sides: [side], own, depth, losses: takeWorst(all) }];
  });
  const [a, b] = places;
  if (a === undefined || b === undefined) return places;
  if (areDifferent(sides[0]!, sides[1]!, setting)) return places;
  const depth = a.depth === null || b.depth === null ? null : Math.max(a.depth, b.depth);
  const own = toTenths((a.own + b.own) / 2);
  return [{ person, sides: [...a.sides, ...b.sides], own, depth, losses: takeWorst([a, b]) }];
}

/**
 * The grid that a class is served on: from the smallest to the largest of everybody’s own numbers.
 * Nobody is served better by a value that lies outside of all.
 *
 * @param own everybody’s own numbers, cm or degrees
 * @returns whole numbers
 */
export const findGrid = (own: readonly number[]): Grid => ({
  from: Math.floor(Math.min(...own)),
  to: Math.ceil(Math.max(...own)),
});
