import { toHundredths } from '../units/rounding.ts';
import type { Side } from '../measures/protocol.ts';
import type { PlanningContext } from '../planning/planningContext.ts';
import type { Result } from '../problems/problem.ts';
import { findLyingPose } from '../poses/lying/index.ts';
import type { HouseRules } from '../rules/houseRules.ts';
import { calcDetails } from './details.ts';
import { calcSureErrorBars, type ErrorBars } from './errorBars.ts';
import { findSmallestMove } from './smallestMove.ts';
import { describeLevels, planPose, planSetUp } from '../setup/planSetUp.ts';
import type { DepthReport, SetUp } from '../setup/setUp.ts';

const toHundredthsOrNull = (value: number | undefined): number | null =>
  value === undefined ? null : toHundredths(value);

function withErrorBars(setUp: SetUp, bars: ErrorBars | null): SetUp {
  if (bars === null) return setUp;
  const depth: DepthReport | null =
    setUp.depth === null
      ? null
      : { ...setUp.depth, plusMinus: toHundredthsOrNull(bars.plusMinus.get('depth')) };
  const settings = setUp.settings.map((setting) => ({
    ...setting,
    plusMinus: toHundredthsOrNull(bars.plusMinus.get(setting.id)),
  }));
  return { ...setUp, depth, settings };
}

/**
 * A set-up with ± on every number, and nothing else that takes further solving.
 *
 * @param context the person, see {@link PlanningContext}
 * @param poseId one of the catalogue
 * @param side left or right
 * @param rules house rules that differ from the defaults
 * @param level one of the pose's levels; null = the pose as it is usually done
 * @returns as {@link planSetUp}
 */
export function planWithErrorBars(
  context: PlanningContext,
  poseId: string,
  side: Side,
  rules: Partial<HouseRules> = {},
  level: string | null = null,
): Result<SetUp> {
  if (findLyingPose(poseId) !== null) return planSetUp(context, poseId, side, rules, level);
  const planned = planPose(context, poseId, side, rules, level);
  if (planned.kind === 'problems') return { ok: false, problems: planned.problems };
  const { setUp } = planned;
  if (planned.kind === 'stopped' || setUp.status === 'failed') return { ok: true, value: setUp };
  return { ok: true, value: withErrorBars(setUp, calcSureErrorBars(planned)) };
}

/**
 * A set-up with all that takes further solving: ± on every number, the bounds of its
 * stance, what gives if it is pushed, and what the student does now judged by the same
 * numbers. Arguments and answers as planSetUp.ts.
 *
 * @param context the person, see {@link PlanningContext}
 * @param poseId one of the catalogue
 * @param side left or right
 * @param rules house rules that differ from the defaults
 * @param level one of the pose's levels; null = the pose as it is usually done
 * @returns as {@link planSetUp}
 * @example
 * planInFull(context, 'chair', 'right').value.status // → "solved"
 */
export function planInFull(
  context: PlanningContext,
  poseId: string,
  side: Side,
  rules: Partial<HouseRules> = {},
  level: string | null = null,
): Result<SetUp> {
  if (findLyingPose(poseId) !== null) return planSetUp(context, poseId, side, rules, level);
  const planned = planPose(context, poseId, side, rules, level);
  if (planned.kind === 'problems') return { ok: false, problems: planned.problems };
  if (planned.kind === 'stopped') return { ok: true, value: planned.setUp };
  const levels = describeLevels(context, poseId, side, rules);
  const move = findSmallestMove(planned.request, planned);
  const problems = [...planned.setUp.problems, ...(move === null ? [] : [move])];
  const setUp = { ...planned.setUp, levels, problems };
  if (setUp.status === 'failed') return { ok: true, value: setUp };
  const barred = withErrorBars(setUp, calcSureErrorBars(planned));
  return { ok: true, value: { ...barred, ...calcDetails(planned) } };
}
