import { expect, test, type Page } from '@playwright/test';
import { WARRIOR_TWO_PLACES } from '../support/posePlaces.ts';
import { expectAccessible, openDemo } from './support.ts';

/** A film of two seconds, painted and recorded by the browser. */
async function recordFilm(page: Page): Promise<Buffer> {
  const bytes = await page.evaluate(async () => {
    const canvas = document.createElement('canvas');
    [canvas.width, canvas.height] = [640, 480];
    const context = canvas.getContext('2d')!;
    const recorder = new MediaRecorder(canvas.captureStream(30), { mimeType: 'video/webm' });
    const parts: Blob[] = [];
    recorder.ondataavailable = ({ data }) => {
      parts.push(data);
    };
    const stopped = new Promise((resolve) => {
      recorder.onstop = resolve;
    });
    recorder.start();
    const started = performance.now();
    while (performance.now() - started < 2000) {
      const share = (performance.now() - started) / 2000;
      context.fillStyle = '#eee';
      context.fillRect(0, 0, 640, 480);
      context.fillStyle = '#246';
      context.fillRect(100 + 300 * share, 200, 60, 60);
      await new Promise((resolve) => requestAnimationFrame(resolve));
    }
    recorder.stop();
    await stopped;
    return [...new Uint8Array(await new Blob(parts).arrayBuffer())];
  });
  return Buffer.from(bytes);
}

const chooseFilm = (page: Page, name: string, buffer: Buffer): Promise<void> =>
  page
    .getByTestId('photo')
    .getByLabel('Film', { exact: true })
    .setInputFiles({ name, mimeType: 'video/webm', buffer });

test.beforeEach(async ({ page }) => {
  await openDemo(page);
  await page.goto('/pose-photo?id=marit-sollen&pose=warrior-two&side=right');
  await expect(page.getByTestId('photo')).toBeVisible();
});

test('a film is stepped through, and its frames are compared with the plan', async ({ page }) => {
  const film = await recordFilm(page);
  const sent: string[] = [];
  page.on('request', (request) => {
    if (request.method() !== 'GET') sent.push(request.url());
  });
  await chooseFilm(page, 'hold.webm', film);
  const player = page.getByLabel('Film of the pose');
  await expect(player).toBeVisible();
  const now = (): Promise<number> =>
    player.evaluate((video: HTMLVideoElement) => video.currentTime);
  // Frame by frame, by the buttons and by the keys.
  await page.getByRole('button', { name: 'frame on' }).click();
  await expect.poll(now).toBeCloseTo(1 / 30, 2);
  await player.focus();
  await page.keyboard.press('.');
  await expect.poll(now).toBeCloseTo(2 / 30, 2);
  await page.getByRole('button', { name: 'frame back' }).click();
  await expect.poll(now).toBeCloseTo(1 / 30, 2);
  await page.getByRole('button', { name: 'Take the start' }).click();
  const picture = page.getByRole('application');
  await expect(picture).toBeVisible();
  await picture.scrollIntoViewIfNeeded();
  const box = (await picture.boundingBox())!;
  for (const [x, y] of WARRIOR_TWO_PLACES) {
    await page.mouse.click(box.x + x * box.width, box.y + y * box.height);
  }
  const chart = page.getByTestId('hold-chart');
  const knee = chart.getByRole('row', { name: /^front knee/ });
  const cell = (column: number): Promise<string> => knee.getByRole('cell').nth(column).innerText();
  await expect(knee).toBeVisible();
  expect(await cell(1)).toMatch(/^\d+(\.\d)?° ± \d/);
  expect(await cell(3)).toBe('');
  // The marks of the start are the first guess for the end, and stay as they were at the start.
  await player.evaluate((video: HTMLVideoElement) => {
    video.currentTime = 1;
  });
  await page.getByRole('button', { name: 'Take the end' }).click();
  await expect.poll(() => cell(3)).toBe(await cell(1));
  await picture.focus();
  await page.keyboard.press('6');
  for (let i = 0; i < 4; i += 1) await page.keyboard.press('Shift+ArrowUp');
  await expect.poll(() => cell(3)).not.toBe(await cell(1));
  await page.getByRole('button', { name: /^Marks of the start/ }).click();
  await expect(page.getByRole('button', { name: /^Marks of the start/ })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  expect(await cell(3)).not.toBe(await cell(1));
  await expectAccessible(page);
  expect(sent).toEqual([]);
  // The film was never stored.
  await page.reload();
  await expect(page.getByTestId('photo')).toBeVisible();
  await expect(page.getByLabel('Film of the pose')).toHaveCount(0);
});

test('what is no film, or lasts an hour, is refused by name', async ({ page }) => {
  await chooseFilm(page, 'notes.webm', Buffer.from('not a film at all'));
  await expect(
    page.getByText('notes.webm is not a film that this browser can show.'),
  ).toBeVisible();
  const film = await recordFilm(page);
  await page.evaluate(() => {
    Object.defineProperty(HTMLMediaElement.prototype, 'duration', { get: () => 3600 });
  });
  await chooseFilm(page, 'hour.webm', film);
  await expect(page.getByText('hour.webm lasts 60 minutes; at most 15 are opened.')).toBeVisible();
});
