import type { ChosenSchool } from '../core/person/person.ts';
import type { HouseSchool } from '../core/studio/studio.ts';
import { changePerson } from './people.ts';
import { changeStudio } from './studio.ts';

/** Which choice: one for each pose and rule of a person, or of the house (null). */
export interface SchoolKey extends Pick<ChosenSchool, 'pose' | 'rule'> {
  readonly personId: string | null;
}

const isAt =
  ({ pose, rule }: SchoolKey) =>
  (each: HouseSchool): boolean =>
    each.pose === pose && each.rule === rule;

/**
 * Stores the school of one pose and rule, or removes it; every other choice stays as it is.
 *
 * @param school null = removed
 * @returns what was chosen there before, so that it can be brought back; null = nothing
 */
export async function putSchool(
  key: SchoolKey,
  school: ChosenSchool | null,
): Promise<ChosenSchool | null> {
  const isSame = isAt(key);
  const put = <School extends HouseSchool>(schools: readonly School[], fresh: School | null) => [
    ...schools.filter((each) => !isSame(each)),
    ...(fresh === null ? [] : [fresh]),
  ];
  if (key.personId === null) {
    const house =
      school === null ? null : { pose: school.pose, rule: school.rule, option: school.option };
    const before = await changeStudio(({ schools }) => ({ schools: put(schools, house) }));
    const found = before.schools.find(isSame);
    return found === undefined ? null : { ...found, reason: '', at: new Date().toISOString() };
  }
  const before: ChosenSchool[] = [];
  await changePerson(key.personId, ({ schools }) => {
    before.push(...schools.filter(isSame));
    return { schools: put(schools, school) };
  });
  return before.at(-1) ?? null;
}
