import 'fake-indexeddb/auto';
import Dexie from 'dexie';
import { beforeEach, describe, expect, it } from 'vitest';
import { db } from '../../src/data/database.ts';
import {
  addEntries,
  insertHold,
  listSessions,
  loadFrozen,
  mergeIn,
  moveTo,
  removeSession,
  replaceHolds,
  startSession,
} from '../../src/data/sessions.ts';
import { importFile } from '../../src/data/merging.ts';
import { checkPersonFile } from '../../src/core/formats/personFile.ts';
import { keepForPerson, removeSetUp } from '../../src/data/setUps.ts';
import { keepSetUp } from '../../src/core/whatIf/keptSetUp.ts';
import { readSession } from '../../src/core/sessions/readSession.ts';
import type { PlannedPair } from '../../src/core/sessions/toPlannedHold.ts';
import { recordOf, REFERENCE } from '../support/people.ts';
import { planPlain } from '../support/plan.ts';
import { plannedHold } from '../support/sessions.ts';

const setUp = planPlain(REFERENCE, 'triangle');
const pair = (id: string): PlannedPair => ({ plan: plannedHold(id), setUp });
const PERSON = 'ada';
const load = async (id: string) => {
  const found = (await listSessions(PERSON)).find((each) => each.id === id);
  if (found === undefined) throw new Error('no session');
  return found;
};
const start = (): Promise<string> => startSession(PERSON, [pair('1'), pair('2')], null, null);

beforeEach(async () => {
  await Promise.all(db.tables.map((each) => each.clear()));
});

describe('a running session', () => {
  it('is stored with its set-ups, and what is noted with its place', async () => {
    const id = await start();
    expect([...(await loadFrozen(PERSON, id)).keys()]).toEqual(['1', '2']);
    const position = { hold: '2', stage: 'set', breath: 0 } as const;
    const isStored = await addEntries(
      PERSON,
      id,
      [{ kind: 'note', hold: '1', change: { outcome: 'done' } }],
      position,
    );
    expect(isStored).toBe(true);
    const session = await load(id);
    expect(session.position).toEqual(position);
    expect(readSession(session).holds[0]!.notes.outcome).toBe('done');
  });

  it('loses nothing when two tabs note at the same time', async () => {
    const id = await start();
    await Promise.all(
      Array.from({ length: 20 }, (_, i) =>
        addEntries(PERSON, id, [
          { kind: 'error', hold: '1', error: `error-${String(i)}`, isSeen: true },
        ]),
      ),
    );
    const { entries } = await load(id);
    expect(readSession(await load(id)).holds[0]!.notes.errors).toHaveLength(20);
    // Each has a time of its own, so that their order is clear.
    expect(new Set(entries.map((each) => each.at)).size).toBe(entries.length);
  });

  it('tells when it was removed meanwhile, and is put back with all its entries', async () => {
    const id = await start();
    await addEntries(PERSON, id, [{ kind: 'note', hold: '1', change: { breath: 'easy' } }]);
    const removed = await removeSession(PERSON, id);
    expect(await addEntries(PERSON, id, [])).toBe(false);
    expect(await moveTo(PERSON, id, { hold: '1', stage: 'log', breath: 0 })).toBe(false);
    await mergeIn(PERSON, [removed!]);
    expect(readSession(await load(id)).holds[0]!.notes.breath).toBe('easy');
  });

  it('keeps its own set-ups when a kept one is deleted, and takes new ones in their place', async () => {
    const id = await start();
    const asked = { keptAt: '2026-11-02T10:00:00Z', rules: {}, moved: null, reason: '' };
    await keepForPerson(PERSON, keepSetUp(setUp, { id: 'kept', ...asked }));
    expect(await removeSetUp(PERSON, 'kept')).not.toBeNull();
    expect((await loadFrozen(PERSON, id)).get('1')).toEqual(setUp);
    const other = planPlain(REFERENCE, 'triangle', 'left');
    await replaceHolds(PERSON, id, [{ plan: plannedHold('2', { depth: 44 }), setUp: other }]);
    const { holds } = await load(id);
    expect(holds.map((each) => each.depth)).toEqual([50, 44]);
    expect((await loadFrozen(PERSON, id)).get('2')!.side).toBe('left');
  });

  it('takes a hold in place of another, once', async () => {
    const id = await start();
    await insertHold(PERSON, id, '1', pair('1 lying'));
    await insertHold(PERSON, id, '1', pair('1 lying'));
    expect((await load(id)).holds.map((each) => each.id)).toEqual(['1', '1 lying', '2']);
  });

  it('that is written down afterwards carries the date it was held', async () => {
    const id = await startSession(PERSON, [pair('1')], null, '2026-09-03T16:00:00.000Z');
    await addEntries(PERSON, id, [{ kind: 'note', hold: '1', change: { outcome: 'done' } }]);
    const { entries } = await load(id);
    expect(entries.map((each) => each.at)).toEqual([
      '2026-09-03T16:00:00.000Z',
      '2026-09-03T16:00:00.001Z',
    ]);
  });

  it('says when there is no room left, and keeps what was there', async () => {
    const id = await start();
    await addEntries(PERSON, id, [{ kind: 'note', hold: '1', change: { breath: 'easy' } }]);
    const full = (): never => {
      throw new Dexie.QuotaExceededError('full');
    };
    db.sessions.hook('updating', full);
    const entry = { kind: 'note', hold: '1', change: { breath: 'held' } } as const;
    await expect(addEntries(PERSON, id, [entry])).rejects.toThrow();
    db.sessions.hook('updating').unsubscribe(full);
    expect(readSession(await load(id)).holds[0]!.notes.breath).toBe('easy');
  });
});

describe('sessions from a file', () => {
  it('come in beside those that are here, entry by entry', async () => {
    const record = recordOf(REFERENCE, { id: PERSON });
    const known = checkPersonFile({ format: 'stillwater.person', version: 1, ...record }, null);
    if (!known.ok) throw new Error(known.problems[0]!.message);
    await importFile(known.value.file);
    const id = await start();
    const exported = await load(id);
    await addEntries(PERSON, id, [{ kind: 'note', hold: '1', change: { breath: 'easy' } }]);
    const there = {
      ...exported,
      entries: [
        ...exported.entries,
        {
          id: 'there',
          at: '2030-01-01T10:00:00.000Z',
          kind: 'note',
          hold: '2',
          change: { breath: 'held' },
        },
      ],
    };
    const read = checkPersonFile(
      { format: 'stillwater.person', version: 1, ...record, sessions: [there] },
      null,
    );
    if (!read.ok) throw new Error(read.problems[0]!.message);
    await importFile(read.value.file);
    const { holds } = readSession(await load(id));
    expect(holds.map(({ notes }) => notes.breath)).toEqual(['easy', 'held']);
  });
});
