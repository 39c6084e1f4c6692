import { useLiveQuery } from 'dexie-react-hooks';
import { toGuestRecord } from '../../core/classes/guest.ts';
import { findClassCupboard, MOST_PEOPLE, type YogaClass } from '../../core/classes/yogaClass.ts';
import type { PersonRecord, RevisedRecord } from '../../core/person/person.ts';
import type { PropItem } from '../../core/props/propList.ts';
import { withHeldPoses } from '../../core/sessions/heldPoses.ts';
import type { Session } from '../../core/sessions/session.ts';
import { USUAL_STUDIO, type Studio, type StudioForSetUps } from '../../core/studio/studio.ts';
import { db } from '../../data/database.ts';
import { loadRecord } from '../../data/people.ts';
import { reviseRecord } from '../../data/reviseRecord.ts';
import { listSessions } from '../../data/sessions.ts';
import { getStudio, getStudioForSetUps } from '../../data/studio.ts';
import { whenOpen } from '../shared/whenOpen.ts';

/** Somebody of a class, with all that they are planned from. */
export interface ClassMember {
  readonly id: string;
  readonly name: string;
  readonly isGuest: boolean;
  readonly record: RevisedRecord;
  /** All of them, the one that is being led among them. */
  readonly sessions: readonly Session[];
  /** What they are planned from: what is noted in the class that is being taught changes nothing yet. */
  readonly past: readonly Session[];
}

/** Who is in a class, and what it may use. */
export interface ClassState {
  readonly members: readonly ClassMember[];
  /** Named by the class, but removed or erased; without a name = erased. */
  readonly missing: readonly { readonly id: string; readonly name: string | null }[];
  readonly studio: Studio;
  readonly cupboard: readonly PropItem[];
}

/** A class with nothing lent, in a studio that entered nothing, is planned as everybody's own page is. */
const inStudio = (
  record: PersonRecord,
  studio: StudioForSetUps | undefined,
  lent: readonly PropItem[],
): PersonRecord => {
  if (studio === undefined && lent.length === 0) return record;
  const own = studio ?? USUAL_STUDIO;
  const { schools, wallM } = own;
  return {
    ...record,
    studio: { schools, wallM, cupboard: findClassCupboard(own.cupboard, lent) },
  };
};

async function loadPerson(
  id: string,
  studio: StudioForSetUps | undefined,
  { lent, run }: Pick<YogaClass, 'lent' | 'run'>,
): Promise<ClassMember | null> {
  const [record, sessions] = await Promise.all([loadRecord(id), listSessions(id)]);
  if (record === null) return null;
  const past = sessions.filter((each) => run === null || each.class?.meeting !== run.id);
  const revised = reviseRecord('class', inStudio(withHeldPoses(record, past), studio, lent));
  return { id, name: record.person.name, isGuest: false, record: revised, sessions, past };
}

async function load({ personIds, guests, lent, run }: YogaClass): Promise<ClassState> {
  const [studio, forSetUps] = await Promise.all([getStudio(), getStudioForSetUps()]);
  const members: ClassMember[] = [];
  const missing: ClassState['missing'][number][] = [];
  for (const id of personIds) {
    const row = await db.people.get(id);
    const member = row?.deletedAt === null ? await loadPerson(id, forSetUps, { lent, run }) : null;
    if (member !== null) members.push(member);
    else missing.push({ id, name: row?.person.name ?? null });
  }
  for (const guest of guests) {
    const record = reviseRecord('class', inStudio(toGuestRecord(guest), forSetUps, lent));
    const sessions = await listSessions(guest.id);
    members.push({ id: guest.id, name: guest.name, isGuest: true, record, sessions, past: [] });
  }
  const named = members.toSorted((a, b) => a.name.localeCompare(b.name));
  return {
    members: named.slice(0, MOST_PEOPLE),
    missing,
    studio,
    cupboard: findClassCupboard(studio.cupboard, lent),
  };
}

/** The members of a class, loaded again whenever what is stored of any of them changes. */
export const useClassMembers = (yogaClass: YogaClass): ClassState | undefined =>
  useLiveQuery(
    whenOpen(() => load(yogaClass)),
    [JSON.stringify([yogaClass.personIds, yogaClass.guests, yogaClass.lent, yogaClass.run?.id])],
  );

/** What was noted of anybody in a class. */
export const sessionsOf = ({ members }: ClassState): readonly Session[] =>
  members.flatMap(({ past }) => past);
