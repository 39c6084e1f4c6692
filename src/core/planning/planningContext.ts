import { calcBody, type Body } from '../body/body.ts';
import type { MeasureSet } from '../measures/measureSet.ts';
import type { Result } from '../problems/problem.ts';
import { calcPlanningRanges, type PlanningRanges } from './ranges.ts';
import { Remembered } from './remembered.ts';
import type { Request } from './request.ts';

/** What every plan of one person under the same rules shares. */
export interface PlanningContext {
  readonly set: MeasureSet;
  readonly body: Body;
  readonly ranges: PlanningRanges;
}

const known = new Remembered<MeasureSet, Result<PlanningContext>>();

/**
 * Body and ranges of one person under given rules and cautions.
 *
 * @returns problems when the lengths do not make a body
 */
export function makePlanningContext(
  set: MeasureSet,
  { rules, reserve, adapted }: Request,
): Result<PlanningContext> {
  const cautions = { reserve: adapted.reserve, cuts: adapted.cuts };
  return known.find(set, JSON.stringify([rules, reserve, cautions]), () => {
    const body = calcBody(set);
    if (!body.ok) return body;
    const ranges = calcPlanningRanges(set, rules, reserve, cautions);
    return { ok: true, value: { set, body: body.value, ranges } };
  });
}
