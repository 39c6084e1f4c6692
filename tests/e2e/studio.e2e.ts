import { expect, test, type Page } from '@playwright/test';
import { beginSession, expectAccessible, openDemo } from './support.ts';

const widthOf = async (page: Page): Promise<string> =>
  (await page
    .getByRole('listitem')
    .filter({ hasText: /^(both )?heels / })
    .first()
    .textContent()) ?? '';

async function enterThing(
  page: Page,
  fields: Readonly<Record<string, string>>,
  kind = 'block',
): Promise<void> {
  await page.getByRole('button', { name: 'Add a thing' }).click();
  const form = page.getByTestId('item-form');
  await form.getByLabel('Kind').selectOption(kind);
  for (const [label, text] of Object.entries(fields)) {
    await form.getByLabel(label).fill(text);
  }
  await form.getByRole('button', { name: 'Save' }).press('Enter');
}

test('a studio enters a small cupboard, and set-ups use it', async ({ page }) => {
  await openDemo(page);
  const facts = page.locator('[data-testid=sheet-facts]');
  await page.goto('/set-up?id=sanna-tveit&pose=triangle&side=right');
  await expect(facts).toContainText('Hand on 2 blocks, 22.5 cm');

  await page.getByRole('link', { name: 'Studio' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Studio' })).toBeVisible();
  const cupboard = page.getByTestId('cupboard');
  for (const name of ['Block', 'Folded blanket', 'Bolster', 'Strap', 'Chair']) {
    await page.getByRole('button', { name: `remove ${name}`, exact: true }).click();
    await expect(cupboard).not.toContainText(`${name} ×`);
  }
  await enterThing(page, { Name: 'Cork block', 'How many': '3', Height: '7, 11, 22' });
  await expect(cupboard).toContainText('Cork block × 3');
  await enterThing(page, { Name: 'Kitchen chair', Height: '46', Rail: '40' }, 'chair');
  await expect(page.getByTestId('item-form').getByRole('alert')).toContainText(
    'The rail of Kitchen chair (40 cm) is not above its seat (46 cm).',
  );
  await page.getByTestId('item-form').getByLabel('Rail').fill('82');
  await page.getByTestId('item-form').getByRole('button', { name: 'Save' }).click();
  await expect(cupboard).toContainText('Kitchen chair × 1');
  await enterThing(page, { Name: 'Short strap', Length: '120' }, 'strap');
  await expect(cupboard).toContainText('120 cm long');
  await expectAccessible(page);

  await page.goto('/set-up?id=sanna-tveit&pose=triangle&side=right');
  await expect(facts).toContainText('Hand on cork block, 22 cm');

  // What was there can be brought back.
  await page.goto('/studio');
  await page.getByRole('button', { name: 'Back to the usual cupboard' }).click();
  await expect(cupboard).toContainText('Block × 4');
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(cupboard).toContainText('Cork block × 3');
});

test('the house decides for everybody, a person may differ, and each says where it comes from', async ({
  page,
}) => {
  await openDemo(page);
  const setUp = '/set-up?id=marit-sollen&pose=warrior-two&side=right';
  await page.goto(setUp);
  await expect.poll(() => widthOf(page)).toMatch(/^heels overlap/);
  await page.goto('/studio');
  const rule = page.getByTestId('openHeelLine');
  await expect(rule.locator('svg')).toHaveCount(3);
  await rule.getByLabel('heel to heel').click();
  await expect(rule.getByLabel('heel to heel')).toBeChecked();
  await expect(
    page.getByText('Heel line in open poses: heel to heel, for everybody.'),
  ).toBeVisible();
  await expectAccessible(page);

  await page.goto(setUp);
  await expect.poll(() => widthOf(page)).toMatch(/^both heels on one line/);
  await page.getByRole('link', { name: 'schools' }).click();
  const chosen = page.getByTestId('chosen-schools').first();
  await expect(chosen).toContainText('For everybody: heel line in open poses heel to heel.');
  await page.getByRole('combobox', { name: 'School' }).selectOption('openHeelLine heel-to-arch');
  await page.getByRole('combobox', { name: 'For whom' }).selectOption('person');
  await page.getByRole('button', { name: 'Choose it' }).click();
  await expect(chosen).toContainText(
    'For Marit Sollen in every pose: heel line in open poses front heel to back arch.',
  );
  await expect(chosen).toContainText('Another choice below wins.');
  await expect.poll(() => widthOf(page)).toMatch(/^heels overlap/);
  // Nobody else is touched by it.
  await page.goto('/set-up?id=sanna-tveit&pose=warrior-two&side=right');
  await expect(page.locator('svg text.stance')).toBeVisible();
  await expect.poll(() => widthOf(page)).toMatch(/^both heels on one line/);
  // And it can be reset where it is set.
  await page.goto(setUp);
  await page.getByRole('link', { name: 'schools' }).click();
  await chosen.getByRole('button', { name: 'remove it' }).click();
  await expect.poll(() => widthOf(page)).toMatch(/^both heels on one line/);
  await page.goto('/studio');
  const reset = page.getByRole('button', { name: 'reset Heel line in open poses' });
  await reset.click();
  await expect(reset).toBeHidden();
  await page.goto(setUp);
  await expect.poll(() => widthOf(page)).toMatch(/^heels overlap/);
});

test('a cupboard that is emptied while a session runs changes nothing of what was planned', async ({
  page,
}) => {
  await openDemo(page);
  await beginSession(page, 'sanna-tveit');
  const step = page.getByTestId('run-set');
  await expect(step.locator('svg text.stance')).toBeVisible();
  const planned = await step.innerText();
  const session = page.url();
  await page.goto('/studio');
  const cupboard = page.getByTestId('cupboard');
  for (const name of ['Block', 'Chair', 'Folded blanket', 'Bolster']) {
    await page.getByRole('button', { name: `remove ${name}`, exact: true }).click();
    await expect(cupboard).not.toContainText(`${name} ×`);
  }
  await page.goto(session);
  await expect.poll(() => step.innerText()).toBe(planned);
  // A set-up that is made now says that nothing serves.
  await page.goto('/set-up?id=sanna-tveit&pose=triangle&side=right');
  await expect(page.locator('[data-testid=sheet-facts]')).toContainText(
    /the cupboard is \d+\.\d cm too low/,
  );
});

test('a studio goes out and in as a file, and a wrong one changes nothing', async ({ page }) => {
  await page.goto('/studio');
  const cupboard = page.getByTestId('cupboard');
  await expect(cupboard).toContainText('Block × 4');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export the studio' }).click();
  const path = await (await download).path();
  await page.getByRole('button', { name: 'remove Block', exact: true }).click();
  await expect(cupboard).not.toContainText('Block × 4');
  await page.getByLabel('Studio file (JSON)').setInputFiles(path);
  await page.getByRole('button', { name: 'Import', exact: true }).click();
  await expect(cupboard).toContainText('Block × 4');
  const newer = '{"format":"stillwater.studio","version":7,"cupboard":[]}';
  await page.getByLabel('Studio file (JSON)').setInputFiles({
    name: 'newer.json',
    mimeType: 'application/json',
    buffer: Buffer.from(newer),
  });
  await expect(page.getByText('This file has version 7')).toBeVisible();
  await expect(cupboard).toContainText('Block × 4');
});
