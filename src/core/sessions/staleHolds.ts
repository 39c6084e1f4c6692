import { isCounted } from '../measures/reading.ts';
import type { PersonRecord } from '../person/person.ts';
import { RULES_VERSION } from '../rules/houseRules.ts';
import type { SetUp } from '../setup/setUp.ts';
import type { SessionState } from './readSession.ts';
import type { PlannedHold } from './session.ts';

/** A set-up of another day is offered to be solved again. Our choice. */
const FRESH_HOURS = 12;
const MS_PER_HOUR = 3_600_000;

/**
 * Holds still to come whose set-up should be solved again: made on another day, older than a
 * reading or an answer of the person, by other rules, or without its posture in this browser.
 *
 * @param frozen the set-ups that were drawn, by hold
 * @param now ISO date; the core has no clock
 * @returns none when all hold on
 */
export function findStaleHolds(
  { person, readings }: PersonRecord,
  { holds }: SessionState,
  frozen: ReadonlyMap<string, SetUp>,
  now: string,
): readonly PlannedHold[] {
  const latest = [
    ...readings.filter(isCounted).map(({ takenAt }) => takenAt),
    ...person.history.filter(({ field }) => field !== 'notes').map(({ at }) => at),
  ].reduce((last, at) => Math.max(last, Date.parse(at)), 0);
  return holds
    .filter(({ at }) => at === null)
    .map(({ plan }) => plan)
    .filter((plan) => {
      const made = Date.parse(plan.madeAt);
      const hours = (Date.parse(now) - made) / MS_PER_HOUR;
      const hasOtherRules = plan.rulesVersion !== RULES_VERSION;
      return hours > FRESH_HOURS || latest > made || hasOtherRules || !frozen.has(plan.id);
    });
}
