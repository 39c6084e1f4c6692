import { spawn } from 'node:child_process';
import { request, type IncomingHttpHeaders } from 'node:http';
import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test, type Page } from '@playwright/test';
import {
  answerFirst,
  expectAccessible,
  killBrowserOf,
  openDemo,
  openProfile,
  removePerson,
} from './support.ts';

test('removing a person can be undone, also after a reload', async ({ page }) => {
  await openDemo(page);
  await removePerson(page, 'Oda Brask');
  await expect(page.getByRole('link', { name: 'Oda Brask' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('link', { name: 'Oda Brask' })).toBeVisible();
  await removePerson(page, 'Oda Brask');
  // What the screen has confirmed is what outlives the page.
  await expect(page.getByText('Oda Brask is removed.')).toBeVisible();
  await page.goto('/');
  await page.getByText('Removed people (1)').click();
  await page.getByRole('button', { name: 'bring back Oda Brask' }).click();
  await expect(page.getByRole('link', { name: 'Oda Brask' })).toBeVisible();
});

test('search finds people and says when there is none', async ({ page }) => {
  await openDemo(page);
  await page.getByLabel('Find by name').fill('tveit');
  await expect(page.locator('[data-testid=person-name]')).toHaveText(['Sanna Tveit']);
  await page.getByLabel('Find by name').fill('zzz');
  await expect(page.getByText('Nobody is called “zzz”')).toBeVisible();
});

async function exportMarit(page: Page): Promise<string> {
  await page.goto('/files');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Marit Sollen' }).click();
  return readFileSync(await (await download).path(), 'utf8');
}

test('a person goes out to a file and comes back the same in an empty browser', async ({
  page,
  browser,
}) => {
  await openDemo(page);
  const text = await exportMarit(page);
  const other = await (await browser.newContext()).newPage();
  await other.goto('/files');
  await other.getByLabel('Person file (JSON)').setInputFiles({
    name: 'marit.json',
    mimeType: 'application/json',
    buffer: Buffer.from(text),
  });
  const { readings } = JSON.parse(text) as { readings: unknown[] };
  const words = `A new person in this browser. New: ${String(readings.length)} readings`;
  await expect(other.getByText(words)).toBeVisible();
  await other.getByRole('button', { name: 'Import', exact: true }).click();
  await expect(other.getByText('Marit Sollen is imported.')).toBeVisible();
  expect(JSON.parse(await exportMarit(other))).toEqual(JSON.parse(text));
  await other.context().close();
});

test('an older file changes nothing that is newer, says so, and can be taken back', async ({
  page,
}) => {
  await openDemo(page);
  const older = await exportMarit(page);
  await page.goto('/person?id=marit-sollen');
  const notes = page.getByLabel('Private notes (never printed)');
  await notes.fill('Sleeps badly this week.');
  await notes.blur();
  const sign = page.getByRole('checkbox', { name: /tingling|numbness/i }).first();
  await sign.click();
  await expect(page.getByLabel('Cleared by (doctor, physiotherapist)').first()).toBeVisible();
  await page.goto('/files');
  const buffer = Buffer.from(older);
  await page
    .getByLabel('Person file (JSON)')
    .setInputFiles({ name: 'older.json', mimeType: 'application/json', buffer });
  const stays = page.getByRole('table', { name: 'What stays the same' });
  await expect(stays.getByRole('row', { name: /private notes/ })).toContainText(
    'Sleeps badly this week.',
  );
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Import', exact: true }).click();
  await expect(page.getByText('Marit Sollen is imported.')).toBeVisible();
  await page.goto('/person?id=marit-sollen');
  await expect(notes).toHaveValue('Sleeps badly this week.');
  await expect(sign).toBeChecked();
  await page.goto('/files');
  await page.getByText('Imported in the last 30 days').click();
  await page.getByRole('button', { name: 'undo import' }).first().click();
  await expect(page.getByText('Marit Sollen is back to how it was')).toBeVisible();
  await page.goto('/person?id=marit-sollen');
  await expect(notes).toHaveValue('Sleeps badly this week.');
});

test('a broken file is refused by name and changes nothing', async ({ page }) => {
  await openDemo(page);
  const before = await exportMarit(page);
  const broken = JSON.parse(before) as { person: { name: string }; readings: { value: unknown }[] };
  broken.person.name = 'Somebody Else';
  broken.readings[50]!.value = 'long';
  for (const [text, words] of [
    [JSON.stringify(broken), 'readings[50].value'],
    [before.slice(0, 500), 'This is not JSON'],
    [before.replace('"version": 3', '"version": 9'), 'This file has version 9'],
  ] as const) {
    await page.getByLabel('Person file (JSON)').setInputFiles({
      name: 'broken.json',
      mimeType: 'application/json',
      buffer: Buffer.from(text),
    });
    await expect(page.getByRole('alert')).toContainText('Nothing was changed');
    await expect(page.getByRole('alert')).toContainText(words);
  }
  expect(await exportMarit(page)).toBe(before);
});

test('what is confirmed survives a killed browser in mid-measure', async () => {
  const profile = mkdtempSync(join(tmpdir(), 'stillwater-profile-'));
  const open = () => openProfile(profile);
  const first = await open();
  const page = first.pages()[0] ?? (await first.newPage());
  await openDemo(page);
  await page.goto('/measure?id=bram-okelo');
  await answerFirst(page);
  await page.getByRole('button', { name: /^Begin/ }).click();
  await page.getByLabel('first').fill('176.5');
  await page.keyboard.press('Enter');
  await expect(page.getByText('saved', { exact: true })).toBeVisible();
  await page.getByLabel('second').fill('177');
  // The browser's own processes are killed while the second reading is not confirmed.
  killBrowserOf(profile);
  await first.close().catch(() => undefined);

  const second = await open();
  const again = second.pages()[0] ?? (await second.newPage());
  await again.goto('/measure?id=bram-okelo&step=stature');
  await expect(again.getByLabel('first')).toHaveValue('176.5 cm');
  await expect(again.getByLabel('second')).toHaveValue('');
  await second.close();
});

test('after a first visit the app works with the server gone', async ({ page }) => {
  const port = 4392;
  const server = spawn(process.execPath, ['server.mjs'], {
    env: { ...process.env, PORT: String(port) },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  await new Promise((resolve) => server.stdout.once('data', resolve));
  const base = `http://localhost:${String(port)}`;
  await page.goto(`${base}/?demo`);
  await expect(page.getByRole('link', { name: 'Sanna Tveit' })).toBeVisible();
  await page.evaluate(async () => {
    await navigator.serviceWorker.ready;
  });
  await page.reload();
  await expect(page.getByRole('link', { name: 'Sanna Tveit' })).toBeVisible();
  const gone = new Promise((resolve) => server.once('exit', resolve));
  server.kill('SIGINT');
  expect(await gone).toBe(0);
  await page.goto(`${base}/set-up?id=marit-sollen&pose=pyramid`);
  await expect(page.getByRole('img', { name: /Pyramid, right foot/ })).toBeVisible();
  await page.goto(`${base}/measure?id=marit-sollen&step=hip-opening`);
  await expect(page.getByRole('heading', { name: 'Hip opening' })).toBeVisible();
});

test('a taken port is said, and the next one is used', async () => {
  const server = spawn(process.execPath, ['server.mjs'], {
    env: { ...process.env, PORT: '4391' },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  let said = '';
  server.stdout.on('data', (chunk: Buffer) => {
    said += chunk.toString();
  });
  await expect.poll(() => said).toContain('http://localhost:4392');
  expect(said).toContain('Port 4391 is taken, trying 4392.');
  server.kill('SIGINT');
});

/** A request as it is written, to a server that has to answer it. */
const askRaw = (
  baseURL: string,
  method: string,
  path: string,
): Promise<{ readonly status: number; readonly headers: IncomingHttpHeaders }> =>
  new Promise((resolve, reject) => {
    const { hostname, port } = new URL(baseURL);
    const asked = request({ hostname, port, method, path }, (answer) => {
      answer.resume();
      resolve({ status: answer.statusCode ?? 0, headers: answer.headers });
    });
    asked.on('error', reject);
    asked.end();
  });

test('the server answers odd methods plainly, says that it is well, and lets nothing be kept', async ({
  baseURL,
}) => {
  const ask = (method: string, path: string) => askRaw(baseURL!, method, path);
  for (const [method, path] of [
    ['OPTIONS', '*'],
    ['TRACE', '/'],
    ['PROPFIND', '/'],
    ['OPTIONS', '/api/set-up'],
  ] as const) {
    expect((await ask(method, path)).status, `${method} ${path}`).toBe(405);
  }
  expect((await ask('GET', '/health')).status).toBe(200);
  expect((await ask('GET', '/_image?href=/icon.svg')).status).toBe(404);
  const poses = await ask('GET', '/api/poses');
  expect(poses.headers['cache-control']).toBe('no-store');
  expect(poses.headers['permissions-policy']).toContain('camera=(self)');
  expect(poses.headers['cross-origin-resource-policy']).toBe('same-origin');
});

test('the server refuses by the book', async ({ request: api }) => {
  const person = JSON.parse(readFileSync('public/demo/marit-sollen.json', 'utf8')) as unknown;
  // On a busy machine a cold thread takes too long; the refusal says when to ask again.
  await expect(async () => {
    const answer = await api.post('/api/set-up', {
      data: { person, pose: 'pyramid', side: 'left' },
    });
    if (answer.status() === 503) expect(answer.headers()['retry-after']).toBe('1');
    expect(answer.status()).toBe(200);
    expect(await answer.json()).toMatchObject({ pose: 'pyramid', status: 'solved' });
  }).toPass({ intervals: [1000], timeout: 45_000 });
  for (const method of ['GET', 'PUT', 'DELETE'] as const) {
    const refused = await api.fetch('/api/set-up', { method });
    expect(refused.status()).toBe(405);
    expect(refused.headers()['allow']).toBe('POST');
  }
  const large = await api.post('/api/set-up', {
    data: Buffer.from('x'.repeat(1_200_000)),
    headers: { 'content-type': 'application/json' },
  });
  expect(large.status()).toBe(413);
  const form = await api.post('/api/set-up', { form: { pose: 'pyramid' } });
  expect(form.status()).toBe(415);
  const schema = await api.get('/api/schemas/person');
  expect(await schema.json()).toMatchObject({ title: 'Stillwater person file' });
  expect((await api.post('/api/schemas/person')).status()).toBe(405);
  for (let i = 0; i < 40; i += 1) {
    const junk = Buffer.from(Array.from({ length: 60 }, (_, k) => (i * 37 + k * 101) % 256));
    const refused = await api.post('/api/set-up', {
      data: junk,
      headers: { 'content-type': 'application/json' },
    });
    expect(refused.status()).toBe(400);
  }
});

test('readings go out as a table and come in from one, every row looked at first', async ({
  page,
}) => {
  await openDemo(page);
  await page.goto('/files');
  await page.getByLabel('Readings of').selectOption({ label: 'Bram Okelo' });
  // Nothing of his is stored before he agrees.
  await page.getByRole('link', { name: 'ask for consent' }).click();
  await page.getByRole('button', { name: 'They agree' }).click();
  await expect(page.getByRole('heading', { name: 'Before the first measure' })).toBeVisible();
  await page.goto('/files');
  await page.getByLabel('Readings of').selectOption({ label: 'Bram Okelo' });
  const table = (text: string) => ({
    name: 'readings.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(text),
  });
  const rows =
    'When,What,Leg,Degrees\n2026-11-20,hip opening,L,54\n2026-11-20,hip opening,R,58\n2026-11-20,hip swing,R,58\n';
  await page.getByLabel('Table to import (CSV)').setInputFiles(table(rows));
  // A column whose name says nothing is chosen by hand.
  await expect(page.getByText(/^0 of 3 rows can be imported/)).toBeVisible();
  await page.getByRole('combobox', { name: /^Value/ }).selectOption('Degrees');
  await expect(page.getByText(/^2 of 3 rows can be imported/)).toBeVisible();
  await expect(page.getByText(/row 4, What: there is no measure called “hip swing”/)).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Import 2 readings' }).click();
  await expect(
    page.getByText(/^2 readings imported for Bram Okelo; already here: 0/),
  ).toBeVisible();
  // The same table again changes nothing.
  await page.getByLabel('Table to import (CSV)').setInputFiles([]);
  await page.getByLabel('Table to import (CSV)').setInputFiles(table(rows));
  await page.getByRole('combobox', { name: /^Value/ }).selectOption('Degrees');
  await page.getByRole('button', { name: 'Import 2 readings' }).click();
  await expect(
    page.getByText(/^0 readings imported for Bram Okelo; already here: 2/),
  ).toBeVisible();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save their readings as CSV' }).click(),
  ]);
  expect(download.suggestedFilename()).toBe('Bram-Okelo-readings.csv');
});
