import { readFileSync } from 'node:fs';
import { expect, test, type Download, type Page } from '@playwright/test';
import { strFromU8, unzipSync } from 'fflate';
import { decrypt } from '../../src/core/backup/encryption.ts';
import { readBackup } from '../../src/core/backup/readBackup.ts';
import { answerNone, expectAccessible, openDemo } from './support.ts';

const PASSPHRASE = 'seven quiet herons wade';

const bytesOf = async (download: Download): Promise<Buffer> => readFileSync(await download.path());

/** A file is chosen as a person would: by the field's name. */
const choose = async (page: Page, label: RegExp, name: string, buffer: Buffer): Promise<void> => {
  await page.getByLabel(label).setInputFiles({ name, mimeType: 'application/zip', buffer });
};

test('everything is backed up by keys, restored in another browser, and opened by its format alone', async ({
  page,
  browser,
}) => {
  await openDemo(page);
  await page.getByRole('link', { name: 'files' }).click();
  await expect(page.getByText('No backup yet.')).toBeVisible();
  await expectAccessible(page);
  const passphrase = page.getByLabel('Passphrase', { exact: true });
  await passphrase.focus();
  await page.keyboard.type('herons');
  await expect(page.locator('#passphrase-hint')).toContainText(/guess/i);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('Passphrase: fewer than 8 letters.');
  await passphrase.fill(PASSPHRASE);
  await expect(page.locator('#passphrase-hint')).toContainText('Very hard to guess.');
  const saving = page.waitForEvent('download');
  await page.keyboard.press('Enter');
  const file = await saving;
  await expect(
    page.getByText(/^Done\. stillwater-.*\.zip\.age was read back and is complete: 9 people/),
  ).toBeVisible();
  await expect(page.getByText(/^Last backup: /)).toBeVisible();
  const bytes = await bytesOf(file);
  const opened = await decrypt(bytes, PASSPHRASE);
  const read = opened.ok ? await readBackup(opened.value) : opened;
  expect(read.ok && read.value.stores['people']!.length).toBe(9);

  const other = await browser.newContext();
  const empty = await other.newPage();
  await empty.goto('/files');
  await choose(empty, /^Backup/, 'b.zip.age', bytes);
  await empty.getByLabel('Passphrase of this backup').focus();
  await empty.keyboard.type('seven herons');
  await empty.keyboard.press('Enter');
  await expect(empty.getByRole('alert')).toContainText('This passphrase does not open the backup.');
  await empty.getByLabel('Passphrase of this backup').fill(PASSPHRASE);
  await empty.keyboard.press('Enter');
  await expect(empty.getByRole('checkbox', { name: /Sanna Tveit/ })).toBeChecked();
  await expectAccessible(empty);
  await empty.getByRole('button', { name: 'Restore everything' }).focus();
  await empty.keyboard.press('Enter');
  await expect(empty.getByText('Restored: 9 people.')).toBeVisible();
  await empty.goto('/set-up?id=sanna-tveit&pose=triangle');
  await expect(empty.getByRole('img', { name: /Triangle/ }).first()).toBeVisible();
  await other.close();
});

test('without encryption it is a plain zip; one person of it comes back, and it is merged', async ({
  page,
}) => {
  await openDemo(page);
  await page.goto('/files');
  await page.getByLabel('encrypt with a passphrase').uncheck();
  await expect(page.getByText('Anyone who has the file can read everything in it.')).toBeVisible();
  const saving = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Back up everything' }).click();
  const bytes = await bytesOf(await saving);
  const people = JSON.parse(strFromU8(unzipSync(bytes)['stores/people.json']!)) as unknown[];
  expect(people).toHaveLength(9);
  // Someone is erased and the notes of someone else are newer than the backup.
  await page.goto('/person?id=dov-lantry');
  await page.getByRole('button', { name: 'Erase now' }).click();
  await page.getByRole('button', { name: 'Erase all data of Dov Lantry' }).click();
  await expect(page.getByRole('heading', { name: 'People' })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Dov Lantry' })).toHaveCount(0);
  await page.goto('/person?id=marit-sollen');
  await page.getByLabel(/Private notes/i).fill('Newer than the backup.');
  await page.getByLabel(/Private notes/i).blur();
  await expect(page.getByText('saved', { exact: true })).toBeVisible();
  await page.goto('/files');
  await choose(page, /^Backup/, 'b.zip', bytes);
  // Whoever was erased comes back only when it is said.
  const dov = page.getByRole('checkbox', { name: /Dov Lantry/ });
  await expect(dov).not.toBeChecked();
  await expect(page.getByRole('button', { name: 'Restore 8 of 9' })).toBeVisible();
  await page.getByRole('button', { name: 'Restore 8 of 9' }).click();
  await expect(page.getByText('Restored: 8 people.')).toBeVisible();
  await page.goto('/person?id=marit-sollen');
  await expect(page.getByLabel(/Private notes/i)).toHaveValue('Newer than the backup.');
  await page.goto('/files');
  await choose(page, /^Backup/, 'cut.zip', bytes.subarray(0, 500));
  await expect(page.getByRole('alert')).toContainText('This is not a Stillwater backup');
});

test.describe('by touch, on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

  test('a person agrees, gets their own copy, withdraws, and is erased', async ({ page }) => {
    await page.goto('/');
    await page.getByLabel('Someone new').fill('Rea Loman');
    await page.getByRole('button', { name: 'Add and measure' }).tap();
    await expect(page.getByRole('heading', { name: 'Does Rea Loman agree?' })).toBeVisible();
    await page.getByLabel(/pictures may be kept too/).tap();
    await page.getByRole('button', { name: 'They agree' }).tap();
    await answerNone(page);
    await page.getByRole('link', { name: 'Health' }).tap();
    await page.getByLabel('What hurts, and when?').fill('<b>the left knee</b>');
    await page.getByLabel('What hurts, and when?').blur();
    await expect(page.getByText('saved', { exact: true })).toBeVisible();
    await expect(page.getByText(/^Agreed on .* \(wording of 2026-11\)/)).toBeVisible();
    await expectAccessible(page);
    const saving = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Save their own copy' }).tap();
    const files = unzipSync(await bytesOf(await saving));
    const html = strFromU8(files['read-me-first.html']!);
    expect(html).toContain('&lt;b&gt;the left knee&lt;/b&gt;');
    expect(JSON.parse(strFromU8(files['person.json']!))).toMatchObject({
      format: 'stillwater.person',
      person: { name: 'Rea Loman' },
    });
    await page
      .getByText(/^Agreed on/)
      .getByRole('button', { name: 'They withdraw consent' })
      .tap();
    await expect(page.getByText(/^They withdrew their consent\./)).toBeVisible();
    await expect(page.getByText(/^Pictures are not kept/)).toBeVisible();
    await page.getByRole('link', { name: 'Measures' }).tap();
    await expect(page.getByRole('heading', { name: 'Does Rea Loman agree?' })).toBeVisible();
    await page.getByRole('link', { name: 'Health' }).tap();
    await page.getByRole('button', { name: 'Erase now' }).tap();
    await page.getByRole('button', { name: 'Erase all data of Rea Loman' }).tap();
    await expect(page.getByText('Nobody yet.')).toBeVisible();
  });
});

test('the browser is asked to keep the data once there is some, and room that runs short is said', async ({
  page,
}) => {
  await page.addInitScript(() => {
    const answers = { isKept: false, used: 790e6 };
    Object.assign(window, { answers });
    Object.assign(navigator.storage, {
      persisted: () => Promise.resolve(answers.isKept),
      persist: () => Promise.resolve((answers.isKept = true)),
      estimate: () => Promise.resolve({ usage: answers.used, quota: 1000e6 }),
    });
  });
  const isAsked = (): Promise<boolean> =>
    page.evaluate(() => (window as unknown as { answers: { isKept: boolean } }).answers.isKept);
  await page.goto('/');
  await expect(page.getByText(/^Nobody yet\./)).toBeVisible();
  expect(await isAsked()).toBe(false);
  await openDemo(page);
  await expect.poll(isAsked).toBe(true);
  await expect(page.getByText(/storage is nearly full/)).toHaveCount(0);
  await page.goto('/files');
  await expect(page.getByText(/^This browser has not promised to keep the data/)).toBeVisible();
  await expect(page.getByText('790 MB used of about 1.0 GB.')).toBeVisible();
  await page.getByRole('button', { name: 'Ask it to keep the data' }).click();
  await expect(page.getByText(/^This browser has promised to keep the data/)).toBeVisible();
  // From four fifths on it is said, here and where the day begins.
  await page.addInitScript(() => {
    Object.assign((window as unknown as { answers: object }).answers, { used: 810e6 });
  });
  await page.reload();
  await expect(page.getByText(/^810 MB used of about 1\.0 GB\. It is nearly full/)).toBeVisible();
  await page.goto('/');
  await expect(page.getByText(/storage is nearly full/)).toBeVisible();
});
