import { isNearlyFull } from '../shared/storage.ts';
import { useBackup } from '../shared/useBackup.ts';
import { useStorage } from '../shared/useStorage.ts';
import { writeDate } from '../shared/writeValue.ts';
import { reminders as say } from './words.ts';

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
          ? say.thereNoBackupYet
          : say.lastBackupFromThere(writeDate(backup.madeAt)))}
      {isFull && say.browsersStorageNearlyFull}
      <a href="/files">{backup?.isDue === true ? say.backUp : say.seeFiles}</a>
    </p>
  );
}
