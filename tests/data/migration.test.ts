import 'fake-indexeddb/auto';
import Dexie from 'dexie';
import { completePerson, type PersonGiven } from '../../src/core/person/person.ts';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';

/** What each version of the database added to the one before. */
const ADDED: readonly Readonly<Record<string, string>>[] = [
  { people: 'id', readings: '[personId+id], personId', settings: 'key' },
  {},
  { pictures: 'id, personId' },
  { setUps: '[personId+id], personId' },
  {
    sessions: '[personId+id], personId',
    frozenSetUps: '[personId+sessionId+hold], [personId+sessionId]',
    appointments: '[personId+id], personId',
  },
  {},
  { stamps: '[personId+path], personId', clock: 'id', undo: 'id, personId' },
];
const CHANGED_AT = '2026-09-01T09:00:00Z';
const PERSON = {
  id: 'old',
  name: 'Ada Marsh',
  experience: 'steady',
  cautions: [],
  notes: 'kind',
  // Chosen schools came with version 4, under the names of then until version 6.
  schools: [{ pose: 'warrior-two', rule: 'heelLine', option: 'hip-rails', chosenAt: CHANGED_AT }],
};
const READING = {
  personId: 'old',
  id: 'r1',
  measure: 'stature',
  side: null,
  value: 170,
  unit: 'cm',
  raw: null,
  instrument: 'tape',
  posture: null,
  state: null,
  takenAt: CHANGED_AT,
  note: '',
};
const hasPlainNames = (version: number): boolean => version >= 6;

/** The rows that a browser of this version may hold. */
function rowsOf(version: number): Readonly<Record<string, readonly object[]>> {
  const heelLine = hasPlainNames(version) ? 'hip-width' : 'hip-rails';
  const error = hasPlainNames(version) ? 'legs-upright' : 'stance-short';
  const rulesVersion = hasPlainNames(version) ? { rulesVersion: 2 } : {};
  const { schools, ...unschooled } = PERSON;
  const given =
    version < 4
      ? unschooled
      : { ...PERSON, schools: schools.map((each) => ({ ...each, option: heelLine })) };
  // Version 7 filled in every field.
  const person = version < 7 ? given : completePerson(given as PersonGiven);
  const setUp = {
    personId: 'old',
    id: 's1',
    keptAt: CHANGED_AT,
    pose: 'warrior-two',
    level: null,
    side: 'right',
    rules: { heelLine },
    moved: null,
    settings: [],
    reason: '',
    ...rulesVersion,
  };
  const session = {
    personId: 'old',
    id: 'p1',
    startedAt: CHANGED_AT,
    today: null,
    holds: [{ id: '1', pose: 'warrior-two', side: 'right', rules: { heelLine }, ...rulesVersion }],
    entries: [{ kind: 'error', hold: '1', at: CHANGED_AT, error }],
  };
  const frozen = [
    { hold: '1', setUp: { pose: 'warrior-two', landmarks: { head: [0, 0, 160] } } },
    { hold: '2', setUp: { pose: 'staff', landmarks: {} } },
  ].map((each) => ({ personId: 'old', sessionId: 'p1', ...each }));
  return {
    people: [{ id: 'old', person, extra: {}, updatedAt: CHANGED_AT, deletedAt: null }],
    readings: [READING],
    settings: [{ key: 'unit', value: 'in' }],
    ...(version < 4 ? {} : { setUps: [setUp] }),
    ...(version < 5 ? {} : { sessions: [session], frozenSetUps: frozen }),
  };
}

async function storeAs(version: number): Promise<void> {
  const old = new Dexie('stillwater');
  ADDED.slice(0, version).forEach((stores, i) => old.version(i + 1).stores(stores));
  await old.open();
  for (const [store, rows] of Object.entries(rowsOf(version))) await old.table(store).bulkAdd(rows);
  old.close();
}

beforeEach(() => {
  vi.resetModules();
});

afterEach(async () => {
  const { db } = await import('../../src/data/database.ts');
  db.close();
  await Dexie.delete('stillwater');
});

const VERSIONS = [1, 2, 3, 4, 5, 6, 7];

describe.each(VERSIONS)('what version %i of the database stored', (version) => {
  it('comes up whole, under the names and with the fields of today', async () => {
    await storeAs(version);
    const { loadRecord } = await import('../../src/data/people.ts');
    const { db } = await import('../../src/data/database.ts');
    const record = await loadRecord('old');
    expect(record?.person).toMatchObject({ name: 'Ada Marsh', notes: 'kind', history: [] });
    expect(record?.person).toMatchObject({ notDone: [], cautionsAskedAt: null });
    expect(record?.person.intake.consentToData).toBeNull();
    expect(record?.person.schools).toHaveLength(version < 4 ? 0 : 1);
    if (version >= 4) expect(record?.person.schools[0]).toMatchObject({ option: 'hip-width' });
    const { personId, ...reading } = READING;
    expect(record?.readings).toEqual([reading]);
    expect(await db.settings.get('unit')).toEqual({ key: 'unit', value: 'in' });
    const setUps = await db.setUps.toArray();
    expect(setUps).toHaveLength(version < 4 ? 0 : 1);
    if (version >= 4) {
      // Set-ups made before the rules had a version count as made by the first.
      const rulesVersion = hasPlainNames(version) ? 2 : 1;
      expect(setUps[0]).toMatchObject({ rules: { heelLine: 'hip-width' }, rulesVersion });
    }
    const sessions = await db.sessions.toArray();
    expect(sessions).toHaveLength(version < 5 ? 0 : 1);
    if (version >= 5) {
      expect(sessions[0]).toMatchObject({ holds: [{ rules: { heelLine: 'hip-width' } }] });
      expect(sessions[0]!.entries[0]).toMatchObject({ error: 'legs-upright' });
    }
    // Postures of the first rules, and set-ups without a posture, are solved again.
    const frozen = (await db.frozenSetUps.toArray()).map(({ hold }) => hold);
    expect(frozen).toEqual(hasPlainNames(version) ? ['1'] : []);
  });
});

// Later versions store the time of every change themselves.
it.each(VERSIONS.filter((version) => version < 7))(
  'what version %i stored counts as changed when its person last was',
  async (version) => {
    await storeAs(version);
    const { db } = await import('../../src/data/database.ts');
    const stamps = await db.stamps.where('personId').equals('old').toArray();
    const paths = stamps.map(({ path }) => path);
    expect(paths).toContain('person/name');
    expect(paths.filter((path) => path.startsWith('reading'))).toHaveLength(1);
    for (const { stamp } of stamps) {
      expect(stamp).toMatch(new RegExp(`^${String(Date.parse(CHANGED_AT))}-`));
    }
    expect((await db.clock.toArray())[0]?.last).toBe(stamps[0]?.stamp);
  },
);
