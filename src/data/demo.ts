import type { YogaClass } from '../core/classes/yogaClass.ts';
import { readPersonFile } from '../core/formats/personFile.ts';
import { db } from './database.ts';
import { importFile } from './merging.ts';

async function fetchText(path: string): Promise<string> {
  const answer = await fetch(path);
  if (!answer.ok) throw new Error(`${path} answered ${String(answer.status)}`);
  return answer.text();
}

/**
 * Takes in the made-up people that ship with the app, from files in its own format, and their
 * class, and only into an empty database.
 *
 * @returns how many came in
 */
export async function loadDemoIfEmpty(): Promise<number> {
  if ((await db.people.count()) > 0) return 0;
  const ids = JSON.parse(await fetchText('/demo/index.json')) as string[];
  const texts = await Promise.all(ids.map((id) => fetchText(`/demo/${id}.json`)));
  for (const text of texts) {
    const read = readPersonFile(text, null);
    if (!read.ok) throw new Error(`A demo file is broken: ${read.problems[0]?.message ?? ''}`);
    await importFile(read.value.file);
  }
  await db.classes.bulkPut(JSON.parse(await fetchText('/demo-classes.json')) as YogaClass[]);
  // Nobody was here before: there is nothing to take back.
  await db.undo.clear();
  return texts.length;
}
