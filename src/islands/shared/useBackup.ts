import { useLiveQuery } from 'dexie-react-hooks';
import { isBackupDue } from '../../core/backup/isBackupDue.ts';
import { findDataSpan } from '../../data/dataSpan.ts';
import { getBackedUpAt, getBackupDays } from '../../data/settings.ts';

export interface BackupState {
  /** ISO date; null = never in this browser. */
  readonly madeAt: string | null;
  readonly days: number;
  readonly isDue: boolean;
}

/** When the last backup was made, and whether it is time for one; undefined while loading. */
export const useBackup = (): BackupState | undefined =>
  useLiveQuery(async () => {
    const [madeAt, days, span] = await Promise.all([
      getBackedUpAt(),
      getBackupDays(),
      findDataSpan(),
    ]);
    return { madeAt, days, isDue: isBackupDue(madeAt, span, days) };
  }, []);
