import { toHundredths } from '../units/rounding.ts';
import { SIDES, type Side } from '../measures/protocol.ts';
import type { MeasureId } from '../measures/protocols/index.ts';
import type { PlanningContext } from '../planning/planningContext.ts';
import { POSES } from '../poses/catalogue/index.ts';
import type { Result } from '../problems/problem.ts';
import { ignoreProgress } from './progress.ts';
import { rankRepeats, type RepeatGain, type SharperSetting } from './rankRepeats.ts';
import { planPose, type Plan } from '../setup/planSetUp.ts';

/** One reading to repeat, and what that would gain. */
export interface Recheck {
  readonly measure: MeasureId;
  readonly side: Side | null;
  readonly errorNow: number;
  readonly errorThen: number;
  /** How much further the depths of all planned set-ups come together, because less margin is taken. */
  readonly depthGain: number;
  /** How many set-ups it was tried in. */
  readonly setUps: number;
  readonly most: SharperSetting | null;
}

/** A re-check takes the few that count; the rest is a full round. */
const MOST_RECHECKED = 6;
/** Less than this, degrees or centimetres in all, is not worth a hand laid on. Our choice. */
const LEAST_GAIN = 0.2;

/**
 * The few readings whose error holds this person's set-ups back most, in order, each gain
 * found by solving again with one reading more.
 *
 * @param context the person, see {@link PlanningContext}
 * @param poseIds the poses that count; those that cannot be planned are passed over
 * @param onProgress called before each set-up
 * @returns the most worth first; none when nothing is gained
 */
export function planRecheck(
  context: PlanningContext,
  poseIds: readonly string[] = POSES.map((pose) => pose.id),
  onProgress = ignoreProgress,
): Result<readonly Recheck[]> {
  const plans: Plan[] = [];
  for (const poseId of poseIds) {
    for (const side of SIDES) {
      const planned = planPose(context, poseId, side);
      if (planned.kind === 'planned' && planned.answer.found.kind === 'held') plans.push(planned);
    }
  }
  if (plans.length === 0) return { ok: true, value: [] };
  const ranked = rankRepeats(plans, context.set, onProgress).filter(
    ({ depthGain, doubtGain }) => depthGain + doubtGain >= LEAST_GAIN,
  );
  return {
    ok: true,
    value: ranked.slice(0, MOST_RECHECKED).map((gain) => toRecheck(gain, plans.length)),
  };
}

const toRecheck = (
  { measure, side, errorNow, errorThen, depthGain, most }: RepeatGain,
  setUps: number,
): Recheck => ({
  most:
    most === null ? null : { ...most, now: toHundredths(most.now), then: toHundredths(most.then) },
  measure,
  side,
  errorNow: toHundredths(errorNow),
  errorThen: toHundredths(errorThen),
  depthGain: toHundredths(depthGain),
  setUps,
});
