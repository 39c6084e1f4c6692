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
  return person.schools
    .filter(({ pose }) => pose === poseId)
    .reduce<Partial<HouseRules>>(
      (rules, { rule, option }) => ({ ...rules, ...findSchoolRules(rule, option) }),
      {},
    );
}

/**
 * One school as house rules, to look at before it is chosen.
 *
 * @param rule id of the rule
 * @param option of the rule
 * @returns none when it is not one of ours
 */
export function findSchoolRules(rule: string, option: string): Partial<HouseRules> {
  if (findSchool(rule, option) === null) return {};
  const isFixed = rule === 'stance' && option === 'fixed';
  return { [rule]: option, ...(isFixed ? { fixedStanceCm: BOOK_STANCE_CM } : {}) };
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
