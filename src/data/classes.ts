import { withoutMember, type Meeting, type YogaClass } from '../core/classes/yogaClass.ts';
import { db } from './database.ts';
import { erasePerson } from './erasing.ts';

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

/** Erases a guest: their place in the class, and what was noted of them. */
export async function eraseGuest(classId: string, guestId: string): Promise<void> {
  await changeClass(classId, (yogaClass) => withoutMember(yogaClass, guestId));
  await erasePerson(guestId);
}

/**
 * Ends the meeting of a class: who came is kept, and guests are erased.
 *
 * @param meeting null = nobody came
 */
export async function endMeeting(id: string, meeting: Meeting | null): Promise<void> {
  const before = await changeClass(id, ({ meetings }) => ({
    run: null,
    meetings: meeting === null ? meetings : [...meetings, meeting],
  }));
  for (const guest of before?.guests ?? []) await eraseGuest(id, guest.id);
}
