import type { PersonRecord } from '../person/person.ts';
import { USUAL_STUDIO, type HouseSchool } from '../studio/studio.ts';
import { BOOK_STANCE_CM, DEFAULT_RULES, type HouseRules } from './houseRules.ts';
import { findSchool } from './schools.ts';

/** In place of a pose: a school that holds for all of them. */
export const EVERY_POSE = '*';

/** Who decided on a school, in the order in which the later one wins. */
export const SCHOOL_SOURCES = ['house', 'house-pose', 'person', 'person-pose'] as const;
export type SchoolSource = (typeof SCHOOL_SOURCES)[number];

/**
 * The choices of one source for a pose.
 *
 * @param record the person, and where they practise
 * @param poseId one of the catalogue
 * @param source who decided
 * @returns none when nothing was chosen there
 */
export function findChoices(
  { person, studio = USUAL_STUDIO }: PersonRecord,
  poseId: string,
  source: SchoolSource,
): readonly (HouseSchool & { readonly reason?: string })[] {
  const schools = source.startsWith('house') ? studio.schools : person.schools;
  const pose = source.endsWith('pose') ? poseId : EVERY_POSE;
  return schools.filter((each) => each.pose === pose);
}

/** A choice that is not known here stays in the file and changes nothing. */
const toRules = (
  choices: readonly { readonly rule: string; readonly option: string }[],
): Partial<HouseRules> =>
  choices.reduce<Partial<HouseRules>>(
    (rules, { rule, option }) => ({ ...rules, ...findSchoolRules(rule, option) }),
    {},
  );

/**
 * The schools that were chosen for one pose of one person, as house rules: for everybody, for the
 * pose, for the person, for the person in this pose, the later winning.
 *
 * @param record the person, and where they practise
 * @param poseId one of the catalogue
 * @returns none when nothing was chosen
 */
export const findChosenRules = (record: PersonRecord, poseId: string): Partial<HouseRules> =>
  SCHOOL_SOURCES.reduce<Partial<HouseRules>>(
    (rules, source) => ({ ...rules, ...toRules(findChoices(record, poseId, source)) }),
    {},
  );

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
 * The rules of a plan: what the caller says, over what was chosen, over the defaults. Cautions
 * come after, see cautions/adapt.ts.
 *
 * @param record the person, and where they practise
 * @param poseId one of the catalogue
 * @param given house rules that differ from the defaults
 * @returns with every rule
 * @example
 * resolveRules(record, 'triangle', { backFootDeg: 75 }).backFootDeg // → 75
 */
export const resolveRules = (
  record: PersonRecord,
  poseId: string,
  given: Partial<HouseRules>,
): HouseRules => ({ ...DEFAULT_RULES, ...findChosenRules(record, poseId), ...given });
