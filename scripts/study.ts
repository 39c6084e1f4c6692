/** How every pose and level comes out for many made-up people: rates, percentiles and what sets them; or, with --sweeps, how smoothly numbers follow one measure. Use: npm run study [-- --bodies 300] [--sweeps] [--json FILE]. */
import { writeFileSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { parseArgs } from 'node:util';
import { isMainThread, parentPort, Worker, workerData } from 'node:worker_threads';
import { makeStudyBodies, type StudyBody } from './study/bodies.ts';
import { printStudy } from './study/report.ts';
import { solveBody, type Solved } from './study/solveBody.ts';
import { printSweeps, sweepBody, type Sweep } from './study/sweepBody.ts';

const SEED = 20_261_129;

interface Share {
  readonly bodies: number;
  readonly isSweep: boolean;
  readonly worker: number;
  readonly workers: number;
}

const takeShare = <Row>(
  { bodies, worker, workers }: Share,
  run: (body: StudyBody, index: number) => readonly Row[],
): readonly Row[] =>
  makeStudyBodies(bodies, SEED).flatMap((body, i) => (i % workers === worker ? run(body, i) : []));

const runWorker = <Row>(share: Share): Promise<readonly Row[]> =>
  new Promise((resolve, reject) => {
    const worker = new Worker(new URL(import.meta.url), { workerData: share });
    worker.once('message', resolve);
    worker.once('error', reject);
  });

/** Every body's rows, by one worker a core. */
async function runAll<Row extends { readonly body: number }>(
  bodies: number,
  isSweep: boolean,
): Promise<readonly Row[]> {
  const workers = Math.max(1, availableParallelism());
  const shares = await Promise.all(
    Array.from({ length: workers }, (_, worker) =>
      runWorker<Row>({ bodies, isSweep, worker, workers }),
    ),
  );
  return shares.flat().sort((a, b) => a.body - b.body);
}

if (isMainThread) {
  const { values } = parseArgs({
    options: {
      bodies: { type: 'string' },
      sweeps: { type: 'boolean', default: false },
      json: { type: 'string' },
    },
  });
  const bodies = Number(values.bodies ?? (values.sweeps ? '40' : '300'));
  const started = performance.now();
  if (values.sweeps) {
    printSweeps(await runAll<Sweep>(bodies, true));
  } else {
    const solved = await runAll<Solved>(bodies, false);
    if (values.json !== undefined) writeFileSync(values.json, JSON.stringify(solved));
    printStudy(solved);
  }
  const seconds = (performance.now() - started) / 1000;
  console.log(`\n${String(bodies)} bodies, seed ${String(SEED)}, ${seconds.toFixed(0)} s`);
} else {
  const share = workerData as Share;
  parentPort!.postMessage(
    share.isSweep ? takeShare(share, sweepBody) : takeShare(share, solveBody),
  );
}
