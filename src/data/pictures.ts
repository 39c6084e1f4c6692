import { db, type PictureRow } from './database.ts';

export async function savePicture(picture: PictureRow): Promise<void> {
  await db.pictures.put(picture);
}

/** Deletes a picture; the numbers read from it stay. */
export async function deletePicture(id: string): Promise<void> {
  await db.pictures.delete(id);
}

/** Pictures of one measure of a person, newest first. */
export async function listPictures(personId: string, measure: string): Promise<PictureRow[]> {
  const rows = await db.pictures.where('personId').equals(personId).toArray();
  return rows
    .filter((each) => each.measure === measure)
    .sort((a, b) => b.takenAt.localeCompare(a.takenAt));
}
