import { wrap, type Remote } from 'comlink';
import { problem, type Result } from '../core/problems/problem.ts';
import type { SetUpWorker } from './setUp.worker.ts';

interface Running {
  readonly worker: Worker;
  readonly remote: Remote<SetUpWorker>;
  /** Resolves when the worker dies. */
  readonly died: Promise<void>;
  /** Resolves when the worker is stopped because another question took too long. */
  readonly stopped: Promise<void>;
  readonly stop: () => void;
}

/** Resolves when a question is not wanted any more. */
const untilAborted = (signal: AbortSignal | null): Promise<void> =>
  new Promise((resolve) => {
    signal?.addEventListener('abort', () => {
      resolve();
    });
  });

type Call<Answer> = (remote: Remote<SetUpWorker>) => Promise<Result<Answer>>;

/** Why a question has no answer. */
type Unanswered = 'took-too-long' | 'worker-stopped';

/**
 * One worker and its questions. A dead or stuck one becomes a problem, never a hang. A
 * question that takes too long stops only the worker that it was asked of; the others that
 * waited there are asked once more of the next one.
 */
export class Lane {
  private running: Running | null = null;
  private readonly asked = new Set<Promise<unknown>>();

  constructor(private readonly patienceSeconds: number) {}

  async ask<Answer>(
    call: Call<Answer>,
    signal: AbortSignal | null = null,
  ): Promise<Result<Answer>> {
    const answer = this.askUntilAnswered(call, signal);
    this.asked.add(answer);
    try {
      return await answer;
    } finally {
      this.asked.delete(answer);
    }
  }

  private async askUntilAnswered<Answer>(
    call: Call<Answer>,
    signal: AbortSignal | null,
  ): Promise<Result<Answer>> {
    let outcome = await this.askOnce(call, signal);
    if (outcome === 'stopped-for-another') outcome = await this.askOnce(call, signal);
    if (outcome === 'stopped-for-another') outcome = 'worker-stopped';
    if (typeof outcome !== 'string') return outcome;
    return { ok: false, problems: [problem(outcome, '', { seconds: this.patienceSeconds })] };
  }

  private async askOnce<Answer>(
    call: Call<Answer>,
    signal: AbortSignal | null,
  ): Promise<Result<Answer> | Unanswered | 'stopped-for-another'> {
    const asked = (this.running ??= Lane.start());
    let timer: ReturnType<typeof setTimeout> | undefined;
    const tooLong = new Promise<'took-too-long'>((resolve) => {
      timer = setTimeout(() => {
        resolve('took-too-long');
      }, this.patienceSeconds * 1000);
    });
    try {
      const outcome = await Promise.race([
        call(asked.remote),
        asked.died.then(() => 'worker-stopped' as const),
        untilAborted(signal).then(() => 'worker-stopped' as const),
        asked.stopped.then(() => 'stopped-for-another' as const),
        tooLong,
      ]);
      if (outcome === 'took-too-long' || outcome === 'worker-stopped') this.stop(asked);
      return outcome;
    } catch {
      this.stop(asked);
      return 'worker-stopped';
    } finally {
      clearTimeout(timer);
    }
  }

  /** Resolves when all that was asked until now is answered. */
  async idle(): Promise<void> {
    await Promise.allSettled(this.asked);
  }

  private static start(): Running {
    const worker = new Worker(new URL('./setUp.worker.ts', import.meta.url), { type: 'module' });
    const died = new Promise<void>((resolve) => {
      worker.addEventListener('error', () => {
        resolve();
      });
    });
    let stop = (): void => undefined;
    const stopped = new Promise<void>((resolve) => {
      stop = resolve;
    });
    return { worker, remote: wrap<SetUpWorker>(worker), died, stopped, stop };
  }

  /** The next question starts a new worker. A newer one than this goes on. */
  private stop(asked: Running): void {
    asked.worker.terminate();
    if (this.running === asked) this.running = null;
    asked.stop();
  }
}
