import type { ChosenSchool } from '../core/person/person.ts';
import { changePerson } from './people.ts';

/** Which choice of a person: one for each pose and rule. */
export type SchoolKey = Pick<ChosenSchool, 'pose' | 'rule'>;

/**
 * Stores the school of one pose and rule, or removes it; every other choice stays as it is.
 *
 * @param school null = removed
 * @returns what was chosen there before, so that it can be brought back; null = nothing
 */
export async function putSchool(
  personId: string,
  { pose, rule }: SchoolKey,
  school: ChosenSchool | null,
): Promise<ChosenSchool | null> {
  const before: ChosenSchool[] = [];
  await changePerson(personId, ({ schools }) => {
    const isSame = (each: ChosenSchool): boolean => each.pose === pose && each.rule === rule;
    before.push(...schools.filter(isSame));
    const others = schools.filter((each) => !isSame(each));
    return { schools: school === null ? others : [...others, school] };
  });
  return before.at(-1) ?? null;
}
