import type { Reading } from '../core/measures/reading.ts';
import { findChanges } from '../core/person/history.ts';
import { completePerson, type Person, type PersonRecord } from '../core/person/person.ts';
import { withHeldPoses } from '../core/sessions/heldPoses.ts';
import { listSessions } from './sessions.ts';
import { db } from './database.ts';
import type { PersonRow, ReadingRow } from './rows.ts';

const now = (): string => new Date().toISOString();

function toReading(row: ReadingRow): Reading {
  const { personId, ...reading } = row;
  return reading;
}

/** Everyone, by name; removed people too, marked by `deletedAt`. */
export async function listPeople(): Promise<PersonRow[]> {
  const rows = await db.people.toArray();
  return rows.sort((a, b) => a.person.name.localeCompare(b.person.name));
}

/** A person with every reading, oldest first; null when there is none of this id. */
export async function loadRecord(id: string): Promise<PersonRecord | null> {
  const row = await db.people.get(id);
  if (row === undefined) return null;
  const readings = await db.readings.where('personId').equals(id).toArray();
  readings.sort((a, b) => a.takenAt.localeCompare(b.takenAt) || a.id.localeCompare(b.id));
  return { ...row.extra, person: row.person, readings: readings.map(toReading) };
}

/** The same person with the poses that were held in logged sessions, to be planned for. */
export async function loadRecordWithHeld(id: string): Promise<PersonRecord | null> {
  const [record, sessions] = await Promise.all([loadRecord(id), listSessions(id)]);
  return record === null ? null : withHeldPoses(record, sessions);
}

export async function addPerson(name: string): Promise<string> {
  const id = crypto.randomUUID();
  const person = completePerson({ id, name, experience: 'new' });
  await db.people.add({ id, person, extra: {}, updatedAt: now(), deletedAt: null });
  return id;
}

/**
 * Changes what is stored of a person, whatever has been stored meanwhile. What changed of
 * their answers goes into their history.
 */
export async function changePerson(
  id: string,
  change: (person: Person) => Partial<Person>,
): Promise<void> {
  await db.transaction('rw', db.people, async () => {
    const row = await db.people.get(id);
    if (row === undefined) return;
    const at = now();
    const person = { ...row.person, ...change(row.person) };
    const history = [...person.history, ...findChanges(row.person, person, at)];
    await db.people.update(id, { person: { ...person, history }, updatedAt: at });
  });
}

/** One answer of a person as text: how it is read, and what it changes. */
export interface PersonAnswer {
  readonly read: (person: Person) => string;
  readonly write: (person: Person, text: string) => Partial<Person>;
}

/**
 * Stores an answer, but only over the one it was read from.
 *
 * @returns what was stored meanwhile from elsewhere, and stays; null = it is stored
 */
export async function changeAnswer(
  id: string,
  answer: PersonAnswer,
  from: string,
  to: string,
): Promise<string | null> {
  return db.transaction('rw', db.people, async () => {
    const row = await db.people.get(id);
    if (row === undefined) throw new Error('This person is not here any more.');
    const now = answer.read(row.person);
    if (now !== from && now !== to) return now;
    await changePerson(id, (person) => answer.write(person, to));
    return null;
  });
}

/** Removes a person in a way that can be undone. */
export async function removePerson(id: string): Promise<void> {
  await db.people.update(id, { deletedAt: now() });
}

export async function restorePerson(id: string): Promise<void> {
  await db.people.update(id, { deletedAt: null });
}

/**
 * Adds readings to a person, all or nothing. A reading whose id is here already stays as it
 * is: a table that comes in twice changes nothing.
 *
 * @returns how many were new
 */
export async function addReadings(personId: string, readings: readonly Reading[]): Promise<number> {
  return db.transaction('rw', db.readings, async () => {
    const known = new Set(
      (await db.readings.where('personId').equals(personId).toArray()).map((each) => each.id),
    );
    const fresh = readings.filter((each) => !known.has(each.id));
    await db.readings.bulkPut(fresh.map((each): ReadingRow => ({ ...each, personId })));
    return fresh.length;
  });
}
