/** How every pose and level comes out for many made-up people: rates, percentiles and what sets them. Use: npm run study [-- --bodies 300] [--json FILE]. */
import { writeFileSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { parseArgs } from 'node:util';
import { isMainThread, parentPort, Worker, workerData } from 'node:worker_threads';
import { makeStudyBodies } from './study/bodies.ts';
import { printStudy } from './study/report.ts';
import { solveBody, type Solved } from './study/solveBody.ts';

const SEED = 20_261_129;

interface Share {
  readonly bodies: number;
  readonly worker: number;
  readonly workers: number;
}

function solveShare({ bodies, worker, workers }: Share): readonly Solved[] {
  return makeStudyBodies(bodies, SEED).flatMap((body, i) =>
    i % workers === worker ? solveBody(body, i) : [],
  );
}

const runWorker = (share: Share): Promise<readonly Solved[]> =>
  new Promise((resolve, reject) => {
    const worker = new Worker(new URL(import.meta.url), { workerData: share });
    worker.once('message', resolve);
    worker.once('error', reject);
  });

if (isMainThread) {
  const { values } = parseArgs({
    options: {
      bodies: { type: 'string', default: '300' },
      json: { type: 'string' },
    },
  });
  const bodies = Number(values.bodies);
  const workers = Math.max(1, availableParallelism());
  const started = performance.now();
  const shares = await Promise.all(
    Array.from({ length: workers }, (_, worker) => runWorker({ bodies, worker, workers })),
  );
  const solved = shares.flat().sort((a, b) => a.body - b.body);
  if (values.json !== undefined) writeFileSync(values.json, JSON.stringify(solved));
  printStudy(solved);
  const seconds = (performance.now() - started) / 1000;
  console.log(`\n${String(bodies)} bodies, seed ${String(SEED)}, ${seconds.toFixed(0)} s`);
} else {
  parentPort!.postMessage(solveShare(workerData as Share));
}
