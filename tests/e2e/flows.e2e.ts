import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { expectAccessible, openDemo } from './support.ts';

const FLOWS = '/flows?id=marit-sollen';

const band = (page: Page) => page.getByTestId('band');
const namesOf = async (page: Page): Promise<string[]> =>
  band(page).locator('[data-step] > span.font-semibold').allInnerTexts();
/** The set-ups are worked out, and what was written is stored. */
const settled = async (page: Page, steps: number): Promise<void> => {
  await expect(page.getByText(new RegExp(`^\\d+ min, ${String(steps)} steps?$`))).toBeVisible({
    timeout: 30_000,
  });
};

async function addByKeys(page: Page, sought: string): Promise<void> {
  await page.getByRole('searchbox').focus();
  await page.keyboard.type(sought);
  await page.keyboard.press('Enter');
}

test('a flow is built by keys alone, survives a reload, and every change is undone', async ({
  page,
}) => {
  await openDemo(page);
  await page.goto(FLOWS);
  await page.getByRole('button', { name: 'An empty mat' }).press('Enter');
  await expect(page.getByText('The mat is empty.')).toBeVisible();
  for (const [i, pose] of ['mountain', 'warrior II', 'side angle', 'triangle'].entries()) {
    await addByKeys(page, pose);
    await expect(band(page).locator('[data-step]')).toHaveCount(i + 1);
  }
  await settled(page, 4);
  expect(await namesOf(page)).toEqual(['Mountain', 'Warrior II', 'Side angle', 'Triangle']);
  // Warrior II and side angle stand on one stance; into triangle the back foot steps in.
  await expect(
    page.getByText(/^Warrior II, Side angle, right: \d+ cm, back foot at \d+°\./),
  ).toBeVisible();
  await expect(page.getByTestId('step')).toContainText(/Back foot in \d+ cm/);
  await expect(page.getByTestId('step')).toContainText('Through Warrior II.');
  await expectAccessible(page);

  // On the band: along it, one breath more, earlier, once more, and away.
  const triangle = band(page).getByRole('button', { name: /^Triangle/ });
  await triangle.focus();
  await page.keyboard.press('+');
  await expect(triangle).toContainText('right, 6 breaths');
  await page.keyboard.press('s');
  await expect(triangle).toContainText('left, 6 breaths');
  await page.keyboard.press('Alt+ArrowLeft');
  await expect
    .poll(() => namesOf(page))
    .toEqual(['Mountain', 'Warrior II', 'Triangle', 'Side angle']);
  await expect(triangle).toBeFocused();
  await page.keyboard.press('d');
  await expect(band(page).locator('[data-step]')).toHaveCount(5);
  await page.keyboard.press('Control+z');
  await expect(band(page).locator('[data-step]')).toHaveCount(4);
  await page.keyboard.press('Control+Shift+z');
  await expect(band(page).locator('[data-step]')).toHaveCount(5);
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await expect
    .poll(() => namesOf(page))
    .toEqual(['Mountain', 'Warrior II', 'Side angle', 'Triangle']);

  // A reload has it as it was left.
  await page.getByLabel('Name of the flow').fill('Monday');
  await page.getByLabel('Name of the flow').press('Tab');
  await expect(page.getByText('saved', { exact: true })).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('Name of the flow')).toHaveValue('Monday');
  await settled(page, 4);
  expect(await namesOf(page)).toEqual(['Mountain', 'Warrior II', 'Side angle', 'Triangle']);
});

test('another way is chosen, and the flow goes out and comes in as a file', async ({ page }) => {
  await openDemo(page);
  await page.goto(FLOWS);
  await page.getByRole('button', { name: 'An empty mat' }).click();
  await addByKeys(page, 'warrior II');
  await addByKeys(page, 'downward dog');
  await settled(page, 2);
  const step = page.getByTestId('step');
  await expect(step).toContainText('Through High lunge.');
  await step.getByRole('button', { name: 'through Low lunge', exact: true }).click();
  await expect(step).toContainText('Through Low lunge.');
  await step.getByText('What it counts').click();
  await expect(step).toContainText(/2 poses entered: 10\.0/);
  const saving = page.waitForEvent('download');
  await page.getByRole('button', { name: 'save as a file' }).click();
  const path = await (await saving).path();
  const file = JSON.parse(readFileSync(path, 'utf8')) as { format: string; steps: object[] };
  expect(file.format).toBe('stillwater.flow');
  expect(file.steps[1]).toMatchObject({ pose: 'downward-dog', by: ['low-lunge'] });
  await page.getByRole('button', { name: 'all flows' }).click();
  await page.getByLabel('Open a flow file').setInputFiles(path);
  await expect(page.getByLabel('Name of the flow')).toHaveValue('New flow');
  await settled(page, 2);
  await page.getByRole('button', { name: 'all flows' }).click();
  await expect(page.getByRole('list', { name: /^Flows of/ }).getByRole('listitem')).toHaveCount(4);
  // A file that is none is refused in words.
  const wrong = {
    name: 'x.json',
    mimeType: 'application/json',
    buffer: Buffer.from('{"format":1}'),
  };
  await page.getByLabel('Open a flow file').setInputFiles(wrong);
  await expect(page.getByRole('alert')).toContainText('This file cannot be opened');
});

test('what is found is mended by a press, and the load is drawn with its table', async ({
  page,
}) => {
  await openDemo(page);
  await page.goto(FLOWS);
  await page.getByRole('button', { name: 'An empty mat' }).click();
  await addByKeys(page, 'warrior II');
  await settled(page, 1);
  const checks = page.getByTestId('checks');
  await expect(checks).toContainText('Warrior II has 5 breaths more on the right');
  await checks.getByRole('button', { name: 'do it' }).press('Enter');
  await settled(page, 2);
  await expect(checks).toContainText('Nothing was found.');
  await expect(band(page).getByRole('button', { name: /left, 5 breaths/ })).toBeVisible();
  const load = page.getByTestId('load');
  await load.getByRole('combobox', { name: 'motion' }).selectOption('hip abduction');
  await expect(load.getByRole('img', { name: /^Share of hip abduction/ })).toBeVisible();
  await load.getByText('The same as a table').click();
  const row = load.getByRole('row', { name: /^Warrior II, right/ });
  await expect(row).toContainText('open');
  await expect(row).toContainText(/\d\d %/);
  // A time that is too short is named.
  await page.getByLabel('It should last').fill('1');
  await page.getByLabel('It should last').press('Tab');
  await checks.getByText(/The flow lasts \d+ min longer/).waitFor();
  await expectAccessible(page);
});

test('two tabs change one flow and lose nothing of each other', async ({ context, page }) => {
  await openDemo(page);
  await page.goto(FLOWS);
  await page.getByRole('button', { name: 'An empty mat' }).click();
  await addByKeys(page, 'mountain');
  await settled(page, 1);
  const other = await context.newPage();
  await other.goto(page.url());
  await settled(other, 1);
  await addByKeys(page, 'chair');
  await expect.poll(() => namesOf(other)).toEqual(['Mountain', 'Chair']);
  await addByKeys(other, 'tree');
  await expect.poll(() => namesOf(page)).toEqual(['Mountain', 'Chair', 'Tree']);
  // Undoing here would take the other tab's step away: it is not done, and said.
  await page.getByRole('button', { name: 'undo' }).click();
  await expect(page.getByRole('alert')).toContainText('changed elsewhere');
  expect(await namesOf(page)).toEqual(['Mountain', 'Chair', 'Tree']);
});

test.describe('by touch alone', () => {
  test.use({ hasTouch: true, viewport: { width: 390, height: 844 } });

  test('a template is begun, a step added, changed and removed', async ({ page }) => {
    await openDemo(page);
    await page.goto(FLOWS);
    await page.getByRole('button', { name: 'Closed hips' }).tap();
    await settled(page, 16);
    await band(page)
      .getByRole('button', { name: /^Pyramid/ })
      .first()
      .tap();
    const step = page.getByTestId('step');
    await expect(step.getByRole('heading', { name: 'Pyramid' })).toBeVisible();
    await step.getByRole('button', { name: /^\+/ }).tap();
    await step.getByRole('button', { name: 'later' }).tap();
    await step.getByRole('button', { name: 'earlier' }).tap();
    await page.getByTestId('add').getByRole('button', { name: 'Revolved triangle' }).tap();
    await settled(page, 17);
    await expect(step.getByRole('heading', { name: 'Revolved triangle' })).toBeVisible();
    await step.getByRole('button', { name: 'remove' }).tap();
    await settled(page, 16);
    const sideways = await page.evaluate(
      () => document.documentElement.scrollWidth - window.innerWidth,
    );
    expect(sideways).toBeLessThanOrEqual(0);
    await page.getByRole('button', { name: 'remove this flow' }).tap();
    await page.getByRole('button', { name: 'Undo', exact: true }).tap();
    await expect(page.getByRole('list', { name: /^Flows of/ })).toContainText('Closed hips');
    await expectAccessible(page);
  });
});
