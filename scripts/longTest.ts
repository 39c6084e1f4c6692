/**
 * The long tests: `npm run test:long -- kills=300 bodies=100000`. First the slow laws in full
 * size. What is done of the rest is written to test-results/long.json after every part; started
 * again, it goes on from there.
 */
import { spawn, spawnSync } from 'node:child_process';
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { tryBodies } from '../tests/long/bodies.ts';
import { tryKills } from '../tests/long/kills.ts';

const FILE = 'test-results/long.json';
const PORT = 4394;
const BASE = `http://localhost:${String(PORT)}`;
const SEED = 20_261_130;

interface Part {
  readonly tried: number;
  readonly failed: readonly string[];
  readonly slowestMs: number;
}
type State = Readonly<Record<'kills' | 'bodies', Part>> & { readonly serverPeakMb: number };

const NOTHING: Part = { tried: 0, failed: [], slowestMs: 0 };

function readState(): State {
  try {
    return JSON.parse(readFileSync(FILE, 'utf8')) as State;
  } catch {
    return { kills: NOTHING, bodies: NOTHING, serverPeakMb: 0 };
  }
}

const readCount = (name: string, fallback: number): number => {
  const given = process.argv.find((each) => each.startsWith(`${name}=`));
  return given === undefined ? fallback : Number(given.slice(name.length + 1));
};

const add = (before: Part, { tried, failed, slowestMs }: Part): Part => ({
  tried: before.tried + tried,
  failed: [...before.failed, ...failed],
  slowestMs: Math.max(before.slowestMs, slowestMs),
});

/** Laws that try fewer bodies in the usual run. */
const laws = spawnSync('npx', ['vitest', 'run', 'tests/core/solver/optimality.test.ts'], {
  env: { ...process.env, LONG_TESTS: '1' },
  stdio: 'inherit',
});

const server = spawn(process.execPath, ['server.mjs'], {
  env: { ...process.env, PORT: String(PORT) },
  stdio: ['ignore', 'pipe', 'inherit'],
});
await new Promise((resolve) => server.stdout.once('data', resolve));

/** The most memory that the server has had, MB; 0 where the system does not tell. */
function findPeakMb(): number {
  try {
    const status = readFileSync(`/proc/${String(server.pid)}/status`, 'utf8');
    return Math.round(Number(/VmHWM:\s+(\d+)/.exec(status)?.[1] ?? 0) / 1024);
  } catch {
    return 0;
  }
}

let state = readState();
const STEPS = { kills: 20, bodies: 2_000 } as const;
const TRY = { kills: tryKills, bodies: tryBodies } as const;

mkdirSync('test-results', { recursive: true });
try {
  for (const [name, wanted] of [
    ['bodies', readCount('bodies', 2_000)],
    ['kills', readCount('kills', 20)],
  ] as const) {
    while (state[name].tried < wanted) {
      const from = state[name].tried;
      const to = Math.min(wanted, from + STEPS[name]);
      const part = add(state[name], await TRY[name](from, to, SEED, BASE));
      const serverPeakMb = Math.max(state.serverPeakMb, findPeakMb());
      state = { ...state, [name]: part, serverPeakMb };
      writeFileSync(FILE, `${JSON.stringify(state, null, 2)}\n`);
      console.log(
        `${name}: ${String(part.tried)} of ${String(wanted)}, ${String(part.failed.length)} failed, slowest ${part.slowestMs.toFixed(0)} ms, server at most ${String(serverPeakMb)} MB`,
      );
    }
  }
} finally {
  server.kill('SIGINT');
}
const failed = [...state.kills.failed, ...state.bodies.failed];
for (const each of failed) console.error(each);
process.exitCode = failed.length === 0 && laws.status === 0 ? 0 : 1;
