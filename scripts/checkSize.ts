/**
 * Holds the JavaScript that a page needs before it can be used to a size, compressed and without workers.
 * Needs a build. Exit 0 = within it, 1 = beyond it.
 */
import { existsSync, readFileSync } from 'node:fs';
import { basename, join } from 'node:path';
import { gzipSync } from 'node:zlib';

const CLIENT = 'dist/client';
const KB = 1000;
/** Pages and the most that each may load, kB. */
const LIMITS: Readonly<Record<string, number>> = { 'index.html': 150, 'set-up/index.html': 250 };

const ENTRY = /(?:component-url|renderer-url)="([^"]+)"/g;
const STATIC_IMPORT = /(?:\bfrom|\bimport)\s*["']\.\/([^"']+\.js)["']/g;

const findAll = (text: string, pattern: RegExp): readonly string[] =>
  [...text.matchAll(pattern)].map(([, found]) => basename(found ?? ''));

/** The files that a page asks for before anything is pressed: its islands and all they import. */
function findScripts(page: string): ReadonlySet<string> {
  const found = new Set<string>();
  const waiting = [...findAll(readFileSync(join(CLIENT, page), 'utf8'), ENTRY)];
  for (let name = waiting.pop(); name !== undefined; name = waiting.pop()) {
    if (found.has(name)) continue;
    found.add(name);
    waiting.push(...findAll(readFileSync(join(CLIENT, '_astro', name), 'utf8'), STATIC_IMPORT));
  }
  return found;
}

if (!existsSync(CLIENT)) throw new Error('There is no build. Run npm run build first.');
let isWithin = true;
for (const [page, limit] of Object.entries(LIMITS)) {
  const sizes = [...findScripts(page)].map(
    (name) => gzipSync(readFileSync(join(CLIENT, '_astro', name)), { level: 9 }).length,
  );
  const total = sizes.reduce((sum, each) => sum + each, 0) / KB;
  if (sizes.length === 0) throw new Error(`${page} loads no script: the check reads it wrongly.`);
  console.log(`${page}: ${total.toFixed(0)} kB of at most ${String(limit)} kB`);
  if (total > limit) isWithin = false;
}
process.exit(isWithin ? 0 : 1);
