import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, it } from 'vitest';
import { makeClass, type YogaClass } from '../../src/core/classes/yogaClass.ts';
import { noteLeft } from '../../src/core/classes/leadClass.ts';
import { readSession } from '../../src/core/sessions/readSession.ts';
import {
  changeClass,
  endMeeting,
  eraseGuest,
  joinMeeting,
  keepGuest,
  leaveMeeting,
  leavePose,
  listClasses,
  noteInMeeting,
  removeClass,
  saveClass,
  startMeeting,
} from '../../src/data/classes.ts';
import { db } from '../../src/data/database.ts';
import { erasePerson } from '../../src/data/erasing.ts';
import { addPerson, loadRecord } from '../../src/data/people.ts';
import { listSessions } from '../../src/data/sessions.ts';
import { isAgreed } from '../../src/core/person/consent.ts';
import { planPlain } from '../support/plan.ts';
import { REFERENCE } from '../support/people.ts';
import { plannedHold } from '../support/sessions.ts';

const setUp = planPlain(REFERENCE, 'triangle');
const holds = [{ plan: plannedHold('triangle right', { pose: 'triangle' }), setUp }];
const GUEST = {
  id: 'guest',
  name: 'Gudrun Vask',
  statureCm: 168,
  preset: 'usual' as const,
  signs: [],
  askedAt: '2026-12-01T08:00:00.000Z',
};

let ada = '';
let kai = '';
const load = async (): Promise<YogaClass> => (await db.classes.get('class'))!;

beforeEach(async () => {
  await Promise.all(db.tables.map((each) => each.clear()));
  ada = await addPerson('Ada Brink');
  kai = await addPerson('Kai Mole');
  await saveClass({
    ...makeClass('class', 'Early'),
    personIds: [ada, kai],
    guests: [GUEST],
    poses: ['triangle'],
  });
});

const begin = (): Promise<void> =>
  startMeeting(
    'class',
    [ada, GUEST.id].map((member) => ({ member, holds })),
    'triangle',
    {},
  );

describe('a class in the browser', () => {
  it('is changed as it is stored, removed, and put back', async () => {
    const before = await changeClass('class', () => ({ name: 'Late' }));
    expect(before!.name).toBe('Early');
    expect((await listClasses()).map(({ name }) => name)).toEqual(['Late']);
    await removeClass('class');
    expect(await changeClass('class', () => ({ name: 'Gone' }))).toBeNull();
    expect(await listClasses()).toEqual([]);
  });

  it('begins a session in each record with the class named, once, whoever presses twice', async () => {
    await begin();
    await begin();
    const [session, ...others] = await listSessions(ada);
    expect(others).toEqual([]);
    const { run } = await load();
    expect(session!.class).toEqual({ id: 'class', name: 'Early', meeting: run!.id });
    expect(run!.sessions[ada]).toBe(session!.id);
    expect(await listSessions(kai)).toEqual([]);
  });

  it('lets somebody come late, go and come again, with one session', async () => {
    await begin();
    await joinMeeting('class', { member: kai, holds });
    await leaveMeeting('class', kai);
    await joinMeeting('class', { member: kai, holds });
    expect(await listSessions(kai)).toHaveLength(1);
    expect((await load()).run!.present).toEqual([ada, GUEST.id, kai]);
  });

  it('notes a pose that is left as planned, but not over what was noted', async () => {
    await begin();
    const { run } = await load();
    const session = run!.sessions[ada]!;
    const [fresh] = await listSessions(ada);
    expect(noteLeft(fresh!, 'pyramid')).toEqual([]);
    const error = {
      kind: 'error',
      hold: 'triangle right',
      error: 'hip-creeps',
      isSeen: true,
    } as const;
    await noteInMeeting('class', [{ member: ada, session, entries: [error] }]);
    const [noted] = await listSessions(ada);
    expect(noteLeft(noted!, 'triangle')).toEqual([]);
    expect(noteLeft(fresh!, 'triangle')).toMatchObject([
      { kind: 'note', hold: 'triangle right', change: { outcome: 'done' } },
    ]);
    expect(readSession(noted!).holds[0]!.notes.errors).toEqual(['hip-creeps']);
  });

  it('stores a step of the class and all notes of it, or nothing', async () => {
    await begin();
    const { run } = await load();
    const entries = [{ kind: 'note', hold: 'triangle right', change: { isHarder: true } }] as const;
    const bad = { kind: 'note', hold: 'x', change: () => undefined } as never;
    const session = run!.sessions[ada]!;
    await expect(
      noteInMeeting(
        'class',
        [
          { member: ada, session, entries },
          { member: GUEST.id, session: run!.sessions[GUEST.id]!, entries: [bad] },
        ],
        { pose: 'pyramid' },
      ),
    ).rejects.toThrow();
    expect((await load()).run!.pose).toBe('triangle');
    expect(readSession((await listSessions(ada))[0]!).holds[0]!.at).toBeNull();
  });

  it('leaves a pose once, with what nobody noted, however early the press comes', async () => {
    await begin();
    await Promise.all([
      leavePose('class', 'triangle', 'pyramid'),
      leavePose('class', 'triangle', 'pyramid'),
    ]);
    expect((await load()).run!.pose).toBe('pyramid');
    for (const member of [ada, GUEST.id]) {
      const [session] = await listSessions(member);
      expect(readSession(session!).holds[0]!.notes.outcome).toBe('done');
      expect(session!.entries.filter(({ kind }) => kind === 'note')).toHaveLength(1);
    }
    await leavePose('class', 'triangle', 'low-lunge');
    expect((await load()).run!.pose).toBe('pyramid');
  });

  it('does not note for whoever has gone', async () => {
    await begin();
    await leaveMeeting('class', ada);
    await leavePose('class', 'triangle', 'pyramid');
    expect(readSession((await listSessions(ada))[0]!).holds[0]!.at).toBeNull();
  });

  it('ends with who came, and nothing is left of a guest', async () => {
    await begin();
    await endMeeting('class');
    const after = await load();
    expect(after.run).toBeNull();
    expect(after.meetings.map(({ present }) => present)).toEqual([[ada]]);
    expect(after.guests).toEqual([]);
    const ended = readSession((await listSessions(ada))[0]!);
    expect(ended.ended?.why).toBe('finished');
    expect(ended.holds[0]!.notes.outcome).toBe('done');
    expect(await listSessions(GUEST.id)).toEqual([]);
    const left = (await db.frozenSetUps.toArray()).filter((each) => each.personId === GUEST.id);
    expect(left).toEqual([]);
    expect(JSON.stringify(await db.classes.toArray())).not.toContain(GUEST.name);
  });

  it('keeps a guest who agrees, with what was noted, and measures them later', async () => {
    await begin();
    await keepGuest('class', { ...GUEST, signs: ['tingling'] });
    const record = await loadRecord(GUEST.id);
    expect(isAgreed(record!.person)).toBe(true);
    expect(record!.readings).toEqual([]);
    expect(record!.person.cautions.map(({ id, severity }) => [id, severity])).toEqual([
      ['tingling', 'stop'],
    ]);
    expect(await listSessions(GUEST.id)).toHaveLength(1);
    const { guests, personIds } = await load();
    expect([guests, personIds]).toEqual([[], [ada, kai, GUEST.id]]);
  });

  it('loses a person who is erased, and a guest who is', async () => {
    await begin();
    await erasePerson(ada);
    await eraseGuest('class', GUEST.id);
    const { personIds, guests, run } = await load();
    expect([personIds, guests]).toEqual([[kai], []]);
    expect(run!.present).toEqual([]);
    expect(run!.sessions).toEqual({});
  });
});
