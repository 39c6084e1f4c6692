import { readFile } from 'node:fs/promises';
import { expect, test, type Page } from '@playwright/test';
import { CAUTION_KINDS } from '../../src/core/cautions/catalogue.ts';
import { readPdf, type ReadPage } from '../support/readPaper.ts';
import { expectAccessible, openDemo } from './support.ts';

const CLASS = '/classes?class=after-the-kiln';
const part = (page: Page, name: string) =>
  page.getByRole('navigation', { name: /^Parts of/ }).getByRole('link', { name, exact: true });

/** Until every set-up of the class is worked out. */
async function untilPlanned(page: Page): Promise<void> {
  await expect(page.getByTestId('pose-table').getByRole('row')).toHaveCount(16);
  await expect(page.getByTestId('pose-table')).not.toContainText('…');
  await expect(page.getByText(/^Planning:/)).toBeHidden();
}

const openClass = async (page: Page): Promise<void> => {
  await openDemo(page);
  await page.goto(CLASS);
  await untilPlanned(page);
};

async function saved(page: Page, button: string): Promise<Buffer> {
  const waiting = page.waitForEvent('download');
  await page.getByRole('button', { name: button }).click();
  return readFile(await (await waiting).path());
}

const textOf = (pages: readonly ReadPage[]): string =>
  pages.flatMap(({ texts }) => texts.map(({ text }) => text)).join(' ');

test('the potters and six guests are a class: grouped, shared, printed', async ({ page }) => {
  await openClass(page);
  const table = page.getByTestId('pose-table');
  await expect(table.getByRole('row', { name: /^Juno Pardew/ })).toContainText('keep from');
  await expect(table.getByRole('row', { name: /^Bram Okelo/ })).toContainText('by eye');
  await expect(table.getByRole('row', { name: /^Elin Mast/ })).toContainText('estimate');

  // Fewer numbers cost more: the largest loss and those who are left out.
  const values = page.getByTestId('group-values');
  const slider = page.getByRole('slider', { name: 'How many numbers' });
  await expect(values).toBeVisible();
  const shown: string[] = [];
  for (const count of [1, 2, 3, 4]) {
    await slider.fill(String(count));
    await expect(page.getByTestId('groups').locator('output')).toHaveText(String(count));
    shown.push(await values.locator('p').first().innerText());
  }
  for (const [i, words] of shown.entries()) {
    expect(words.split(' · ').length).toBeLessThanOrEqual(i + 1);
  }
  expect(new Set(shown).size).toBeGreaterThan(2);
  await slider.fill('2');
  await page.getByRole('button', { name: 'Use these numbers' }).click();
  await expect(page.getByText('In use:')).toBeVisible();
  const [first] = shown[1]!.split(' · ');
  await expect(table.getByRole('cell', { name: first!, exact: true }).first()).toBeVisible();
  await expectAccessible(page);

  // An empty cupboard: who goes to the wall, and what would serve.
  await part(page, 'Props').click();
  await page.getByRole('button', { name: 'Triangle' }).click();
  await expect(page.getByTestId('sharing')).toContainText('Block');
  await expectAccessible(page);
  const giveBack = page.getByRole('button', { name: /^give back/ });
  await giveBack.click();
  await expect(giveBack).toHaveCount(0);
  await page.goto('/studio');
  const remove = page.getByTestId('cupboard').getByRole('button', { name: /^remove/ });
  await expect(remove.first()).toBeVisible();
  for (let left = await remove.count(); left > 0; left -= 1) {
    await remove.first().click();
    await expect(remove).toHaveCount(left - 1);
  }
  await page.goto(`${CLASS}&part=props&pose=triangle`);
  await expect(page.getByText('The cupboard is empty.')).toBeVisible();
  await expect(page.getByTestId('sharing')).toContainText('At the wall:');
  await expect(page.getByTestId('sharing')).toContainText('Lying version:');
  await expect(page.getByTestId('shopping')).toContainText(/\d+ more chairs?/);
  const lend = async (isFirm: boolean): Promise<void> => {
    await page.getByRole('button', { name: 'Lend something in' }).click();
    const form = page.getByTestId('item-form');
    await form.getByRole('checkbox').setChecked(isFirm);
    await form.getByRole('button', { name: 'Save' }).click();
  };
  await lend(false);
  await expect(page.getByText('Nothing in the cupboard stands firm under a hand.')).toBeVisible();
  await giveBack.click();
  await lend(true);
  await expect(page.getByText('Nothing in the cupboard stands firm')).toBeHidden();
  await expect(page.getByTestId('sharing')).toContainText('Block from next door');

  // The sheet, read back: groups and exceptions, and no word of anybody's health.
  await part(page, 'Sheet').click();
  await expect(page.getByText('The sheet is complete when')).toBeHidden();
  await expectAccessible(page);
  const health = CAUTION_KINDS.map(({ name }) => name.toLowerCase());
  for (const button of ['Save the sheet as PDF', 'Hand over to a substitute']) {
    const pages = await readPdf(new Uint8Array(await saved(page, button)));
    expect(pages.length).toBeGreaterThanOrEqual(6);
    const text = textOf(pages).toLowerCase();
    expect(text).toContain(first!);
    expect(text).toContain('keep from');
    for (const word of health) expect(text, word).not.toContain(word);
  }
  const cards = await readPdf(new Uint8Array(await saved(page, 'Cards for everyone')));
  expect(cards.length).toBeGreaterThan(20);
  expect(textOf(cards)).toContain('Marit Sollen');
  expectMarks(cards);
  const csv = (await saved(page, 'Table as CSV')).toString('utf8');
  expect(csv.split('\r\n').filter((line) => line.startsWith('Marit Sollen'))).toHaveLength(12);
  await page.getByLabel('Find in the table').fill('marit');
  await expect(page.getByTestId('class-table').getByRole('row')).toHaveCount(13);
  await page.getByRole('button', { name: 'Sort by Stance' }).click();
  await expect(page.getByRole('columnheader', { name: 'Sort by Stance' })).toHaveAttribute(
    'aria-sort',
    'ascending',
  );
});

type Point = readonly [number, number];

/** Every heel mark of a card points at the centimetre that is written beside it, within 0.5 mm. */
function expectMarks(pages: readonly ReadPage[]): void {
  let marks = 0;
  for (const { texts, lines } of pages) {
    const mats = lines.filter((each) => {
      const [a, b, c] = each as Point[];
      if (each.length !== 5 || a === undefined || b === undefined || c === undefined) return false;
      const sides = [Math.hypot(a[0] - b[0], a[1] - b[1]), Math.hypot(b[0] - c[0], b[1] - c[1])];
      const [short, long] = sides.toSorted((x, y) => x - y);
      return Math.abs(long! / short! - 183 / 66) < 0.01 && long! > 40;
    });
    for (const mat of mats) {
      const xs = mat.map(([x]) => x);
      const ys = mat.map(([, y]) => y);
      const [left, near, far] = [Math.min(...xs), Math.max(...ys), Math.min(...ys)];
      const scale = (Math.max(...xs) - left) / 183;
      // A mark is a triangle on a long edge: its tip three centimetres inside, its base two outside.
      const triangles = lines.filter(
        (each) =>
          each.length === 4 && Math.abs(Math.abs(each[1]![0] - each[2]![0]) - 4 * scale) < 0.05,
      );
      for (const [tip] of triangles as (readonly [Point])[]) {
        const isNear = Math.abs(tip[1] - (near - 3 * scale)) < 0.2;
        const isFar = Math.abs(tip[1] - (far + 3 * scale)) < 0.2;
        if (!isNear && !isFar) continue;
        const beside = texts.filter(
          ({ text, at }) =>
            /^\d+(\.5)?$/.test(text) &&
            Math.abs(at[0] - tip[0]) < 8 &&
            (isNear ? at[1] > near && at[1] < near + 8 : at[1] < far && at[1] > far - 8),
        );
        const cm = (tip[0] - left) / scale;
        const off = Math.min(...beside.map(({ text }) => Math.abs(Number(text) - cm) * scale));
        expect(off, `${String(cm)} beside ${beside.map(({ text }) => text).join()}`).toBeLessThan(
          0.5,
        );
        marks += 1;
      }
    }
  }
  expect(marks).toBeGreaterThan(50);
}

test('is taught by keys and by touch, and every entry stands in the person’s own record', async ({
  page,
}) => {
  await openClass(page);
  await part(page, 'Teach').click();
  const here = page.getByTestId('who-is-here');
  await here.getByRole('button', { name: 'Pell Krossing' }).click();
  await page.getByRole('button', { name: 'Begin the class' }).click();
  const run = page.getByTestId('class-run');
  await expect(run).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Warrior II' })).toBeVisible();
  await expectAccessible(page);

  // By touch: an error sign, the easier version, and pain, which closes by itself.
  await run.getByRole('button', { name: /^Marit Sollen/ }).click();
  const panel = page.getByTestId('member-panel');
  await panel.getByTestId('error-tile').first().click();
  await expect(panel.getByTestId('error-tile').first()).toHaveAttribute('aria-pressed', 'true');
  await panel.getByRole('button', { name: /^took the easier one/ }).click();
  await expect(panel.getByText('Pain from 0')).toBeHidden();
  await panel.getByRole('button', { name: 'Pain, or a stop sign' }).click();
  await panel.getByRole('button', { name: 'pain 2 of 10' }).click();
  await expect(panel.getByRole('button', { name: 'pain 2 of 10' })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await expectAccessible(page);
  await expect(panel.getByRole('button', { name: 'pain 2 of 10' })).toBeHidden({ timeout: 30_000 });
  await page.keyboard.press('Escape');
  await expect(panel).toBeHidden();

  // The workers die: nothing that is confirmed is lost, and the next question starts new ones.
  for (const worker of page.workers()) {
    await worker.evaluate(() => {
      setTimeout(() => {
        throw new Error('killed by the test');
      });
    });
  }
  await page.getByRole('button', { name: 'Late or gone' }).click();
  await page.getByTestId('latecomers').getByRole('button', { name: 'Pell Krossing' }).click();
  await expect(run.getByRole('button', { name: /^Pell Krossing/ })).toBeVisible();
  await page.getByTestId('latecomers').getByRole('button', { name: 'Oda Brask' }).click();
  await expect(run.getByRole('button', { name: /^Oda Brask/ })).toBeHidden();
  await page.getByRole('button', { name: 'Late or gone' }).click();

  // Lengths in either unit.
  await page.getByRole('button', { name: /^cm/ }).click();
  await expect(run).toContainText(/\d in\b/);
  await page.getByRole('button', { name: /^in/ }).click();

  // By keys, and a reload goes on where it stood.
  await page.getByRole('heading', { name: 'Warrior II' }).click();
  await page.keyboard.press('PageDown');
  await expect(page.getByRole('heading', { name: 'Side angle' })).toBeVisible();
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Side angle' })).toBeVisible();
  for (const pose of ['Triangle', 'Half moon', 'Pyramid', 'Low lunge']) {
    await page.keyboard.press('PageDown');
    await expect(page.getByRole('heading', { name: pose })).toBeVisible();
  }
  await page.keyboard.press('PageUp');
  await expect(page.getByRole('heading', { name: 'Pyramid' })).toBeVisible();
  await page.keyboard.press('PageDown');
  await expect(page.getByRole('heading', { name: 'Low lunge' })).toBeVisible();
  await page.keyboard.press('PageDown');

  // After it: verdicts for everybody, every “keep” in one press, and the guests are gone.
  await expect(page.getByRole('heading', { name: 'What comes of it' })).toBeVisible();
  await expect(page.getByText('Working out the next step')).toBeHidden();
  const others = page.getByTestId('class-verdicts').first();
  await expect(others.getByRole('row', { name: /^Marit Sollen Warrior II right/ })).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: /^Accept all \d+ that say “keep”/ }).click();
  await expect(page.getByText('Every “keep” is accepted.')).toBeVisible();
  await page.getByText(/lines that say “keep”$/).click();
  const verdicts = page.getByTestId('class-verdicts');
  await expect(
    verdicts.last().getByRole('row', { name: 'Teska Morrow Warrior II right' }),
  ).toContainText('accepted');
  // No pose is lost, however fast the keys came: everyone who stayed held all six.
  for (const pose of [
    'Warrior II',
    'Side angle',
    'Triangle',
    'Half moon',
    'Pyramid',
    'Low lunge',
  ]) {
    await expect(verdicts.getByRole('row', { name: `Teska Morrow ${pose} right` })).toHaveCount(1);
  }
  await expect(verdicts.getByText('Elin Mast')).toHaveCount(0);
  await expect(page.getByTestId('weeks')).toContainText('1 of 1');

  await page.goto('/record?id=marit-sollen');
  await expect(page.getByText('in the class “Thursday, after the kiln”')).toBeVisible();
  await page
    .getByText('in the class “Thursday, after the kiln”')
    .locator('..')
    .getByRole('link')
    .click();
  await expect(page.getByTestId('verdicts')).toBeVisible();
  for (const person of ['pell-krossing', 'sanna-tveit', 'teska-morrow']) {
    await page.goto(`/record?id=${person}`);
    await expect(page.getByText('in the class “Thursday, after the kiln”')).toHaveCount(1);
  }
});

test('what stands in the way of a class is said in words', async ({ page, browser }) => {
  await openClass(page);
  // The same person in two classes at one time.
  await page.getByRole('button', { name: 'all classes' }).click();
  await page.getByLabel('Name of the class').fill('Rival');
  await page.getByRole('button', { name: 'Add class' }).click();
  await page.getByTestId('class-people').getByRole('button', { name: 'Sanna Tveit' }).click();
  await page.evaluate(() => {
    const open = indexedDB.open('stillwater');
    return new Promise<void>((resolve) => {
      open.onsuccess = () => {
        const store = open.result.transaction('classes', 'readwrite').objectStore('classes');
        const all = store.getAll();
        all.onsuccess = () => {
          const rows = all.result as { id: string; time: unknown }[];
          const time = rows.find(({ id }) => id === 'after-the-kiln')!.time;
          const rival = rows.find(({ id }) => id !== 'after-the-kiln')!;
          store.put({ ...rival, time }).onsuccess = () => {
            open.result.close();
            resolve();
          };
        };
      };
    });
  });
  await page.reload();
  await expect(
    page.getByText('Sanna Tveit is in “Thursday, after the kiln” at the same time.'),
  ).toBeVisible();

  // Two hundred people are no class that one teacher sees.
  await page.evaluate(() => {
    const open = indexedDB.open('stillwater');
    return new Promise<void>((resolve) => {
      open.onsuccess = () => {
        const store = open.result.transaction('classes', 'readwrite').objectStore('classes');
        const got = store.get('after-the-kiln');
        got.onsuccess = () => {
          const row = got.result as { guests: readonly object[] };
          const guests = Array.from({ length: 200 }, (_each, i) => ({
            ...row.guests[0],
            id: `guest ${String(i)}`,
            name: `Guest ${String(i)}`,
          }));
          const crowd = { ...row, id: 'crowd', name: 'Crowd', personIds: [], guests, time: null };
          store.put({ ...crowd, poses: ['mountain'] }).onsuccess = () => {
            open.result.close();
            resolve();
          };
        };
      };
    });
  });
  await page.goto('/classes?class=crowd');
  await expect(page.getByText('200 people are more than one teacher sees')).toBeVisible();
  await expect(page.getByTestId('pose-table').getByRole('row')).toHaveCount(61);

  // A guest is asked before they are added; one with a stop sign is kept from every pose.
  await page.goto(CLASS);
  await untilPlanned(page);
  const form = page.getByTestId('guest-form');
  await form.getByLabel('Name').fill('Tom Vries');
  await form.getByLabel('Height').fill('55');
  await form.getByRole('button', { name: 'Add guest' }).click();
  await expect(form.getByRole('alert')).toContainText('is no height');
  await form.getByLabel('Height').fill('178');
  await form.getByRole('button', { name: 'Add guest' }).click();
  await expect(form.getByRole('alert')).toContainText('Ask about the stop signs first');
  await form.getByLabel(/^Ask before they start/).selectOption({ index: 2 });
  await form.getByRole('button', { name: 'Add guest' }).click();
  const table = page.getByTestId('pose-table');
  await expect(table.getByRole('row', { name: /^Tom Vries/ })).toContainText('keep from this pose');
  await page.getByRole('button', { name: 'make a person Tom Vries' }).click();
  await page.getByRole('button', { name: /^Tom Vries agrees/ }).click();
  await expect(page.getByTestId('class-people')).toContainText('Tom Vries');

  // Somebody who is removed while they are planned is not planned, and it is said.
  await page.goto('/');
  await page.getByRole('button', { name: 'More about Teska Morrow' }).click();
  await page.getByRole('button', { name: 'remove Teska Morrow' }).click();
  await expect(page.getByRole('link', { name: 'Teska Morrow', exact: true })).toBeHidden();
  await page.goto(CLASS);
  await expect(page.getByText('Teska Morrow was removed from People')).toBeVisible();
  await page.getByRole('button', { name: 'take out' }).click();
  await expect(page.getByText('Teska Morrow was removed from People')).toBeHidden();

  // Workers that do not start: said, and tried again by a press.
  const context = await browser.newContext({ serviceWorkers: 'block' });
  const other = await context.newPage();
  await openDemo(other);
  await other.route(/setUp\.worker/, (route) => route.abort());
  await other.goto(CLASS);
  await expect(other.getByText(/could not be worked out/)).toBeVisible();
  await other.unroute(/setUp\.worker/);
  await other.getByRole('button', { name: 'try again' }).click();
  await untilPlanned(other);
  await context.close();
});

test('the room is placed to scale, by keys too, and says when it is too small', async ({
  page,
}) => {
  await openClass(page);
  await part(page, 'Room').click();
  await page.getByLabel('Length, from the teacher').fill('14');
  await page.getByLabel('Length, from the teacher').press('Tab');
  await expect(page.getByTestId('floor')).toBeVisible();
  await page.getByLabel('Width').fill('9');
  await page.getByLabel('Width').press('Tab');
  const findings = page.getByTestId('room-findings');
  await expect(findings).toContainText('Everyone has room in every pose.');
  await expectAccessible(page);
  const marit = page.getByRole('button', { name: /^Place of Marit Sollen/ });
  // Who has a chair takes more room: places stay once the props are shared.
  await expect(findings.getByText(/^The places are final when/)).toBeHidden();
  const placeOf = async (): Promise<readonly number[]> =>
    ((await marit.getAttribute('transform'))?.match(/-?[\d.]+/g) ?? []).map((each) =>
      Math.round(Number(each)),
    );
  const [x, y = 0] = await placeOf();
  await marit.focus();
  // Quick presses add up.
  for (let i = 0; i < 3; i += 1) await page.keyboard.press('Shift+ArrowUp');
  await expect.poll(placeOf).toEqual([x, Math.max(0, y - 150)]);
  await expect(findings.getByRole('button', { name: 'Place everyone again' })).toBeVisible();
  const moved = await marit.getAttribute('transform');
  await findings.getByRole('button', { name: 'Place everyone again' }).click();
  await expect(findings.getByRole('button', { name: 'Place everyone again' })).toBeHidden();
  await expect(marit).not.toHaveAttribute('transform', moved ?? '');
  const placed = await marit.getAttribute('transform');
  const box = (await marit.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 + 40, box.y + box.height / 2 + 10, { steps: 4 });
  await page.mouse.up();
  await expect(marit).not.toHaveAttribute('transform', placed ?? '');
  await page.getByLabel('Length, from the teacher').fill('6');
  await page.getByLabel('Length, from the teacher').press('Tab');
  await expect(findings.getByRole('alert')).toContainText(
    /The room is too small: .* is the reason/,
  );
});
