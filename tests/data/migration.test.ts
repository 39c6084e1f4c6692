import 'fake-indexeddb/auto';
import Dexie from 'dexie';
import { expect, it } from 'vitest';

it('people stored by the first version come up with empty intake, history and tests not done', async () => {
  const first = new Dexie('stillwater');
  first.version(1).stores({ people: 'id', readings: '[personId+id], personId', settings: 'key' });
  const old = { id: 'old', name: 'Ada Marsh', experience: 'steady', cautions: [], notes: 'kind' };
  await first.table('people').add({
    id: 'old',
    person: old,
    extra: {},
    updatedAt: '2026-09-01T09:00:00Z',
    deletedAt: null,
  });
  first.close();
  const { loadRecord } = await import('../../src/data/people.ts');
  const record = await loadRecord('old');
  expect(record?.person).toMatchObject({ ...old, history: [], notDone: [] });
  expect(record?.person.intake.consentToData).toBeNull();
  // What was stored before changes had their time counts as changed when the person last was.
  const { db } = await import('../../src/data/database.ts');
  const stamps = await db.stamps.where('personId').equals('old').toArray();
  expect(stamps.find(({ path }) => path === 'person/name')?.stamp).toMatch(
    new RegExp(`^${String(Date.parse('2026-09-01T09:00:00Z'))}-`),
  );
});
