import { calcBody } from '../body/body.ts';
import { findStopSigns } from '../cautions/stopSigns.ts';
import type { Side } from '../measures/protocol.ts';
import { findMissing } from '../planning/missingMeasures.ts';
import type { PlanningContext } from '../planning/planningContext.ts';
import { calcPlanningRanges, STATED_DEFAULTS } from '../planning/ranges.ts';
import { getReserve } from '../planning/reserve.ts';
import type { LyingPose } from '../poses/lying/lyingPose.ts';
import { problem, type Result } from '../problems/problem.ts';
import { findMat, USUAL_STUDIO } from '../studio/studio.ts';
import { findWallNote } from './notes.ts';
import { withProps } from './withProps.ts';
import { resolveRules } from '../rules/chosenSchools.ts';
import type { HouseRules } from '../rules/houseRules.ts';
import { makeEmptySetUp } from './emptySetUp.ts';
import { calcLying } from './lying.ts';
import type { SetUp } from './setUp.ts';

/** Long flat lying is left out late in pregnancy. Common practice, no source. */
const NOT_LYING_WITH = 'pregnancy';

/**
 * A lying or seated form as a set-up: marks, supports and straps, and the posture that they
 * lead to. No solver is needed: everything follows from the measures.
 *
 * @param pose the form's data
 * @param side the front, raised or crossed leg
 * @param given house rules that differ from the defaults
 * @returns problems as planSetUp.ts
 */
export function planLying(
  { record, set }: PlanningContext,
  pose: LyingPose,
  side: Side,
  given: Partial<HouseRules>,
): Result<SetUp> {
  const { person } = record;
  const rules = resolveRules(record, pose.id, given);
  const reserve = getReserve(rules, person.experience);
  const stops = findStopSigns(person);
  const needs = pose.needs.filter((measure) => STATED_DEFAULTS[measure] === undefined);
  const missing = findMissing(set, needs, () => [pose.name]);
  if (stops.length === 0 && missing.length > 0) return { ok: false, problems: missing };
  const body = calcBody(set);
  if (!body.ok) return body;
  const ranges = calcPlanningRanges(set, rules, reserve, { reserve: 0, cuts: [] });
  const empty = makeEmptySetUp({ pose: pose.id, level: null, side, rules, reserve, person });
  const notes = empty.cautions
    .filter((each) => each.id === NOT_LYING_WITH)
    .map((each) => problem('not-lying-flat', 'pose', { caution: each.name }));
  const measures = [...body.value.uses, ...[...ranges.values()].map((range) => range.use)];
  const known: SetUp = {
    ...empty,
    problems: [...stops, ...notes],
    provenance: { ...empty.provenance, measures },
  };
  if (stops.length > 0) return { ok: true, value: known };
  const solved = calcLying(pose.id, body.value, ranges, side);
  const { cupboard } = record.studio ?? USUAL_STUDIO;
  const mat = { ...findMat(cupboard), fits: true };
  const value = withProps({ ...known, status: 'solved', ...solved, mat }, cupboard);
  return {
    ok: true,
    value: { ...value, problems: [...value.problems, ...findWallNote(value, record.studio)] },
  };
}
