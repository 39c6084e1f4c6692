import { calcBody, type Body } from '../body/body.ts';
import type { MeasureSet } from '../measures/measureSet.ts';
import type { Result } from '../problems/problem.ts';
import { calcPlanningRanges, type PlanningRanges } from './ranges.ts';
import type { Request } from './request.ts';

/** A body with its ranges under the rules and cautions of a request. */
export interface LimitedBody {
  readonly body: Body;
  readonly ranges: PlanningRanges;
}

/**
 * Body and ranges of one person under the rules and cautions of a request.
 *
 * @param set values of one person
 * @returns problems when the lengths do not make a body
 */
export function limitBody(
  set: MeasureSet,
  { rules, reserve, adapted }: Request,
): Result<LimitedBody> {
  const body = calcBody(set);
  if (!body.ok) return body;
  const cautions = { reserve: adapted.reserve, cuts: adapted.cuts };
  const ranges = calcPlanningRanges(set, rules, reserve, cautions);
  return { ok: true, value: { body: body.value, ranges } };
}
