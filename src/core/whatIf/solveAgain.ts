import type { MeasureUse } from '../body/body.ts';
import { nameMotionPair } from '../conditions/limits.ts';
import { findMotionOf } from '../conditions/motionMeasures.ts';
import { measureKey, type MeasureSet } from '../measures/measureSet.ts';
import type { MeasureValue } from '../measures/measureValue.ts';
import { solveRequest } from '../planning/solveRequest.ts';
import { calcJointReports, findLimiting, withoutHoldingBack } from '../setup/jointReport.ts';
import { layOnMat } from '../setup/mat.ts';
import { findMat, USUAL_STUDIO } from '../studio/studio.ts';
import type { Plan } from '../setup/planSetUp.ts';
import { calcSettings } from '../setup/settings.ts';
import type { SettingId } from '../setup/settingKinds.ts';

/** Every number of a set-up by its id, the depth under `depth`; limits, and who limits. */
export interface SolvedNumbers {
  readonly values: ReadonlyMap<SettingId | 'depth', number>;
  readonly limiting: string;
}

/**
 * The measure set with one value replaced; what was estimated stands in as if it were measured.
 *
 * @param set values of one person
 * @param value in the measure's unit
 * @param newError standard error; left out = as before
 * @returns a changed copy of the set
 */
export function replaceValue(
  set: MeasureSet,
  { measure, side, takenAt, error }: MeasureUse,
  value: number,
  newError = error,
): MeasureSet {
  const replaced: MeasureValue = {
    measure,
    side,
    value,
    error: newError,
    within: { within: 0, repeats: 0 },
    readingIds: [],
    spread: 0,
    takenAt: takenAt ?? '',
    state: null,
    posture: null,
    takenBy: null,
  };
  return new Map([...set, [measureKey(measure, side), replaced]]);
}

/**
 * The same plan with another measure set; null when it cannot be held any more.
 *
 * @param plan the plan that was solved
 * @param set values of one person
 * @param isNear whether to start where the plan was solved, which is quicker
 * @returns every number, and what limits
 */
export function solveWith(plan: Plan, set: MeasureSet, isNear = false): SolvedNumbers | null {
  const { request } = plan;
  const solved = solveRequest(request, plan.context.withSet(set), isNear ? plan : null);
  if (!solved.ok || solved.value.failedLegs !== null) return null;
  const { built, found } = solved.value.answer;
  if (found.kind === 'cannot') return null;
  const { skeleton } = found.answer;
  const { body: canonicalBody } = built.task;
  const { cupboard } = request.record.studio ?? USUAL_STUDIO;
  const settings = calcSettings({
    ...built,
    pose: request.pose,
    rules: request.rules,
    body: solved.value.limited.body,
    frontSide: request.side,
    canonicalBody,
    skeleton,
    mat: layOnMat(canonicalBody, skeleton, findMat(cupboard)),
    depths: [],
    limitSteps: [],
  });
  const values = new Map<SettingId | 'depth', number>();
  // The unrounded total: tenths would swallow small moves.
  for (const { id, working, value } of settings) {
    values.set(id, working.find((step) => step.kind === 'total')?.value ?? value);
  }
  if (found.depth !== null) values.set('depth', found.depth);
  const limiting = findLimiting(
    calcJointReports(skeleton, withoutHoldingBack(built.limits[built.usable]), request.side),
  );
  const { joint, side, motion } = limiting ?? { joint: '', side: null, motion: '' };
  return { values, limiting: `${joint} ${side ?? ''} ${motion}` };
}

/** A range with more than this many errors to spare moves nothing. */
const OUT_OF_REACH_ERRORS = 4;

/**
 * Measures that can move this set-up: every range that comes near its limit, and all else.
 * Of two opposite motions a report gives the nearer one, so that the other is no nearer.
 *
 * @returns measures with their errors
 */
export function findUncertain({ setUp }: Plan): MeasureUse[] {
  const spareOf = ({ measure, side }: MeasureUse): number => {
    const limits = findMotionOf(measure);
    // The knee is always varied: to leave it out would change the seeded draws behind every ±.
    if (limits === null || limits.joint === 'knee') return 0;
    const { joint } = limits;
    const motion = nameMotionPair(limits.motion);
    const spares = setUp.joints
      .filter((each) => each.joint === joint && nameMotionPair(each.motion) === motion)
      .filter((each) => joint === 'spine' || each.side === side)
      .map((each) => each.toSpareDeg ?? Infinity);
    return Math.min(...spares);
  };
  return setUp.provenance.measures.filter(
    (use) => use.error !== 0 && spareOf(use) < OUT_OF_REACH_ERRORS * use.error,
  );
}
