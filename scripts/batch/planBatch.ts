import { once } from 'node:events';
import { availableParallelism } from 'node:os';
import { createInterface } from 'node:readline';
import type { Readable, Writable } from 'node:stream';
import { Piscina } from 'piscina';
import type { Chunk } from './answerLines.worker.ts';

/** So many lines go to a thread at once: enough that handing them over costs little. */
const CHUNK_LINES = 16;
/** So many chunks a thread are under way: what is read waits in memory no longer than that. */
const CHUNKS_A_THREAD = 2;

/** Lines in pieces, each with the number of its first one. */
async function* readChunks(input: Readable, now: string): AsyncGenerator<Chunk> {
  let lines: string[] = [];
  let first = 1;
  for await (const line of createInterface({ input, crlfDelay: Infinity })) {
    lines.push(line);
    if (lines.length < CHUNK_LINES) continue;
    yield { lines, first, now };
    first += lines.length;
    lines = [];
  }
  if (lines.length > 0) yield { lines, first, now };
}

/**
 * Plans requests, one a line, and writes one answer a line in the same order. Every core works; the
 * memory that it takes does not grow with the number of lines. A line that cannot be planned is
 * answered in its place.
 *
 * @param input NDJSON
 * @param output NDJSON
 * @param threads how many work at once
 * @returns how many lines were read
 */
export async function planBatch(
  input: Readable,
  output: Writable,
  threads = availableParallelism(),
): Promise<number> {
  const pool = new Piscina<Chunk, readonly string[]>({
    filename: new URL('answerLines.worker.ts', import.meta.url).href,
    minThreads: threads,
    maxThreads: threads,
  });
  const now = new Date().toISOString();
  const underWay: Promise<readonly string[]>[] = [];
  let count = 0;
  const writeFirst = async (): Promise<void> => {
    const answers = await underWay.shift()!;
    count += answers.length;
    if (!output.write(answers.map((each) => `${each}\n`).join(''))) await once(output, 'drain');
  };
  try {
    for await (const chunk of readChunks(input, now)) {
      underWay.push(pool.run(chunk));
      if (underWay.length >= threads * CHUNKS_A_THREAD) await writeFirst();
    }
    while (underWay.length > 0) await writeFirst();
  } finally {
    await pool.destroy();
  }
  return count;
}
