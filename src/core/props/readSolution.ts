import type { ProgramSolution } from './shareProps.ts';

/** What a program solver of this kind answers, as far as we read it. */
interface Solution {
  readonly Status: string;
  readonly Columns: Readonly<Record<string, object>>;
}

/** How far a whole number of the solver may be off. */
const NEARLY = 1e-6;

/**
 * The values of a solved program, for shareProps.ts.
 *
 * @returns null when it has no solution, or none was found in the time it had
 */
export function readSolution({ Status, Columns }: Solution): ProgramSolution | null {
  if (Status !== 'Optimal' && Status !== 'Time limit reached') return null;
  const valueOf = (column: object): number => ('Primal' in column ? Number(column.Primal) : 0);
  const values = new Map(
    Object.entries(Columns).map(([name, column]) => [name, valueOf(column)] as const),
  );
  const isWhole = [...values.values()].every(
    (value) => Math.abs(value - Math.round(value)) < NEARLY,
  );
  return isWhole ? { values, isBest: Status === 'Optimal' } : null;
}
