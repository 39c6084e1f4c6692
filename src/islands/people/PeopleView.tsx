import { useLiveQuery } from 'dexie-react-hooks';
import { UserPlus } from 'lucide-react';
import { useEffect, useState, type SubmitEvent } from 'react';
import { findStopSigns } from '../../core/cautions/stopSigns.ts';
import type { PersonRow } from '../../data/rows.ts';
import { addPerson, listPeople, removePerson, restorePerson } from '../../data/people.ts';
import { findLatestReading } from '../../data/readings.ts';
import { writeDate } from '../shared/words.ts';
import { whenOpen } from '../shared/whenOpen.ts';
import { Opening } from '../shared/Opening.tsx';
import { useWrite } from '../shared/useWrite.tsx';
import { askToKeepData } from '../shared/storage.ts';
import { eraseOverdue } from '../../data/erasing.ts';
import { Reminders } from './Reminders.tsx';

/** The demo's reader brings the file validation along, which this page does without otherwise. */
async function loadDemo(): Promise<void> {
  const { loadDemoIfEmpty } = await import('../../data/demo.ts');
  await loadDemoIfEmpty();
}

/** Everyone this teacher works with: find, add, remove and bring back. */
export function PeopleView() {
  const people = useLiveQuery(whenOpen(listPeople), []);
  const [search, setSearch] = useState('');
  const [removed, setRemoved] = useState<PersonRow | null>(null);
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

  const remove = (row: PersonRow): void => {
    write(async () => {
      await removePerson(row.id);
      setRemoved(row);
    });
  };
  const restore = (row: PersonRow): void => {
    write(async () => {
      await restorePerson(row.id);
      setRemoved(null);
    });
  };

  return (
    <div className="people">
      <div className="people-head">
        <h1>Who is on the mat?</h1>
        {present.length > 0 && (
          <label className="field">
            <span>Find by name</span>
            <input
              type="search"
              value={search}
              onChange={(event) => {
                setSearch(event.target.value);
              }}
            />
          </label>
        )}
      </div>
      <Reminders />
      {told}
      {removed !== null && (
        <p role="status" className="undo">
          {removed.person.name} is removed.{' '}
          <button
            type="button"
            className="word-button"
            onClick={() => {
              restore(removed);
            }}
          >
            Undo
          </button>
        </p>
      )}
      {present.length === 0 ? <NobodyYet /> : null}
      {present.length > 0 && shown.length === 0 && (
        <p className="quiet">Nobody is called “{search}”. Clear the search, or add them below.</p>
      )}
      <ul className="people-list">
        {shown.map((row) => (
          <PersonLine
            key={row.id}
            row={row}
            onRemove={() => {
              remove(row);
            }}
          />
        ))}
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

function NobodyYet() {
  const { write, told } = useWrite();
  return (
    <div className="empty">
      <p>
        Nobody yet. Write a name below to begin; a short round of measures follows, and then the
        first set-up.
      </p>
      <button
        type="button"
        className="button"
        onClick={() => {
          write(loadDemo);
        }}
      >
        Look around with made-up people
      </button>
      {told}
    </div>
  );
}

function PersonLine({ row, onRemove }: { row: PersonRow; onRemove: () => void }) {
  const latest = useLiveQuery(() => findLatestReading(row.id), [row.id]);
  const query = `?id=${encodeURIComponent(row.id)}`;
  const stopped = findStopSigns(row.person).length > 0;
  const state = stopped
    ? 'a stop sign is set'
    : latest === null
      ? 'not measured yet'
      : `measured ${latest === undefined ? '…' : writeDate(latest)}`;
  return (
    <li>
      <a className="person-name" href={latest === null ? `/measure${query}` : `/set-up${query}`}>
        {row.person.name}
      </a>
      <span className={stopped ? 'stop-word' : 'quiet'}>{state}</span>
      <span className="person-links">
        <a href={`/person${query}`}>what to mind</a>
        <a href={`/measure${query}`}>measure</a>
        <a href={`/set-up${query}`}>set up</a>
        <a href={`/session${query}`}>on the mat</a>
        <button type="button" className="word-button quiet" onClick={onRemove}>
          remove<span className="sr-only"> {row.person.name}</span>
        </button>
      </span>
    </li>
  );
}

function AddPerson() {
  const [name, setName] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const { write, told } = useWrite();
  const submit = (event: SubmitEvent): void => {
    event.preventDefault();
    if (name.trim() === '') {
      setProblem('Name: it is empty. Write what you call this person.');
      return;
    }
    write(async () => {
      const id = await addPerson(name.trim());
      window.location.href = `/measure?id=${encodeURIComponent(id)}`;
    });
  };
  return (
    <form className="add-person" onSubmit={submit}>
      <label className="field">
        <span>Someone new</span>
        <input
          value={name}
          placeholder="Name"
          autoComplete="off"
          aria-invalid={problem !== null}
          aria-describedby={problem === null ? undefined : 'name-problem'}
          onChange={(event) => {
            setName(event.target.value);
            setProblem(null);
          }}
        />
      </label>
      <button type="submit" className="button">
        <UserPlus aria-hidden size={18} /> Add and measure
      </button>
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
    <details className="gone">
      <summary>Removed people ({rows.length})</summary>
      <ul>
        {rows.map((row) => (
          <li key={row.id}>
            {row.person.name}{' '}
            <button
              type="button"
              className="word-button"
              onClick={() => {
                onRestore(row);
              }}
            >
              bring back<span className="sr-only"> {row.person.name}</span>
            </button>
          </li>
        ))}
      </ul>
    </details>
  );
}
