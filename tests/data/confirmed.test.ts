import 'fake-indexeddb/auto';
import { liveQuery } from 'dexie';
import { beforeEach, expect, it, vi } from 'vitest';
import { keepSetUp } from '../../src/core/whatIf/keptSetUp.ts';
import { db } from '../../src/data/database.ts';
import { keepForPerson, listSetUps, removeSetUp } from '../../src/data/setUps.ts';
import { REFERENCE } from '../support/people.ts';
import { planPlain } from '../support/plan.ts';

type Put = (this: IDBObjectStore, value: unknown, key?: IDBValidKey) => IDBRequest<IDBValidKey>;

const PERSON = 'ada';
const kept = keepSetUp(planPlain(REFERENCE, 'triangle'), {
  id: 'kept',
  keptAt: '2026-05-04T10:00:00.000Z',
  rules: {},
  moved: null,
  reason: '',
});

beforeEach(async () => {
  await Promise.all(db.tables.map((each) => each.clear()));
});

/** What the next writes do: every one is stored, and then its transaction ends with `end`. */
function endWritesWith(end: (transaction: IDBTransaction) => void): () => void {
  // A slow disk: the end of the transaction is not at once.
  const commit = vi.spyOn(IDBTransaction.prototype, 'commit').mockReturnValue();
  const original = Reflect.get(IDBObjectStore.prototype, 'put') as Put;
  const put = vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(function (
    this: IDBObjectStore,
    ...given
  ) {
    const request = original.apply(this, given);
    const wait = (left: number): void => {
      if (left === 0) end(this.transaction);
      else
        this.count().onsuccess = () => {
          wait(left - 1);
        };
    };
    wait(50);
    return request;
  });
  return () => {
    commit.mockRestore();
    put.mockRestore();
  };
}

it('shows nothing before its transaction is complete, and nothing of one that is aborted', async () => {
  const shown: string[][] = [];
  const watching = liveQuery(() => listSetUps(PERSON)).subscribe((all) => {
    shown.push(all.map(({ id }) => id));
  });
  await expect.poll(() => shown).toEqual([[]]);
  const restore = endWritesWith((transaction) => {
    transaction.abort();
  });
  const isStored = await keepForPerson(PERSON, kept)
    .then(
      () => true,
      () => false,
    )
    .finally(restore);
  expect(isStored).toBe(false);
  expect(shown.flat()).toEqual([]);
  await keepForPerson(PERSON, kept);
  await expect.poll(() => shown.at(-1)).toEqual(['kept']);
  watching.unsubscribe();
});

it('stores and removes nothing whose time of change finds no room', async () => {
  await keepForPerson(PERSON, kept);
  const original = Reflect.get(IDBObjectStore.prototype, 'put') as Put;
  const put = vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(function (
    this: IDBObjectStore,
    ...given
  ) {
    if (this.name === 'stamps') throw new DOMException('full', 'QuotaExceededError');
    return original.apply(this, given);
  });
  try {
    await expect(removeSetUp(PERSON, 'kept')).rejects.toThrow('full');
    await expect(keepForPerson(PERSON, { ...kept, id: 'other' })).rejects.toThrow('full');
  } finally {
    put.mockRestore();
  }
  expect((await listSetUps(PERSON)).map(({ id }) => id)).toEqual(['kept']);
});
