import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, it } from 'vitest';
import { db } from '../../src/data/database.ts';
import { PERSON_VERSION, type PersonFile } from '../../src/core/formats/personFile.ts';
import { importFile, loadPersonFile } from '../../src/data/merging.ts';
import { addPerson, changePerson, loadRecord } from '../../src/data/people.ts';
import { changeOwnCues, getCueVoice, listOwnCues, setCueVoice } from '../../src/data/settings.ts';
import type { HomeDay } from '../../src/core/person/homeDay.ts';

beforeEach(async () => {
  await db.delete();
  await db.open();
});

describe('a teacher’s own cues', () => {
  it('are kept for each teacher and pose, and taken back alone', async () => {
    expect(await listOwnCues('Ada')).toEqual({});
    expect(await changeOwnCues('Ada', 'triangle', null, 'Gaze: up')).toBeNull();
    expect(await changeOwnCues('Ada', 'chair', null, 'Gaze: ahead')).toBeNull();
    expect(await changeOwnCues('', 'triangle', null, 'Gaze: down')).toBeNull();
    expect(await listOwnCues('Ada')).toEqual({ triangle: 'Gaze: up', chair: 'Gaze: ahead' });
    expect(await changeOwnCues('Ada', 'triangle', 'Gaze: up', null)).toBeNull();
    expect(await listOwnCues('Ada')).toEqual({ chair: 'Gaze: ahead' });
    expect(await listOwnCues('')).toEqual({ triangle: 'Gaze: down' });
  });

  it('that were changed elsewhere meanwhile stay, and are handed back', async () => {
    await changeOwnCues('Ada', 'triangle', null, 'Gaze: up');
    expect(await changeOwnCues('Ada', 'triangle', null, 'Gaze: down')).toBe('Gaze: up');
    expect(await listOwnCues('Ada')).toEqual({ triangle: 'Gaze: up' });
  });

  it('are read aloud only once that was wanted', async () => {
    expect(await getCueVoice()).toBe(false);
    await setCueVoice(true);
    expect(await getCueVoice()).toBe(true);
  });
});

const day = (id: string, words: string): HomeDay => ({
  id,
  day: '2026-11-28',
  poses: ['triangle'],
  words,
  by: 'typed',
  takenInAt: '2026-11-29T08:00:00.000Z',
});

describe('days at home', () => {
  it('of two devices are all kept when their files are merged', async () => {
    const id = await addPerson('Ada');
    await changePerson(id, () => ({ home: [day('1', 'here')] }));
    const file = (await loadPersonFile(id))!;
    await changePerson(id, () => ({ home: [day('1', 'here'), day('2', 'later, here')] }));
    const elsewhere: PersonFile = {
      ...file,
      format: 'stillwater.person',
      version: PERSON_VERSION,
      person: { ...file.person, home: [day('1', 'here'), day('3', 'there')] },
    };
    await importFile(elsewhere);
    const home = (await loadRecord(id))?.person.home ?? [];
    expect(home.map(({ words }) => words).toSorted()).toEqual(['here', 'later, here', 'there']);
  });
});
