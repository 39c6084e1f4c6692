import { expect, test, type Page } from '@playwright/test';
import { expectAccessible, openDemo } from './support.ts';

const PIN = '4711';

async function takeBack(page: Page, pin: string): Promise<void> {
  await page.getByLabel(/PIN/).fill(pin);
  await page.getByRole('button', { name: 'Take back' }).click();
}

test('a view is handed over: nothing else opens until the PIN is typed', async ({
  page,
  context,
}) => {
  await openDemo(page);
  await page.goto('/person?id=marit-sollen');
  // What is asked at the first meeting is not handed over.
  await expect(page.getByRole('heading', { name: 'Health' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'hand over' })).toHaveCount(0);
  const at = '/over-time?id=marit-sollen';
  await page.goto(at);
  const handOver = page.getByRole('button', { name: 'hand over' });
  await handOver.press('Enter');
  await expect(page.getByRole('dialog', { name: 'Hand over' })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await expect(handOver).toBeFocused();
  await handOver.click();
  await page.getByLabel('Choose a PIN, 4 to 8 digits').fill('47');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('PIN: it must be 4 to 8 digits.');
  await page.getByLabel('Choose a PIN, 4 to 8 digits').fill(PIN);
  await page.keyboard.press('Enter');
  await expect(page.getByText('It is a screen lock, not encryption')).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Hand over now' }).click();
  await expect(page.getByText('Handed over. PIN to take back')).toBeVisible();
  await expectAccessible(page);
  await expect(page.getByRole('link', { name: 'people' })).toHaveCount(0);
  await expect(page.getByRole('navigation', { name: /Views of/ })).toHaveCount(0);
  const here = new RegExp(`${at.replace('?', '\\?')}$`);
  for (const elsewhere of ['/', '/files', '/person?id=marit-sollen', '/over-time?id=sanna-tveit']) {
    // The page leaves while it loads.
    await page.goto(elsewhere).catch(() => undefined);
    await page.waitForURL(here);
  }
  await page.goBack();
  await page.waitForURL(here);
  // Another tab is locked too.
  const other = await context.newPage();
  await other.goto('/files').catch(() => undefined);
  await other.waitForURL(here);
  await takeBack(page, '0000');
  await expect(page.getByText('Wrong PIN.')).toBeVisible();
  await takeBack(page, PIN);
  await expect(page.getByRole('navigation', { name: /Views of/ })).toBeVisible();
  await expect(other.getByRole('navigation', { name: /Views of/ })).toBeVisible();
  await page.getByRole('link', { name: 'people' }).click();
  await expect(page.getByRole('link', { name: 'Sanna Tveit' })).toBeVisible();
});

test('left alone it locks by itself, where it is', async ({ page }) => {
  await page.clock.install();
  await openDemo(page);
  await page.goto('/record?id=marit-sollen');
  await page.getByRole('button', { name: 'hand over' }).click();
  await page.getByLabel('Choose a PIN, 4 to 8 digits').fill(PIN);
  await page.keyboard.press('Enter');
  await page.getByLabel('Lock automatically after').selectOption('2 minutes without use');
  await page.keyboard.press('Escape');
  await page.getByRole('link', { name: 'people' }).click();
  await expect(page.getByRole('link', { name: 'Sanna Tveit' })).toBeVisible();
  await page.clock.fastForward('01:50');
  await page.keyboard.press('Tab');
  await page.clock.fastForward('01:50');
  await expect(page.getByText('Locked. PIN')).toHaveCount(0);
  await page.clock.fastForward('00:20');
  await expect(page.getByText('Locked. PIN')).toBeVisible();
  // A list of people is no view to hand over: nothing of it is seen.
  await expect(page.getByRole('link', { name: 'Sanna Tveit' })).toHaveCount(0);
  await page.getByLabel(/PIN/).fill(PIN);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('link', { name: 'Sanna Tveit' })).toBeVisible();
});
