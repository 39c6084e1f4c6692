import Dexie, { type EntityTable, type Table, type Transaction } from 'dexie';
import {
  upgradeMade,
  upgradePersonSchools,
  upgradeSession,
} from '../core/formats/upgradePerson.ts';
import type { Cell } from '../core/merge/cells.ts';
import { findLater, tick, UNKNOWN, type Stamp } from '../core/merge/clock.ts';
import type { Reading } from '../core/measures/reading.ts';
import type { KeptSetUp } from '../core/setup/keptSetUp.ts';
import type { Appointment } from '../core/sessions/appointment.ts';
import type { Session } from '../core/sessions/session.ts';
import type { SetUp } from '../core/setup/setUp.ts';
import { completePerson, type Person } from '../core/person/person.ts';
import { CLOCK, listPaths, STAMPED_STORES, stamping } from './stamping.ts';

/** One person as kept in the browser. */
export interface PersonRow {
  readonly id: string;
  person: Person;
  /** Top-level fields of an imported file that we do not know; they go out again. */
  readonly extra: Readonly<Record<string, unknown>>;
  readonly updatedAt: string;
  /** Set while a person is removed but can still be brought back. */
  readonly deletedAt: string | null;
}

export interface ReadingRow extends Reading {
  readonly personId: string;
}

export interface KeptSetUpRow extends KeptSetUp {
  readonly personId: string;
}

export interface SessionRow extends Session {
  readonly personId: string;
}

/** The whole set-up behind a planned hold, to be drawn without solving it again. */
interface FrozenSetUpRow {
  readonly personId: string;
  readonly sessionId: string;
  readonly hold: string;
  readonly setUp: SetUp;
}

export interface AppointmentRow extends Appointment {
  readonly personId: string;
}

/** A picture that a reading was taken from: it never leaves the browser. */
export interface PictureRow {
  readonly id: string;
  readonly personId: string;
  readonly measure: string;
  /** Upright, without the tags that a camera writes. */
  readonly blob: Blob;
  readonly width: number;
  readonly height: number;
  readonly takenAt: string;
}

/** When a field or record of a person was last changed or removed, see core/merge. */
export interface StampRow {
  readonly personId: string;
  readonly path: string;
  readonly stamp: Stamp;
  readonly isRemoved: boolean;
}

/** This device's name and the latest stamp that it has made or seen. */
export interface ClockRow {
  readonly id: string;
  readonly device: string;
  readonly last: Stamp;
}

/** What an import changed, so that it can be undone. */
export interface UndoRow {
  readonly id: string;
  readonly personId: string;
  readonly name: string;
  readonly at: string;
  /** Every field and record that it changed, as it was; null = it was not there. */
  readonly before: Readonly<Record<string, Cell | null>>;
  /** The stamps that it set: what was changed since is not undone. */
  readonly stamps: Readonly<Record<string, Stamp>>;
  readonly addedLog: readonly string[];
  /** The person came in with it. */
  readonly isNewPerson: boolean;
}

interface SettingRow {
  readonly key: string;
  readonly value: unknown;
}

type StillwaterDatabase = Dexie & {
  people: EntityTable<PersonRow, 'id'>;
  readings: Table<ReadingRow, [string, string]>;
  settings: EntityTable<SettingRow, 'key'>;
  setUps: Table<KeptSetUpRow, [string, string]>;
  sessions: Table<SessionRow, [string, string]>;
  frozenSetUps: Table<FrozenSetUpRow, [string, string, string]>;
  appointments: Table<AppointmentRow, [string, string]>;
  pictures: EntityTable<PictureRow, 'id'>;
  stamps: Table<StampRow, [string, string]>;
  clock: EntityTable<ClockRow, 'id'>;
  undo: EntityTable<UndoRow, 'id'>;
};

/** People stored before a field was kept get it empty. */
const completePeople = (transaction: Transaction): PromiseLike<unknown> =>
  transaction
    .table<PersonRow>('people')
    .toCollection()
    .modify((row) => {
      row.person = completePerson(row.person);
    });

/** What was stored before changes had their time counts as changed when its person last was. */
async function stampAll(transaction: Transaction): Promise<void> {
  const people = await transaction.table<PersonRow>('people').toArray();
  const device = crypto.randomUUID().slice(0, 8);
  const changedAt = new Map(
    people.map(({ id, updatedAt }) => [id, tick(UNKNOWN, Date.parse(updatedAt) || 0, device)]),
  );
  for (const store of STAMPED_STORES) {
    const rows = await transaction.table<{ id: string; personId?: string }>(store).toArray();
    const stamps = rows.flatMap((row) => {
      const personId = row.personId ?? row.id;
      const stamp = changedAt.get(personId) ?? UNKNOWN;
      return listPaths(store, row).map((path) => ({ personId, path, stamp, isRemoved: false }));
    });
    await transaction.table<StampRow>('stamps').bulkPut(stamps);
  }
  const last = [...changedAt.values()].reduce(findLater, UNKNOWN);
  await transaction.table<ClockRow>('clock').put({ id: CLOCK, device, last });
}

function open(): StillwaterDatabase {
  // Strict durability: what the screen calls saved survives a crash of the browser. No cache:
  // Dexie's would show a row before its transaction is complete.
  const database = new Dexie('stillwater', {
    cache: 'disabled',
    chromeTransactionDurability: 'strict',
  }) as StillwaterDatabase;
  database.version(1).stores({
    people: 'id',
    readings: '[personId+id], personId',
    settings: 'key',
  });
  // Intake, history and tests not done came with version 2, chosen schools with version 4.
  database.version(2).upgrade(completePeople);
  database.version(3).stores({ pictures: 'id, personId' });
  database.version(4).stores({ setUps: '[personId+id], personId' }).upgrade(completePeople);
  database.version(5).stores({
    sessions: '[personId+id], personId',
    frozenSetUps: '[personId+sessionId+hold], [personId+sessionId]',
    appointments: '[personId+id], personId',
  });
  // Rules, options and error signs got plain names, and numbers the version of their rules,
  // with version 6. Postures are solved again.
  database.version(6).upgrade(async (transaction) => {
    const upgradeAll = (table: string, upgrade: (row: unknown) => unknown): PromiseLike<unknown> =>
      transaction
        .table(table)
        .toCollection()
        .modify((row: object) => {
          Object.assign(row, upgrade(row));
        });
    await upgradeAll('people', (row) => ({
      person: upgradePersonSchools((row as PersonRow).person),
    }));
    await upgradeAll('setUps', upgradeMade);
    await upgradeAll('sessions', upgradeSession);
    await transaction.table('frozenSetUps').clear();
  });
  // Every change has its time with version 7, so that two devices can be merged.
  database
    .version(7)
    .stores({ stamps: '[personId+path], personId', clock: 'id', undo: 'id, personId' })
    .upgrade(async (transaction) => {
      await completePeople(transaction);
      await stampAll(transaction);
    });
  database.use(stamping);
  // A tab of an older version neither holds up an upgrade nor writes after it.
  database.on('versionchange', () => {
    tellOutOfDate();
  });
  database.on(
    'ready',
    () => {
      if (Math.floor(database.backendDB().version / 10) <= database.verno) return;
      tellOutOfDate();
      throw new Dexie.VersionError();
    },
    true,
  );
  return database;
}

let tellOutOfDate = (): void => undefined;

export const db = open();

/** Calls back when what is stored belongs to a newer version of the app than this page. */
export function onOutOfDate(tell: () => void): void {
  tellOutOfDate = tell;
}

/** Closes the database for good: what a page of an older version would write is refused. */
export function closeOutOfDate(): void {
  db.close({ disableAutoOpen: true });
}

/**
 * Opens the database, or says why it cannot be.
 *
 * @param onBlocked called when a tab with an older version keeps it from being upgraded
 */
export async function openDatabase(onBlocked: () => void): Promise<void> {
  db.on('blocked', onBlocked);
  await db.open();
}

export const isDatabaseOpen = (): boolean => db.isOpen();
