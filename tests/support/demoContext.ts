import { readFileSync } from 'node:fs';
import { readPersonFile } from '../../src/core/formats/personFile.ts';
import { PlanningContext } from '../../src/core/planning/planningContext.ts';

/** Demo people with the most readings: every pose is planned for them. */
export const FULLEST_DEMO = ['marit-sollen', 'pell-krossing', 'sanna-tveit'] as const;

/** A demo person, to plan for. */
export function contextOfDemo(id: string): PlanningContext {
  const read = readPersonFile(readFileSync(`public/demo/${id}.json`, 'utf8'), null);
  if (!read.ok) throw new Error(id);
  return new PlanningContext(read.value.file);
}
