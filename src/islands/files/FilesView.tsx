import { useLiveQuery } from 'dexie-react-hooks';
import { writePersonFile } from '../../core/formats/personFile.ts';
import { loadPersonFile } from '../../data/merging.ts';
import { listPeople } from '../../data/people.ts';
import { ImportPanel } from './ImportPanel.tsx';
import { TakenInLately } from './TakenInLately.tsx';
import { TablePanel } from './TablePanel.tsx';
import { saveFile } from '../shared/saveFile.ts';

/** Person files out and in. Nothing comes in before it is shown what would change. */
export function FilesView() {
  const people = useLiveQuery(listPeople, []);
  const here = (people ?? []).filter((each) => each.deletedAt === null);
  return (
    <div className="two-columns">
      <section>
        <h1>Take a person file in</h1>
        <ImportPanel />
        <TakenInLately />
        <TablePanel people={here} />
      </section>
      <section>
        <h2>Hand a person file out</h2>
        <p>
          One file holds a person with every reading, set-up and session, in an open format. Nothing
          leaves this browser unless you save a file.
        </p>
        <ul className="plain-list">
          {here.map((each) => (
            <li key={each.id}>
              <button
                type="button"
                className="word-button"
                onClick={() => void exportPerson(each.id)}
              >
                {each.person.name}
              </button>
            </li>
          ))}
        </ul>
        <p className="quiet">
          The formats: <a href="/api/schemas/person">person file</a>,{' '}
          <a href="/api/schemas/set-up">set-up file</a>,{' '}
          <a href="/api/schemas/rules">house rules</a>.
        </p>
      </section>
    </div>
  );
}

async function exportPerson(id: string): Promise<void> {
  const file = await loadPersonFile(id);
  if (file === null) return;
  saveFile(`${file.person.name}.json`, writePersonFile(file));
}
