import { findLyingPose } from '../poses/lying/index.ts';
import { keepSetUp } from '../whatIf/keptSetUp.ts';
import type { SetUp } from '../setup/setUp.ts';
import type { PlannedPair } from './toPlannedHold.ts';
import type { PlannedHold } from './session.ts';
import { calcSpare } from './spare.ts';

/**
 * A lying form in place of a hold, as a hold of its own.
 *
 * @param plan the hold that it takes the place of
 * @param setUp the set-up
 * @param now ISO date; the core has no clock
 * @returns the hold with its set-up
 */
export function planInPlace(plan: PlannedHold, setUp: SetUp, now: string): PlannedPair {
  const asked = { id: '', keptAt: now, rules: {}, moved: null, reason: '' };
  const { pose, level, side, settings, rulesVersion } = keepSetUp(setUp, asked);
  return {
    setUp,
    plan: {
      id: `${plan.id} ${pose}`,
      pose,
      level,
      side,
      breaths: findLyingPose(pose)?.guidance.breaths ?? plan.breaths,
      rounds: 1,
      madeAt: now,
      rules: {},
      rulesVersion,
      moved: null,
      settings,
      depth: null,
      toSpareDeg: calcSpare(setUp),
      isAtBound: false,
      why: [`in place of ${plan.pose.replaceAll('-', ' ')}`],
    },
  };
}
