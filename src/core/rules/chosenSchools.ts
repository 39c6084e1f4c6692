import type { Person } from '../person/person.ts';
import { BOOK_STANCE_CM, DEFAULT_RULES, type HouseRules } from './houseRules.ts';
import { findSchool } from './schools.ts';

/**
 * The schools that were chosen for one person and pose, as house rules. A choice that is
 * not known here stays in the file and changes nothing.
 *
 * @param person with answers and cautions
 * @param poseId one of the catalogue
 * @returns none when nothing was chosen
 */
export function findChosenRules(person: Person, poseId: string): Partial<HouseRules> {
  const rules: Record<string, string | number> = {};
  for (const { pose, rule, option } of person.schools) {
    if (pose !== poseId || findSchool(rule, option) === null) continue;
    rules[rule] = option;
    if (rule === 'stance' && option === 'fixed') rules.fixedStanceCm = BOOK_STANCE_CM;
  }
  return rules;
}

/**
 * The rules of a plan: what the caller says, over what was chosen for this person, over the defaults.
 *
 * @param person with answers and cautions
 * @param poseId one of the catalogue
 * @param given house rules that differ from the defaults
 * @returns with every rule
 * @example
 * resolveRules(record.person, 'triangle', { backFootDeg: 75 }).backFootDeg // → 75
 */
export const resolveRules = (
  person: Person,
  poseId: string,
  given: Partial<HouseRules>,
): HouseRules => ({ ...DEFAULT_RULES, ...findChosenRules(person, poseId), ...given });
