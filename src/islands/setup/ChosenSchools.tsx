import { findSchool } from '../../core/rules/schools.ts';
import type { Person } from '../../core/person/person.ts';
import { changePerson } from '../../data/people.ts';
import { useWrite } from '../shared/useWrite.tsx';
import { WordButton } from '../shared/ui/Button.tsx';
import { chosenSchools as say } from './words.ts';

export const sayOption = (rule: string, option: string): string =>
  findSchool(rule, option)?.words ?? option.replaceAll('-', ' ');
export const sayRule = (rule: string, option: string): string =>
  findSchool(rule, option)?.name ?? rule;

/** The schools that were chosen for a person and pose; each can be left again. */
export function ChosenSchools({ person, poseId }: { person: Person; poseId: string }) {
  const { write, told } = useWrite();
  const chosen = person.schools.filter((each) => each.pose === poseId);
  if (chosen.length === 0) return null;
  const drop = (rule: string): void => {
    write(() =>
      changePerson(person.id, (now) => ({
        schools: now.schools.filter((each) => each.pose !== poseId || each.rule !== rule),
      })),
    );
  };
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
              drop(rule);
            }}
          >
            {say.remove}
          </WordButton>
        </li>
      ))}
    </ul>
  );
}
