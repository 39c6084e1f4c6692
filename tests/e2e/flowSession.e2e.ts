import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test, type Page } from '@playwright/test';
import { expectAccessible, killBrowserOf, nextButton, openDemo, openProfile } from './support.ts';

const FLOWS = '/flows?id=marit-sollen';

/** Name and place of the step that is shown. */
const placeOf = async (page: Page): Promise<string> => {
  const head = page.getByTestId('run-head');
  const name = await head.locator('h1').innerText();
  return `${name}, ${await page.getByTestId('place-in-session').innerText()}`;
};
const stageOf = (page: Page) => page.getByRole('group', { name: /^(Set|Hold|What was seen)$/ });

/** The next key until a step and stage are shown. */
async function pedalTo(page: Page, name: string, stage: string): Promise<void> {
  for (let i = 0; i < 80; i += 1) {
    const label = await stageOf(page).getAttribute('aria-label');
    if ((await placeOf(page)).startsWith(name) && label === stage) return;
    const before = `${await placeOf(page)} ${label ?? ''}`;
    await page.keyboard.press('PageDown');
    await expect
      .poll(async () => {
        if ((await page.getByTestId('run-head').count()) === 0) return 'ended';
        return `${await placeOf(page)} ${(await stageOf(page).getAttribute('aria-label')) ?? ''}`;
      })
      .not.toBe(before);
  }
  throw new Error(`${name} was not reached`);
}

async function addByKeys(page: Page, sought: string, count: number): Promise<void> {
  await page.getByRole('searchbox').focus();
  await page.keyboard.type(sought);
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('band').locator('[data-step]')).toHaveCount(count);
}

test('a flow that is built and led by keys alone goes on at the exact step after kills, offline too', async () => {
  test.setTimeout(300_000);
  const profile = mkdtempSync(join(tmpdir(), 'stillwater-flow-'));
  const open = () => openProfile(profile);
  let context = await open();
  let page = context.pages()[0] ?? (await context.newPage());
  const killAndReopen = async (): Promise<void> => {
    const url = page.url();
    killBrowserOf(profile);
    await context.close().catch(() => undefined);
    context = await open();
    page = context.pages()[0] ?? (await context.newPage());
    await page.goto(url);
    await expect(nextButton(page)).toBeVisible();
  };
  await openDemo(page);
  await page.goto(FLOWS);
  await page.getByRole('button', { name: 'An empty mat' }).press('Enter');
  for (const [i, pose] of ['downward dog', 'warrior II', 'side angle', 'triangle'].entries()) {
    await addByKeys(page, pose, i + 1);
  }
  await page.getByRole('link', { name: 'lead this flow' }).press('Enter');
  await expect(page.getByText(/^3 holds, about \d+ minutes/)).toBeVisible({ timeout: 60_000 });
  await page.getByRole('button', { name: 'Begin' }).press('Enter');
  await expect(page.getByTestId('run-step')).toBeVisible();
  await expectAccessible(page);
  expect(await placeOf(page)).toMatch(/^Downward dog, 1 of \d+$/);
  await expect(page.getByText(/^The front heels stand \d+ cm from/)).toBeVisible();
  // A linking pose is stayed in for its breaths, and nothing of it is logged.
  await page.keyboard.press('PageDown');
  await expect(page.getByTestId('run-breathe')).toContainText(/of \d+ breaths/);
  const link = await placeOf(page);
  await killAndReopen();
  await expect(page.getByTestId('run-breathe')).toBeVisible();
  expect(await placeOf(page)).toBe(link);

  // In mid-hold, with a breath counted and an error noted.
  await pedalTo(page, 'Side angle', 'What was seen');
  await page.getByTestId('error-tile').first().press('Enter');
  await expect(page.getByText('Saved.')).toBeVisible();
  const log = await placeOf(page);
  await killAndReopen();
  await expect(page.getByTestId('run-log')).toBeVisible();
  expect(await placeOf(page)).toBe(log);
  await expect(page.locator('[data-testid=error-tile][aria-pressed="true"]')).toHaveCount(1);

  // A pose that is only passed through, without the network.
  await page.evaluate(async () => {
    await navigator.serviceWorker.ready;
  });
  await nextButton(page).focus();
  await page.keyboard.press('PageDown');
  await expect(page.getByText('On the way.')).toBeVisible();
  const passed = await placeOf(page);
  expect(passed).toMatch(/^Warrior II, /);
  await context.setOffline(true);
  await page.reload();
  await expect(page.getByText('On the way.')).toBeVisible();
  expect(await placeOf(page)).toBe(passed);
  await page.keyboard.press('PageUp');
  await expect(page.getByTestId('run-log')).toBeVisible();
  await pedalTo(page, 'Triangle', 'Set');
  await expect(page.getByTestId('lead-in')).toContainText(/Back foot in \d+ cm, toes to \d+°/);
  await pedalTo(page, 'Triangle', 'What was seen');
  await page.keyboard.press('PageDown');
  await expect(page.getByRole('heading', { name: 'Next time' })).toBeVisible();
  await expect(page.getByText('3 of 3 holds logged.')).toBeVisible();
  await expect(page.getByTestId('verdicts').locator('> li')).toHaveCount(3);
  await context.close();
});

test('a peak is prepared in the time there is, or it is said why not', async ({ page }) => {
  await openDemo(page);
  await page.goto(FLOWS);
  const toward = page.getByTestId('toward-peak');
  await expect(toward.getByText('Most promising now')).toBeVisible({ timeout: 30_000 });
  await expect(toward.getByRole('listitem')).toHaveCount(3);
  await toward.getByLabel('Peak').selectOption('Half moon');
  await toward.getByLabel('Minutes').fill('2');
  await toward.getByRole('button', { name: 'Choose the preparations' }).click();
  await expect(toward.getByRole('alert')).toContainText(
    '2 min are too short to prepare Half moon.',
  );
  await toward.getByLabel('Minutes').fill('20');
  await toward.getByRole('button', { name: 'Choose the preparations' }).press('Enter');
  await expect(toward.getByText(/^\d+ steps for 20 minutes\./)).toBeVisible({ timeout: 30_000 });
  await expectAccessible(page);
  await toward.getByRole('button', { name: 'Open it on the band' }).press('Enter');
  await expect(page.getByLabel('Name of the flow')).toHaveValue('Toward half moon');
  await expect(page.getByText(/^(19|20|21) min, \d+ steps$/)).toBeVisible({ timeout: 60_000 });
  await expect(page.getByTestId('peak')).toContainText(/It begins after 6\d % of the time/);
  await page.getByTestId('band').getByRole('button').nth(1).click();
  await expect(page.getByTestId('reasons')).toContainText(/It asks \d+ % of the .+; the peak asks/);
  // Another peak, and none.
  await page.getByTestId('peak').getByRole('combobox').selectOption('no peak');
  await expect(page.getByTestId('reasons')).toBeHidden();
  // The same flow on paper: figures, moves and marks.
  await page.getByRole('link', { name: 'on paper' }).click();
  await expect(page.getByRole('img', { name: /^Toward half moon, page 1 of \d+$/ })).toBeVisible({
    timeout: 60_000,
  });
  await expectAccessible(page);
});

test('a stop sign of today holds a flow back, and a flow that is gone is said', async ({
  page,
}) => {
  await openDemo(page);
  await page.goto(FLOWS);
  await page.getByRole('link', { name: /^Open hips/ }).click();
  await expect(page.getByText(/^\d+ min, 17 steps$/)).toBeVisible({ timeout: 60_000 });
  const flow = page.url().split('flow=')[1]!;
  await page.goto(`/session?id=marit-sollen&flow=${flow}`);
  await page.getByText('A stop sign today').click();
  await page.getByRole('checkbox').last().check();
  await expect(page.getByRole('button', { name: 'Begin' })).toBeDisabled();
  // With a stop sign on record the reason comes first, and nothing is counted.
  await page.goto('/flows?id=juno-pardew');
  await page.getByRole('link', { name: /^Open hips/ }).click();
  await expect(page.getByText('A stop sign is set: Tingling or numbness.')).toBeVisible({
    timeout: 30_000,
  });
  await expect(page.getByText('17 steps', { exact: true })).toBeVisible();
  await expect(page.getByRole('link', { name: 'lead this flow' })).toBeHidden();
  await page.goto('/session?id=marit-sollen&flow=gone');
  await expect(page.getByText('This flow is not here any more.')).toBeVisible();
});

test.describe('by touch alone', () => {
  test.use({ hasTouch: true, viewport: { width: 390, height: 844 } });

  test('a template is led, shortened, and left to be gone on with', async ({ page }) => {
    test.setTimeout(180_000);
    await openDemo(page);
    await page.goto(FLOWS);
    await page.getByRole('button', { name: 'Closed hips' }).tap();
    await page.getByRole('link', { name: 'lead this flow' }).tap();
    await expect(page.getByText(/holds, about \d+ minutes/)).toBeVisible({ timeout: 60_000 });
    await page.getByRole('button', { name: 'Begin' }).tap();
    await expect(page.getByTestId('run-step')).toBeVisible();
    const sideways = await page.evaluate(
      () => document.documentElement.scrollWidth - window.innerWidth,
    );
    expect(sideways).toBeLessThanOrEqual(0);
    const steps = Number(/of (\d+)/.exec(await placeOf(page))![1]);
    await page.getByRole('button', { name: 'less time' }).tap();
    await page.getByRole('button', { name: '5 minutes left', exact: true }).tap();
    await expect(page.getByTestId('shorten')).toContainText(
      /Left out, as it matters least for the peak: .+\./,
      { timeout: 30_000 },
    );
    await expect
      .poll(async () => Number(/of (\d+)/.exec(await placeOf(page))![1]))
      .toBeLessThan(steps);
    await expectAccessible(page);
    await page.getByRole('button', { name: 'undo' }).tap();
    await expect.poll(async () => Number(/of (\d+)/.exec(await placeOf(page))![1])).toBe(steps);
    await page.getByTestId('shorten').getByRole('button', { name: 'close' }).tap();
    await nextButton(page).tap();
    const here = await placeOf(page);
    await page.getByRole('button', { name: 'pause, continue later' }).tap();
    await page.getByRole('button', { name: 'continue it' }).tap();
    await expect(page.getByTestId('run-breathe')).toBeVisible();
    expect(await placeOf(page)).toBe(here);
  });
});
