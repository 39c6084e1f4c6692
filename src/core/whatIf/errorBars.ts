import type { Plan } from '../setup/planSetUp.ts';
import type { SettingId } from '../setup/settingKinds.ts';
import { calcMonteCarlo, makeSeeded, type MonteCarlo } from './monteCarlo.ts';
import { sweep, type Influence, type Sweep } from './sensitivity.ts';

export interface ErrorBars {
  /** ± one standard error of each number, never below what a tape or an eye can see. */
  readonly plusMinus: ReadonlyMap<SettingId | 'depth', number>;
  readonly influences: readonly Influence[];
}

/** No error bar is shown smaller than this. Our modelling choice. */
export const SMALLEST_BAR = { cm: 0.3, deg: 0.5 } as const;

/** Draws for ± where one joint takes over from another within a standard error. Our choice. */
const FEW_DRAWS = 200;

/**
 * ± on every number: each measure is moved by its own standard error both ways, the whole
 * pose is solved again, and the moves add up as independent errors do.
 *
 * @param plan solved again from where it was solved
 * @returns null when nothing was solved
 */
export function calcErrorBars(plan: Plan): ErrorBars | null {
  const swept = sweep(plan, true);
  return swept === null ? null : toBars(plan, swept, null);
}

/**
 * The same from the pose's own starts, which is slower. Where another joint takes over
 * within one standard error, or the pose cannot be held any more, no slope says enough:
 * then ± is the scatter of made-up repeats of the measuring.
 *
 * @param plan the plan that was solved
 * @returns null when nothing was solved
 */
export function calcSureErrorBars(plan: Plan): ErrorBars | null {
  const near = sweep(plan, true);
  if (near === null) return null;
  if (!near.isSmooth) return toBars(plan, near, calcMonteCarlo(plan, FEW_DRAWS, makeSeeded()));
  const cold = sweep(plan, false);
  return cold === null ? null : toBars(plan, cold, null);
}

function toBars({ setUp }: Plan, { base, influences }: Sweep, drawn: MonteCarlo | null): ErrorBars {
  const addUp = (id: SettingId | 'depth'): number =>
    Math.sqrt(sumOfSquares(influences.map(({ moves }) => moves.get(id) ?? 0)));
  const units = new Map<string, 'cm' | 'deg'>(setUp.settings.map(({ id, unit }) => [id, unit]));
  const plusMinus = new Map<SettingId | 'depth', number>();
  for (const id of base.values.keys()) {
    const unit = id === 'depth' ? (setUp.depth?.unit ?? 'deg') : (units.get(id) ?? 'cm');
    plusMinus.set(id, Math.max(SMALLEST_BAR[unit], drawn?.bands.get(id)?.sd ?? addUp(id)));
  }
  return { plusMinus, influences };
}

/**
 * The sum of squares of some numbers.
 *
 * @param values any numbers
 * @returns 0 for none
 */
export const sumOfSquares = (values: readonly number[]): number =>
  values.reduce((sum, each) => sum + each * each, 0);
