import { availableParallelism } from 'node:os';
import PQueue from 'p-queue';
import { Piscina } from 'piscina';
import { tasks, type Tasks } from './tasks.ts';

/** How long one task may take once it runs, ms. Our choice: the slowest usual one takes a tenth. */
const LIMIT_MS = {
  setUp: 2_000,
  classProps: 3_000,
  flow: 15_000,
  classSettings: 30_000,
} as const satisfies Record<keyof Tasks, number>;

/** A fresh thread compiles the solver while it solves: it may take this many times as long. Our choice. */
const COLD_FACTOR = 2;

/** Tasks that wait for a thread; more are turned away. Our choice. */
const MOST_WAITING = 32;

/** One task may not take the memory of the others, MB. */
const MOST_MEMORY_MB = 512;

/** What became of a task. */
export type TaskOutcome<Answer> =
  | { readonly kind: 'answered'; readonly answer: Answer }
  /** Too many were waiting. */
  | { readonly kind: 'busy' }
  | { readonly kind: 'took-too-long' }
  /** The one who asked has gone. */
  | { readonly kind: 'abandoned' }
  /** The thread ended, for want of memory perhaps. */
  | { readonly kind: 'stopped' };

type TaskResult<Name extends keyof Tasks> = Awaited<ReturnType<Tasks[Name]>>;

/**
 * Worker threads that solve, so that the server’s own thread is free to answer. A task that
 * takes too long, or that nobody waits for any more, is stopped together with its thread.
 */
export class Solver {
  private readonly pool: Piscina;
  private readonly queue: PQueue;
  /** A first thread has loaded what it runs. */
  private readonly isReady: Promise<unknown>;
  /** No thread was stopped since the last answer, so that the next task finds a warm one. */
  private isWarm = false;

  /** @param file the bundled worker */
  constructor(file: string, threads = Math.max(1, availableParallelism() - 1)) {
    this.queue = new PQueue({ concurrency: threads });
    this.pool = new Piscina({
      filename: file,
      minThreads: 1,
      maxThreads: threads,
      resourceLimits: { maxOldGenerationSizeMb: MOST_MEMORY_MB },
    });
    this.isReady = this.pool.run({ name: 'ready' });
  }

  async solve<Name extends keyof Tasks>(
    name: Name,
    asked: Parameters<Tasks[Name]>[0],
    gone: AbortSignal,
  ): Promise<TaskOutcome<TaskResult<Name>>> {
    if (this.queue.size >= MOST_WAITING) return { kind: 'busy' };
    const late = new AbortController();
    try {
      const answer = await this.queue.add(() => this.run({ name, asked }, gone, late), {
        signal: gone,
      });
      return { kind: 'answered', answer: answer as TaskResult<Name> };
    } catch {
      if (gone.aborted) return { kind: 'abandoned' };
      return { kind: late.signal.aborted ? 'took-too-long' : 'stopped' };
    }
  }

  /** Runs a task on a thread; its time counts from here. */
  private async run(
    task: { readonly name: keyof Tasks; readonly asked: unknown },
    gone: AbortSignal,
    late: AbortController,
  ): Promise<unknown> {
    await this.isReady;
    const limit = LIMIT_MS[task.name] * (this.isWarm ? 1 : COLD_FACTOR);
    const timer = setTimeout(() => {
      late.abort();
    }, limit);
    this.isWarm = false;
    try {
      const signal = AbortSignal.any([gone, late.signal]);
      const answer = (await this.pool.run(task, { signal })) as unknown;
      this.isWarm = true;
      return answer;
    } finally {
      clearTimeout(timer);
    }
  }

  /** Ends the threads. */
  close(): Promise<void> {
    return this.pool.destroy();
  }
}

/** Set by the server; without it, as in tests of one endpoint, tasks run where they are asked. */
const file = process.env['STILLWATER_SOLVER'];

let solver: Solver | null = null;

export async function solveTask<Name extends keyof Tasks>(
  name: Name,
  asked: Parameters<Tasks[Name]>[0],
  gone: AbortSignal,
): Promise<TaskOutcome<TaskResult<Name>>> {
  if (file === undefined) {
    const task = tasks[name] as (
      given: typeof asked,
    ) => TaskResult<Name> | Promise<TaskResult<Name>>;
    return { kind: 'answered', answer: await task(asked) };
  }
  solver ??= new Solver(file);
  return solver.solve(name, asked, gone);
}
