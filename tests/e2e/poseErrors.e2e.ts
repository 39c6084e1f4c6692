import { expect, test, type Locator, type Page } from '@playwright/test';
import { beginSession, expectAccessible, openDemo, toLog } from './support.ts';

const view = (page: Page): Locator => page.getByTestId('error-view');
const tile = (page: Page, words: string): Locator =>
  page.getByTestId('error-tile').filter({ hasText: words });

test.describe('by touch', () => {
  test.use({ hasTouch: true, viewport: { width: 820, height: 1180 } });

  test('an error is logged, seen, mended and the change undone in four taps', async ({ page }) => {
    await openDemo(page);
    await beginSession(page, 'marit-sollen');
    await toLog(page);
    let taps = 0;
    const tap = async (target: Locator): Promise<void> => {
      await target.tap();
      taps += 1;
    };
    await expect(tile(page, 'breath held')).toBeVisible();
    const words = (await page.getByTestId('error-tile').first().textContent()) ?? '';
    await tap(tile(page, words));
    await expect(tile(page, words)).toHaveAttribute('aria-pressed', 'true');
    await tap(page.getByRole('button', { name: new RegExp(`^see it.*${words}$`) }));
    const drawn = new RegExp(`as planned and with “${words}” by`);
    await expect(view(page).getByRole('img', { name: drawn })).toBeVisible();
    await expectAccessible(page);
    const change = view(page).getByTestId('first-change');
    await tap(change.getByRole('button', { name: 'Change it' }));
    await expect(change).toContainText('Changed:');
    await tap(change.getByRole('button', { name: 'undo' }));
    await expect(change.getByRole('button', { name: 'Change it' })).toBeVisible();
    expect(taps).toBeLessThanOrEqual(5);
    // The error stays noted; what was used is as planned again.
    await expect(tile(page, words)).toHaveAttribute('aria-pressed', 'true');
  });
});

test('by keys, a set-up is mended from its drawing, and one press takes it back', async ({
  page,
}) => {
  await openDemo(page);
  await page.goto('/set-up?id=marit-sollen&pose=pyramid&side=right');
  const hand = page.locator('svg text[data-setting=hand-height]').first();
  await expect(hand).toBeVisible();
  const before = (await hand.textContent()) ?? '';
  await page.getByText('Errors to recognise').focus();
  await page.keyboard.press('Enter');
  // The joint with least margin comes first; a pose without a bent knee has no drifting knee.
  await expect(tile(page, 'low back rounds')).toBeVisible();
  await expect(tile(page, 'knee drifts in')).toHaveCount(0);
  await tile(page, 'low back rounds').focus();
  await page.keyboard.press('Enter');
  await expect(view(page)).toContainText('of front hip flexion');
  await expectAccessible(page);
  await view(page).getByRole('button', { name: 'Change it' }).focus();
  await page.keyboard.press('Enter');
  await expect(hand).not.toHaveText(before);
  await view(page).getByRole('button', { name: 'undo' }).focus();
  await page.keyboard.press('Enter');
  await expect(hand).toHaveText(before);

  // What has no geometry keeps its sign and its words.
  await tile(page, 'gaze wanders').click();
  await expect(view(page)).toContainText('This one moves no joint');
  await expect(view(page)).toContainText('Name one point to look at.');
});

test('what to watch for can be opened while a pose is set and held', async ({ page }) => {
  await openDemo(page);
  await beginSession(page, 'sanna-tveit');
  await page.getByText('What to watch for').click();
  await page.getByTestId('error-tile').first().click();
  await expect(page.getByTestId('error-tile').first()).toHaveAttribute('aria-pressed', 'true');
  await page
    .getByRole('button', { name: /^see it/ })
    .first()
    .click();
  await expect(view(page).getByRole('img', { name: /as planned and with/ })).toBeVisible();
  // What is changed here is what is set: the numbers on the mat follow, and come back.
  const numbers = page.getByTestId('run-set').locator('dl');
  const before = (await numbers.textContent()) ?? '';
  await view(page).getByRole('button', { name: 'Change it' }).click();
  await expect(numbers).not.toHaveText(before);
  await view(page).getByRole('button', { name: 'undo' }).click();
  await expect(numbers).toHaveText(before);
});
