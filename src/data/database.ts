import Dexie, { type EntityTable, type Table, type Transaction } from 'dexie';
import {
  upgradeMade,
  upgradePersonSchools,
  upgradeSession,
} from '../core/formats/upgradePerson.ts';
import { findLater, tick, UNKNOWN } from '../core/merge/clock.ts';
import { completePerson } from '../core/person/person.ts';
import { getValue } from '../core/setup/setUp.ts';
import type {
  AppointmentRow,
  ClassRow,
  ClockRow,
  FlowRow,
  FrozenSetUpRow,
  KeptSetUpRow,
  PersonRow,
  PictureRow,
  ReadingRow,
  SessionRow,
  SettingRow,
  StampRow,
  UndoRow,
} from './rows.ts';
import { CLOCK, listPaths, stamping } from './stamping.ts';

type StillwaterDatabase = Dexie & {
  people: EntityTable<PersonRow, 'id'>;
  readings: Table<ReadingRow, [string, string]>;
  settings: EntityTable<SettingRow, 'key'>;
  setUps: Table<KeptSetUpRow, [string, string]>;
  sessions: Table<SessionRow, [string, string]>;
  frozenSetUps: Table<FrozenSetUpRow, [string, string, string]>;
  appointments: Table<AppointmentRow, [string, string]>;
  flows: Table<FlowRow, [string, string]>;
  classes: EntityTable<ClassRow, 'id'>;
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

/** The stores that there were when changes got their time. */
const STAMPED_FIRST = ['people', 'readings', 'setUps', 'sessions', 'appointments', 'pictures'];

/** What was stored before changes had their time counts as changed when its person last was. */
async function stampAll(transaction: Transaction): Promise<void> {
  const people = await transaction.table<PersonRow>('people').toArray();
  const device = crypto.randomUUID().slice(0, 8);
  const changedAt = new Map(
    people.map(({ id, updatedAt }) => [id, tick(UNKNOWN, Date.parse(updatedAt) || 0, device)]),
  );
  for (const store of STAMPED_FIRST) {
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
  // The set-ups of lying forms got a posture with version 8. Those without are solved again.
  database.version(8).upgrade((transaction) =>
    transaction
      .table<FrozenSetUpRow>('frozenSetUps')
      .filter(({ setUp }) => Object.keys(setUp.landmarks).length === 0)
      .delete(),
  );
  // Set-ups came with what of the cupboard serves them with version 9. Those without are solved again.
  database.version(9).upgrade((transaction) =>
    transaction
      .table<FrozenSetUpRow>('frozenSetUps')
      .filter(({ setUp }) => setUp.handProp === null && getValue(setUp, 'hand-height') !== null)
      .delete(),
  );
  database.version(10).stores({ flows: '[personId+id], personId' });
  database.version(11).stores({ classes: 'id' });
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
