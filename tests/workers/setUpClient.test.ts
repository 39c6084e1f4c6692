import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { PERSON } from '../support/people.ts';

const RECORD = { person: PERSON, readings: [], revision: '1' };

/** What the page's side of a worker can see; each test decides how it behaves. */
class FakeWorker extends EventTarget {
  static made: FakeWorker[] = [];
  static answer: ((worker: FakeWorker, message: { id: string }) => void) | null = null;
  terminated = false;

  constructor() {
    super();
    FakeWorker.made.push(this);
  }

  postMessage(message: { id: string }): void {
    FakeWorker.answer?.(this, message);
  }

  terminate(): void {
    this.terminated = true;
  }

  /** Sends a value back as comlink's wire format does. */
  reply(id: string, value: unknown): void {
    this.dispatchEvent(new MessageEvent('message', { data: { id, type: 'RAW', value } }));
  }
}

const plan = async (key: string): Promise<unknown> => {
  const { planInWorker } = await import('../../src/workers/setUpClient.ts');
  return planInWorker(key, RECORD, 'warrior-two', 'right', {});
};

beforeEach(() => {
  vi.resetModules();
  FakeWorker.made = [];
  FakeWorker.answer = null;
  vi.stubGlobal('Worker', FakeWorker);
});

afterEach(() => {
  vi.unstubAllGlobals();
  vi.useRealTimers();
});

describe('asking the worker for a set-up', () => {
  it('hands its answer on, and keeps it for the same question', async () => {
    let asked = 0;
    FakeWorker.answer = (worker, { id }) => {
      asked += 1;
      worker.reply(id, { ok: true, value: `answer ${String(asked)}` });
    };
    expect(await plan('a')).toEqual({ ok: true, value: 'answer 1' });
    expect(await plan('a')).toEqual({ ok: true, value: 'answer 1' });
    expect(await plan('b')).toEqual({ ok: true, value: 'answer 2' });
    expect(FakeWorker.made).toHaveLength(1);
  });

  it('turns a dead worker into a problem, and starts a new one for the next question', async () => {
    FakeWorker.answer = (worker) => {
      worker.dispatchEvent(new Event('error'));
    };
    expect(await plan('a')).toMatchObject({ ok: false, problems: [{ code: 'worker-stopped' }] });
    expect(FakeWorker.made[0]?.terminated).toBe(true);
    FakeWorker.answer = (worker, { id }) => {
      worker.reply(id, { ok: true, value: 'well again' });
    };
    // The failed answer is not kept.
    expect(await plan('a')).toEqual({ ok: true, value: 'well again' });
    expect(FakeWorker.made).toHaveLength(2);
  });

  it('turns a stuck worker into a problem that says how long it waited', async () => {
    vi.useFakeTimers();
    const waiting = plan('a');
    await vi.advanceTimersByTimeAsync(25_000);
    const outcome = await waiting;
    expect(outcome).toMatchObject({ ok: false, problems: [{ code: 'took-too-long' }] });
    expect(JSON.stringify(outcome)).toContain('20 s');
    expect(FakeWorker.made[0]?.terminated).toBe(true);
  });

  it('asks quick questions again when a slow one stops the worker they wait in', async () => {
    vi.useFakeTimers();
    // The first worker is stuck; every later one answers with its own number.
    FakeWorker.answer = (worker, { id }) => {
      const number = FakeWorker.made.indexOf(worker);
      if (number > 0) worker.reply(id, { ok: true, value: `by worker ${String(number)}` });
    };
    const slow = plan('slow');
    await vi.advanceTimersByTimeAsync(15_000);
    const quick = [plan('one'), plan('two')];
    await vi.advanceTimersByTimeAsync(6_000);
    expect(await slow).toMatchObject({ ok: false, problems: [{ code: 'took-too-long' }] });
    expect(await Promise.all(quick)).toEqual([
      { ok: true, value: 'by worker 1' },
      { ok: true, value: 'by worker 1' },
    ]);
    expect(FakeWorker.made.map(({ terminated }) => terminated)).toEqual([true, false]);
  });

  it('gives a question that is asked again its own patience, and never stops a newer worker', async () => {
    vi.useFakeTimers();
    const stuck = plan('stuck');
    await vi.advanceTimersByTimeAsync(15_000);
    const waiting = plan('waiting');
    await vi.advanceTimersByTimeAsync(6_000);
    expect(await stuck).toMatchObject({ problems: [{ code: 'took-too-long' }] });
    // Asked again at 20 s: the time it has waited before does not count.
    await vi.advanceTimersByTimeAsync(15_000);
    expect(FakeWorker.made.map(({ terminated }) => terminated)).toEqual([true, false]);
    await vi.advanceTimersByTimeAsync(6_000);
    expect(await waiting).toMatchObject({ problems: [{ code: 'took-too-long' }] });
    expect(FakeWorker.made.map(({ terminated }) => terminated)).toEqual([true, true]);
  });
});
