import { expect, test, type Page } from '@playwright/test';
import { expectAccessible, openDemo } from './support.ts';
import { expectRefusal, letAgain, refuse } from './refusing.ts';

const PERSON = '/person?id=marit-sollen';

for (const { how, words } of [
  { how: 'full', words: /^Not saved\. This browser has no room left/ },
  { how: 'aborted', words: /^Not saved\. The browser broke off the writing/ },
] as const) {
  test(`an answer that is refused (${how}) stays in its field, says so, and is stored later`, async ({
    page,
  }) => {
    await openDemo(page);
    await page.goto(PERSON);
    const notes = page.getByLabel('Private notes (never printed)');
    await expect(notes).toHaveValue(/^Throws large bowls/);
    await refuse(page, how);
    await notes.fill('Sleeps badly this week.');
    await notes.blur();
    const alert = page.getByRole('alert').filter({ hasText: words });
    await expect(alert).toBeVisible();
    await expect(page.getByText('saved', { exact: true })).toHaveCount(0);
    await expect(notes).toHaveValue('Sleeps badly this week.');
    await expectAccessible(page);
    const download = page.waitForEvent('download');
    await alert.getByRole('button', { name: 'Save it as a file' }).click();
    expect((await download).suggestedFilename()).toBe('Private-notes-(never-printed).txt');
    // It is tried again by itself once there is room.
    await letAgain(page);
    await expect(page.getByText('saved', { exact: true })).toBeVisible({ timeout: 15_000 });
    await page.reload();
    await expect(notes).toHaveValue('Sleeps badly this week.');
  });

  test(`a choice and a stop sign that are refused (${how}) say so`, async ({ page }) => {
    await openDemo(page);
    await page.goto(PERSON);
    const experience = page.getByLabel('Experience');
    await expect(experience).toHaveValue('steady');
    await refuse(page, how);
    await experience.selectOption('seasoned');
    await expect(page.getByRole('alert').filter({ hasText: words })).toBeVisible();
    const sign = page.getByRole('checkbox', { name: /^Tingling or numbness/ });
    await sign.click();
    await expect(page.getByRole('alert').filter({ hasText: words })).toHaveCount(2);
    await letAgain(page);
    await page.getByRole('button', { name: 'Try now' }).first().click();
    await expect(sign).toBeChecked();
  });
}

test('a tab that was only visited overwrites nothing, and two edits of one field are both shown', async ({
  page,
  context,
}) => {
  await openDemo(page);
  await page.goto(PERSON);
  const other = await context.newPage();
  await other.goto(PERSON);
  for (const [label, text] of [
    ['Private notes (never printed)', 'Sleeps badly this week.'],
    ['Name', 'Marit S.'],
    ['Body mass (optional)', '66'],
  ] as const) {
    const [here, there] = [page.getByLabel(label), other.getByLabel(label)];
    await here.focus();
    await there.fill(text);
    await there.blur();
    await expect(there).toHaveValue(text);
    // What is not being edited shows what is stored now, and leaving it writes nothing.
    await expect(here).toHaveValue(text);
    await here.blur();
    await page.waitForTimeout(200);
    await expect(there).toHaveValue(text);
  }
  const [notes, theirs] = [page, other].map((each) =>
    each.getByLabel('Private notes (never printed)'),
  ) as [ReturnType<Page['getByLabel']>, ReturnType<Page['getByLabel']>];
  await notes.fill('Mine.');
  await theirs.fill('Theirs.');
  await theirs.blur();
  await expect(other.getByText('saved', { exact: true }).first()).toBeVisible();
  await expect(notes).toHaveValue('Mine.');
  await notes.blur();
  await expect(page.getByText('“Theirs.” was entered elsewhere in the meantime.')).toBeVisible();
  await expect(theirs).toHaveValue('Theirs.');
  await page.getByRole('button', { name: 'Keep mine' }).click();
  await expect(theirs).toHaveValue('Mine.');
});

test('what is noted in a session is kept until there is room, in its order, or leaves as a file', async ({
  page,
}) => {
  await openDemo(page);
  await page.goto('/session?id=pell-krossing');
  await expect(page.getByRole('button', { name: 'Begin' })).toBeEnabled();
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(page.locator('[data-testid=run-set]')).toBeVisible();
  await refuse(page, 'full');
  await page.locator('[data-testid=run-next]').click();
  await expectRefusal(page, 'full', 'the next stage');
  await letAgain(page);
  await expect(page.locator('[data-testid=run-breathe]')).toBeVisible({ timeout: 15_000 });
  await refuse(page, 'aborted');
  await page.getByRole('button', { name: 'longer breaths' }).click();
  await expectRefusal(page, 'aborted', 'the pace');
  await page.getByRole('button', { name: /^sound/ }).click();
  await letAgain(page);
  await expect(page.getByRole('button', { name: 'sound on' })).toBeVisible({ timeout: 15_000 });
  await page.locator('[data-testid=run-next]').click();
  await expect(page.locator('[data-testid=run-log]')).toBeVisible();
  await refuse(page, 'full');
  const tiles = page.locator('[data-testid=error-tile]');
  await tiles.nth(0).click();
  await tiles.nth(1).click();
  await expectRefusal(page, 'full', 'what was seen');
  const saving = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save it as a file' }).click();
  expect((await saving).suggestedFilename()).toBe('not-saved.json');
  await letAgain(page);
  await expect(page.locator('[data-testid=error-tile][aria-pressed="true"]')).toHaveCount(2, {
    timeout: 15_000,
  });
  await expect(page.getByRole('alert')).toHaveCount(0);
});

test('a reading that is put right in two tabs shows both values', async ({ page, context }) => {
  await openDemo(page);
  const at = '/measure?id=marit-sollen&step=straight-leg-raise';
  await page.goto(at);
  const other = await context.newPage();
  await other.goto(at);
  const [mine, theirs] = [page.getByLabel('left first'), other.getByLabel('left first')];
  await mine.fill('70');
  await mine.press('Enter');
  await expect(theirs).toHaveValue('70°');
  await mine.fill('71');
  await theirs.fill('72');
  await theirs.press('Enter');
  await expect(theirs).toHaveValue('72°');
  await mine.press('Enter');
  await expect(
    page.getByText('Not saved: 72° was entered elsewhere in the meantime.'),
  ).toBeVisible();
  await expect(theirs).toHaveValue('72°');
  await page.getByRole('button', { name: 'Keep mine' }).click();
  await expect(mine).toHaveValue('71°');
  await expect(theirs).toHaveValue('71°');
  // Typed once more at once: what this tab has stored itself is no other value.
  await mine.fill('73');
  await mine.press('Enter');
  await expect(theirs).toHaveValue('73°');
  await expect(page.getByText(/was entered elsewhere/)).toHaveCount(0);
});

test('a database that does not open is said, with what to do', async ({ page }) => {
  await page.addInitScript(() => {
    indexedDB.open = () => {
      throw new DOMException('denied', 'UnknownError');
    };
  });
  for (const at of ['/', '/person?id=marit-sollen']) {
    await page.goto(at);
    await expect(page.getByText(/^This browser cannot open its database\./)).toBeVisible();
    await expect(page.getByRole('button', { name: 'Reload' })).toBeVisible();
  }
  await expectAccessible(page);
});
