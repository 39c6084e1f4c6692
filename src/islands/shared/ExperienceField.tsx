import type { Experience, Person } from '../../core/person/person.ts';
import { changePerson } from '../../data/people.ts';
import { SelectField } from './ui/SelectField.tsx';
import { useWrite } from './useWrite.tsx';
import { experienceField as say } from './words.ts';

const OPTIONS: readonly (readonly [Experience, string])[] = [
  ['new', say.newHoldsBackTenth],
  ['steady', say.steadyHoldsBackTwentieth],
  ['seasoned', say.seasonedHoldsNothingBack],
];

/** How used a person is to the practice, and what that changes in every set-up. */
export function ExperienceField({ person }: { person: Person }) {
  const { write, told } = useWrite();
  return (
    <>
      <SelectField
        label={say.experience}
        value={person.experience}
        options={OPTIONS}
        onChange={(value) => {
          write(() => changePerson(person.id, () => ({ experience: value as Experience })));
        }}
      />
      {told}
    </>
  );
}
