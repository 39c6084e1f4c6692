import { strToU8, zipSync } from 'fflate';
import { packBackup } from '../../src/core/backup/packBackup.ts';
import { readBackup } from '../../src/core/backup/readBackup.ts';
import { readPersonFile, writePersonFile } from '../../src/core/formats/personFile.ts';
import {
  guessMapping,
  planCsv,
  readCsv,
  writeReadingsCsv,
} from '../../src/core/formats/readingsCsv.ts';
import { checkRules } from '../../src/core/formats/rulesFile.ts';
import { USUAL_PROPS } from '../../src/core/props/propList.ts';
import { mutate, mutateText } from '../support/mutate.ts';
import { recordOf, REFERENCE } from '../support/people.ts';
import { makeRandom } from '../support/random.ts';

const NOW = '2026-11-30T09:00:00Z';
const record = recordOf(REFERENCE);
const personText = writePersonFile(record);
const person = JSON.parse(personText) as Record<string, unknown>;
const csvText = writeReadingsCsv(record.readings);
const setUpRequest = { person, pose: 'pyramid', side: 'right', rules: {}, detail: 'quick' };
const classRequest = {
  props: USUAL_PROPS,
  needs: [
    { person: 'Vesna', heightCm: 22, hands: 1 },
    { person: 'Tove', heightCm: 3, hands: 2 },
  ],
};
const backup = await packBackup({
  madeAt: NOW,
  withPictures: false,
  stores: { people: [{ id: 'ada', person: person['person'] }], readings: [], pictures: [] },
  pictures: new Map(),
});

/** Where mutated bodies go: an endpoint of a server, or a reader of files. */
type Target = (random: () => number, baseURL: string) => Promise<void>;

/** A body as JSON, mutated as a value or as text. */
const mutateBody = (good: unknown, random: () => number): string =>
  random() < 0.5 ? JSON.stringify(mutate(good, random)) : mutateText(JSON.stringify(good), random);

const postTo =
  (path: string, good: unknown): Target =>
  async (random, baseURL) => {
    const answer = await fetch(`${baseURL}${path}`, {
      method: 'POST',
      body: mutateBody(good, random),
      headers: { 'content-type': 'application/json' },
    });
    await answer.arrayBuffer();
    if (![200, 400, 422].includes(answer.status))
      throw new Error(`${path} answered ${String(answer.status)}`);
  };

/** Readers of files answer problems and never throw. */
const READERS: readonly Target[] = [
  async (random) => {
    readPersonFile(mutateBody(person, random), NOW);
    await Promise.resolve();
  },
  async (random) => {
    const read = readCsv(mutateText(csvText, random));
    if (read.ok) planCsv(read.value, guessMapping(read.value.columns), NOW);
    await Promise.resolve();
  },
  async (random) => {
    checkRules(mutate({ stance: 'fixed', fixedStanceCm: 91, provisional: true }, random));
    await Promise.resolve();
  },
  async (random) => {
    const bytes = backup.slice();
    for (let i = 0; i < 3; i += 1)
      bytes[Math.floor(random() * bytes.length)] = Math.floor(random() * 256);
    await readBackup(bytes);
  },
  async (random) => {
    const manifest = mutate(
      { format: 'stillwater.backup', version: 1, counts: {}, files: [] },
      random,
    );
    await readBackup(zipSync({ 'manifest.json': strToU8(JSON.stringify(manifest)) }));
  },
];

const ENDPOINTS: readonly Target[] = [
  postTo('/api/set-up', setUpRequest),
  postTo('/api/class-props', classRequest),
];

export interface BodiesReport {
  readonly tried: number;
  readonly failed: readonly string[];
  readonly slowestMs: number;
}

/**
 * Mutated bodies to both endpoints of a server and to every reader of files. The same seed
 * and number give the same body.
 *
 * @param baseURL null = the readers only
 */
export async function tryBodies(
  from: number,
  to: number,
  seed: number,
  baseURL: string | null,
): Promise<BodiesReport> {
  const targets = baseURL === null ? READERS : [...ENDPOINTS, ...READERS];
  const failed: string[] = [];
  let slowestMs = 0;
  for (let i = from; i < to; i += 1) {
    const target = targets[i % targets.length]!;
    const start = performance.now();
    try {
      await target(makeRandom(seed + i), baseURL ?? '');
    } catch (error) {
      failed.push(`body ${String(i)}: ${String(error)}`);
    }
    slowestMs = Math.max(slowestMs, performance.now() - start);
  }
  return { tried: to - from, failed, slowestMs };
}
