import { standardDeviation } from 'simple-statistics';
import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import type { Plan } from '../setup/planSetUp.ts';
import type { SettingId } from '../setup/settingKinds.ts';
import { ignoreProgress } from './progress.ts';
import { findUncertain, replaceValue, solveWith, type SolvedNumbers } from './solveAgain.ts';

/** Draws between two calls of `onProgress`. */
const DRAWS_A_REPORT = 50;

/** One seed for everyone: the same person gives the same bands. */
const SEED = 1905;

/**
 * Uniform numbers in [0, 1), the same every time.
 *
 * @returns a function without arguments
 */
export function makeSeeded(): () => number {
  const generator = xoroshiro128plus(SEED);
  return () => uniformFloat64(generator);
}

/** What many made-up repeats of the same measuring would give. */
interface Band {
  /** 5th, 50th and 95th of a hundred, and the standard deviation. */
  readonly low: number;
  readonly middle: number;
  readonly high: number;
  readonly sd: number;
}

export interface MonteCarlo {
  readonly draws: number;
  /** Draws in which the pose could be held. */
  readonly held: number;
  readonly bands: ReadonlyMap<SettingId | 'depth', Band>;
  /** Share of the held draws in which the most frequent joint was the limiting one. */
  readonly oneJointShare: number;
}

/**
 * Draws every measure from its error distribution and solves the pose for each draw. The same
 * seed gives the same draws.
 *
 * @param plan the plan that was solved
 * @param draws how many
 * @param random uniform in [0, 1)
 * @param isNear whether to start where the plan was solved, which is quicker
 * @param onProgress called every 50 draws
 * @returns percentiles of every number
 */
export function calcMonteCarlo(
  plan: Plan,
  draws: number,
  random: () => number,
  isNear = true,
  onProgress = ignoreProgress,
): MonteCarlo {
  const uncertain = findUncertain(plan);
  const outcomes: SolvedNumbers[] = [];
  for (let draw = 0; draw < draws; draw += 1) {
    if (draw % DRAWS_A_REPORT === 0) onProgress(draw, draws);
    let { set } = plan.context;
    for (const use of uncertain) {
      set = replaceValue(set, use, use.value + use.error * drawNormal(random));
    }
    const outcome = solveWith(plan, set, isNear);
    if (outcome !== null) outcomes.push(outcome);
  }
  const bands = new Map<SettingId | 'depth', Band>();
  for (const id of outcomes[0]?.values.keys() ?? []) {
    const sorted = outcomes.flatMap(({ values }) => values.get(id) ?? []).sort((a, b) => a - b);
    bands.set(id, describeSorted(sorted));
  }
  const counts = new Map<string, number>();
  for (const { limiting } of outcomes) counts.set(limiting, (counts.get(limiting) ?? 0) + 1);
  const most = Math.max(0, ...counts.values());
  return {
    draws,
    held: outcomes.length,
    bands,
    oneJointShare: outcomes.length === 0 ? 0 : most / outcomes.length,
  };
}

/** Standard normal by Box and Muller. */
function drawNormal(random: () => number): number {
  const radius = Math.sqrt(-2 * Math.log(1 - random()));
  return radius * Math.cos(2 * Math.PI * random());
}

function describeSorted(sorted: readonly number[]): Band {
  const at = (share: number): number =>
    sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))]!;
  return { low: at(0.05), middle: at(0.5), high: at(0.95), sd: standardDeviation([...sorted]) };
}
