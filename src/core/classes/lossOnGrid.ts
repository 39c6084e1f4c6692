import { getQuantity } from '../conditions/quantities.ts';
import { toScaled } from '../conditions/violation.ts';
import { solveMoved } from '../planning/solveMoved.ts';
import type { AsFound } from '../rules/houseRules.ts';
import type { Plan } from '../setup/planSetUp.ts';
import { getValue } from '../setup/setUp.ts';
import { toTenths } from '../units/rounding.ts';
import { toForce } from '../whatIf/force.ts';
import { NOT_MOVED } from '../whatIf/planMoved.ts';
import { MOST_LOST } from './shareSettings.ts';

/** What a class may be given one number of. */
export const CLASS_SETTINGS = ['stance-length', 'back-foot-angle', 'hand-height'] as const;
export type ClassSetting = (typeof CLASS_SETTINGS)[number];

const HELD: Readonly<Record<ClassSetting, keyof AsFound>> = {
  'stance-length': 'stanceCm',
  'back-foot-angle': 'backFootDeg',
  'hand-height': 'handCm',
};

/**
 * A setting as it is held by hand.
 *
 * @param setting which
 * @param value cm or degrees
 * @returns everything else free
 */
export const toHeld = (setting: ClassSetting, value: number): AsFound => ({
  ...NOT_MOVED,
  [HELD[setting]]: value,
});

/**
 * What is held by hand of a setting.
 *
 * @param moved what is held
 * @param setting which
 * @returns cm or degrees; null = free
 */
export const readHeld = (moved: AsFound, setting: ClassSetting): number | null =>
  moved[HELD[setting]];

/** Whole centimetres or degrees, both ends included. */
export interface Grid {
  readonly from: number;
  readonly to: number;
}

/** Without a class no setting lies further from a body’s own, in steps of the grid. Our choice. */
const MOST_STEPS = 40;

/** What one body loses at each whole centimetre or degree. */
export interface OwnLosses {
  /** As it is recommended, cm or degrees. */
  readonly own: number;
  /** As it is recommended; null = the pose has no degrees of depth. */
  readonly depth: number | null;
  readonly losses: ReadonlyMap<number, number>;
}

/** The share of the recommended depth that is lost with a setting; null = it is beyond a limit. */
function findLost({ request, poseRequest, answer, setUp }: Plan, held: AsFound): number | null {
  if (answer.found.kind === 'cannot') return null;
  const { pose } = request;
  const solved = solveMoved(poseRequest, answer, toForce(held, pose, answer.found.answer.skeleton));
  if (solved === null) return null;
  const recommended = setUp.depth?.value ?? null;
  if (pose.depth === null || recommended === null || recommended <= 0) return 0;
  const { quantity } = pose.depth;
  const { skeleton } = solved.found.answer;
  const depth = toTenths(toScaled(quantity, getQuantity(quantity).calc(skeleton)));
  return Math.max(0, (recommended - depth) / recommended);
}

/**
 * What whole values of a setting cost one body: from its own value outward, until a limit or more
 * than a fifth of the depth. Every
 * value is solved as a set-up that is moved there by hand would be.
 *
 * @param plan of the body, as it is recommended
 * @param setting which
 * @param grid no value outside of it is tried; left out = within 40 steps of the body’s own
 * @returns null when the set-up has no such number
 */
export function calcLosses(plan: Plan, setting: ClassSetting, grid?: Grid): OwnLosses | null {
  const own = plan.setUp.status === 'failed' ? null : getValue(plan.setUp, setting);
  if (own === null) return null;
  const start = Math.round(own);
  const { from, to } = grid ?? { from: Math.max(0, start - MOST_STEPS), to: start + MOST_STEPS };
  const losses = new Map<number, number>();
  const walk = (first: number, step: 1 | -1): void => {
    for (let value = first; step > 0 ? value <= to : value >= from; value += step) {
      const lost = findLost(plan, toHeld(setting, value));
      if (lost === null || lost > MOST_LOST) return;
      if (value >= from && value <= to) losses.set(value, lost);
    }
  };
  walk(start, 1);
  walk(start - 1, -1);
  return { own, depth: plan.setUp.depth?.value ?? null, losses };
}
