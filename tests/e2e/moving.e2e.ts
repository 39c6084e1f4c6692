import { expect, test, type Page } from '@playwright/test';
import { expectAccessible, openDemo } from './support.ts';

const stanceOf = async (page: Page): Promise<number> =>
  Number(await page.locator('svg text.stance').textContent());

async function openWarrior(page: Page): Promise<void> {
  await openDemo(page);
  await page.goto('/set-up?id=marit-sollen&pose=warrior-two&side=right');
  await expect(page.getByRole('slider', { name: 'Move the back foot' })).toBeVisible();
}

test('a foot is led by the pointer; the rest answers, and it can be undone', async ({ page }) => {
  await openWarrior(page);
  const before = await stanceOf(page);
  const foot = page.getByRole('slider', { name: 'Move the back foot' });
  const box = (await foot.boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  for (let i = 1; i <= 8; i += 1) await page.mouse.move(x - 5 * i, y);
  await page.mouse.up();
  await expect(page.getByText('Moved. The pose holds here.')).toBeVisible();
  await expect.poll(() => stanceOf(page)).toBeLessThan(before - 8);
  // The foot lies where it was led to, and the recommended one is still seen.
  const there = (await foot.boundingBox())!;
  expect(Math.abs(there.x - (box.x - 40))).toBeLessThan(box.width * 2);
  await expect(page.locator('svg .ghost')).toHaveCount(2);
  await expectAccessible(page);
  await page.getByRole('button', { name: 'undo' }).click();
  await expect.poll(() => stanceOf(page)).toBe(before);
  await page.getByRole('button', { name: 'redo' }).click();
  await expect.poll(() => stanceOf(page)).toBeLessThan(before - 8);
  await page.getByRole('button', { name: 'reset to the recommended set-up' }).click();
  await expect.poll(() => stanceOf(page)).toBe(before);
});

test('the front view shows the same body, and follows what is moved', async ({ page }) => {
  await openWarrior(page);
  await page.getByText('Front view').click();
  const front = page.getByRole('img', { name: /seen from the front edge of the mat/ });
  await expect(front).toBeVisible();
  const hips = front.locator('.pelvis-bar').first();
  const before = await hips.getAttribute('points');
  await page.getByRole('slider', { name: 'Move the back foot' }).focus();
  await page.keyboard.press('Shift+ArrowLeft');
  await expect(hips).not.toHaveAttribute('points', before ?? '');
  await expectAccessible(page);
});

test('keys do all of it: half centimetres, five with Shift, brackets turn', async ({ page }) => {
  await openWarrior(page);
  const before = await stanceOf(page);
  const foot = page.getByRole('slider', { name: 'Move the back foot' });
  await foot.focus();
  const turn = page.getByRole('slider', { name: 'Move the turn of the back foot' });
  const toward = async (key: string, by: number): Promise<void> => {
    const from = Number(await foot.getAttribute('aria-valuenow'));
    await page.keyboard.press(key);
    await expect
      .poll(async () => Math.abs(Number(await foot.getAttribute('aria-valuenow')) - from))
      .toBeCloseTo(by, 1);
  };
  await expect(foot).toHaveAttribute('aria-valuemin', '0');
  await expect(foot).toHaveAttribute('aria-valuemax', '220');
  await expect(foot).toHaveAttribute('aria-valuetext', /^\d+(\.5)? cm$/);
  await toward('ArrowLeft', 0.5);
  await toward('Shift+ArrowLeft', 5);
  await page.keyboard.press('Shift+ArrowRight');
  await page.keyboard.press('ArrowRight');
  await expect.poll(() => stanceOf(page)).toBe(before);
  // The turn follows the stance until it is held itself.
  const turnBefore = Number(await turn.getAttribute('aria-valuenow'));
  await page.keyboard.press('[');
  await expect
    .poll(async () => turnBefore - Number(await turn.getAttribute('aria-valuenow')))
    .toBeCloseTo(1, 1);
  // The depth beyond what is safe is not clamped: what gives is said.
  const depth = page.getByRole('slider', { name: /knee bend/ });
  await depth.fill('90');
  await expect(page.getByText(/^Moved\. .*(pelvis|knee|back)/)).toBeVisible();
});

test('a finger leads a foot on a narrow screen, and nothing scrolls sideways', async ({
  browser,
}) => {
  const context = await browser.newContext({
    viewport: { width: 390, height: 844 },
    hasTouch: true,
  });
  const page = await context.newPage();
  await openWarrior(page);
  // What stands above the drawing comes with what follows it, and moves the foot.
  await expect(page.getByTestId('onward')).toBeVisible();
  const before = await stanceOf(page);
  const foot = page.getByRole('slider', { name: 'Move the back foot' });
  await foot.scrollIntoViewIfNeeded();
  const box = (await foot.boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  const client = await context.newCDPSession(page);
  const touch = (type: 'touchStart' | 'touchMove' | 'touchEnd', at?: number): Promise<unknown> =>
    client.send('Input.dispatchTouchEvent', {
      type,
      touchPoints: at === undefined ? [] : [{ x: at, y }],
    });
  await touch('touchStart', x);
  for (let i = 1; i <= 6; i += 1) await touch('touchMove', x - 4 * i);
  await touch('touchEnd');
  await expect.poll(() => stanceOf(page)).toBeLessThan(before - 5);
  const scrolls = await page.evaluate(
    () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
  );
  expect(scrolls).toBeLessThanOrEqual(0);
  await context.close();
});
