import { useLiveQuery } from 'dexie-react-hooks';
import { writePersonFile } from '../../core/formats/personFile.ts';
import { loadPersonFile } from '../../data/merging.ts';
import { listPeople } from '../../data/people.ts';
import { Opening } from '../shared/Opening.tsx';
import { saveFile } from '../shared/saveFile.ts';
import { whenOpen } from '../shared/whenOpen.ts';
import { BackupPanel } from './BackupPanel.tsx';
import { ImportPanel } from './ImportPanel.tsx';
import { RestorePanel } from './RestorePanel.tsx';
import { RetentionPanel } from './RetentionPanel.tsx';
import { StoragePanel } from './StoragePanel.tsx';
import { TablePanel } from './TablePanel.tsx';
import { TakenInLately } from './TakenInLately.tsx';
import { WordButton } from '../shared/ui/Button.tsx';

/** Backups, and person files out and in. Nothing comes in before it is shown what would change. */
export function FilesView() {
  const people = useLiveQuery(whenOpen(listPeople), []);
  if (people === undefined) return <Opening />;
  const here = people.filter((each) => each.deletedAt === null);
  return (
    <div className="grid grid-cols-[minmax(0,3fr)_minmax(0,2fr)] gap-x-16 gap-y-6 pt-2 max-phone:grid-cols-[minmax(0,1fr)]">
      <section>
        <h1>Back up everything</h1>
        <p>
          One file with every person, reading, set-up, session and picture. Everything is kept in
          this browser and nowhere else: <a href="/your-data">where it is and who sees it</a>.
        </p>
        <BackupPanel />
        <h2>Restore a backup</h2>
        <RestorePanel />
        <h2>This browser</h2>
        <StoragePanel />
        <h2>How long data is kept</h2>
        <RetentionPanel />
      </section>
      <section>
        <h2>Take a person file in</h2>
        <ImportPanel />
        <TakenInLately />
        <h2>Hand a person file out</h2>
        <p>
          One file holds a person with every reading, set-up and session, in an open format. It is
          not encrypted.
        </p>
        <ul className="grid gap-[0.35rem]">
          {here.map((each) => (
            <li key={each.id}>
              <WordButton onClick={() => void exportPerson(each.id)}>{each.person.name}</WordButton>
            </li>
          ))}
        </ul>
        <TablePanel people={here} />
        <p className="text-faint">
          The formats: <a href="/api/schemas/person">person file</a>,{' '}
          <a href="/api/schemas/set-up">set-up file</a>,{' '}
          <a href="/api/schemas/rules">house rules</a>, <a href="/api/schemas/backup">backup</a>.
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
