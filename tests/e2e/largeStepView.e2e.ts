import { expect, test } from '@playwright/test';
import { expectAccessible, openDemo } from './support.ts';

test('one thing at a time, led by the keys that a pedal sends, and corrected with one hand', async ({
  page,
}) => {
  await openDemo(page);
  await page.goto('/set-up?id=marit-sollen&pose=warrior-two&side=right');
  await page.getByRole('button', { name: 'large step view' }).click();
  const view = page.getByRole('dialog');
  const count = view.getByText(/^\d+ of \d+$/);
  await expect(count).toHaveText(/^1 of/);
  for (const [key, at] of [
    ['Space', 2],
    ['Enter', 3],
    ['PageDown', 4],
    ['ArrowRight', 5],
    ['PageUp', 4],
    ['ArrowLeft', 3],
    ['PageUp', 2],
  ] as const) {
    await page.keyboard.press(key);
    await expect(count).toHaveText(new RegExp(`^${String(at)} of`));
  }
  // Two metres away: digits of at least 56 px, words of at least 24 px.
  const sizes = await view.evaluate((element) =>
    [...element.querySelectorAll('p, button, h2')].map((each) =>
      Number.parseFloat(getComputedStyle(each).fontSize),
    ),
  );
  expect(Math.min(...sizes)).toBeGreaterThanOrEqual(24);
  const digits = view.locator('[data-testid=large-digits]');
  expect(
    await digits.evaluate((each) => Number.parseFloat(getComputedStyle(each).fontSize)),
  ).toBeGreaterThanOrEqual(56);
  await expectAccessible(page);
  const read = async (): Promise<number> => Number.parseFloat((await digits.textContent()) ?? '');
  const before = await read();
  await view.getByRole('button', { name: 'less' }).click();
  await expect.poll(read).toBe(before - 0.5);
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('ArrowUp');
  await expect.poll(read).toBe(before + 0.5);
  // What was corrected is undone by one press each, also after the next thing was read.
  await page.keyboard.press('PageDown');
  await page.keyboard.press('PageUp');
  await page.keyboard.press('Backspace');
  await expect.poll(read).toBe(before);
  // It stands in the link: a reload comes back to the same thing.
  await page.reload();
  await expect(count).toHaveText(/^2 of/);
  // The check list follows, what to look at with what to change first, then the way out.
  const seen: string[] = [];
  const total = Number(/of (\d+)/.exec((await count.textContent()) ?? '')?.[1]);
  for (let i = 2; i < total; i += 1) {
    await page.keyboard.press('PageDown');
    await expect(count).toHaveText(new RegExp(`^${String(i + 1)} of`));
    seen.push((await view.locator('[data-testid=large-step]').textContent()) ?? '');
  }
  const order = ['Feet', 'Pelvis', 'Gaze', 'Breath', 'The way out'].map((words) =>
    seen.findIndex((each) => each.startsWith(words)),
  );
  expect(order).toEqual([...order].sort((a, b) => a - b));
  expect(order[0]).toBeGreaterThan(0);
  await page.keyboard.press('Escape');
  await expect(view).toHaveCount(0);
});

test('at 390 × 844 it is read and corrected by touch', async ({ browser }) => {
  const context = await browser.newContext({
    viewport: { width: 390, height: 844 },
    hasTouch: true,
  });
  const page = await context.newPage();
  await openDemo(page);
  await page.goto('/set-up?id=marit-sollen&pose=triangle&side=left&step=1');
  const view = page.getByRole('dialog');
  await view.getByRole('button', { name: 'next' }).tap();
  await expect(view.getByText(/^3 of/)).toBeVisible();
  const sideways = await view.evaluate((each) => each.scrollWidth - each.clientWidth);
  expect(sideways).toBeLessThanOrEqual(0);
  await context.close();
});
