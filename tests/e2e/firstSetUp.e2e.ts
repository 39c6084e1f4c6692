import { expect, test } from '@playwright/test';
import { answerFirst, answerNone, expectAccessible, openDemo, TYPED } from './support.ts';

/** Presses of a button or a key; typed characters do not count. */
const MOST_PRESSES = 60;

/** From an empty browser to a drawn warrior II, through the real screens, counting what the hands do. */
test('a new teacher reaches a drawn warrior II for a person they typed in themselves', async ({
  page,
}) => {
  let presses = 0;
  const click = async (role: 'button' | 'link', name: string | RegExp): Promise<void> => {
    await page.getByRole(role, { name }).click();
    presses += 1;
  };
  const enter = async (): Promise<void> => {
    await page.keyboard.press('Enter');
    presses += 1;
  };
  await page.goto('/');
  await expect(page.getByText('Nobody yet')).toBeVisible();
  await expect(page.getByRole('img', { name: /^Warrior II for one person/ })).toBeVisible();
  await expectAccessible(page);
  await page.getByLabel('Someone new').click();
  presses += 1;
  await page.keyboard.type('Ada Marsh');
  await enter();

  await expect(page.getByRole('heading', { name: 'Does Ada Marsh agree?' })).toBeVisible();
  await expectAccessible(page);
  await click('button', 'They agree');
  await expect(page.getByText('Ada Marsh agrees: saved with the date.')).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Before the first measure' })).toBeVisible();
  await expectAccessible(page);
  // Experience is asked with what it does; a new student is what most are.
  await expect(page.getByLabel(/^Experience/)).toHaveValue('new');
  await expect(page.getByText('New: a tenth of every range is held back')).toBeAttached();
  await answerNone(page);
  presses += 3;
  await click('button', /^Begin/);

  for (const [measure, typed] of Object.entries(TYPED)) {
    await expect(page.getByRole('heading', { level: 1, name: measure, exact: true })).toBeVisible();
    for (const text of typed) {
      await page.locator('[data-testid=reading]:focus').waitFor();
      await page.keyboard.type(text);
      await enter();
    }
    await expect(page.getByText('saved', { exact: true })).toHaveCount(typed.length);
    // One reading a side is enough: Enter on an empty field goes on.
    await page.locator('[data-testid=reading]:focus').waitFor();
    await enter();
  }

  await click('link', 'See the set-up');
  await expect(page.getByRole('heading', { level: 1, name: 'Warrior II' })).toBeVisible();
  const drawing = page.getByRole('img', { name: /Warrior II, right foot in front/ });
  await expect(drawing).toBeVisible();
  const stance = Number(await page.locator('svg text.stance').textContent());
  expect(stance).toBeGreaterThan(80);
  expect(stance).toBeLessThan(120);
  expect(presses).toBeLessThanOrEqual(MOST_PRESSES);
  await expectAccessible(page);
});

test('consent can be taken back at once', async ({ page }) => {
  await page.goto('/');
  await page.getByLabel('Someone new').fill('Ada Marsh');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'They agree' }).click();
  await expect(page.getByRole('heading', { name: 'Before the first measure' })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('heading', { name: 'Does Ada Marsh agree?' })).toBeVisible();
  await expect(page.getByText('Undone.')).toBeVisible();
});

test('a reading may be written in any unit, and what cannot be read is said at the field', async ({
  page,
}) => {
  await page.goto('/');
  await page.getByLabel('Someone new').fill('Ada Marsh');
  await page.keyboard.press('Enter');
  await answerFirst(page);
  await page.getByRole('button', { name: 'Leg length' }).click();
  const left = page.getByLabel('left first');
  await left.fill('34 1/2 in');
  await left.press('Enter');
  await expect(left).toHaveValue('87.6 cm');
  await left.fill('34');
  await left.press('Enter');
  await expect(page.getByText('34 in is 86.4 cm')).toBeVisible();
  await expect(left).toHaveAttribute('aria-invalid', 'true');
  await left.fill('three hands');
  await left.press('Enter');
  await expect(page.getByText('“three hands” is not a length')).toBeVisible();
  // The last good value is still the saved one.
  await page.reload();
  await expect(page.getByLabel('left first')).toHaveValue('87.6 cm');
  // Two readings far apart ask for a third.
  await page.getByLabel('left second').fill('89');
  await page.getByLabel('left second').press('Enter');
  await expect(page.getByText('the readings differ by 1.4')).toBeVisible();
  await expect(page.getByLabel('left third')).toBeVisible();
  await page.getByRole('button', { name: /^cm/ }).click();
  await expect(page.getByLabel('left first')).toHaveValue('34½ in');
});

test('a range may be read with a tape: the sum is done, shown and kept', async ({ page }) => {
  await openDemo(page);
  await page.goto('/measure?id=marit-sollen&step=straight-leg-raise');
  await page.getByLabel('how the reading is taken').selectOption('tape');
  const ankle = page.getByLabel('outer ankle bone above the floor').first();
  await ankle.fill('4');
  await ankle.press('Enter');
  await expect(page.getByText(/is not possible; it must be between 9 and 100 cm/)).toBeVisible();
  await ankle.fill('62');
  await ankle.press('Enter');
  await expect(page.getByText(/^asin\(\(62\.0 − 9\.0\) \/ /)).toBeVisible();
  // Enter led on to the other side.
  await expect(page.getByLabel('outer ankle bone above the floor').nth(1)).toBeFocused();
  await page.reload();
  await expect(ankle).toHaveValue('62 cm');
  await expectAccessible(page);
});
