import { useLiveQuery } from 'dexie-react-hooks';
import type { YogaClass } from '../../core/classes/yogaClass.ts';
import { changeClass } from '../../data/classes.ts';
import { listPeople } from '../../data/people.ts';
import { useWrite } from '../shared/useWrite.tsx';
import { SelectField } from '../shared/ui/SelectField.tsx';
import { addSomebody as say } from './words.ts';

/** Someone of People who was not expected: planned at once, and then here by a tap. */
export function AddSomebody({ yogaClass: { id, personIds } }: { yogaClass: YogaClass }) {
  const people = useLiveQuery(listPeople, []) ?? [];
  const { write, told } = useWrite();
  const others = people.filter((each) => each.deletedAt === null && !personIds.includes(each.id));
  if (others.length === 0) return null;
  return (
    <div className="mt-2 text-base">
      <SelectField
        label={say.add}
        value=""
        options={[
          ['', say.choose],
          ...others.map(({ id: personId, person }) => [personId, person.name] as const),
        ]}
        onChange={(personId) => {
          if (personId === '') return;
          write(() => changeClass(id, (now) => ({ personIds: [...now.personIds, personId] })));
        }}
      />
      {told}
    </div>
  );
}
