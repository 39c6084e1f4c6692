import { readFileSync } from 'node:fs';
import { expect, test, type Download, type Page } from '@playwright/test';
import { expectAccessible, openDemo } from './support.ts';

async function save(page: Page, name: string): Promise<{ download: Download; bytes: Buffer }> {
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name, exact: true }).first().click(),
  ]);
  return { download, bytes: readFileSync(await download.path()) };
}

test('cards and true-size feet are laid out, saved and printed alone', async ({ page }) => {
  await openDemo(page);
  await page.goto('/set-up?id=sanna-tveit&pose=triangle&side=right');
  await page.getByRole('link', { name: 'Card or full-size templates on paper' }).click();
  await expect(page.getByRole('img', { name: 'Cards on A4, sheet 1' })).toBeVisible();
  await page.getByRole('checkbox', { name: 'Pyramid', exact: true }).check();
  await page.getByRole('checkbox', { name: 'Half moon', exact: true }).check();
  await expect(page.getByRole('img', { name: 'Cards on A4, sheet 2' })).toBeVisible();
  await expectAccessible(page);
  const pdf = await save(page, 'Save as PDF');
  expect(pdf.bytes.subarray(0, 5).toString()).toBe('%PDF-');
  const svg = await save(page, 'as SVG');
  expect(svg.bytes.toString()).toContain('width="210mm"');
  const png = await save(page, 'as PNG');
  // Width and height stand in a PNG's first chunk: 300 dots an inch.
  expect(png.bytes.readUInt32BE(16)).toBe(Math.round((210 * 300) / 25.4));
  expect(png.bytes.readUInt32BE(20)).toBe(Math.round((297 * 300) / 25.4));
  // The printed pages are the pages, each on a paper of its own size.
  const printed = await page.pdf({ preferCSSPageSize: true });
  const text = printed.toString('latin1');
  const sheets = await page.getByRole('img', { name: /^Cards on A4, sheet/ }).count();
  expect(text.match(/\/Type\s*\/Page\b/g)).toHaveLength(sheets);
  expect(text).toMatch(/\/MediaBox\s*\[\s*0 0 59[45](\.\d+)? 84[12](\.\d+)?\s*\]/);
  await page
    .getByLabel('What is printed')
    .selectOption('foot outlines and strips for the mat’s edge');
  await expect(page.getByRole('img', { name: 'left foot, outline in true size' })).toBeVisible();
  await expect(page.getByRole('img', { name: /strip for the mat’s edge$/ }).first()).toBeVisible();
  await page.getByLabel('What is printed').selectOption('whole stance in true size, many pages');
  await expect(
    page.getByRole('img', { name: /true size, page A1|true size, page B1/ }).first(),
  ).toBeVisible();
});

test('the drawing of a set-up goes out as a file, SVG, PDF and PNG', async ({ page }) => {
  await openDemo(page);
  await page.goto('/set-up?id=marit-sollen&pose=warrior-two&side=right');
  const file = await save(page, 'a file');
  expect((JSON.parse(file.bytes.toString()) as { format: string }).format).toBe(
    'stillwater.set-up',
  );
  expect((await save(page, 'SVG')).bytes.toString()).toContain('Warrior II');
  expect((await save(page, 'PDF')).bytes.subarray(0, 5).toString()).toBe('%PDF-');
  expect((await save(page, 'PNG')).bytes.subarray(1, 4).toString()).toBe('PNG');
});

test('a printed sheet holds the drawing and its recipe, and nothing of the person’s health', async ({
  page,
}) => {
  await openDemo(page);
  await page.goto('/set-up?id=sanna-tveit&pose=warrior-two&side=right');
  const health = page.getByRole('heading', { name: 'Changed for this person' });
  const advice = page.getByRole('heading', { name: 'With this person' });
  await expect(health).toBeVisible();
  await expect(advice).toBeVisible();
  await page.emulateMedia({ media: 'print' });
  await expect(health).toBeHidden();
  await expect(advice).toBeHidden();
  await expect(page.getByRole('navigation', { name: 'Poses' })).toBeHidden();
  await expect(page.getByRole('img', { name: /^Warrior II, right/ })).toBeVisible();
  await expect(page.getByText(/^back heel .* behind it/)).toBeVisible();
});
