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
import { filesView as say } from './words.ts';

/** Backups, and person files out and in. Nothing comes in before it is shown what would change. */
export function FilesView() {
  const people = useLiveQuery(whenOpen(listPeople), []);
  if (people === undefined) return <Opening />;
  const here = people.filter((each) => each.deletedAt === null);
  return (
    <div className="grid grid-cols-[minmax(0,3fr)_minmax(0,2fr)] gap-x-16 gap-y-6 pt-2 max-phone:grid-cols-[minmax(0,1fr)]">
      <section>
        <h1>{say.backUpEverything}</h1>
        <p>
          {say.oneFileWithEvery}
          <a href="/your-data">{say.whereWhoCanSee}</a>.
        </p>
        <BackupPanel />
        <h2>{say.restoreBackup}</h2>
        <RestorePanel />
        <h2>{say.browser}</h2>
        <StoragePanel />
        <h2>{say.howLongDataKept}</h2>
        <RetentionPanel />
      </section>
      <section>
        <h2>{say.importPerson}</h2>
        <ImportPanel />
        <TakenInLately />
        <h2>{say.exportPerson}</h2>
        <p>{say.oneFileHoldsPerson}</p>
        <ul className="grid gap-[0.35rem]">
          {here.map((each) => (
            <li key={each.id}>
              <WordButton onClick={() => void exportPerson(each.id)}>{each.person.name}</WordButton>
            </li>
          ))}
        </ul>
        <TablePanel people={here} />
        <p className="text-faint">
          {say.formats}
          <a href="/api/schemas/person">{say.personFile}</a>,{' '}
          <a href="/api/schemas/set-up">{say.setUpFile}</a>,{' '}
          <a href="/api/schemas/rules">{say.houseRules}</a>,{' '}
          <a href="/api/schemas/backup">{say.backup}</a>.
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
