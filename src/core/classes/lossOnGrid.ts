import type { Plan } from '../setup/planSetUp.ts';
import { getValue } from '../setup/setUp.ts';
import type { AsFound } from '../rules/houseRules.ts';
import { NOT_MOVED, planMoved } from '../whatIf/planMoved.ts';
import { MOST_LOST } from './shareSettings.ts';

/** What a class may be given one number of. */
export const CLASS_SETTINGS = ['stance-length', 'back-foot-angle', 'hand-height'] as const;
export type ClassSetting = (typeof CLASS_SETTINGS)[number];

const HELD: Readonly<Record<ClassSetting, keyof AsFound>> = {
  'stance-length': 'stanceCm',
  'back-foot-angle': 'backFootDeg',
  'hand-height': 'handCm',
};
/** No setting lies further from a body’s own, in steps of the grid: the walk ends there at last. */
const MOST_STEPS = 80;

/** What one body loses at each whole centimetre or degree. */
export interface OwnLosses {
  /** As it is recommended, cm or degrees. */
  readonly own: number;
  /** As it is recommended; null = the pose has no degrees of depth. */
  readonly depth: number | null;
  readonly losses: ReadonlyMap<number, number>;
}

/** The share of the recommended depth that is lost with a setting; null = it is beyond a limit. */
function findLost(plan: Plan, setting: ClassSetting, value: number): number | null {
  const answer = planMoved(plan, { ...NOT_MOVED, [HELD[setting]]: value });
  if (answer === null || answer.gives !== null || answer.setUp.status === 'failed') return null;
  const recommended = plan.setUp.depth?.value ?? null;
  const depth = answer.setUp.depth?.value ?? null;
  if (recommended === null || depth === null || recommended <= 0) return 0;
  return Math.max(0, (recommended - depth) / recommended);
}

/**
 * What whole values of a setting cost one body: from its own value outward, until a limit or more
 * than a fifth of the depth.
 *
 * @param plan of the body, as it is recommended
 * @param setting which
 * @returns null when the set-up has no such number
 */
export function calcLosses(plan: Plan, setting: ClassSetting): OwnLosses | null {
  const own = plan.setUp.status === 'failed' ? null : getValue(plan.setUp, setting);
  if (own === null) return null;
  const losses = new Map<number, number>();
  const start = Math.round(own);
  for (const [first, step] of [
    [start, 1],
    [start - 1, -1],
  ] as const) {
    for (let i = 0; i < MOST_STEPS; i += 1) {
      const value = first + i * step;
      const lost = value < 0 ? null : findLost(plan, setting, value);
      if (lost === null || lost > MOST_LOST) break;
      losses.set(value, lost);
    }
  }
  return { own, depth: plan.setUp.depth?.value ?? null, losses };
}
