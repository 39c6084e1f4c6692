import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test } from '@playwright/test';
import { makeRandom } from '../support/random.ts';
import { killBrowserOf, openDemo, openProfile } from './support.ts';

const KILLS = 20;

test('twenty kills in mid-session lose nothing that the screen had confirmed', async () => {
  test.setTimeout(600_000);
  const profile = mkdtempSync(join(tmpdir(), 'stillwater-crash-'));
  const open = () => openProfile(profile);
  let context = await open();
  let page = context.pages()[0] ?? (await context.newPage());
  await openDemo(page);
  await page.goto('/session?id=marit-sollen');
  const start = page.getByRole('button', { name: 'Begin' });
  await expect(start).toBeEnabled({ timeout: 40_000 });
  await start.click();
  for (const stage of ['[data-testid=run-set]', '[data-testid=run-breathe]']) {
    await expect(page.locator(stage)).toBeVisible();
    await page.locator('[data-testid=run-next]').click();
  }
  await expect(page.locator('[data-testid=run-log]')).toBeVisible();
  const url = page.url();
  const random = makeRandom(20_261_126);
  const confirmed = new Set<string>();
  const afterMs: number[] = [];
  for (let kill = 0; kill < KILLS; kill += 1) {
    const tiles = page.locator('[data-testid=error-tile]');
    const count = await tiles.count();
    for (let tap = 0; tap < 3; tap += 1) {
      const index = Math.floor(random() * count);
      const tile = tiles.nth(index);
      const name = (await tile.textContent())!;
      const wanted = !confirmed.has(name);
      await tile.click();
      // Looked at in every frame, so that the kill comes soon after the screen has said it.
      await page.waitForFunction(
        ([i, pressed]) =>
          [...document.querySelectorAll('[data-testid=error-tile]')]
            .at(Number(i))
            ?.getAttribute('aria-pressed') === pressed,
        [String(index), String(wanted)] as const,
        { polling: 'raf' },
      );
      if (wanted) confirmed.add(name);
      else confirmed.delete(name);
    }
    const at = performance.now();
    // More than half of them as soon as can be: the kill itself takes some milliseconds.
    const wait = kill % 5 < 3 ? random() * 8 : 60 + random() * 700;
    await new Promise((resolve) => setTimeout(resolve, wait));
    killBrowserOf(profile);
    afterMs.push(performance.now() - at);
    await context.close().catch(() => undefined);
    context = await open();
    page = context.pages()[0] ?? (await context.newPage());
    await page.goto(url);
    // At the exact step, with every tap that the screen had confirmed and no other.
    await expect(page.locator('[data-testid=run-log]')).toBeVisible();
    const pressed = page.locator('[data-testid=error-tile][aria-pressed="true"]');
    await expect(pressed).toHaveCount(confirmed.size);
    expect(new Set(await pressed.allTextContents())).toEqual(confirmed);
  }
  await context.close();
  const soon = afterMs.filter((each) => each <= 50).length;
  console.log(`${String(KILLS)} kills, ${String(soon)} within 50 ms of a confirmation`);
});
