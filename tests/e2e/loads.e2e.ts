import { expect, test, type Page } from '@playwright/test';
import { expectAccessible, openDemo } from './support.ts';

async function openLoads(page: Page, pose: string): Promise<void> {
  await openDemo(page);
  await page.goto(`/set-up?id=sanna-tveit&pose=${pose}&side=right`);
  await page.getByText('Load and balance').focus();
  await page.keyboard.press('Enter');
}

test('by keys, loads are read, another version lies over them, and a sore knee is eased and undone', async ({
  page,
}) => {
  await openLoads(page, 'warrior-two');
  const loads = page.getByTestId('loads');
  const drawing = loads.getByRole('img', { name: /seen from/ });
  await expect(drawing).toHaveAccessibleName(/front knee .* cm (ahead of|behind) the gravity line/);
  const row = loads.getByRole('row', { name: /^front knee/ });
  const arm = (await row.getByRole('cell').first().textContent()) ?? '';
  expect(await drawing.textContent()).toContain(arm);
  await expectAccessible(page);
  await loads.getByRole('button', { name: 'Front knee past the ankle' }).focus();
  await page.keyboard.press('Enter');
  await expect(loads.getByTestId('load-changes')).toContainText('Spares: ');
  await expect(drawing).toHaveAccessibleName(/Then: /);
  await page.keyboard.press('Enter');
  await expect(drawing).not.toHaveAccessibleName(/Then: /);
  await loads.getByRole('button', { name: 'front knee', exact: true }).focus();
  await page.keyboard.press('Enter');
  await expect(loads.getByTestId('eased-load')).toContainText(`Spares: front knee ${arm}`);
  await loads.getByRole('button', { name: 'Use it' }).focus();
  await page.keyboard.press('Enter');
  await expect(row.getByRole('cell').first()).not.toHaveText(arm);
  await loads.getByRole('button', { name: 'undo' }).focus();
  await page.keyboard.press('Enter');
  await expect(row.getByRole('cell').first()).toHaveText(arm);
});

test.describe('by touch', () => {
  test.use({ hasTouch: true, viewport: { width: 390, height: 844 } });

  test('a joint that no single move eases is said so, on a narrow screen', async ({ page }) => {
    await openLoads(page, 'lizard');
    const loads = page.getByTestId('loads');
    await loads.getByRole('button', { name: 'front knee', exact: true }).tap();
    await expect(loads.getByText(/No move of stance, hand or depth alone/)).toBeVisible();
    const overflow = await page.evaluate(
      () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
    );
    expect(overflow).toBeLessThanOrEqual(0);
    await expectAccessible(page);
  });
});

test('hip rotation is drawn from above, and its sums can be read', async ({ page }) => {
  await openDemo(page);
  await page.goto('/set-up?id=sanna-tveit&pose=revolved-triangle&side=left');
  await page.getByText('Hip rotation, from above').focus();
  await page.keyboard.press('Enter');
  const rotation = page.getByTestId('rotation');
  await expect(rotation.getByRole('img', { name: /from above.*pelvis/ })).toBeVisible();
  await expect(rotation.getByRole('table', { name: 'front hip' })).toContainText(
    'thigh-foot angle',
  );
  await expect(rotation.getByRole('table', { name: 'Twist' })).toContainText('Spine turns on it');
  await expectAccessible(page);
});
