import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { cpSync, mkdtempSync, readFileSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test } from '@playwright/test';

const PORT = 4393;
const BASE = `http://localhost:${String(PORT)}`;

/** A server of a built app, on one port, one after the other. */
async function serve(folder: string): Promise<ChildProcess> {
  const server = spawn(process.execPath, ['server.mjs'], {
    cwd: folder,
    env: { ...process.env, PORT: String(PORT) },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  await new Promise((resolve) => server.stdout.once('data', resolve));
  return server;
}

async function stop(server: ChildProcess): Promise<void> {
  const gone = new Promise((resolve) => server.once('exit', resolve));
  server.kill('SIGINT');
  await gone;
}

/** What is another in the next version: a page, two parts that load late, and the database. */
const CHANGES: readonly (readonly [path: string, from: string, to: string])[] = [
  ['src/islands/people/words.ts', "people: 'People'", "people: 'Who is here today?'"],
  [
    'src/islands/files/passphraseStrength.ts',
    'Very hard to guess.',
    'Next to impossible to guess.',
  ],
  ['src/islands/paper/words.ts', "'On paper'", "'On sheets of paper'"],
  [
    'src/data/database.ts',
    'database.use(stamping);',
    "database.version(12).stores({ next: 'id' });\n  database.use(stamping);",
  ],
];

/** The next version, built from changed sources as a release would be. */
function buildNext(): string {
  const folder = mkdtempSync(join(tmpdir(), 'stillwater-next-'));
  for (const each of [
    'src',
    'public',
    'scripts',
    'docs',
    'package.json',
    'astro.config.mjs',
    'tsconfig.json',
    'server.mjs',
  ])
    cpSync(each, join(folder, each), { recursive: true });
  symlinkSync(join(process.cwd(), 'node_modules'), join(folder, 'node_modules'));
  for (const [path, from, to] of CHANGES) {
    const text = readFileSync(join(folder, path), 'utf8');
    expect(text, path).toContain(from);
    writeFileSync(join(folder, path), text.replaceAll(from, to));
  }
  const { status, stderr } = spawnSync('npm', ['run', '--silent', 'build'], {
    cwd: folder,
    encoding: 'utf8',
  });
  expect(status, stderr).toBe(0);
  return folder;
}

test('a new version waits, open tabs go on with their own files, and an older tab writes no more', async ({
  page,
  context,
}) => {
  test.setTimeout(360_000);
  const next = buildNext();
  let server = await serve(process.cwd());
  try {
    await page.goto(`${BASE}/?demo`);
    await expect(page.getByRole('link', { name: 'Sanna Tveit' })).toBeVisible();
    await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
    await page.reload();
    const old = await context.newPage();
    await old.goto(`${BASE}/person?id=marit-sollen`);
    await expect(old.getByLabel('Name')).toHaveValue('Marit Sollen');
    await stop(server);
    server = await serve(next);

    // The next visit finds the new version; nothing changes by itself.
    await page.reload();
    await expect(page.getByText(/^A new version is ready\./)).toBeVisible();
    await expect(page.getByRole('heading', { name: 'People' })).toBeVisible();
    // What an open tab loads late comes from its own version, whatever the server has now.
    const cdp = await context.newCDPSession(page);
    await cdp.send('Network.clearBrowserCache');
    await page.goto(`${BASE}/files`);
    await page.getByLabel('Passphrase', { exact: true }).fill('seven quiet herons wade');
    await expect(page.locator('#passphrase-hint')).toContainText('Very hard to guess.');
    await page.goto(`${BASE}/`);

    await page.getByRole('button', { name: 'Reload' }).click();
    await expect(page.getByRole('heading', { name: 'Who is here today?' })).toBeVisible();
    await expect(page.getByRole('link', { name: 'Sanna Tveit' })).toBeVisible();
    const databases = await page.evaluate(() => indexedDB.databases());
    // Dexie keeps tenths of a version.
    expect(databases.map(({ version }) => version)).toContain(120);

    await expect(old.getByText(/^This tab is out of date/)).toBeVisible();
    await old.getByLabel('Name').fill('Marit S.');
    await old.getByLabel('Name').blur();
    await expect(old.getByText(/^Not saved\./)).toBeVisible();
    // Its own late parts are still there, from its own cache.
    const late = await old.evaluate(async () => {
      const names = await caches.keys();
      const kept = await Promise.all(
        names.map(async (name) => (await (await caches.open(name)).keys()).map(({ url }) => url)),
      );
      const own = kept.flat().find((url) => url.includes('/_astro/PaperView'))!;
      return { versions: names.length, status: (await fetch(own)).status, own };
    });
    expect(late.versions).toBe(2);
    expect(late.status).toBe(200);
    expect((await fetch(late.own)).status).toBe(404);
    await old.getByRole('button', { name: 'Reload' }).click();
    await expect(old.getByLabel('Name')).toHaveValue('Marit Sollen');
    await expect(old.getByText(/^This tab is out of date/)).toHaveCount(0);
  } finally {
    await stop(server);
  }
});
