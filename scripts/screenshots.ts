/** Takes the README's pictures from the demo data; needs a build and Chromium. */
import { spawn } from 'node:child_process';
import { chromium, type Page } from '@playwright/test';
import { WARRIOR_TWO_PLACES } from '../tests/support/posePlaces.ts';

const PORT = 4399;
/** An angle that has just been taken by stillness. */
async function takeAnAngle(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Practise with a simulation' }).click();
  await page.keyboard.press('z');
  await page.getByText(/^Ready for/).waitFor();
  await page.getByText('Move the simulated limb').click();
  await page.getByRole('slider').fill('71');
  await page.getByText(/is saved\.$/).waitFor();
}

/** Opens the drawn stand-in and points at places, as shares of its width and height. */
async function pointAt(page: Page, places: readonly (readonly [number, number])[]): Promise<void> {
  await page.getByRole('button', { name: 'or try it on a drawing' }).click();
  const picture = page.getByRole('application');
  await picture.waitFor();
  await page.waitForTimeout(800);
  const box = await picture.boundingBox();
  if (box === null) throw new Error('no picture');
  for (const [x, y] of places) {
    await page.mouse.click(box.x + x * box.width, box.y + y * box.height);
    await page.waitForTimeout(60);
  }
}

/** A drawn picture with its three marks. */
async function markAPicture(page: Page): Promise<void> {
  await pointAt(page, [
    [0.895, 0.66],
    [0.475, 0.66],
    [0.592, 0.19],
  ]);
  await page.keyboard.press('3');
  await page.mouse.wheel(0, 80);
  await page.waitForTimeout(400);
}

/** A class with two group numbers in use. */
async function useTwoNumbers(page: Page): Promise<void> {
  const use = page.getByRole('button', { name: 'Use these numbers' });
  await use.waitFor({ timeout: 120_000 });
  await use.click();
  await page.getByText('In use:').waitFor();
  await page.getByText(/^Planning:/).waitFor({ state: 'hidden', timeout: 60_000 });
}

async function beginTheClass(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Begin the class' }).click({ timeout: 60_000 });
  await page.getByTestId('class-run').waitFor();
  await page.waitForTimeout(1500);
}

/** A session that is begun, at its second pose. */
async function beginSession(page: Page): Promise<void> {
  const begin = page.getByRole('button', { name: 'Begin' });
  await begin.waitFor();
  await page.waitForFunction(() => document.querySelector('[data-testid=holds]') !== null);
  await begin.click();
  for (let i = 0; i < 6; i += 1) {
    await page.locator('[data-testid=run-next]').waitFor();
    await page.keyboard.press('PageDown');
    await page.waitForTimeout(500);
  }
}

/** A triangle of a flow, once its shared stances are found. */
async function openFlow(page: Page): Promise<void> {
  await page.getByText(/^\d+ min, \d+ steps$/).waitFor({ timeout: 60_000 });
  await page
    .getByRole('button', { name: /^Triangle/ })
    .first()
    .click();
  await page.getByText('What it counts').waitFor();
}

const markAPose = (page: Page): Promise<void> => pointAt(page, WARRIOR_TWO_PLACES);

/** Name, address (empty = the page before), what of the page to show when it is not its top, and what to do first. */
const VIEWS: readonly (readonly [
  string,
  string,
  (string | null)?,
  ((page: Page) => Promise<void>)?,
])[] = [
  ['people', '/'],
  ['health', '/person?id=oda-brask'],
  ['measure', '/measure?id=pell-krossing&step=straight-leg-raise'],
  [
    'inclinometer',
    '/measure?id=pell-krossing&step=straight-leg-raise&by=inclinometer',
    null,
    takeAnAngle,
  ],
  [
    'from-a-photo',
    '/measure?id=pell-krossing&step=straight-leg-raise&by=photo',
    null,
    markAPicture,
  ],
  ['warrior-two', '/set-up?id=marit-sollen&pose=warrior-two&side=right'],
  ['large-step-view', '/set-up?id=marit-sollen&pose=warrior-two&side=right&step=1'],
  ['on-paper', '/paper?id=sanna-tveit&poses=half-moon,pyramid'],
  ['lying-warrior-two', '/set-up?id=marit-sollen&pose=lying-warrior-two&side=right'],
  ['flows', '/flows?id=marit-sollen&flow=open-hips', null, openFlow],
  ['before-you-start', '/session?id=marit-sollen'],
  ['in-session', '/session?id=marit-sollen', null, beginSession],
  ['progress', '/over-time?id=oda-brask'],
  ['record', '/record?id=ingeborg-quill'],
  ['photo-against-plan', '/pose-photo?id=marit-sollen&pose=warrior-two', null, markAPose],
  ['class', '/classes?class=after-the-kiln', null, useTwoNumbers],
  ['teaching', '/classes?class=after-the-kiln&part=teach', null, beginTheClass],
  ['studio', '/studio'],
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
for (const [name, path, part, act] of VIEWS) {
  if (path !== '') {
    await page.goto(base + path);
    await page.getByRole('heading', { level: 1 }).first().waitFor({ state: 'attached' });
    await page.waitForTimeout(2500);
  }
  await act?.(page);
  if (part != null) {
    await page.locator(part).evaluate((element) => {
      element.scrollIntoView();
    });
  }
  await page.screenshot({ path: `docs/screenshots/${name}.png` });
}
await browser.close();
server.kill('SIGINT');
