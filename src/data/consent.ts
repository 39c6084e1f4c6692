import { agree, type Agreement } from '../core/person/consent.ts';
import type { Intake } from '../core/person/person.ts';
import { db } from './database.ts';
import { changePerson } from './people.ts';

export const saveAgreement = (id: string, agreement: Agreement): Promise<void> =>
  changePerson(id, (person) => ({ intake: agree(person, agreement) }));

/** Undoes an agreement: what it answered is as it was before, every other answer stays. */
export const takeBackAgreement = (id: string, before: Intake): Promise<void> => {
  const { consentToData, consentToPictures, consentWording, guardian } = before;
  return changePerson(id, ({ intake }) => ({
    intake: { ...intake, consentToData, consentToPictures, consentWording, guardian },
  }));
};

export const agreeToPictures = (id: string, at: string): Promise<void> =>
  changePerson(id, ({ intake }) => ({ intake: { ...intake, consentToPictures: at } }));

/** Withdraws the consent to pictures, and deletes them; the numbers read from them stay. */
export async function withdrawPictures(id: string): Promise<void> {
  await db.transaction('rw', db.people, db.pictures, async () => {
    await db.pictures.where('personId').equals(id).delete();
    await changePerson(id, ({ intake }) => ({ intake: { ...intake, consentToPictures: null } }));
  });
}

/** Withdraws the consent to everything. Pictures are deleted; the rest waits for a decision. */
export async function withdrawAll(id: string): Promise<void> {
  await db.transaction('rw', db.people, db.pictures, async () => {
    await withdrawPictures(id);
    await changePerson(id, ({ intake }) => ({ intake: { ...intake, consentToData: null } }));
  });
}
