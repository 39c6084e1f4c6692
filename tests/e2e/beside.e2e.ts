import { expect, test, type Page } from '@playwright/test';
import { POSES } from '../../src/core/poses/catalogue/index.ts';
import { LYING_POSES } from '../../src/core/poses/lying/index.ts';
import { expectAccessible, openDemo } from './support.ts';

const stanceOf = async (page: Page): Promise<number> =>
  Number(await page.locator('svg text.stance').first().textContent());

async function openTriangle(page: Page): Promise<void> {
  await openDemo(page);
  await page.goto('/set-up?id=marit-sollen&pose=triangle&side=right');
  await expect(page.getByRole('slider', { name: 'Move the back foot' })).toBeVisible();
}

test('a vessel tells where its brim comes from, by pointer and by key', async ({ page }) => {
  await openDemo(page);
  await page.goto('/set-up?id=marit-sollen&pose=warrior-two&side=right');
  const told = page.locator('[data-testid=vessel-told]');
  await expect(told).toContainText(/is the limiting joint: asked \d+°/);
  await page.locator('[data-testid=vessel]').first().hover();
  await expect(told).toContainText(/asked \d+°, \d+° usable .*, from .* ± \d/);
  await page.mouse.move(5, 5);
  await page.locator('[data-testid=vessel]').nth(1).focus();
  await expect(told).toContainText(/asked \d+°/);
});

test('schools stand side by side on one mat; one is chosen with a reason, and left again', async ({
  page,
}) => {
  await openTriangle(page);
  const before = await stanceOf(page);
  await page.getByText('Compare schools').click();
  const table = page.getByRole('table', { name: /Compare schools/ });
  await expect(table.getByRole('row')).not.toHaveCount(0);
  await expect(table).toContainText('as chosen');
  // Up to four, each with a line of its own and its letter.
  await expect(page.locator('svg polyline[class="school-a"]')).not.toHaveCount(0);
  await expect(page.locator('svg polyline[class="school-b"]')).not.toHaveCount(0);
  await expectAccessible(page);
  const fixed = table.getByRole('row', { name: /three feet, for everyone/ });
  const told = Number.parseFloat((await fixed.getByRole('cell').nth(1).textContent()) ?? '');
  expect(told).toBe(91);
  await page
    .getByRole('combobox', { name: 'School' })
    .selectOption({ label: 'Stance three feet, for everyone' });
  await page.getByLabel('because').first().fill('her last teacher taught it so');
  await page.getByRole('button', { name: 'Choose it' }).click();
  await expect(page.getByText(/three feet, for everyone, because her last teacher/)).toBeVisible();
  await expect.poll(() => stanceOf(page)).toBe(91);
  await page.reload();
  await expect(page.getByText('Set up as a chosen school has it.')).toBeVisible();
  await page.getByText('Compare schools').click();
  await page.getByRole('button', { name: 'remove it' }).click();
  await expect.poll(() => stanceOf(page)).toBe(before);
});

test('what is done now is held and judged, then copied to the other side on purpose', async ({
  page,
}) => {
  await openTriangle(page);
  await page.getByText('Check today’s stance').click();
  await page.getByLabel(/^stance, heel to heel/).fill('a lot');
  await page.getByRole('button', { name: 'Show it' }).click();
  await expect(page.locator('form [data-testid=problem-message]')).toContainText(
    'stance, heel to heel',
  );
  await page.getByLabel(/^stance, heel to heel/).fill('120');
  await page.getByRole('button', { name: 'Show it' }).click();
  await expect.poll(() => stanceOf(page)).toBe(120);
  await expect(page.locator('[data-testid=moved-sentence]')).toContainText('Moved');
  await expect(page.locator('svg .ghost')).toHaveCount(2);
  await page.getByRole('button', { name: 'the same on the left' }).click();
  await expect(page.getByRole('img', { name: /Triangle, left foot/ })).toBeVisible();
  await expect.poll(() => stanceOf(page)).toBe(120);
  // It is one step of its own there, and the other side keeps its own way.
  await page.getByRole('button', { name: 'undo' }).click();
  await expect.poll(() => stanceOf(page)).not.toBe(120);
});

test('left and right stand side by side, with what is more than its error', async ({ page }) => {
  await openTriangle(page);
  await page.getByText('Left and right', { exact: true }).click();
  await expect(page.getByRole('table', { name: 'Left against right' })).toBeVisible();
  await expect(page.getByText(/Beyond its error|No difference between the sides/)).toBeVisible();
  await expect(page.locator('[data-testid=side-by-side] svg')).toHaveCount(2);
  await expectAccessible(page);
});

test('a set-up is kept with its reason, goes out of date with a later measure, and can be brought back', async ({
  page,
}) => {
  await openTriangle(page);
  const foot = page.getByRole('slider', { name: 'Move the back foot' });
  await foot.focus();
  await page.keyboard.press('Shift+ArrowLeft');
  await expect(page.locator('svg .ghost')).toHaveCount(2);
  const kept = await stanceOf(page);
  await page.getByText('Kept set-ups').click();
  await page.getByLabel(/^Keep this set-up, with what was moved/).fill('the knee is quiet there');
  await page.getByRole('button', { name: 'Keep it' }).click();
  const item = page.locator('[data-testid=kept-list] li');
  await expect(item).toContainText('because the knee is quiet there');
  await page.reload();
  await page.getByText('Kept set-ups').click();
  await item.getByRole('button', { name: 'show it' }).click();
  await expect.poll(() => stanceOf(page)).toBe(kept);
  await expect(page.getByText('Out of date.')).toHaveCount(0);
  // Today the legs rise less far than they did.
  await page.goto('/measure?id=marit-sollen&step=straight-leg-raise');
  for (const side of ['left', 'right']) {
    const field = page.getByLabel(`${side} first`);
    await field.fill('50');
    await field.press('Enter');
    await expect(field).toHaveValue('50°');
  }
  await page.goto('/set-up?id=marit-sollen&pose=triangle&side=right');
  await page.getByText('Kept set-ups').click();
  await expect(item).toContainText('Out of date. Measured again since: straight-leg raise');
  await expect(item.getByRole('row')).not.toHaveCount(0);
  await item.getByRole('button', { name: 'remove it' }).click();
  await expect(item).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(item).toHaveCount(1);
});

test('the shelf finds a pose by its name and by what it lacks', async ({ page }) => {
  await openDemo(page);
  await page.goto('/set-up?id=dov-lantry');
  const shelf = page.getByRole('navigation', { name: 'Poses' });
  await shelf.getByRole('searchbox').fill('virabhadra');
  await expect(shelf.getByRole('button')).toHaveCount(
    [...POSES, ...LYING_POSES].filter((each) => /virabhadra/i.test(each.sanskrit)).length,
  );
  await shelf.getByRole('searchbox').fill('no such thing');
  await expect(shelf.getByText('No pose matches.')).toBeVisible();
  await shelf.getByRole('searchbox').fill('');
  await shelf.getByRole('combobox', { name: 'Which poses' }).selectOption('needs measures');
  await expect(shelf.getByRole('button', { name: /Triangle.*needs \d+ readings/ })).toBeVisible();
});
