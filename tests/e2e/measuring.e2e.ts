import { expect, test, type Page } from '@playwright/test';
import { FULL_ROUND } from '../../src/core/measures/rounds.ts';
import { getProtocol, type MeasureId } from '../../src/core/measures/protocols/index.ts';
import { answerFirst, expectAccessible, openDemo, startPhone, tiltPhone } from './support.ts';

/** A value in the middle of a measure's usual band, as it is typed. */
function usual(measure: MeasureId): string {
  const [low, high] = getProtocol(measure).usual;
  return String(Math.round((low + high) / 2));
}

async function addPerson(page: Page): Promise<void> {
  await page.goto('/');
  await page.getByLabel('Someone new').fill('Ada Marsh');
  await page.keyboard.press('Enter');
  await answerFirst(page);
  await expect(page.getByRole('button', { name: /^Begin/ })).toBeVisible();
}

const fieldsOf = (measure: MeasureId): number => (getProtocol(measure).sided ? 4 : 2);

const showsStep = (page: Page, measure: MeasureId): Promise<void> =>
  expect(
    page.getByRole('heading', { level: 1, name: getProtocol(measure).name, exact: true }),
  ).toBeVisible();

// An action is a press, a tap, or one typed number with Enter.
test('the full round is done from the keyboard in at most two actions a reading', async ({
  page,
}) => {
  test.setTimeout(400_000);
  await addPerson(page);
  let actions = 0;
  let readings = 0;
  const press = async (key: string): Promise<void> => {
    await page.keyboard.press(key);
    actions += 1;
  };
  const tabTo = async (name: RegExp): Promise<void> => {
    const target = page.getByRole('button', { name });
    for (let i = 0; i < 40; i += 1) {
      if (await target.evaluate((each) => each === document.activeElement)) return;
      await press('Tab');
    }
    throw new Error('not reached');
  };
  await tabTo(/^everything/);
  await press('Enter');
  await expect(page.getByRole('heading', { name: 'A full round' })).toBeVisible();
  await tabTo(/^Begin/);
  await press('Enter');
  for (const measure of FULL_ROUND) {
    await showsStep(page, measure);
    const fields = fieldsOf(measure);
    if (measure === 'single-leg-balance') {
      for (let i = 0; i < fields; i += 1) {
        await press(' ');
        await expect(page.getByRole('button', { name: 'Stop' })).toBeVisible();
        await press('PageDown');
        await expect(page.getByText('saved', { exact: true })).toHaveCount(i + 1);
        readings += 1;
      }
      await expect(page.getByRole('button', { name: 'Next measure' })).toBeVisible();
      await press(' ');
      continue;
    }
    for (let i = 0; i < fields; i += 1) {
      await page.locator('[data-testid=reading]:focus').waitFor();
      await page.keyboard.type(usual(measure));
      await press('Enter');
      readings += 1;
    }
  }
  await expect(page.getByText('Everything here is measured.')).toBeVisible();
  expect(readings).toBe(FULL_ROUND.reduce((sum, each) => sum + fieldsOf(each), 0));
  expect(actions / readings).toBeLessThanOrEqual(2);
});

for (const [width, height] of [
  [1280, 800],
  [390, 844],
] as const) {
  test(`the full round is done by touch at ${String(width)} × ${String(height)}`, async ({
    browser,
  }) => {
    test.setTimeout(400_000);
    const context = await browser.newContext({ viewport: { width, height }, hasTouch: true });
    const page = await context.newPage();
    await addPerson(page);
    let actions = 0;
    let readings = 0;
    const tap = async (name: RegExp | string): Promise<void> => {
      await page.getByRole('button', { name }).tap();
      actions += 1;
    };
    await tap(/^everything/);
    await tap(/^Begin/);
    for (const measure of FULL_ROUND) {
      await showsStep(page, measure);
      const fields = fieldsOf(measure);
      if (measure === 'single-leg-balance') {
        for (let i = 0; i < fields; i += 1) {
          await tap(/^Start/);
          await tap(/^Stop/);
          await expect(page.getByText('saved', { exact: true })).toHaveCount(i + 1);
          readings += 1;
        }
        await tap(/^Next measure/);
        continue;
      }
      // A tap opens the keyboard of the screen; its Enter leads on.
      await page.locator('[data-testid=reading]').first().tap();
      actions += 1;
      for (let i = 0; i < fields; i += 1) {
        await page.locator('[data-testid=reading]:focus').waitFor();
        await page.keyboard.type(usual(measure));
        await page.keyboard.press('Enter');
        actions += 1;
        readings += 1;
      }
    }
    await expect(page.getByText('Everything here is measured.')).toBeVisible();
    expect(actions / readings).toBeLessThanOrEqual(2);
    const scrolls = await page.evaluate(
      () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
    );
    expect(scrolls).toBeLessThanOrEqual(0);
    await context.close();
  });
}

test('the inclinometer is read by stillness and by pedal, undone, lost and found', async ({
  page,
}) => {
  await openDemo(page);
  await page.goto('/measure?id=bram-okelo&step=straight-leg-raise&by=inclinometer');
  await answerFirst(page);
  const live = page.getByRole('region', { name: 'Live reading' });
  await expect(live.getByText('No inclinometer is connected.')).toBeVisible();
  await page.getByRole('button', { name: 'Practise with a simulation' }).click();
  await expect(live.getByText('This person is made up, so its readings count.')).toBeVisible();
  await expect(live.getByText('Lay it at the start position and press Zero.')).toBeVisible();
  await page.keyboard.press('z');
  await expect(live.getByText('Ready for the left, first reading.')).toBeVisible();
  await page.getByText('Move the simulated limb').click();
  const limb = page.getByRole('slider');
  await limb.fill('62');
  await expect(live.getByText(/^left, first reading: 6[123](\.\d)?° is saved\.$/)).toBeVisible();
  await expect(page.getByLabel('left first')).toHaveValue(/^6[123](\.\d)?°$/);
  // A pedal takes it at once.
  await limb.fill('70');
  await page.waitForTimeout(1500);
  await live.focus();
  await page.keyboard.press('PageDown');
  await expect(page.getByLabel('left second')).toHaveValue(/^(69|7[01])(\.\d)?°$/);
  await page.keyboard.press('Backspace');
  await expect(live.getByText('The last reading is undone.')).toBeVisible();
  await expect(page.getByLabel('left second')).toHaveValue('');
  // The stand-in dies in mid-reading: it is said, and what was taken is there.
  await page.getByRole('button', { name: 'Break the connection' }).click();
  await expect(live.getByText(/^The instrument is gone/)).toBeVisible();
  await expect(page.getByLabel('left first')).toHaveValue(/^6[123](\.\d)?°$/);
  await expect(live.getByText(/left, second reading/)).toBeVisible();
  await page.getByLabel('left second').fill('63');
  await page.getByLabel('left second').press('Enter');
  await expect(page.getByText('saved', { exact: true })).toHaveCount(2);
  await expectAccessible(page);
});

test('a simulated reading of a real person counts for nothing', async ({ page }) => {
  await page.goto('/');
  await page.getByLabel('Someone new').fill('Rea Loman');
  await page.keyboard.press('Enter');
  await page.waitForURL(/id=/);
  const id = new URL(page.url()).searchParams.get('id')!;
  await page.goto(`/measure?id=${id}&step=straight-leg-raise&by=inclinometer`);
  await answerFirst(page);
  const live = page.getByRole('region', { name: 'Live reading' });
  await expect(live.getByText('No inclinometer is connected.')).toBeVisible();
  await expect(live.getByText('°')).toHaveCount(0);
  await page.getByRole('button', { name: 'Practise with a simulation' }).click();
  await expect(live.getByText('Its readings are marked and not counted.')).toBeVisible();
  await page.keyboard.press('z');
  await expect(live.getByText('Ready for the left, first reading.')).toBeVisible();
  await page.getByText('Move the simulated limb').click();
  await page.getByRole('slider').fill('62');
  await expect(live.getByText(/^left, first reading: .*, for practice only\.$/)).toBeVisible();
  await expectAccessible(page);
  await page.goto(`/measure?id=${id}&step=straight-leg-raise`);
  await expect(page.getByLabel('left first')).toHaveValue('');
});

test('a phone’s own tilt is read along the chosen edge', async ({ page }) => {
  await openDemo(page);
  await page.goto('/measure?id=marit-sollen&step=hip-flexion&by=phone');
  await page.getByLabel(/^Lay the phone along/).selectOption('short');
  // It lies level along its long edge, and is raised along its short one.
  await startPhone(page, { beta: 77, gamma: 1 });
  await tiltPhone(page, { gamma: -84 });
  await expect(page.getByLabel('left first')).toHaveValue('85°');
});

test('a test that is not taken keeps its reason, and a nerve sign is offered as a stop', async ({
  page,
}) => {
  await openDemo(page);
  await page.goto('/measure?id=marit-sollen&round=full&step=straight-leg-raise');
  const reason = page.getByLabel(/right not taken/);
  await reason.selectOption('declined');
  await expect(page.getByRole('button', { name: 'Keep it as a stop sign' })).toHaveCount(0);
  await reason.selectOption('nerve-sign');
  await page.getByRole('button', { name: 'Keep it as a stop sign' }).click();
  await expect(page.getByRole('heading', { name: 'Stop here' })).toBeVisible();
  await page.goto('/person?id=marit-sollen');
  await page.getByText('One change of these answers').click();
  await expect(page.getByText(/Tingling or numbness: nothing → “stop, right/)).toBeVisible();
  await expectAccessible(page);
});

test('an old reading is put right or set aside with a reason; its first value stays', async ({
  page,
}) => {
  await openDemo(page);
  await page.goto('/measure?id=marit-sollen&step=stature');
  await page.getByText(/of this measure$/).click();
  const line = page.locator('[data-testid=readings-list] li').first();
  await line.getByRole('button', { name: 'correct' }).click();
  await line.getByLabel('Correct value').fill('170.5');
  await line.getByLabel('Why').fill('shoes were on');
  await line.getByRole('button', { name: 'Save correction' }).click();
  await expect(line).toContainText('170.5 cm');
  await expect(line).toContainText('first 171 cm, shoes were on');
  await line.getByRole('button', { name: 'set aside' }).click();
  await line.getByLabel('Why').fill('doubtful');
  await line.getByRole('button', { name: 'Set aside' }).click();
  await expect(line).toContainText('set aside: doubtful');
  await page.reload();
  await page.getByText(/of this measure$/).click();
  await line.getByRole('button', { name: 'include again' }).click();
  await expect(line).not.toContainText('set aside: doubtful');
});

test('a reading unlike the person’s own is questioned at once, and exchanged sides are seen', async ({
  page,
}) => {
  await openDemo(page);
  await page.goto('/measure?id=marit-sollen&step=hip-opening');
  const left = page.getByLabel('left first');
  await left.fill('12');
  await left.press('Enter');
  await expect(page.getByText(/^Hip opening, left: 12° after/)).toBeVisible();
  await expect(left).toHaveValue('12°');
});

test('who measures is kept with each reading, and another hand is no change', async ({ page }) => {
  await openDemo(page);
  await page.goto('/measure?id=marit-sollen&step=hip-opening');
  await page.getByLabel('by', { exact: true }).fill('Tove');
  await page.getByLabel('by', { exact: true }).press('Tab');
  // The name is stored when its field is left; a reading takes it from there.
  await expect(page.getByText('saved', { exact: true })).toBeVisible();
  await page.getByLabel('left first').fill('70');
  await page.getByLabel('left first').press('Enter');
  await page.getByText(/of this measure$/).click();
  await expect(page.locator('[data-testid=readings-list] li').first()).toContainText('Tove');
});
