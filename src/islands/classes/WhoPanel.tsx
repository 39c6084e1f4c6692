import { useLiveQuery } from 'dexie-react-hooks';
import { memo, useState } from 'react';
import type { YogaClass } from '../../core/classes/yogaClass.ts';
import { changeClass } from '../../data/classes.ts';
import { listPeople } from '../../data/people.ts';
import { useWrite } from '../shared/useWrite.tsx';
import { SearchField } from '../shared/ui/SearchField.tsx';
import { Toggle } from '../shared/ui/Button.tsx';
import { GuestsPanel } from './GuestsPanel.tsx';
import type { ClassState } from './useClassMembers.ts';
import { whoPanel as say } from './words.ts';

/** With fewer people nobody needs to look for one. */
const MANY = 12;

/** Who comes: people by a tap, guests by a few words. */
export const WhoPanel = memo(function WhoPanel({
  yogaClass,
  state,
}: {
  yogaClass: YogaClass;
  state: ClassState;
}) {
  const people = useLiveQuery(listPeople, [])?.filter(({ deletedAt }) => deletedAt === null) ?? [];
  const [search, setSearch] = useState('');
  const { write, told } = useWrite();
  const wanted = search.trim().toLocaleLowerCase();
  const shown = people.filter(({ person }) => person.name.toLocaleLowerCase().includes(wanted));
  const toggle = (personId: string): void => {
    write(() =>
      changeClass(yogaClass.id, ({ personIds }) => ({
        personIds: personIds.includes(personId)
          ? personIds.filter((each) => each !== personId)
          : [...personIds, personId],
      })),
    );
  };
  return (
    <section>
      <h2>{say.who}</h2>
      {people.length === 0 && <p>{say.nobodyYet}</p>}
      {people.length > MANY && <SearchField label={say.find} value={search} onChange={setSearch} />}
      <div className="mb-2 flex flex-wrap gap-2" data-testid="class-people">
        {shown.map(({ id, person }) => (
          <Toggle
            key={id}
            size="narrow"
            className="px-3 text-base!"
            aria-pressed={yogaClass.personIds.includes(id)}
            onClick={() => {
              toggle(id);
            }}
          >
            {person.name}
          </Toggle>
        ))}
      </div>
      {told}
      <GuestsPanel yogaClass={yogaClass} unit={state.studio.unit} />
    </section>
  );
});
