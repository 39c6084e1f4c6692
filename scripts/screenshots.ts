/** Takes the README's pictures from the demo data; needs a build and Chromium. */
import { spawn } from 'node:child_process';
import { chromium } from '@playwright/test';

const PORT = 4399;
/** Name, address, and what of the page to show when it is not its top. */
const VIEWS: readonly (readonly [string, string, string?])[] = [
  ['people', '/'],
  ['what-to-mind', '/person?id=oda-brask'],
  ['measure', '/measure?id=pell-krossing&step=straight-leg-raise'],
  ['body', '/measure?id=pell-krossing', '.body-view'],
  ['measure-by-tape', '/measure?id=pell-krossing&step=hip-opening&by=tape'],
  ['warrior-two', '/set-up?id=marit-sollen&pose=warrior-two&side=right'],
  ['on-a-chair', '/set-up?id=sanna-tveit&pose=warrior-two&side=right&level=on-a-chair'],
  ['triangle', '/set-up?id=sanna-tveit&pose=triangle&side=left'],
  ['pyramid', '/set-up?id=pell-krossing&pose=pyramid&side=right'],
  ['warrior-one', '/set-up?id=marit-sollen&pose=warrior-one&side=left'],
  ['high-lunge', '/set-up?id=oda-brask&pose=high-lunge&side=right'],
  ['half-moon', '/set-up?id=sanna-tveit&pose=half-moon&side=right'],
  ['warrior-three', '/set-up?id=marit-sollen&pose=warrior-three&side=left&level=hands-on-blocks'],
  ['revolved-triangle', '/set-up?id=oda-brask&pose=revolved-triangle&side=right'],
  ['lying-warrior-two', '/set-up?id=marit-sollen&pose=lying-warrior-two&side=right'],
  ['stop-sign', '/set-up?id=juno-pardew'],
  ['files', '/files'],
];

const server = spawn(process.execPath, ['server.mjs'], {
  env: { ...process.env, PORT: String(PORT) },
  stdio: ['ignore', 'pipe', 'inherit'],
});
await new Promise((resolve) => server.stdout.once('data', resolve));
const browser = await chromium.launch({
  executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
});
const context = await browser.newContext({
  viewport: { width: 1280, height: 800 },
  locale: 'en-GB',
});
const page = await context.newPage();
// The made-up people were last measured in November 2026; the pictures keep that day.
await page.clock.setFixedTime(new Date('2026-11-25T09:00:00Z'));
const base = `http://localhost:${String(PORT)}`;
await page.goto(`${base}/?demo`);
await page.getByRole('link', { name: 'Sanna Tveit' }).waitFor();
for (const [name, path, part] of VIEWS) {
  await page.goto(base + path);
  await page.getByRole('heading', { level: 1 }).waitFor();
  await page.waitForTimeout(2500);
  if (part !== undefined) {
    await page.locator(part).evaluate((element) => {
      element.scrollIntoView();
    });
  }
  await page.screenshot({ path: `docs/screenshots/${name}.png` });
}
await browser.close();
server.kill('SIGINT');
