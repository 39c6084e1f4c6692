import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, it } from 'vitest';
import { packBackup } from '../../src/core/backup/packBackup.ts';
import { readBackup } from '../../src/core/backup/readBackup.ts';
import type { BackupContent } from '../../src/core/backup/backup.ts';
import { keepSetUp } from '../../src/core/whatIf/keptSetUp.ts';
import { saveAppointment } from '../../src/data/appointments.ts';
import { collectBackup, planRestore, restore } from '../../src/data/backup.ts';
import { db } from '../../src/data/database.ts';
import { withdrawAll, withdrawPictures } from '../../src/data/consent.ts';
import { eraseOverdue, erasePerson, listPastRetention } from '../../src/data/erasing.ts';
import { isAgreed } from '../../src/core/person/consent.ts';
import {
  importFile,
  listUndo,
  loadPersonFile,
  planImport,
  undoImport,
} from '../../src/data/merging.ts';
import { addPerson, addReadings, changePerson, removePerson } from '../../src/data/people.ts';
import { deletePicture, savePicture } from '../../src/data/pictures.ts';
import { startSession } from '../../src/data/sessions.ts';
import { makeClass } from '../../src/core/classes/yogaClass.ts';
import { saveClass } from '../../src/data/classes.ts';
import { setPace, setUnit } from '../../src/data/settings.ts';
import { saveFlow } from '../../src/data/flows.ts';
import { keepForPerson } from '../../src/data/setUps.ts';
import {
  PERSON_FORMAT,
  PERSON_VERSION,
  type PersonFile,
} from '../../src/core/formats/personFile.ts';
import { fileOf, recordOf, REFERENCE } from '../support/people.ts';
import { flowOf } from '../support/flows.ts';
import { planPlain } from '../support/plan.ts';
import { plannedHold } from '../support/sessions.ts';

const AGREED = '2026-05-04T10:00:00.000Z';
const setUp = planPlain(REFERENCE, 'triangle');

const clear = async (): Promise<void> => {
  await Promise.all(db.tables.map((each) => each.clear()));
};

beforeEach(clear);

/** Someone with something in every store. @returns their id */
async function fill(name: string): Promise<string> {
  const id = await addPerson(name);
  await changePerson(id, ({ intake }) => ({
    notes: 'likes the wall',
    intake: { ...intake, consentToData: AGREED, consentToPictures: AGREED },
  }));
  await addReadings(
    id,
    recordOf(REFERENCE).readings.map((each) => ({ ...each, id: `${name} ${each.id}` })),
  );
  const asked = { id: `${name} kept`, keptAt: AGREED, rules: {}, moved: null, reason: 'quiet' };
  await keepForPerson(id, keepSetUp(setUp, asked));
  await startSession(id, [{ plan: plannedHold('1'), setUp }], null, null);
  await saveFlow(id, { ...flowOf('mountain', 'triangle'), id: `${name} flow` });
  await saveAppointment(id, {
    id: `${name} next`,
    start: '2026-12-03T18:30',
    timeZone: 'Europe/Oslo',
    minutes: 60,
    weeks: 1,
    note: '',
  });
  await savePicture({
    id: `${name} picture`,
    personId: id,
    measure: 'straight-leg-raise',
    blob: new Blob([new Uint8Array([1, 2, 3, name.length])], { type: 'image/jpeg' }),
    width: 4,
    height: 3,
    takenAt: AGREED,
  });
  await saveClass({ ...makeClass(crypto.randomUUID(), 'Tuesday'), personIds: [id] });
  await setPace(id, 5);
  return id;
}

/** Every store's rows as plain values, pictures as their bytes. */
async function dump(): Promise<Record<string, unknown[]>> {
  const stores: Record<string, unknown[]> = {};
  for (const table of db.tables) stores[table.name] = await table.toArray();
  stores['pictures'] = await Promise.all(
    (await db.pictures.toArray()).map(async ({ blob, ...own }) => ({
      ...own,
      type: blob.type,
      bytes: [...new Uint8Array(await blob.arrayBuffer())],
    })),
  );
  // JSON turns -0 into 0, which toEqual would report as a difference.
  return JSON.parse(JSON.stringify(stores)) as Record<string, unknown[]>;
}

async function packAndRead(withPictures = true): Promise<BackupContent> {
  const read = await readBackup(await packBackup(await collectBackup(withPictures)));
  if (!read.ok) throw new Error(read.problems[0]!.message);
  return read.value;
}

const allOf = (content: BackupContent): ReadonlySet<string> =>
  new Set(content.stores['people']!.map(({ id }) => String(id)));

describe('a backup', () => {
  it('brings every store back as it was, into an empty browser', async () => {
    await fill('Ada');
    const gone = await fill('Rea');
    await removePerson(gone);
    const erased = await fill('Kai');
    const file = await loadPersonFile(erased);
    await importFile({ ...file!, format: PERSON_FORMAT, version: PERSON_VERSION });
    await erasePerson(erased);
    // An import that can still be taken back.
    await importFile(fileOf(recordOf(REFERENCE)));
    await setUnit('in');
    const before = await dump();
    // A store that is added later has to be filled here, and comes back only if it is backed up.
    expect(db.tables.map(({ name }) => name).filter((name) => before[name]!.length === 0)).toEqual(
      [],
    );
    const content = await packAndRead();
    await clear();
    await restore(content, allOf(content));
    const { clock: _clock, settings, ...after } = await dump();
    const { clock: _before, settings: settingsBefore, ...expected } = before;
    expect(after).toEqual(expected);
    expect(settings).toEqual(expect.arrayContaining(settingsBefore!));
  });

  it('leaves pictures out when asked, and says so', async () => {
    await fill('Ada');
    const content = await packAndRead(false);
    expect(content.withPictures).toBe(false);
    expect(content.pictures.size).toBe(0);
    expect(content.stores['pictures']).toEqual([]);
  });

  it('is merged into a browser that goes on: nothing newer is lost, and it can be taken back', async () => {
    const ada = await fill('Ada');
    const rea = await fill('Rea');
    const content = await packAndRead();
    await changePerson(ada, () => ({ notes: 'now with a chair' }));
    await deletePicture('Ada picture');
    await db.people.delete(rea);
    const plans = await planRestore(content);
    expect(plans.map(({ name, merge }) => [name, merge?.isNewPerson])).toEqual([
      ['Ada', false],
      ['Rea', true],
    ]);
    await restore(content, allOf(content));
    expect((await db.people.get(ada))!.person.notes).toBe('now with a chair');
    expect(await db.pictures.get('Ada picture')).toBeUndefined();
    expect((await db.people.get(rea))!.person.name).toBe('Rea');
    const undo = (await listUndo()).find(({ personId }) => personId === rea)!;
    await undoImport(undo.id);
    expect((await db.people.get(rea))!.deletedAt).not.toBeNull();
  });

  it('gives back one person alone', async () => {
    const ada = await fill('Ada');
    const rea = await fill('Rea');
    const content = await packAndRead();
    await clear();
    await restore(content, new Set([rea]));
    expect(await db.people.get(ada)).toBeUndefined();
    const rows = await dump();
    const owners = ['readings', 'sessions', 'pictures', 'frozenSetUps', 'setUps'].flatMap((store) =>
      (rows[store] as { personId: string }[]).map(({ personId }) => personId),
    );
    expect(new Set(owners)).toEqual(new Set([rea]));
  });

  it('keeps out a person whose rows cannot be read, and says what is wrong', async () => {
    const ada = await fill('Ada');
    await db.readings.toCollection().modify({ unit: 'furlong' as never });
    const content = await packAndRead();
    await clear();
    const [plan] = await planRestore(content);
    expect(plan!.merge).toBeNull();
    expect(plan!.problems[0]!.path).toBe('readings[0].unit');
    await restore(content, new Set([ada]));
    expect(await db.people.count()).toBe(0);
  });
});

describe('erasing someone', () => {
  it('leaves nothing of theirs in any store but the mark of their id', async () => {
    const id = await fill('Ada');
    const other = await fill('Rea');
    const file = await loadPersonFile(id);
    await importFile({ ...file!, format: PERSON_FORMAT, version: PERSON_VERSION });
    await erasePerson(id);
    const rows = Object.entries(await dump()).flatMap(([store, all]) =>
      all.map((row) => [store, JSON.stringify(row)] as const),
    );
    const left = rows.filter(([, row]) => row.includes(id) || row.includes('Ada'));
    expect(left.map(([store, row]) => [store, (JSON.parse(row) as { path: string }).path])).toEqual(
      [['stamps', 'erased']],
    );
    expect(rows.some(([store, row]) => store === 'readings' && row.includes(other))).toBe(true);
  });
});

describe('what is kept too long', () => {
  const DAY = 86_400_000;

  it('is erased 30 days after it was removed, not before', async () => {
    const id = await fill('Ada');
    await removePerson(id);
    await eraseOverdue(Date.now() + 29 * DAY);
    expect(await db.people.get(id)).toBeDefined();
    await eraseOverdue(Date.now() + 31 * DAY);
    expect(await db.people.get(id)).toBeUndefined();
    expect(await db.readings.count()).toBe(0);
  });

  it('is listed when nothing was written for longer than the period', async () => {
    const id = await fill('Ada');
    const latest = Date.parse('2026-12-03T18:30');
    expect(await listPastRetention(null, latest + 4000 * DAY)).toEqual([]);
    expect(await listPastRetention(12, latest + 360 * DAY)).toEqual([]);
    expect(await listPastRetention(12, latest + 370 * DAY)).toEqual([
      { id, name: 'Ada', lastAt: '2026-12-03T18:30' },
    ]);
  });
});

describe('withdrawing', () => {
  it('deletes pictures, here and where the withdrawal is merged', async () => {
    const id = await fill('Ada');
    const before = await packAndRead();
    await withdrawPictures(id);
    expect(await db.pictures.count()).toBe(0);
    const file = (await loadPersonFile(id))!;
    // The other device still has them, and hears of it by a file.
    await clear();
    await restore(before, allOf(before));
    expect(await db.pictures.count()).toBe(1);
    await importFile({ ...file, format: PERSON_FORMAT, version: PERSON_VERSION });
    expect(await db.pictures.count()).toBe(0);
    // An old backup does not bring them back.
    await restore(before, allOf(before));
    expect(await db.pictures.count()).toBe(0);
  });

  it('of everything leaves the data for a decision, and says so in the history', async () => {
    const id = await fill('Ada');
    await withdrawAll(id);
    const { person } = (await db.people.get(id))!;
    expect(isAgreed(person)).toBe(false);
    expect(person.history.at(-1)).toMatchObject({ field: 'consentToData', to: '' });
    expect(await db.readings.count()).toBeGreaterThan(0);
  });
});

it('asks before someone who was erased comes back with a file', async () => {
  const id = await fill('Ada');
  const file: PersonFile = {
    ...(await loadPersonFile(id))!,
    format: PERSON_FORMAT,
    version: PERSON_VERSION,
  };
  await erasePerson(id);
  expect((await planImport(file)).erasedAt).not.toBeNull();
  await importFile(file);
  expect((await planImport(file)).erasedAt).toBeNull();
});
