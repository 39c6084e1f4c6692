import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import {
  chromium,
  expect,
  test,
  type BrowserContext,
  type Locator,
  type Page,
} from '@playwright/test';

const axeSource = readFileSync(
  createRequire(import.meta.url).resolve('axe-core/axe.min.js'),
  'utf8',
);

/** Opens the app with the made-up people in its database. */
export async function openDemo(page: Page): Promise<void> {
  await page.goto('/?demo');
  await expect(page.getByRole('link', { name: 'Sanna Tveit' })).toBeVisible();
}

/** The health questions before the first measure, three groups of them. */
export async function answerNone(page: Page): Promise<void> {
  for (const group of ['Now or today', 'Lately', 'Good to know as well']) {
    const asked = page.getByRole('group', { name: group });
    await expect(asked).toBeVisible();
    await page.getByRole('button', { name: 'None of these' }).press('Enter');
    await expect(asked).toBeHidden();
  }
}

/** What is asked before the first measure: consent, then stop signs. */
export async function answerFirst(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'They agree' }).click();
  await answerNone(page);
}

/** Removes someone from the list of people. */
export async function removePerson(page: Page, name: string): Promise<void> {
  await page.getByRole('button', { name: `More about ${name}` }).click();
  await page.getByRole('button', { name: `remove ${name}` }).click();
}

/** Types a day and a time, written as `2026-12-03T18:30`, into the parts of their field. */
export async function fillDateTime(page: Page, label: string, at: string): Promise<void> {
  const [date = '', time = ''] = at.split('T');
  const [year = '', month = '', day = ''] = date.split('-');
  const [hour = '', minute = ''] = time.split(':');
  const field = page.getByRole('group', { name: label });
  for (const [part, digits] of Object.entries({ day, month, year, hour, minute })) {
    // A day alone has neither hour nor minute.
    if (digits === '') continue;
    await field.locator(`[data-type=${part}]`).focus();
    await page.keyboard.type(digits);
  }
}

export const nextButton = (page: Page): Locator => page.locator('[data-testid=run-next]');

/** Opens the plan of a session and waits until its set-ups are worked out. */
export async function openPlan(page: Page, person: string): Promise<void> {
  await page.goto(`/session?id=${person}`);
  await expect(page.getByRole('button', { name: 'Begin' })).toBeEnabled();
}

export async function beginSession(page: Page, person: string): Promise<void> {
  await openPlan(page, person);
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(nextButton(page)).toBeVisible();
}

/** On to the log of the hold that is set. */
export async function toLog(page: Page): Promise<void> {
  await nextButton(page).click();
  await expect(page.locator('[data-testid=run-breathe]')).toBeVisible();
  await nextButton(page).click();
  await expect(page.locator('[data-testid=run-log]')).toBeVisible();
}

/** Three marks by keys alone on the drawn picture of a leg. */
export async function markDrawnPicture(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'or try it on a drawing' }).click();
  await page.getByRole('application').focus();
  for (const [key, times] of [
    ['Shift+ArrowRight', 20],
    ['Shift+ArrowLeft', 3],
    ['Shift+ArrowUp', 20],
  ] as const) {
    for (let i = 0; i < times; i += 1) await page.keyboard.press(key);
    await page.keyboard.press('Enter');
  }
  await expect(page.locator('[data-testid=photo] [data-testid=value]')).toBeVisible();
}

/** A phone that reports its tilt twenty times a second, zeroed; {@link tiltPhone} moves it. */
export async function startPhone(page: Page, tilt: Tilt): Promise<void> {
  await page.getByRole('button', { name: 'Start reading its tilt' }).click();
  const live = page.getByRole('region', { name: 'Live reading' });
  await expect(live.getByText(/^Waiting for the instrument|^Nothing comes from/)).toBeVisible();
  await page.evaluate((from) => {
    Object.assign(window, { tilt: from });
    setInterval(() => {
      window.dispatchEvent(new DeviceOrientationEvent('deviceorientation', from));
    }, 50);
  }, tilt);
  await live.focus();
  await page.keyboard.press('z');
  await expect(live.getByText('Ready for the left, first reading.')).toBeVisible();
}

/** Degrees about the phone's short and long edge. */
interface Tilt {
  readonly beta: number;
  readonly gamma: number;
}

export const tiltPhone = (page: Page, to: Partial<Tilt>): Promise<void> =>
  page.evaluate((tilt) => {
    Object.assign((window as unknown as { tilt: object }).tilt, tilt);
  }, to);

interface AxeResult {
  readonly violations: readonly {
    readonly id: string;
    readonly nodes: readonly { readonly html: string }[];
  }[];
}

/** WCAG 2.2 A and AA by axe: no violation at all. */
export async function expectAccessible(page: Page): Promise<void> {
  // A script tag would be refused by the page's own policy.
  await page.evaluate(axeSource);
  const result = await page.evaluate(
    `axe.run({ runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'] })`,
  );
  const { violations } = result as AxeResult;
  const words = violations.map(({ id, nodes }) => `${id}: ${nodes[0]?.html ?? ''}`);
  expect(words).toEqual([]);
}

/** A usual body: what is typed for each measure of the round, left and right. */
export const TYPED: Readonly<Record<string, readonly string[]>> = {
  Height: ['170'],
  'Hip height': ['89', '89'],
  'Knee height': ['47', '47'],
  'Shoulder height': ['139'],
  'Arm reach': ['62', '62'],
  'Foot length': ['24,5'],
  'Ankle dorsiflexion, knee bent': ['42', '41'],
  'Ankle dorsiflexion, knee straight': ['35', '34'],
  'Trunk rotation': ['45', '46'],
  'Leg length': ['82', '82.5'],
  'Hip opening': ['55', '53'],
  'Hip abduction': ['45', '44'],
  'Hip flexion': ['120', '118'],
  'Straight-leg raise': ['85', '82'],
  'Hip external rotation': ['45', '44'],
  'Hip internal rotation': ['35', '36'],
  'Hip extension': ['20', '19'],
};

/** A browser whose data stays in a folder, so that it can be killed and opened again. */
export function openProfile(profile: string): Promise<BrowserContext> {
  const { executablePath, args } = test.info().project.use.launchOptions ?? {};
  return chromium.launchPersistentContext(profile, {
    executablePath: executablePath ?? '/usr/bin/chromium',
    args: args ?? [],
    baseURL: 'http://localhost:4391',
    viewport: { width: 1280, height: 800 },
  });
}

/** SIGKILL to every process that runs on this profile; returns when they are gone. */
export function killBrowserOf(profile: string): void {
  spawnSync('pkill', ['-9', '-f', profile]);
}
