import { expect, test, type Page } from '@playwright/test';
import { beginSession, expectAccessible, openDemo, toLog } from './support.ts';

const openFelt = async (page: Page): Promise<void> => {
  await openDemo(page);
  await beginSession(page, 'marit-sollen');
  await toLog(page);
  await page.getByText('Where is it felt?').click();
};

test('where a side is felt agrees with the set-up, or leads to a sign drawn on this body', async ({
  page,
}) => {
  await openFelt(page);
  const felt = page.getByTestId('felt');
  await expect(felt).toContainText('Most stretched here: the right inner thigh.');
  await felt.getByRole('button', { name: 'right inner thigh' }).click();
  await expect(felt.getByRole('status')).toContainText('It is felt where this set-up stretches.');
  await felt.getByText('How much each place is stretched').click();
  await expect(felt).toContainText(/right inner thigh: adductors, by front hip abduction, \d+° of/);
  await expectAccessible(page);
  // By keys: taken back, and felt elsewhere.
  await felt.getByRole('button', { name: 'right inner thigh, a stretch' }).press('Enter');
  await felt.getByRole('button', { name: 'low back' }).press('Enter');
  await expect(felt.getByRole('status')).toContainText('hardly stretches the low back.');
  await expect(felt.getByRole('status')).toContainText('Look for: low back rounds');
  await felt.getByRole('button', { name: 'see “low back rounds” on this body' }).press('Enter');
  await expect(page.getByTestId('error-view')).toBeVisible();
  await page.getByRole('button', { name: 'undo' }).first().click();
  await expect(felt.getByText('Where is it felt?')).toBeVisible();
});

test('tingling and pain lead to the stop signs', async ({ page }) => {
  await openFelt(page);
  const felt = page.getByTestId('felt');
  await felt.getByRole('button', { name: 'pain', exact: true }).click();
  await expect(page.getByRole('button', { name: 'sharp or catching joint pain' })).toBeVisible();
  await felt.getByRole('button', { name: 'tingling or numb' }).click();
  await expect(page.getByText(/^Stop this pose/)).toBeVisible();
});

test.describe('by touch', () => {
  test.use({ hasTouch: true, viewport: { width: 390, height: 844 } });

  test('both sides are compared, and the places stand over the sessions', async ({ page }) => {
    await openFelt(page);
    const felt = page.getByTestId('felt');
    await felt.getByRole('button', { name: 'right inner thigh' }).tap();
    await page.locator('[data-testid=run-next]').tap();
    await expect(page.getByText('left foot in front')).toBeVisible();
    await toLog(page);
    await page.getByText('Where is it felt?').tap();
    await felt.getByRole('button', { name: 'left inner thigh' }).tap();
    await expect(felt).toContainText('Left and right are felt in the same places.');
    await felt.getByRole('button', { name: 'left calf' }).tap();
    await expect(felt).toContainText(/Held left: .*stretch in the left calf/);
    await page.goto('/over-time?id=marit-sollen');
    const trend = page.getByTestId('felt-trend');
    await expect(trend.getByRole('row', { name: /Stretch in the left calf 1 of 1/ })).toBeVisible();
    await expectAccessible(page);
  });
});
