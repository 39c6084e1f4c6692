import { createHash } from 'node:crypto';
import { readdir, readFile, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { generateSW } from 'workbox-build';

const INLINE_SCRIPT = /<script(?![^>]*\ssrc=)[^>]*>([\s\S]*?)<\/script>/g;

/** Hashes of every inline script, so that the content security policy can name them. */
async function findScriptHashes(folder) {
  const files = (await readdir(folder, { recursive: true })).filter((each) =>
    each.endsWith('.html'),
  );
  const hashes = new Set();
  for (const file of files) {
    const html = await readFile(join(folder, file), 'utf8');
    for (const [, script] of html.matchAll(INLINE_SCRIPT)) {
      hashes.add(`'sha256-${createHash('sha256').update(script).digest('base64')}'`);
    }
  }
  return [...hashes].sort();
}

/**
 * After a build: gathers the script hashes for the server's headers, and writes the
 * service worker that keeps every page, worker and font for use without a network.
 */
export function finishBuild() {
  return {
    name: 'stillwater-finish-build',
    hooks: {
      'astro:build:done': async ({ dir }) => {
        const client = fileURLToPath(dir);
        const hashes = await findScriptHashes(client);
        const target = new URL('../script-hashes.json', dir);
        await writeFile(target, `${JSON.stringify(hashes, null, 2)}\n`);
        await generateSW({
          swDest: join(client, 'service-worker.js'),
          globDirectory: client,
          globPatterns: ['**/*.{html,js,css,woff2,svg,json,webmanifest}'],
          globIgnores: ['service-worker.js'],
          ignoreURLParametersMatching: [/.*/],
          directoryIndex: 'index.html',
          navigateFallback: null,
          // A page is kept under the address it is asked for: /set-up, not /set-up/index.html.
          manifestTransforms: [
            (entries) => ({
              manifest: entries.map((entry) => ({
                ...entry,
                url: entry.url.replace(/\/index\.html$/, ''),
              })),
              warnings: [],
            }),
          ],
          skipWaiting: true,
          clientsClaim: true,
          inlineWorkboxRuntime: true,
          sourcemap: false,
        });
      },
    },
  };
}
