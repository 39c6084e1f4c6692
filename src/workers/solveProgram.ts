import type { Highs } from 'highs';
import runtime from 'highs/runtime?url';
import type { SolveWithin } from '../core/classes/cupboard/shareCupboard.ts';
import { readSolution } from '../core/props/readSolution.ts';

/** HiGHS: loaded once, when it is first needed. */
let highs: Promise<Highs> | null = null;

async function load(): Promise<Highs> {
  const { default: loadHighs } = await import('highs');
  return loadHighs({ locateFile: () => runtime });
}

/** Solves a mixed-integer program to the last unit, or to what was found in time. */
export const solveWithin: SolveWithin = async (program, seconds) => {
  if (seconds <= 0) return null;
  highs ??= load();
  const solution = (await highs).solve(program, {
    time_limit: seconds,
    mip_rel_gap: 0,
    mip_abs_gap: 0,
  });
  return readSolution(solution);
};
