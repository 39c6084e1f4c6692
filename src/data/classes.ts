import type { KeptShares } from '../core/classes/cupboard/keepShares.ts';
import { noteLeft } from '../core/classes/leadClass.ts';
import type { Guest } from '../core/classes/guest.ts';
import {
  withoutMember,
  type ClassRun,
  type Meeting,
  type YogaClass,
} from '../core/classes/yogaClass.ts';
import { agree } from '../core/person/consent.ts';
import { completePerson } from '../core/person/person.ts';
import { db } from './database.ts';
import type { NewEntry } from '../core/sessions/session.ts';
import type { PlannedPair } from '../core/sessions/toPlannedHold.ts';
import { erasePerson } from './erasing.ts';
import { addEntries, startSession } from './sessions.ts';

/** Every class, by name. */
export async function listClasses(): Promise<YogaClass[]> {
  const rows = await db.classes.toArray();
  return rows.sort((a, b) => a.name.localeCompare(b.name) || a.id.localeCompare(b.id));
}

export async function saveClass(yogaClass: YogaClass): Promise<void> {
  await db.classes.put(yogaClass);
}

/**
 * Changes a class as it is stored at this moment, whatever another tab has stored meanwhile.
 *
 * @returns the class as it was; null = it is not here any more
 */
export function changeClass(
  id: string,
  change: (yogaClass: YogaClass) => Partial<YogaClass>,
): Promise<YogaClass | null> {
  return db.transaction('rw', db.classes, async () => {
    const before = await db.classes.get(id);
    if (before === undefined) return null;
    await db.classes.put({ ...before, ...change(before) });
    return before;
  });
}

export async function removeClass(id: string): Promise<void> {
  await db.classes.delete(id);
}

const CLASS_STORES = [db.classes, db.sessions, db.frozenSetUps, db.stamps, db.clock];

/** Somebody’s holds as a class begins. */
export interface Comer {
  readonly member: string;
  readonly holds: readonly PlannedPair[];
}

/** A session in each comer’s own record, with the class named; all of them or none. */
async function startSessions(
  { id, name }: YogaClass,
  meeting: string,
  comers: readonly Comer[],
): Promise<Readonly<Record<string, string>>> {
  const sessions: Record<string, string> = {};
  for (const { member, holds } of comers) {
    const leads = { class: { id, name, meeting } };
    sessions[member] = await startSession(member, holds, null, null, leads);
  }
  return sessions;
}

/** Begins a meeting of a class. */
export async function startMeeting(
  id: string,
  comers: readonly Comer[],
  pose: string,
  kept: KeptShares,
): Promise<void> {
  await db.transaction('rw', CLASS_STORES, async () => {
    const yogaClass = await db.classes.get(id);
    // Another tab may have begun it.
    if (yogaClass === undefined || yogaClass.run !== null) return;
    const meeting = crypto.randomUUID();
    const sessions = await startSessions(yogaClass, meeting, comers);
    const present = comers.map(({ member }) => member);
    const startedAt = new Date().toISOString();
    await changeClass(id, () => ({
      run: { id: meeting, startedAt, pose, present, sessions, kept },
    }));
  });
}

/** Someone comes late, or is here again. */
export async function joinMeeting(id: string, comer: Comer): Promise<void> {
  await db.transaction('rw', CLASS_STORES, async () => {
    const yogaClass = await db.classes.get(id);
    if (yogaClass === undefined || yogaClass.run === null) return;
    const { run } = yogaClass;
    const known = run.sessions[comer.member] !== undefined;
    const added = known ? {} : await startSessions(yogaClass, run.id, [comer]);
    await changeClass(id, () => ({
      run: {
        ...run,
        present: [...new Set([...run.present, comer.member])],
        sessions: { ...run.sessions, ...added },
      },
    }));
  });
}

/** Someone leaves before the end; what was noted of them stays. */
export async function leaveMeeting(id: string, member: string): Promise<void> {
  await changeClass(id, ({ run }) => ({
    run: run === null ? null : { ...run, present: run.present.filter((each) => each !== member) },
  }));
}

/** What is noted of somebody in a class. */
export interface ClassNote {
  readonly member: string;
  readonly session: string;
  readonly entries: readonly NewEntry[];
}

/** Notes of any number of people and a step of the class, all of it or nothing. */
export async function noteInMeeting(
  id: string,
  notes: readonly ClassNote[],
  change: Partial<ClassRun> = {},
): Promise<void> {
  await db.transaction('rw', CLASS_STORES, async () => {
    for (const { member, session, entries } of notes) {
      if (entries.length > 0) await addEntries(member, session, entries);
    }
    await changeClass(id, ({ run }) => ({ run: run === null ? null : { ...run, ...change } }));
  });
}

/** Erases a guest: their place in the class, and what was noted of them. */
export async function eraseGuest(classId: string, guestId: string): Promise<void> {
  await changeClass(classId, (yogaClass) => withoutMember(yogaClass, guestId));
  await erasePerson(guestId);
}

/**
 * A guest who agrees to it becomes a person of this browser, with what was noted of them. What was
 * only estimated is not kept: they are measured as anybody else is.
 */
export async function keepGuest(classId: string, guest: Guest): Promise<void> {
  const at = new Date().toISOString();
  const { id, name, signs, askedAt } = guest;
  const asked = completePerson({
    id,
    name,
    experience: 'new',
    cautions: signs.map((sign) => ({ id: sign, severity: 'stop' })),
    cautionsAskedAt: askedAt,
  });
  const person = { ...asked, intake: agree(asked, { at, withPictures: false, guardian: '' }) };
  await db.transaction('rw', [db.classes, db.people, db.stamps, db.clock], async () => {
    await db.people.add({ id, person, extra: {}, updatedAt: at, deletedAt: null });
    await changeClass(classId, ({ guests, personIds }) => ({
      guests: guests.filter((each) => each.id !== id),
      personIds: [...personIds, id],
    }));
  });
}

/** Notes every hold of a pose that nothing was said of as done, for everyone who is here. */
async function noteRest({ present, sessions }: ClassRun, pose: string): Promise<void> {
  for (const member of present) {
    const id = sessions[member];
    const session = id === undefined ? undefined : await db.sessions.get([member, id]);
    if (session === undefined) continue;
    const entries = noteLeft(session, pose);
    if (entries.length > 0) await addEntries(member, session.id, entries);
  }
}

/**
 * Moves a class on to its next pose. It reads the stored sessions, not what the page has loaded, so
 * that a press before they are loaded loses no note. Calling it again for the same pose does nothing.
 */
export async function leavePose(id: string, pose: string, next: string): Promise<void> {
  await db.transaction('rw', CLASS_STORES, async () => {
    const run = (await db.classes.get(id))?.run;
    if (run?.pose !== pose) return;
    await noteRest(run, pose);
    await changeClass(id, () => ({ run: { ...run, pose: next } }));
  });
}

/** Ends the meeting of a class: every session ends, who came is kept, and guests are erased. */
export async function endMeeting(id: string): Promise<void> {
  const guests = await db.transaction('rw', CLASS_STORES, async () => {
    const yogaClass = await db.classes.get(id);
    const run = yogaClass?.run;
    if (yogaClass === undefined || run == null) return [];
    await noteRest(run, run.pose);
    for (const [member, session] of Object.entries(run.sessions)) {
      await addEntries(member, session, [{ kind: 'end', why: 'finished', note: '' }]);
    }
    const isGuest = (member: string): boolean => yogaClass.guests.some((g) => g.id === member);
    const present = Object.keys(run.sessions).filter((member) => !isGuest(member));
    const meeting: Meeting = { id: run.id, at: run.startedAt, present };
    await changeClass(id, ({ meetings }) => ({ run: null, meetings: [...meetings, meeting] }));
    return yogaClass.guests;
  });
  for (const guest of guests) await eraseGuest(id, guest.id);
}
