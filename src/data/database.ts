import Dexie, { type EntityTable, type Table, type Transaction } from 'dexie';
import {
  upgradeMade,
  upgradePersonSchools,
  upgradeSession,
} from '../core/formats/upgradePerson.ts';
import type { Reading } from '../core/measures/reading.ts';
import type { KeptSetUp } from '../core/setup/keptSetUp.ts';
import type { Appointment } from '../core/sessions/appointment.ts';
import type { Session } from '../core/sessions/session.ts';
import type { SetUp } from '../core/setup/setUp.ts';
import { completePerson, type Person } from '../core/person/person.ts';

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
};

/** People stored before a field was kept get it empty. */
const completePeople = (transaction: Transaction): PromiseLike<unknown> =>
  transaction
    .table<PersonRow>('people')
    .toCollection()
    .modify((row) => {
      row.person = completePerson(row.person);
    });

function open(): StillwaterDatabase {
  // Strict durability: what the screen calls saved survives a crash of the browser.
  const database = new Dexie('stillwater', {
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
  return database;
}

export const db = open();
