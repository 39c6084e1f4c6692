import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, it } from 'vitest';
import { db } from '../../src/data/database.ts';
import {
  addPerson,
  importFile,
  listPeople,
  loadRecord,
  planImport,
  removePerson,
  restorePerson,
  changePerson,
} from '../../src/data/people.ts';
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
      added: file.readings.length,
    });
    await importFile(file);
    const [first, ...others] = file.readings;
    const changed = {
      ...file,
      readings: [
        { ...first!, value: first!.value + 1 },
        ...others.slice(0, 5),
        { ...first!, id: 'new' },
      ],
    };
    expect(await planImport(changed)).toEqual({
      isNewPerson: false,
      added: 1,
      changed: 1,
      same: 5,
    });
    await importFile(changed);
    expect((await loadRecord('test'))?.readings).toHaveLength(file.readings.length + 1);
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
