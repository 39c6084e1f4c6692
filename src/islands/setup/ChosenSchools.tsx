import { findSchool } from '../../core/rules/schools.ts';
import type { Person } from '../../core/person/person.ts';
import { WordButton } from '../shared/ui/Button.tsx';
import { useSchoolChange } from './useSchoolChange.ts';
import { chosenSchools as say } from './words.ts';

export const sayOption = (rule: string, option: string): string =>
  findSchool(rule, option)?.words ?? option.replaceAll('-', ' ');
export const sayRule = (rule: string, option: string): string =>
  findSchool(rule, option)?.name ?? rule;

/** The schools that were chosen for a person and pose; each can be left again. */
export function ChosenSchools({ person, poseId }: { person: Person; poseId: string }) {
  const { change, told } = useSchoolChange(person);
  const chosen = person.schools.filter((each) => each.pose === poseId);
  if (chosen.length === 0) return null;
  return (
    <ul className="grid gap-[0.35rem]">
      {told !== null && <li>{told}</li>}
      {chosen.map(({ rule, option, reason }) => (
        <li key={rule}>
          {say.forWord(
            person.name,
            sayRule(rule, option).toLowerCase(),
            sayOption(rule, option),
            reason === '' ? '.' : say.because(reason),
          )}
          <WordButton
            onClick={() => {
              change({ pose: poseId, rule }, null, say.removed(sayRule(rule, option)));
            }}
          >
            {say.remove}
          </WordButton>
        </li>
      ))}
    </ul>
  );
}
