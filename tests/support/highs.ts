import loadHighs from 'highs';
import { readSolution } from '../../src/core/props/readSolution.ts';
import type { SolveWithin } from '../../src/core/classes/cupboard/shareCupboard.ts';

const highs = await loadHighs();

/** The real solver of mixed-integer programs, to the last unit. */
export const solveWithin: SolveWithin = (program, seconds) =>
  Promise.resolve(
    readSolution(highs.solve(program, { time_limit: seconds, mip_rel_gap: 0, mip_abs_gap: 0 })),
  );
