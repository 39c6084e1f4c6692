import Dexie, { type EntityTable, type Table } from 'dexie';
import type { Reading } from '../core/measures/reading.ts';
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
  pictures: EntityTable<PictureRow, 'id'>;
};

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
  // People stored before intake, history and tests not done were kept get them empty.
  database.version(2).upgrade((transaction) =>
    transaction
      .table<PersonRow>('people')
      .toCollection()
      .modify((row) => {
        row.person = completePerson(row.person);
      }),
  );
  database.version(3).stores({ pictures: 'id, personId' });
  return database;
}

export const db = open();
