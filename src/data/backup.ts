import type { Table } from 'dexie';
import type { BackupContent, PictureEntry, BackupRow } from '../core/backup/backup.ts';
import { listRowsOf, readPerson } from '../core/backup/readPerson.ts';
import type { PersonFile } from '../core/formats/personFile.ts';
import type { Stamp } from '../core/merge/clock.ts';
import { toPicturePath } from '../core/merge/cellPaths.ts';
import type { Problem } from '../core/problems/problem.ts';
import { db } from './database.ts';
import type { ClassRow, PersonRow, PictureRow, StampRow } from './rows.ts';
import { moveClockPast } from './clock.ts';
import { addUndoOfNew, importFile, planImport, type ImportPlan } from './merging.ts';
import { setBackedUpAt, toPaceKey } from './settings.ts';

/** Everything that is kept in this browser, of every store, as it is at one moment. */
export async function collectBackup(withPictures: boolean): Promise<BackupContent> {
  const stores: Record<string, readonly BackupRow[]> = {};
  let kept: readonly PictureRow[] = [];
  await db.transaction('r', db.tables, async () => {
    for (const table of db.tables)
      stores[table.name] = (await table.toArray()) as readonly BackupRow[];
    if (withPictures) kept = await db.pictures.toArray();
  });
  const pictures = new Map<string, Uint8Array>();
  const entries: BackupRow[] = [];
  for (const [i, { blob, ...own }] of kept.entries()) {
    const path = `pictures/${String(i + 1)}.${blob.type.split('/')[1] ?? 'bin'}`;
    pictures.set(path, new Uint8Array(await blob.arrayBuffer()));
    entries.push({ ...own, type: blob.type, path } satisfies PictureEntry & BackupRow);
  }
  stores['pictures'] = entries;
  return { madeAt: new Date().toISOString(), withPictures, stores, pictures };
}

/** What restoring one person of a backup would do. */
export interface RestorePlan {
  readonly personId: string;
  readonly name: string;
  /** When they were removed, in the backup; null = they were not. */
  readonly removedAt: string | null;
  readonly pictures: number;
  /** null = what the backup holds of them cannot be read, see `problems`. */
  readonly merge: ImportPlan | null;
  readonly problems: readonly Problem[];
}

/** What a backup's people are and what each would change, by name. */
export async function planRestore(content: BackupContent): Promise<RestorePlan[]> {
  const rows = (content.stores['people'] ?? []) as unknown as readonly (PersonRow & BackupRow)[];
  const plans: RestorePlan[] = [];
  for (const row of rows) {
    const read = readPerson(content, row);
    plans.push({
      personId: row.id,
      name: read.ok ? read.value.person.name : row.id,
      removedAt: row.deletedAt,
      pictures: listRowsOf(content, 'pictures', row.id).length,
      merge: read.ok ? await planImport(read.value) : null,
      problems: read.ok ? [] : read.problems,
    });
  }
  return plans.sort((a, b) => a.name.localeCompare(b.name));
}

/** The stores whose rows are one person's and nobody else's. */
const PERSONAL = [
  'readings',
  'setUps',
  'sessions',
  'frozenSetUps',
  'appointments',
  'flows',
  'undo',
] as const;

/** A person who is not here: every row as it stands in the backup. */
async function copyPerson(content: BackupContent, row: BackupRow): Promise<void> {
  const id = String(row['id']);
  await db.people.put(row as unknown as PersonRow);
  for (const store of PERSONAL)
    await (db[store] as Table<unknown>).bulkPut([...listRowsOf(content, store, id)]);
  await addPictures(content, id);
  await copyStamps(content, id);
}

async function copyStamps(content: BackupContent, personId: string): Promise<void> {
  await db.stamps.where('personId').equals(personId).delete();
  const rows = listRowsOf(content, 'stamps', personId) as unknown as readonly StampRow[];
  await db.stamps.bulkPut([...rows]);
}

/** The pictures that are not here and were not deleted here, of someone who agrees to them. */
async function addPictures(content: BackupContent, personId: string): Promise<void> {
  const agreed = (await db.people.get(personId))?.person.intake.consentToPictures ?? null;
  if (agreed === null) return;
  const rows = listRowsOf(content, 'pictures', personId) as unknown as readonly PictureEntry[];
  for (const { type, path, ...own } of rows) {
    const stamp = await db.stamps.get([personId, toPicturePath(own.id)]);
    if (stamp?.isRemoved === true || (await db.pictures.get(own.id)) !== undefined) continue;
    const bytes = content.pictures.get(path) as Uint8Array<ArrayBuffer>;
    await db.pictures.put({ ...own, blob: new Blob([bytes], { type }) } as PictureRow);
  }
}

/** A person who is here: merged as a person file is, with the drawings and pictures it lacks. */
async function mergePerson(content: BackupContent, file: PersonFile): Promise<void> {
  const { id } = file.person;
  await importFile(file);
  await addPictures(content, id);
  const sessions = new Set(
    (await db.sessions.where('personId').equals(id).toArray()).map((each) => each.id),
  );
  for (const row of listRowsOf(content, 'frozenSetUps', id)) {
    const { sessionId, hold } = row as unknown as { sessionId: string; hold: string };
    const isHere = (await db.frozenSetUps.get([id, sessionId, hold])) !== undefined;
    if (sessions.has(sessionId) && !isHere) await db.frozenSetUps.put(row as never);
  }
}

/**
 * Restores people of a checked backup, all or nothing. Into an empty browser everything comes
 * back as it was; people who are here already are merged, and nothing newer is lost.
 *
 * @param personIds those to restore
 */
export async function restore(
  content: BackupContent,
  personIds: ReadonlySet<string>,
): Promise<void> {
  const people = (content.stores['people'] ?? []).filter((row) => personIds.has(String(row['id'])));
  await db.transaction('rw', db.tables, async () => {
    const wasEmpty = (await db.people.count()) === 0;
    for (const row of people) {
      const id = String(row['id']);
      const read = readPerson(content, row);
      if (!read.ok) continue;
      if ((await db.people.get(id)) !== undefined) await mergePerson(content, read.value);
      else {
        await copyPerson(content, row);
        if (!wasEmpty) await addUndoOfNew(read.value);
      }
      const pace = (content.stores['settings'] ?? []).find((each) => each['key'] === toPaceKey(id));
      if (pace !== undefined && (await db.settings.get(toPaceKey(id))) === undefined)
        await db.settings.put(pace as never);
    }
    await addClasses(content);
    if (wasEmpty) await restoreRest(content, personIds);
    const stamps = (content.stores['stamps'] ?? []).map((row) => row['stamp'] as Stamp);
    await moveClockPast(stamps);
  });
}

/** Classes that are not here. Those that are here stay as they are. */
async function addClasses(content: BackupContent): Promise<void> {
  for (const row of (content.stores['classes'] ?? []) as unknown as readonly ClassRow[]) {
    if ((await db.classes.get(row.id)) === undefined) await db.classes.put(row);
  }
}

/** What belongs to nobody: what is known of people who were erased, and this device's ways. */
async function restoreRest(content: BackupContent, personIds: ReadonlySet<string>): Promise<void> {
  const everybody = new Set((content.stores['people'] ?? []).map((row) => row['id']));
  const isAll = [...everybody].every((id) => personIds.has(String(id)));
  const orphans = (content.stores['stamps'] ?? []).filter((row) => !everybody.has(row['personId']));
  await db.stamps.bulkPut(orphans as unknown as StampRow[]);
  if (!isAll) return;
  const settings = (content.stores['settings'] ?? []) as unknown as readonly { key: string }[];
  await db.settings.bulkPut(settings.filter(({ key }) => !key.startsWith('pace ')) as never[]);
  await setBackedUpAt(content.madeAt);
}
