import { readFile } from 'node:fs/promises';
import { expect, test } from '@playwright/test';
import { expectAccessible, fillDateTime, openDemo } from './support.ts';

test('a person’s own page is printed, filled in at home, and comes back into the record', async ({
  page,
  context,
}, testInfo) => {
  await openDemo(page);
  await page.goto('/record?id=marit-sollen');
  await page.getByRole('link', { name: 'their own page, to print or to fill in' }).click();
  await expect(page.getByRole('img', { name: 'Days at home, Marit Sollen' })).toBeVisible();
  const waiting = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as a page to fill in' }).click();
  const html = testInfo.outputPath('home.html');
  await (await waiting).saveAs(html);

  // At home, in another window, with nothing else.
  const home = await context.newPage();
  await home.goto(`file://${html}`);
  await expect(home.getByRole('heading', { name: 'Marit Sollen, at home' })).toBeVisible();
  await home.getByRole('checkbox', { name: 'Warrior II' }).first().check();
  await home.getByLabel('How it was, line 1', { exact: true }).fill('calm, long inner thighs');
  await home.getByRole('button', { name: 'Save the file to hand back' }).click();
  await expect(home.getByRole('status')).toHaveText('Line 1 has no day yet.');
  await home.getByLabel('Day, line 1', { exact: true }).fill('2026-11-18');
  // What was written is there again when the page is opened the next day.
  await home.reload();
  await expect(home.getByLabel('How it was, line 1', { exact: true })).toHaveValue(
    'calm, long inner thighs',
  );
  const handed = home.waitForEvent('download');
  await home.getByRole('button', { name: 'Save the file to hand back' }).click();
  const file = testInfo.outputPath('days.json');
  await (await handed).saveAs(file);
  await expect(home.getByRole('status')).toHaveText('1 day is saved.');
  await expectAccessible(home);
  expect(JSON.parse(await readFile(file, 'utf8'))).toMatchObject({ format: 'stillwater.home' });

  // It is hers, and nobody else’s.
  await page.goto('/record?id=sanna-tveit');
  await page.getByLabel('The file they hand back (.json)').setInputFiles(file);
  await expect(page.getByText('These days were written by Marit Sollen')).toBeVisible();
  await page.goto('/record?id=marit-sollen');
  await page.getByLabel('The file they hand back (.json)').setInputFiles(file);
  const reported = page.getByText('Practised at home, as they reported: Warrior II');
  await expect(reported).toBeVisible();
  await expect(page.getByText('“calm, long inner thighs”')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(reported).toBeHidden();
});

test('a day at home is typed in by keys, and what is missing is said', async ({ page }) => {
  await openDemo(page);
  await page.goto('/record?id=sanna-tveit');
  const days = page.getByTestId('home-days');
  await days.getByRole('button', { name: 'Add the day' }).press('Enter');
  await expect(days.getByRole('alert')).toContainText('The day is not there yet.');
  await fillDateTime(page, 'Day', '2026-11-17');
  await days.getByLabel('In their own words').fill('a little, in the evening');
  await days.getByLabel('In their own words').press('Enter');
  await expect(days).toContainText('1 day in the record, as they reported.');
  await expect(page.getByText('“a little, in the evening”')).toBeVisible();
  await expectAccessible(page);
});
