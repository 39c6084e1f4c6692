import { build } from 'esbuild';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { Solver } from '../../src/server/solving/solver.ts';

/** A worker whose tasks last as long as they are asked to, in place of solving. */
const SLOW_WORKER = `
  module.exports = ({ name, asked }) => {
    if (name === 'ready') return true;
    if (asked === 'crash') process.exit(1);
    const end = Date.now() + asked;
    while (Date.now() < end);
    return 'done';
  };
`;

let solver: Solver;
beforeAll(async () => {
  const outfile = join(mkdtempSync(join(tmpdir(), 'solver-')), 'worker.cjs');
  await build({ stdin: { contents: SLOW_WORKER }, outfile, format: 'cjs', platform: 'node' });
  solver = new Solver(outfile, 1);
});
afterAll(() => solver.close());

const ask = (ms: number | 'crash', gone = new AbortController().signal) =>
  solver.solve('setUp', ms as never, gone).then(({ kind }) => kind);

describe('the solving threads', () => {
  it('stop what takes longer than its limit, and go on with the next', async () => {
    const slow = ask(60_000);
    const next = ask(1);
    expect(await slow).toBe('took-too-long');
    expect(await next).toBe('answered');
  });

  it('stop what nobody waits for any more, running or waiting', async () => {
    const [running, waiting] = [new AbortController(), new AbortController()];
    const asked = [ask(60_000, running.signal), ask(60_000, waiting.signal)];
    const last = ask(1);
    waiting.abort();
    running.abort();
    expect(await Promise.all(asked)).toEqual(['abandoned', 'abandoned']);
    expect(await last).toBe('answered');
  });

  it('turn away what would wait behind too many', async () => {
    const gone = new AbortController();
    const asked = Array.from({ length: 40 }, () => ask(60_000, gone.signal));
    // One runs and 32 wait.
    expect(await Promise.all(asked.slice(33))).toEqual(Array.from({ length: 7 }, () => 'busy'));
    gone.abort();
    await Promise.all(asked);
    expect(await ask(1)).toBe('answered');
  });

  it('say so when a thread ends, and start another', async () => {
    expect(await ask('crash')).toBe('stopped');
    expect(await ask(1)).toBe('answered');
  });
});
