import { EASY_BREATH_SECONDS } from '../studio/studio.ts';
import type { PlannedHold } from './session.ts';

/** Setting up a first side, and the same pose again on the other, seconds. Our choice. */
const FIRST_SIDE_SECONDS = 75;
const AGAIN_SECONDS = 30;

/**
 * How long holds take, with the setting up before each, seconds.
 *
 * @param holds in order
 * @param secondsPerBreath the pace
 * @returns seconds
 */
export function calcSessionSeconds(
  holds: readonly Pick<PlannedHold, 'pose' | 'breaths' | 'rounds'>[],
  secondsPerBreath = EASY_BREATH_SECONDS,
): number {
  return holds.reduce((sum, { pose, breaths, rounds }, i) => {
    const settingUp = holds[i - 1]?.pose === pose ? AGAIN_SECONDS : FIRST_SIDE_SECONDS;
    return sum + settingUp + breaths * rounds * secondsPerBreath;
  }, 0);
}
