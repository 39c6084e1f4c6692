import { strToU8, zipSync, type Zippable } from 'fflate';
import { writeOwnCopy, type CopiedPicture } from '../../core/extract/writeOwnCopy.ts';
import { writePersonFile } from '../../core/formats/personFile.ts';
import { loadPersonFile } from '../../data/merging.ts';
import { listPicturesOf } from '../../data/pictures.ts';
import { nameField } from '../shared/fieldWords.ts';
import { saveFile } from '../shared/saveFile.ts';
import { writeDate } from '../shared/writeValue.ts';

/** Hands out everything of a person: a page to read, its pictures, and the person file. */
export async function saveOwnCopy(personId: string): Promise<void> {
  const file = await loadPersonFile(personId);
  if (file === null) return;
  const files: Zippable = { 'person.json': strToU8(writePersonFile(file)) };
  const pictures: CopiedPicture[] = [];
  for (const [i, { blob, measure, takenAt }] of (await listPicturesOf(personId)).entries()) {
    const path = `pictures/${String(i + 1)}.${blob.type.split('/')[1] ?? 'bin'}`;
    files[path] = [new Uint8Array(await blob.arrayBuffer()), { level: 0 }];
    pictures.push({ path, measure, takenAt });
  }
  const madeAt = new Date().toISOString();
  const page = writeOwnCopy({ file, pictures, madeAt, writeDate, nameField });
  files['read-me-first.html'] = strToU8(page);
  const name = `${file.person.name} own copy.zip`;
  saveFile(name, zipSync(files), 'application/zip');
}
