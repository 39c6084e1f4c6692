import { db } from './database.ts';
import type { PictureRow } from './rows.ts';

export async function savePicture(picture: PictureRow): Promise<void> {
  await db.pictures.put(picture);
}

/** Deletes a picture; the numbers read from it stay. */
export async function deletePicture(id: string): Promise<void> {
  await db.pictures.delete(id);
}

/** Every picture of a person, newest first. */
export async function listPicturesOf(personId: string): Promise<PictureRow[]> {
  const rows = await db.pictures.where('personId').equals(personId).toArray();
  return rows.sort((a, b) => b.takenAt.localeCompare(a.takenAt));
}

/** Pictures of one measure of a person, newest first. */
export async function listPictures(personId: string, measure: string): Promise<PictureRow[]> {
  return (await listPicturesOf(personId)).filter((each) => each.measure === measure);
}

export const countPictures = (): Promise<number> => db.pictures.count();

export const countPicturesOf = (personId: string): Promise<number> =>
  db.pictures.where('personId').equals(personId).count();
