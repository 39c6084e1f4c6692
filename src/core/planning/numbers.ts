import { calcBody, type Body } from '../body/body.ts';
import type { MeasureSet } from '../measures/measureSet.ts';
import type { Result } from '../problems/problem.ts';
import { calcPlanningRanges, type PlanningRanges } from './ranges.ts';
import { Remembered } from './remembered.ts';
import type { Request } from './request.ts';

/** A person's numbers as a plan takes them. */
export interface Numbers {
  readonly set: MeasureSet;
  readonly body: Body;
  readonly ranges: PlanningRanges;
}

const numbersBefore = new Remembered<MeasureSet, Result<Numbers>>();

/** A measure set as numbers to plan with; problems when lengths do not make a body. */
export function calcNumbers(
  set: MeasureSet,
  { rules, reserve, adapted }: Request,
): Result<Numbers> {
  const cautions = { reserve: adapted.reserve, cuts: adapted.cuts };
  return numbersBefore.find(set, JSON.stringify([rules, reserve, cautions]), () => {
    const body = calcBody(set);
    if (!body.ok) return body;
    const ranges = calcPlanningRanges(set, rules, reserve, cautions);
    return { ok: true, value: { set, body: body.value, ranges } };
  });
}
