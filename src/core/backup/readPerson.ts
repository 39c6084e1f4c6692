import {
  checkPersonFile,
  PERSON_FORMAT,
  PERSON_VERSION,
  type PersonFile,
} from '../formats/personFile.ts';
import type { Result } from '../problems/problem.ts';
import type { BackupContent, BackupRow } from './backup.ts';

/**
 * The rows of one person in a store of a backup.
 *
 * @param store which store
 * @param personId whose rows
 * @returns none when the store is not in the backup
 */
export const listRowsOf = (
  { stores }: Pick<BackupContent, 'stores'>,
  store: string,
  personId: string,
): readonly BackupRow[] => (stores[store] ?? []).filter((row) => row['personId'] === personId);

/**
 * One person of a backup as a checked person file.
 *
 * @param content of the backup
 * @param row the person's row in the store `people`
 * @returns problems as of {@link checkPersonFile}
 */
export function readPerson(
  content: Pick<BackupContent, 'stores'>,
  row: BackupRow,
): Result<PersonFile> {
  const id = String(row['id']);
  const listOwn = (store: string): readonly BackupRow[] =>
    listRowsOf(content, store, id).map(({ personId: _owner, ...own }) => own);
  const stamps = listRowsOf(content, 'stamps', id);
  const listStamps = (isRemoved: boolean): Readonly<Record<string, unknown>> =>
    Object.fromEntries(
      stamps
        .filter((each) => each['isRemoved'] === isRemoved)
        .map(({ path, stamp }) => [String(path), stamp]),
    );
  const extra = row['extra'];
  const checked = checkPersonFile(
    {
      ...(typeof extra === 'object' ? extra : {}),
      format: PERSON_FORMAT,
      version: PERSON_VERSION,
      person: row['person'],
      readings: listOwn('readings'),
      setUps: listOwn('setUps'),
      sessions: listOwn('sessions'),
      appointments: listOwn('appointments'),
      flows: listOwn('flows'),
      changes: { stamps: listStamps(false), removed: listStamps(true) },
    },
    null,
  );
  return checked.ok ? { ok: true, value: checked.value.file } : checked;
}
