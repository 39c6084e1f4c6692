import { isNearlyFull } from '../shared/storage.ts';
import { useBackup } from '../shared/useBackup.ts';
import { useStorage } from '../shared/useStorage.ts';
import { writeDate } from '../shared/writeValue.ts';

/** That it is time for a backup, or that room runs short. */
export function Reminders() {
  const backup = useBackup();
  const { storage } = useStorage();
  const isFull = storage !== null && isNearlyFull(storage);
  if (backup?.isDue !== true && !isFull) return null;
  return (
    <p className="font-semibold" role="status">
      {backup?.isDue === true &&
        (backup.madeAt === null
          ? 'There is no backup yet of what is kept here. '
          : `The last backup is of ${writeDate(backup.madeAt)}; there is newer data. `)}
      {isFull && 'This browser’s room for data is nearly full. '}
      <a href="/files">{backup?.isDue === true ? 'Back up' : 'See the files page'}</a>
    </p>
  );
}
