import { createHash } from 'node:crypto';
import { readdir, readFile, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { build } from 'esbuild';
import { getManifest } from 'workbox-build';

const INLINE_SCRIPT = /<script(?![^>]*\ssrc=)[^>]*>([\s\S]*?)<\/script>/g;
const INLINE_STYLE = /<style[^>]*>([\s\S]*?)<\/style>/g;

/** Hashes of every inline script or style, so that the content security policy can name them. */
async function findHashes(folder, pattern) {
  const files = (await readdir(folder, { recursive: true })).filter((each) =>
    each.endsWith('.html'),
  );
  const hashes = new Set();
  for (const file of files) {
    const html = await readFile(join(folder, file), 'utf8');
    for (const [, text] of html.matchAll(pattern)) {
      hashes.add(`'sha256-${createHash('sha256').update(text).digest('base64')}'`);
    }
  }
  return [...hashes].sort();
}

const inSource = (path) => fileURLToPath(new URL(`../src/${path}`, import.meta.url));

/** Writes the service worker that keeps every page, worker and font of a built client. */
export async function writeServiceWorker(client) {
  const { manifestEntries } = await getManifest({
    globDirectory: client,
    globPatterns: ['**/*.{html,js,css,woff2,svg,json,webmanifest,wasm}'],
    // The solver of mixed-integer programs alone is larger than the usual limit.
    maximumFileSizeToCacheInBytes: 8_000_000,
    globIgnores: ['service-worker.js'],
    // What carries its own hash needs no other.
    dontCacheBustURLsMatching: /^_astro\//,
  });
  // A page is kept under the address it is asked for: /set-up, not /set-up/index.html.
  const files = manifestEntries.map((entry) => ({
    ...entry,
    url: `/${entry.url.replace(/(^|\/)index\.html$/, '')}`,
  }));
  const version = createHash('sha256').update(JSON.stringify(files)).digest('hex').slice(0, 12);
  await build({
    entryPoints: [inSource('workers/service.worker.ts')],
    outfile: join(client, 'service-worker.js'),
    bundle: true,
    minify: true,
    format: 'iife',
    logLevel: 'error',
    define: {
      __FILES__: JSON.stringify(files),
      __VERSION__: JSON.stringify(version),
      'process.env.NODE_ENV': '"production"',
    },
  });
}

/**
 * After a build: gathers the hashes of what stands inline for the server's headers, bundles
 * the worker thread that solves for the server, and writes the service worker.
 */
export function finishBuild() {
  return {
    name: 'stillwater-finish-build',
    hooks: {
      'astro:build:done': async ({ dir }) => {
        const client = fileURLToPath(dir);
        const hashes = {
          scripts: await findHashes(client, INLINE_SCRIPT),
          styles: await findHashes(client, INLINE_STYLE),
        };
        const target = new URL('../inline-hashes.json', dir);
        await writeFile(target, `${JSON.stringify(hashes, null, 2)}\n`);
        await build({
          entryPoints: [inSource('server/solving/solve.worker.ts')],
          outfile: fileURLToPath(new URL('../server/solve.worker.mjs', dir)),
          bundle: true,
          platform: 'node',
          format: 'esm',
          packages: 'external',
          logLevel: 'error',
        });
        await writeServiceWorker(client);
      },
    },
  };
}
