import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, it } from 'vitest';
import { db } from '../../src/data/database.ts';
import {
  addPerson,
  listPeople,
  loadRecord,
  removePerson,
  restorePerson,
  changePerson,
} from '../../src/data/people.ts';
import { importFile, listUndo, planImport, undoImport } from '../../src/data/merging.ts';
import { findStopSigns } from '../../src/core/cautions/stopSigns.ts';
import { findLatestReading, removeReading, saveReading } from '../../src/data/readings.ts';
import { keepForPerson, listSetUps, removeSetUp } from '../../src/data/setUps.ts';
import { getUnit, setUnit } from '../../src/data/settings.ts';
import {
  checkPersonFile,
  writePersonFile,
  type PersonFile,
} from '../../src/core/formats/personFile.ts';
import { recordOf, REFERENCE } from '../support/people.ts';

function fileOf(changes: Record<string, unknown> = {}): PersonFile {
  const value = { ...(JSON.parse(writePersonFile(recordOf(REFERENCE))) as object), ...changes };
  const checked = checkPersonFile(value, null);
  if (!checked.ok) throw new Error(checked.problems[0]?.message);
  return checked.value.file;
}

beforeEach(async () => {
  await Promise.all([
    db.people.clear(),
    db.readings.clear(),
    db.settings.clear(),
    db.setUps.clear(),
    db.stamps.clear(),
    db.undo.clear(),
  ]);
});

describe('people in the browser', () => {
  it('are added, saved and loaded', async () => {
    const id = await addPerson('Ada Marsh');
    const record = await loadRecord(id);
    await changePerson(record!.person.id, () => ({ experience: 'seasoned' }));
    expect((await loadRecord(id))?.person).toMatchObject({
      name: 'Ada Marsh',
      experience: 'seasoned',
    });
    expect(await loadRecord('nobody')).toBeNull();
  });

  it('bring and take their kept set-ups, which can be removed and put back', async () => {
    const kept = {
      id: 'k1',
      pose: 'triangle',
      level: null,
      side: 'left',
      keptAt: '2026-11-20T10:00:00Z',
      rules: {},
      moved: null,
      reason: 'steadier',
      settings: [],
      rulesVersion: 2,
    } as const;
    await importFile(fileOf({ setUps: [kept] }));
    expect(await listSetUps('test')).toEqual([kept]);
    const removed = await removeSetUp('test', 'k1');
    expect(await listSetUps('test')).toEqual([]);
    await keepForPerson('test', removed!);
    expect(await listSetUps('test')).toEqual([kept]);
    // They are no unknown field of the person's.
    expect(await loadRecord('test')).not.toHaveProperty('setUps');
    expect(await removeSetUp('test', 'nothing')).toBeNull();
  });

  it('are removed in a way that can be undone', async () => {
    const id = await addPerson('Ada Marsh');
    await removePerson(id);
    expect((await listPeople())[0]?.deletedAt).not.toBeNull();
    await restorePerson(id);
    expect((await listPeople())[0]?.deletedAt).toBeNull();
  });

  it('come in from a file and go out the same, unknown fields too', async () => {
    await importFile(fileOf({ school: 'kiln room' }));
    const record = await loadRecord('test');
    const out = JSON.parse(writePersonFile(record!)) as Record<string, unknown>;
    expect(out.school).toBe('kiln room');
    const byId = (list: readonly { id: string }[]): unknown[] =>
      [...list].sort((a, b) => a.id.localeCompare(b.id));
    expect(byId(record!.readings)).toEqual(byId(fileOf().readings));
  });

  it('are told what an import would change before it does', async () => {
    const file = fileOf();
    expect(await planImport(file)).toMatchObject({
      isNewPerson: true,
      removedAt: null,
      added: { reading: file.readings.length },
    });
    await importFile(file);
    const [first, second, ...others] = file.readings;
    await saveReading('test', { ...first!, value: first!.value + 1 });
    await removeReading('test', second!.id);
    await changePerson('test', () => ({ notes: 'a long drive' }));
    const older = {
      ...file,
      readings: [first!, second!, ...others.slice(0, 5), { ...first!, id: 'new' }],
    };
    const plan = await planImport(older);
    expect(plan).toMatchObject({ isNewPerson: false, added: { reading: 1 }, staysRemoved: 1 });
    expect(plan.changes).toEqual([]);
    expect(plan.stays.map(({ what }) => what)).toEqual(['notes', 'reading: Height']);
    expect(plan.stays[1]).toMatchObject({
      from: `${String(first!.value + 1)} cm`,
      to: `${String(first!.value)} cm`,
    });
    await importFile(older);
    const record = await loadRecord('test');
    expect(record?.readings).toHaveLength(file.readings.length);
    expect(record?.readings.find(({ id }) => id === first!.id)?.value).toBe(first!.value + 1);
    expect(record?.person.notes).toBe('a long drive');
  });

  it('lose no stop sign to an older file, and an import can be taken back', async () => {
    const file = fileOf();
    await importFile(file);
    const sign = {
      id: 'tingling',
      uid: 'here',
      side: null,
      since: null,
      severity: 'stop',
    } as const;
    const none = { clearedBy: null, clearedAt: null, note: '' };
    await changePerson('test', () => ({ cautions: [{ ...sign, ...none }] }));
    const elsewhere = {
      ...file,
      person: {
        ...file.person,
        name: 'Ada M.',
        cautions: [
          { ...sign, ...none, uid: 'there', clearedBy: 'a doctor', clearedAt: '2026-11-01' },
        ],
      },
      changes: { stamps: { 'person/name': '9000000000000-0000-there' }, removed: {} },
    };
    const id = await importFile(elsewhere);
    const merged = (await loadRecord('test'))!.person;
    expect(merged.name).toBe('Ada M.');
    expect(findStopSigns(merged)).toHaveLength(1);
    expect(merged.cautions.map(({ uid }) => uid)).toEqual(['here', 'there']);
    // What is changed after it counts as later, however wrong the other clock was.
    await changePerson('test', () => ({ experience: 'seasoned' }));
    expect((await db.clock.toArray())[0]!.last > '9000000000000').toBe(true);
    expect((await listUndo()).map((each) => each.id)).toContain(id);
    await undoImport(id);
    const back = (await loadRecord('test'))!.person;
    expect(back.name).toBe(file.person.name);
    expect(back.experience).toBe('seasoned');
    expect(back.cautions.map(({ uid }) => uid)).toEqual(['here']);
    expect(await listUndo()).toHaveLength(1);
  });

  it('go when the import that brought them is taken back', async () => {
    const id = await importFile(fileOf());
    await undoImport(id);
    expect((await listPeople())[0]?.deletedAt).not.toBeNull();
  });

  it('are imported all or nothing', async () => {
    const file = fileOf();
    const broken = {
      ...file,
      readings: [...file.readings, { ...file.readings[0]!, id: undefined as unknown as string }],
    };
    await expect(importFile(broken)).rejects.toThrow();
    expect(await db.people.count()).toBe(0);
    expect(await db.readings.count()).toBe(0);
  });
});

describe('readings and settings', () => {
  it('are stored at once, corrected in place and removed', async () => {
    const [reading] = fileOf().readings;
    await saveReading('p', reading!);
    await saveReading('p', { ...reading!, value: 171 });
    expect(await db.readings.toArray()).toMatchObject([{ personId: 'p', value: 171 }]);
    expect(await findLatestReading('p')).toBe(reading!.takenAt);
    await removeReading('p', reading!.id);
    expect(await findLatestReading('p')).toBeNull();
  });

  it('remember the unit', async () => {
    expect(await getUnit()).toBe('cm');
    await setUnit('in');
    expect(await getUnit()).toBe('in');
  });
});
