/** What a program solver of this kind answers, as far as we read it. */
interface Solution {
  readonly Status: string;
  readonly Columns: Readonly<Record<string, object>>;
}

/** The values of a solved program, for shareProps.ts; null when it has no optimum. */
export function readSolution({ Status, Columns }: Solution): ReadonlyMap<string, number> | null {
  if (Status !== 'Optimal') return null;
  const valueOf = (column: object): number => ('Primal' in column ? Number(column.Primal) : 0);
  return new Map(Object.entries(Columns).map(([name, column]) => [name, valueOf(column)]));
}
