import { wrap, type Remote } from 'comlink';
import { problem, type Result } from '../core/problems/problem.ts';
import type { HouseRules } from '../core/rules/houseRules.ts';
import type { Side } from '../core/measures/protocol.ts';
import type { PersonRecord } from '../core/person/person.ts';
import type { SetUp } from '../core/setup/setUp.ts';
import type { SetUpWorker } from './setUp.worker.ts';

const PATIENCE_SECONDS = 20;

interface Running {
  readonly worker: Worker;
  readonly remote: Remote<SetUpWorker>;
  /** Resolves when the worker dies. */
  readonly died: Promise<void>;
}

let running: Running | null = null;

function start(): Running {
  const worker = new Worker(new URL('./setUp.worker.ts', import.meta.url), { type: 'module' });
  const died = new Promise<void>((resolve) => {
    worker.addEventListener('error', () => {
      resolve();
    });
  });
  return { worker, remote: wrap<SetUpWorker>(worker), died };
}

function stop(): void {
  running?.worker.terminate();
  running = null;
}

/** Answers lately given, so that the shelf and the sheet share one solve. */
const MOST_KEPT = 80;
const kept = new Map<string, Promise<Result<SetUp>>>();

/**
 * Plans a set-up in the worker, or hands out the answer it gave to the same question.
 *
 * @param key what the answer depends on, as one text
 * @param detail `full` takes longer: ± on every number, bounds, what gives if pushed
 */
export function planInWorker(
  key: string,
  record: PersonRecord,
  poseId: string,
  side: Side,
  rules: Partial<HouseRules>,
  level: string | null = null,
  detail: 'quick' | 'full' = 'quick',
): Promise<Result<SetUp>> {
  const ownKey = `${detail} ${key}`;
  const known = kept.get(ownKey);
  if (known !== undefined) return known;
  const answer = askWorker(record, poseId, side, rules, level, detail);
  kept.set(ownKey, answer);
  if (kept.size > MOST_KEPT) kept.delete(kept.keys().next().value ?? '');
  return answer;
}

/**
 * Plans a set-up in the worker. A dead or stuck worker becomes a problem, never a hang,
 * and the next call starts a new one.
 */
async function askWorker(
  record: PersonRecord,
  poseId: string,
  side: Side,
  rules: Partial<HouseRules>,
  level: string | null,
  detail: 'quick' | 'full',
): Promise<Result<SetUp>> {
  running ??= start();
  const { remote, died } = running;
  let timer: ReturnType<typeof setTimeout> | undefined;
  const tooLong = new Promise<'took-too-long'>((resolve) => {
    timer = setTimeout(() => {
      resolve('took-too-long');
    }, PATIENCE_SECONDS * 1000);
  });
  try {
    const outcome = await Promise.race([
      detail === 'full'
        ? remote.planInFull(record, poseId, side, rules, level)
        : remote.planSetUp(record, poseId, side, rules, level),
      died.then(() => 'worker-stopped' as const),
      tooLong,
    ]);
    if (typeof outcome !== 'string') return outcome;
    stop();
    kept.clear();
    return { ok: false, problems: [problem(outcome, '', { seconds: PATIENCE_SECONDS })] };
  } catch {
    stop();
    kept.clear();
    return { ok: false, problems: [problem('worker-stopped', '')] };
  } finally {
    clearTimeout(timer);
  }
}
