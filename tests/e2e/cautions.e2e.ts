import { expect, test, type Page } from '@playwright/test';
import { writePersonFile } from '../../src/core/formats/personFile.ts';
import { PERSON, recordOf, REFERENCE } from '../support/people.ts';
import { answerFirst, expectAccessible, openDemo } from './support.ts';

test.beforeEach(async ({ page }) => {
  await openDemo(page);
});

test('a caution that adapts is told beside the set-up; a stop sign replaces it until it is cleared', async ({
  page,
}) => {
  await page.goto('/person?id=marit-sollen');
  await page.getByLabel('A sore low back?').click();
  // The tick is drawn from what is stored.
  await expect(page.getByLabel('A sore low back?')).toBeChecked();
  await page.goto('/set-up?id=marit-sollen');
  await expect(page.getByText('No rounding, a higher hand')).toBeVisible();
  await expect(page.locator('[data-testid=sheet]')).toBeVisible();

  await page.goto('/person?id=marit-sollen');
  await page.getByLabel('Sharp or catching pain in a joint?').click();
  await expect(
    page.locator('[data-testid=noted]').getByText('Sharp or catching joint pain'),
  ).toBeVisible();
  await page.getByLabel('Side').first().selectOption('left');
  await expectAccessible(page);
  await page.goto('/set-up?id=marit-sollen');
  await expect(page.getByText(/^A stop sign is set/)).toBeVisible();
  await expect(page.locator('[data-testid=sheet]')).toHaveCount(0);
  await page.goto('/measure?id=marit-sollen');
  await expect(page.getByRole('heading', { name: 'Stop here' })).toBeVisible();

  await page.goto('/person?id=marit-sollen');
  const clearedBy = page.getByLabel(/^Cleared by/).first();
  await clearedBy.fill('her physiotherapist');
  await clearedBy.blur();
  await expect(page.locator('[data-testid=noted]')).toContainText('cleared by her physiotherapist');
  await page.goto('/set-up?id=marit-sollen');
  await expect(page.locator('[data-testid=sheet]')).toBeVisible();
});

test('what cannot be right about a person is said at its field and not saved', async ({ page }) => {
  await page.goto('/person?id=marit-sollen');
  const year = page.getByLabel('Birth year');
  await year.fill('84');
  await year.blur();
  await expect(page.getByRole('alert')).toContainText('“84” is not a year from 1900 to 2100');
  await page.reload();
  await expect(page.getByLabel('Birth year')).toHaveValue('1984');
  await page.getByLabel('Birth year').fill('1985');
  await page.getByLabel('Birth year').blur();
  // Nothing on the page tells when it is kept, and a page that goes sooner takes it along.
  await expect.poll(() => readKeptBirthYear(page)).toBe(1985);
  await page.reload();
  await expect(page.getByLabel('Birth year')).toHaveValue('1985');
});

test('experience changes how far inside the limits a set-up stays', async ({ page }) => {
  const readDepth = async (): Promise<number> => {
    await page.goto('/set-up?id=marit-sollen&pose=triangle');
    await expect(page.locator('[data-testid=sheet][data-faded=false]')).toBeVisible();
    const words = await page.getByText(/^\d+° of at most/).textContent();
    return Number(/^(\d+)°/.exec(words ?? '')?.[1]);
  };
  const steady = await readDepth();
  await page.goto('/person?id=marit-sollen');
  await page.getByLabel('Experience').selectOption('new');
  await expect(page.getByLabel('Experience')).toHaveValue('new');
  const asNew = await readDepth();
  expect(asNew).toBeLessThan(steady);
});

test('measures that are old are named as due again', async ({ page }) => {
  await page.clock.setFixedTime(new Date('2026-11-25T09:00:00Z'));
  await page.goto('/person?id=ingeborg-quill');
  const due = page.locator('[data-testid=due]');
  await expect(due).toContainText('Hip opening, left');
  await expect(due).not.toContainText('Height');
  await page.goto('/person?id=marit-sollen');
  await expect(page.getByText('Nothing to re-measure.')).toBeVisible();
});

test('a caution is said before the measure, and blocks it where it must', async ({ page }) => {
  await openDemo(page);
  // Over-mobile joints: with care.
  await page.goto('/measure?id=sanna-tveit&step=straight-leg-raise');
  await expect(page.getByText(/Stop where it becomes firm/).first()).toBeVisible();
  await expect(page.locator('[data-testid=reading]')).toHaveCount(4);
  // Low bone density: no standing fold to the floor, in the full round too.
  await page.goto('/measure?id=ingeborg-quill&round=full&step=fingertip-floor');
  await expect(page.getByRole('alert')).toContainText('not to be taken');
  await expect(page.locator('[data-testid=reading]')).toHaveCount(0);
  // A sore right knee: the drill for the left side alone.
  await page.goto('/measure?id=oda-brask&round=full&step=seated-rotation-drill');
  await expect(page.getByRole('alert')).toContainText('Right: not to be taken');
  await expect(page.locator('[data-testid=reading]')).toHaveCount(2);
  await expectAccessible(page);
});

test('a re-check says when nothing is worth repeating', async ({ page }) => {
  await openDemo(page);
  // Every measure of hers was read several times.
  await page.goto('/measure?id=marit-sollen');
  const question = page.getByRole('button', { name: 'Which readings are worth repeating?' });
  await question.click();
  await expect(page.getByRole('progressbar', { name: /with one more reading$/ })).toBeVisible();
  await page.getByRole('button', { name: 'stop' }).click();
  await question.click();
  await expect(page.getByText(/^Nothing is worth repeating/)).toBeVisible({ timeout: 60_000 });
});

test('a re-check names the readings worth repeating and leads through them', async ({ page }) => {
  await page.goto('/files');
  // Somebody measured once.
  await page.getByLabel('Person file (JSON)').setInputFiles({
    name: 'once.json',
    mimeType: 'application/json',
    buffer: Buffer.from(writePersonFile(recordOf(REFERENCE))),
  });
  await page.getByRole('button', { name: 'Import', exact: true }).click();
  await expect(page.getByText(`${PERSON.name} is imported.`)).toBeVisible();
  await page.goto(`/measure?id=${PERSON.id}`);
  await answerFirst(page);
  await page.getByRole('button', { name: 'Which readings are worth repeating?' }).click();
  await expect(page.getByRole('heading', { name: 'Worth repeating' })).toBeVisible({
    timeout: 60_000,
  });
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Measure these again' }).click();
  await expect(page.getByText(/^1 of [1-6], /)).toBeVisible();
});

/** What the browser keeps of the demo's Marit Sollen. */
const readKeptBirthYear = (page: Page): Promise<unknown> =>
  page.evaluate(
    () =>
      new Promise((resolve, reject) => {
        const open = indexedDB.open('stillwater');
        open.onerror = () => {
          reject(new Error('The database cannot be opened'));
        };
        open.onsuccess = () => {
          const get = open.result.transaction('people').objectStore('people').get('marit-sollen');
          get.onsuccess = () => {
            open.result.close();
            resolve((get.result as { person: { birthYear: unknown } }).person.birthYear);
          };
        };
      }),
  );
