import { expect, test, type Page } from '@playwright/test';
import { expectAccessible, openDemo } from './support.ts';

const SET_UP = '/set-up?id=marit-sollen&pose=triangle&side=right';

async function openVersions(page: Page): Promise<void> {
  await page.getByRole('link', { name: 'all versions' }).press('Enter');
  await expect(page.getByTestId('versions').getByRole('button').first()).toBeVisible();
}

const versionOf = (page: Page, name: string) =>
  page.getByTestId('versions').getByRole('button', { name: new RegExp(`^${name}`) });

test('every version of a pose stands in a row, and a key changes to it', async ({ page }) => {
  await openDemo(page);
  await page.goto(SET_UP);
  await openVersions(page);
  const versions = page.getByTestId('versions');
  await expect(versions.getByText(/ is proposed, because /)).toBeVisible();
  await expect(versions.getByRole('heading', { name: 'From easier to harder' })).toBeVisible();
  await expect(
    versions.getByRole('heading', { name: 'Variants, neither easier nor harder' }),
  ).toBeVisible();
  await expect(versionOf(page, 'Hand on a chair')).toContainText(/\d° margin/);
  await expect(versionOf(page, 'Hand on the floor')).toContainText(
    /Not yet: .*needs \d+° more.*or the hand one face higher/,
  );
  await expect(versionOf(page, 'Strap from the back foot')).toContainText(/Takes .*strap/);
  await expect(versionOf(page, 'Front sole up the wall')).toContainText(
    /At the usual depth it asks \d+° (more|less) of front hip/,
  );
  await expectAccessible(page);
  await versionOf(page, 'Chair behind the back').press('Enter');
  await expect(page).toHaveURL(/level=chair-behind/);
  await expect(
    page
      .getByRole('listitem')
      .filter({ hasText: /^chair behind the back, its rail/ })
      .first(),
  ).toBeVisible();
  await expect(versionOf(page, 'Chair behind the back')).toHaveAttribute('aria-pressed', 'true');
  // Every number of it opens to its sum, with the points it lies between.
  const rail = page.getByRole('listitem').filter({ hasText: /^chair behind the back, its rail/ });
  await rail.first().locator('summary').click();
  await expect(rail.first()).toContainText('shoulder to the lower edge of its blade');
});

test.describe('by touch', () => {
  test.use({ hasTouch: true, viewport: { width: 390, height: 844 } });

  test('a tap changes the version, and nothing is wider than a phone', async ({ page }) => {
    await openDemo(page);
    await page.goto('/set-up?id=teska-morrow&pose=pyramid&side=right');
    await openVersions(page);
    await versionOf(page, 'Hands on a chair').tap();
    await expect(page).toHaveURL(/level=hands-on-a-chair/);
    await expect(versionOf(page, 'Hands on a chair')).toHaveAttribute('aria-pressed', 'true');
    const over = await page.evaluate(
      () => document.documentElement.scrollWidth - window.innerWidth,
    );
    expect(over).toBeLessThanOrEqual(0);
  });
});

test('progress draws the versions of a pose as steps', async ({ page }) => {
  await openDemo(page);
  await page.goto('/over-time?id=teska-morrow');
  await page.getByLabel('Pose and side').selectOption('half-moon right');
  await expect(page.getByRole('heading', { name: 'Versions over the sessions' })).toBeVisible();
  const chart = page.getByRole('img', { name: /^Versions of Half moon: / });
  await expect(chart).toHaveAttribute('aria-label', /Hand on a chair.*Hand on the floor$/);
});
