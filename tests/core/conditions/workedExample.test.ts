import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { buildSync } from 'esbuild';
import { afterAll, expect, it } from 'vitest';

/** A piece of code of docs/model.md by the file it names. */
function readPiece(file: string): string {
  const [, code] = new RegExp(`\`\`\`ts ${file}\\n([\\s\\S]*?)\`\`\``).exec(
    readFileSync('docs/model.md', 'utf8'),
  ) ?? [null, null];
  if (code == null) throw new Error(`docs/model.md has no piece for ${file}`);
  return code;
}

/** A copy of the core to which the document's quantity is added. */
const folder = mkdtempSync(join(tmpdir(), 'stillwater-quantity-'));

afterAll(() => {
  rmSync(folder, { recursive: true });
});

function insert(file: string, before: string, piece: string): void {
  const path = join(folder, 'src/core', file);
  const text = readFileSync(path, 'utf8');
  if (!text.includes(before)) throw new Error(`${file} has no ${before}`);
  writeFileSync(path, text.replace(before, piece + before));
}

/** Plans the goddess squat of the same document, with or without a must on the new quantity. */
const ENTRY = `
import { planPose } from './src/core/setup/planSetUp.ts';
import { solvePose } from './src/core/planning/solvePose.ts';
import { distance } from './src/core/geometry/vector.ts';
import { contextOf, PLAIN_RULES, SUPPLE } from './tests/support/people.ts';
import { goddess } from './goddess.ts';

export function measureKnees(musts) {
  const plan = planPose(contextOf(SUPPLE), 'mountain', 'right', PLAIN_RULES);
  const pose = { ...goddess, musts: [...goddess.musts, ...musts] };
  const { found } = solvePose({ ...plan.poseRequest, pose });
  if (found.kind !== 'held') throw new Error('not held');
  const { front, back } = found.answer.skeleton.legs;
  return 100 * distance(front.knee, back.knee);
}
`;

it('the quantity that docs/model.md adds is solved for once it stands in those two files', async () => {
  cpSync('src/core', join(folder, 'src/core'), { recursive: true });
  cpSync('tests/support', join(folder, 'tests/support'), { recursive: true });
  cpSync('docs/formats', join(folder, 'docs/formats'), { recursive: true });
  cpSync('package.json', join(folder, 'package.json'));
  insert('poses/quantityId.ts', "  | 'stance'\n", readPiece('quantityId.ts'));
  insert('conditions/quantities.ts', '  stance: ', readPiece('quantities.ts'));
  const [, goddess] = /```ts\n([\s\S]*?)```/.exec(readFileSync('docs/model.md', 'utf8')) ?? [];
  writeFileSync(join(folder, 'goddess.ts'), goddess ?? '');
  writeFileSync(join(folder, 'entry.ts'), ENTRY);
  const outfile = join(folder, 'entry.mjs');
  buildSync({
    entryPoints: [join(folder, 'entry.ts')],
    outfile,
    bundle: true,
    platform: 'node',
    format: 'esm',
    nodePaths: [join(process.cwd(), 'node_modules')],
  });
  const { measureKnees } = (await import(pathToFileURL(outfile).href)) as {
    measureKnees: (musts: readonly object[]) => number;
  };
  const [, quantity, atLeast] = /quantity: '(.+)', atLeast: (\d+)/.exec(readPiece('goddess.ts'))!;
  const free = measureKnees([]);
  expect(free).toBeGreaterThan(40);
  // The document's must holds already; wider or narrower ones lead the knees out or in.
  const documented = measureKnees([{ quantity, atLeast: Number(atLeast) }]);
  expect(documented).toBeGreaterThan(Number(atLeast) - 0.1);
  expect(measureKnees([{ quantity, atLeast: free + 2 }])).toBeGreaterThan(free + 1.9);
  expect(measureKnees([{ quantity, atMost: free - 4 }])).toBeLessThan(free - 3.9);
});
