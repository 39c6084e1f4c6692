import type { SetUp } from '../setup/setUp.ts';
import { keepSetUp } from '../whatIf/keptSetUp.ts';
import type { PlannedSide } from './planSide.ts';
import type { PlannedHold } from './session.ts';
import { calcSpare, isAtBound } from './spare.ts';
import type { AdaptedToday } from './today.ts';

/** What of a hold is not its set-up. */
type Asked = Pick<PlannedHold, 'id' | 'pose' | 'side' | 'breaths' | 'rounds'>;

/** A hold with the whole set-up that it was planned from. */
export interface PlannedPair {
  readonly plan: PlannedHold;
  readonly setUp: SetUp;
}

/**
 * A set-up as a hold of a session, frozen with its date.
 *
 * @param asked which hold, how long
 * @param found the set-up, and why it is this one
 * @param adapted house rules of today, with their reasons
 * @param now ISO date; the core has no clock
 * @returns the hold with its set-up
 */
export function toPlannedHold(
  asked: Asked,
  { setUp, moved, why }: PlannedSide,
  adapted: Pick<AdaptedToday, 'rules' | 'why'>,
  now: string,
): PlannedPair {
  const kept = keepSetUp(setUp, { id: '', keptAt: now, rules: adapted.rules, moved, reason: '' });
  const plan: PlannedHold = {
    ...asked,
    level: kept.level,
    madeAt: now,
    rules: adapted.rules,
    rulesVersion: kept.rulesVersion,
    moved,
    settings: kept.settings,
    depth: setUp.depth?.value ?? null,
    toSpareDeg: calcSpare(setUp),
    isAtBound: isAtBound(setUp),
    why: [...adapted.why, ...why],
  };
  return { plan, setUp };
}
