import type { PersonFile } from '../core/formats/personFile.ts';
import { fromCells } from '../core/merge/fromCells.ts';
import { isAnswer } from '../core/merge/cellPaths.ts';
import { toCells, type Changes, type PersonCells } from '../core/merge/cells.ts';
import type { Stamp } from '../core/merge/clock.ts';
import { describeMerge, type MergePlan } from '../core/merge/describeMerge.ts';
import { mergeCells } from '../core/merge/merge.ts';
import { listAppointments } from './appointments.ts';
import { db } from './database.ts';
import type { StampRow, UndoRow } from './rows.ts';
import { findErasedAt } from './erasedMark.ts';
import { listFlows } from './flows.ts';
import { loadRecord } from './people.ts';
import { listSessions } from './sessions.ts';
import { listSetUps } from './setUps.ts';
import { moveClockPast } from './clock.ts';

const now = (): string => new Date().toISOString();

/** How long an import can be undone. */
const UNDO_DAYS = 30;
const MS_PER_DAY = 86_400_000;

const TABLES = [
  db.people,
  db.readings,
  db.setUps,
  db.sessions,
  db.frozenSetUps,
  db.appointments,
  db.flows,
  db.pictures,
  db.stamps,
  db.clock,
  db.undo,
];

async function loadChanges(personId: string): Promise<Changes> {
  const rows = await db.stamps.where('personId').equals(personId).toArray();
  const listed = (isRemoved: boolean): Record<string, Stamp> =>
    Object.fromEntries(
      rows.filter((each) => each.isRemoved === isRemoved).map(({ path, stamp }) => [path, stamp]),
    );
  return { stamps: listed(false), removed: listed(true) };
}

/** Everything that is kept of a person, to be handed out or merged; null = nobody of this id. */
export async function loadPersonFile(
  id: string,
): Promise<Omit<PersonFile, 'format' | 'version'> | null> {
  const record = await loadRecord(id);
  if (record === null) return null;
  return {
    ...record,
    setUps: await listSetUps(id),
    sessions: await listSessions(id),
    appointments: await listAppointments(id),
    flows: await listFlows(id),
    changes: await loadChanges(id),
  };
}

const cellsOfFile = (file: Omit<PersonFile, 'format' | 'version'>): PersonCells => {
  const {
    person,
    readings,
    setUps,
    sessions,
    appointments,
    flows,
    changes,
    held: _held,
    ...others
  } = file;
  const { format: _format, version: _version, ...extra } = others as Record<string, unknown>;
  return toCells({ person, readings, setUps, sessions, appointments, flows, extra }, changes);
};

async function loadCells(id: string): Promise<PersonCells | null> {
  const file = await loadPersonFile(id);
  return file === null ? null : cellsOfFile(file);
}

/** Puts a person's cells in place of those that are stored, with the times of their changes. */
async function replaceCells(
  id: string,
  here: PersonCells | null,
  cells: PersonCells,
): Promise<void> {
  const { data, changes } = fromCells(id, cells);
  const { person, extra, readings, setUps, sessions, appointments, flows } = data;
  const owned = <Row>(rows: readonly Row[]) => rows.map((each) => ({ ...each, personId: id }));
  const removeOthers = async (
    table:
      | typeof db.readings
      | typeof db.setUps
      | typeof db.sessions
      | typeof db.appointments
      | typeof db.flows,
    rows: readonly { readonly id: string }[],
  ): Promise<void> => {
    if (here === null) return;
    const kept = new Set(rows.map((each) => each.id));
    const stored = await table.where('personId').equals(id).primaryKeys();
    await table.bulkDelete(stored.filter(([, each]) => !kept.has(each)));
  };
  const agreedBefore = (await db.people.get(id))?.person.intake.consentToPictures ?? null;
  await db.people.put({ id, person, extra, updatedAt: now(), deletedAt: null });
  // Withdrawn on another device: the pictures go here too.
  if (agreedBefore !== null && person.intake.consentToPictures === null)
    await db.pictures.where('personId').equals(id).delete();
  await removeOthers(db.readings, readings);
  await removeOthers(db.setUps, setUps);
  await removeOthers(db.sessions, sessions);
  await removeOthers(db.appointments, appointments);
  await removeOthers(db.flows, flows);
  await db.readings.bulkPut(owned(readings));
  await db.setUps.bulkPut(owned(setUps));
  await db.sessions.bulkPut(owned(sessions));
  await db.appointments.bulkPut(owned(appointments));
  await db.flows.bulkPut(owned(flows));
  // The changes keep their own times, not that of this write.
  const stampRows = (stamps: Readonly<Record<string, Stamp>>, isRemoved: boolean): StampRow[] =>
    Object.entries(stamps).map(([path, stamp]) => ({ personId: id, path, stamp, isRemoved }));
  await db.stamps.where('personId').equals(id).delete();
  await db.stamps.bulkPut([
    ...stampRows(changes.stamps, false),
    ...stampRows(changes.removed, true),
  ]);
  await moveClockPast([...Object.values(changes.stamps), ...Object.values(changes.removed)]);
}

export interface ImportPlan extends MergePlan {
  /** When the person was removed here; null = they were not. */
  readonly removedAt: string | null;
  /** When everything of theirs was erased here; null = it was not. */
  readonly erasedAt: string | null;
}

/** What taking a file in would do. */
export async function planImport(file: PersonFile): Promise<ImportPlan> {
  const { id } = file.person;
  const here = await loadCells(id);
  const theirs = cellsOfFile(file);
  const plan = describeMerge(here, theirs, here === null ? theirs : mergeCells(here, theirs));
  const removedAt = (await db.people.get(id))?.deletedAt ?? null;
  return { ...plan, removedAt, erasedAt: await findErasedAt(id) };
}

/**
 * Merges a checked person file with what is here, all or nothing. Nothing that is newer here
 * is lost, and nothing that was removed comes back.
 *
 * @returns the import's id, by which it can be undone
 */
export async function importFile(file: PersonFile): Promise<string> {
  const { person } = file;
  const undo = crypto.randomUUID();
  await db.transaction('rw', TABLES, async () => {
    const here = await loadCells(person.id);
    const theirs = cellsOfFile(file);
    const merged = here === null ? theirs : mergeCells(here, theirs);
    await replaceCells(person.id, here, merged);
    await forgetOldUndo();
    await db.undo.add(toUndo(undo, person, here, merged));
  });
  return undo;
}

/** Lets someone who came in as a new person be taken back, as after an import. */
export async function addUndoOfNew(file: PersonFile): Promise<void> {
  const cells = await loadCells(file.person.id);
  if (cells !== null) await db.undo.add(toUndo(crypto.randomUUID(), file.person, null, cells));
}

function toUndo(
  id: string,
  { id: personId, name }: PersonFile['person'],
  here: PersonCells | null,
  merged: PersonCells,
): UndoRow {
  const changed = [...merged.cells].filter(([path, { json, stamp }]) => {
    const own = here?.cells.get(path);
    return own?.json !== json || own.stamp !== stamp;
  });
  return {
    id,
    personId,
    name,
    at: now(),
    before: Object.fromEntries(changed.map(([path]) => [path, here?.cells.get(path) ?? null])),
    stamps: Object.fromEntries(changed.map(([path, { stamp }]) => [path, stamp])),
    addedLog: [...merged.log].filter((line) => here?.log.has(line) !== true),
    isNewPerson: here === null,
  };
}

async function forgetOldUndo(): Promise<void> {
  const oldest = new Date(Date.now() - UNDO_DAYS * MS_PER_DAY).toISOString();
  await db.undo.filter(({ at }) => at < oldest).delete();
}

/** Imports that can still be undone, the latest first. */
export async function listUndo(): Promise<UndoRow[]> {
  const oldest = new Date(Date.now() - UNDO_DAYS * MS_PER_DAY).toISOString();
  const rows = await db.undo.filter(({ at }) => at >= oldest).toArray();
  return rows.sort((a, b) => b.at.localeCompare(a.at));
}

/** Takes an import back: every field and record that was not changed since is as it was before. */
export async function undoImport(id: string): Promise<void> {
  await db.transaction('rw', TABLES, async () => {
    const undo = await db.undo.get(id);
    if (undo === undefined) return;
    const { personId, before, stamps, addedLog, isNewPerson } = undo;
    const here = await loadCells(personId);
    await db.undo.delete(id);
    if (here === null) return;
    const isUntouched = ([path, { stamp }]: readonly [
      string,
      { readonly stamp: Stamp },
    ]): boolean => path in stamps && stamps[path] === stamp;
    if (isNewPerson && [...here.cells].every(isUntouched)) {
      await db.people.update(personId, { deletedAt: now() });
      return;
    }
    const added = new Set(addedLog);
    const cells = new Map(here.cells);
    for (const [path, cell] of here.cells) {
      if (!isUntouched([path, cell])) continue;
      const old = before[path] ?? null;
      if (old !== null) cells.set(path, old);
      else if (!isNewPerson || !isAnswer(path)) cells.delete(path);
    }
    const log = new Set([...here.log].filter((line) => !added.has(line)));
    await replaceCells(personId, here, { cells, log });
  });
}
