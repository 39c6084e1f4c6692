import 'fake-indexeddb/auto';
import { expect, it } from 'vitest';
import { closeOutOfDate, db, onOutOfDate } from '../../src/data/database.ts';
import { addPerson } from '../../src/data/people.ts';

/** A newer version of the app opens the database and upgrades it. */
const openNewer = (): Promise<IDBDatabase> =>
  new Promise((resolve, reject) => {
    const request = indexedDB.open('stillwater', (db.verno + 1) * 10);
    request.onsuccess = () => {
      resolve(request.result);
    };
    request.onerror = () => {
      reject(new Error('It did not open.'));
    };
  });

it('an older tab makes way for an upgrade, says so, and writes no more', async () => {
  let told = 0;
  onOutOfDate(() => {
    told += 1;
    closeOutOfDate();
  });
  await addPerson('Ada');
  const newer = await openNewer();
  expect(told).toBeGreaterThan(0);
  await expect(addPerson('Rea')).rejects.toMatchObject({ inner: { name: 'VersionError' } });
  // Opened again, it still does not write with what it knows of an older version.
  await expect(db.open()).rejects.toMatchObject({ name: 'VersionError' });
  expect(newer.version).toBe((db.verno + 1) * 10);
  const rows = await new Promise<unknown[]>((resolve) => {
    const all = newer.transaction('people').objectStore('people').getAll();
    all.onsuccess = () => {
      resolve(all.result as unknown[]);
    };
  });
  expect(rows).toHaveLength(1);
});
