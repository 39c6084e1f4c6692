import { useLiveQuery } from 'dexie-react-hooks';
import { UserPlus } from 'lucide-react';
import { lazy, Suspense, useEffect, useState, type SubmitEvent } from 'react';
import type { PersonRow } from '../../data/rows.ts';
import { addPerson, listPeople, removePerson, restorePerson } from '../../data/people.ts';
import { whenOpen } from '../shared/whenOpen.ts';
import { Opening } from '../shared/Opening.tsx';
import { useWrite } from '../shared/useWrite.tsx';
import { askToKeepData } from '../shared/storage.ts';
import { eraseOverdue } from '../../data/erasing.ts';
import { FirstPage } from './FirstPage.tsx';
import { Reminders } from './Reminders.tsx';
import { Field } from '../shared/ui/Field.tsx';
import { SearchField } from '../shared/ui/SearchField.tsx';
import { showToast, showUndone } from '../shared/ui/toasts.ts';
import { Button, WordButton } from '../shared/ui/Button.tsx';
import { peopleView as say } from './words.ts';

/** A line draws a figure, for which the poses are needed; the empty first page does without. */
const PersonLine = lazy(async () => ({ default: (await import('./PersonLine.tsx')).PersonLine }));

/** The demo's reader brings the file validation along, which this page does without otherwise. */
async function loadDemo(): Promise<void> {
  const { loadDemoIfEmpty } = await import('../../data/demo.ts');
  await loadDemoIfEmpty();
}

/** Everyone this teacher works with: find, add, remove and bring back. */
export function PeopleView() {
  const people = useLiveQuery(whenOpen(listPeople), []);
  const [search, setSearch] = useState('');
  const { write, told } = useWrite();

  useEffect(() => {
    if (new URLSearchParams(window.location.search).has('demo')) write(loadDemo);
    void whenOpen(() => eraseOverdue(Date.now()))();
    // Once, when the page opens.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, []);
  const hasPeople = people !== undefined && people.length > 0;
  useEffect(() => {
    // From now on there is something to lose.
    if (hasPeople) void askToKeepData();
  }, [hasPeople]);

  if (people === undefined) return <Opening />;
  const present = people.filter((each) => each.deletedAt === null);
  const gone = people.filter((each) => each.deletedAt !== null);
  const wanted = search.trim().toLocaleLowerCase();
  const shown = present.filter((each) => each.person.name.toLocaleLowerCase().includes(wanted));

  const restore = (row: PersonRow): void => {
    write(() => restorePerson(row.id));
  };
  const remove = (row: PersonRow): void => {
    write(async () => {
      await removePerson(row.id);
      showToast({
        words: say.removed(row.person.name),
        action: {
          words: 'Undo',
          run: () => {
            write(async () => {
              await restorePerson(row.id);
              showUndone();
            });
          },
        },
      });
    });
  };

  return (
    <div className="pt-3">
      <div className="flex flex-wrap items-end justify-between gap-x-8 gap-y-2">
        <h1>{say.people}</h1>
        {present.length > 0 && (
          <SearchField label={say.findByName} value={search} onChange={setSearch} />
        )}
      </div>
      <Reminders />
      {told}
      {present.length === 0 && <FirstPage onTry={loadDemo} />}
      {present.length > 0 && shown.length === 0 && (
        <p className="text-faint">{say.nobodyCalledClearSearch(search)}</p>
      )}
      <ul className="mt-2 mb-5 *:border-t *:border-hair *:last:border-b">
        <Suspense>
          {shown.map((row) => (
            <PersonLine
              key={row.id}
              row={row}
              onRemove={() => {
                remove(row);
              }}
            />
          ))}
        </Suspense>
      </ul>
      <AddPerson />
      {gone.length > 0 && (
        <Gone
          rows={gone}
          onRestore={(row) => {
            restore(row);
          }}
        />
      )}
    </div>
  );
}

function AddPerson() {
  const [name, setName] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const { write, told } = useWrite();
  const submit = (event: SubmitEvent): void => {
    event.preventDefault();
    if (name.trim() === '') {
      setProblem(say.nameEmptyWriteWhat);
      return;
    }
    write(async () => {
      const id = await addPerson(name.trim());
      window.location.href = `/measure?id=${encodeURIComponent(id)}`;
    });
  };
  return (
    <form
      className="flex flex-wrap items-end gap-3 [&_label]:m-0 [&_label]:min-w-72 [&_p]:w-full"
      onSubmit={submit}
    >
      <Field label={say.someoneNew}>
        <input
          value={name}
          placeholder={say.name}
          autoComplete="off"
          aria-invalid={problem !== null}
          aria-describedby={problem === null ? undefined : 'name-problem'}
          onChange={(event) => {
            setName(event.target.value);
            setProblem(null);
          }}
        />
      </Field>
      <Button type="submit">
        <UserPlus aria-hidden size={18} />
        {say.addMeasure}
      </Button>
      {problem !== null && (
        <p id="name-problem" role="alert">
          {problem}
        </p>
      )}
      {told}
    </form>
  );
}

function Gone({
  rows,
  onRestore,
}: {
  rows: readonly PersonRow[];
  onRestore: (row: PersonRow) => void;
}) {
  return (
    <details className="mt-6">
      <summary>{say.removedPeople(rows.length)}</summary>
      <ul>
        {rows.map((row) => (
          <li key={row.id}>
            {row.person.name}{' '}
            <WordButton
              onClick={() => {
                onRestore(row);
              }}
            >
              {say.bringBack}
              <span className="sr-only"> {row.person.name}</span>
            </WordButton>
          </li>
        ))}
      </ul>
    </details>
  );
}
