import { expect, test, type Page } from '@playwright/test';
import { expectAccessible, openDemo } from './support.ts';

const PERSON = '/person?id=marit-sollen';

/** From now on the browser refuses to store anything, until it is let again. */
const refuse = (page: Page, how: 'full' | 'aborted'): Promise<void> =>
  page.evaluate((way) => {
    // eslint-disable-next-line @typescript-eslint/unbound-method -- it is called with its store below
    const { put } = IDBObjectStore.prototype;
    Object.assign(window, { put });
    IDBObjectStore.prototype.put = function (...args) {
      if (way === 'full') throw new DOMException('full', 'QuotaExceededError');
      const request = put.apply(this, args);
      this.transaction.abort();
      return request;
    };
  }, how);

const letAgain = (page: Page): Promise<void> =>
  page.evaluate(() => {
    IDBObjectStore.prototype.put = (window as unknown as { put: IDBObjectStore['put'] }).put;
  });

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
    await page.getByRole('button', { name: 'Try again' }).first().click();
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
    ['Body mass, kg (optional)', '66'],
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
  await expect(page.getByText('“Theirs.” was entered elsewhere meanwhile.')).toBeVisible();
  await expect(theirs).toHaveValue('Theirs.');
  await page.getByRole('button', { name: 'Keep mine' }).click();
  await expect(theirs).toHaveValue('Mine.');
});

interface WritePath {
  readonly name: string;
  readonly at: string;
  readonly act: (page: Page) => Promise<void>;
}

/** One write of each view, as a hand makes it. */
const PATHS: readonly WritePath[] = [
  {
    name: 'someone new',
    at: '/',
    act: async (page) => {
      await page.getByLabel('Someone new').fill('Rea Loman');
      await page.keyboard.press('Enter');
    },
  },
  {
    name: 'that someone agrees',
    at: '/measure?id=bram-okelo&step=stature',
    act: (page) => page.getByRole('button', { name: 'They agree' }).click(),
  },
  {
    name: 'a typed reading',
    at: '/measure?id=marit-sollen&step=straight-leg-raise',
    act: async (page) => {
      await page.getByLabel('left first').fill('70');
      await page.keyboard.press('Enter');
      await expect(page.getByLabel('left first')).toHaveValue('70');
    },
  },
  {
    name: 'a test that was not taken',
    at: '/measure?id=marit-sollen&step=straight-leg-raise',
    act: async (page) => {
      await page.getByLabel(/^left not taken/).selectOption('declined');
    },
  },
  {
    name: 'an appointment',
    at: '/record?id=marit-sollen',
    act: async (page) => {
      await page.getByLabel('Start').fill('2026-12-03T18:00');
      await page.getByRole('button', { name: 'Write it down' }).click();
      await expect(page.getByLabel('Start')).toHaveValue('2026-12-03T18:00');
    },
  },
  {
    name: 'a removed session',
    at: '/record?id=marit-sollen',
    act: (page) =>
      page
        .getByRole('button', { name: /^remove/ })
        .first()
        .click(),
  },
  {
    name: 'a session that begins',
    at: '/session?id=pell-krossing',
    act: async (page) => {
      const begin = page.getByRole('button', { name: 'Begin' });
      await expect(begin).toBeEnabled();
      await begin.click();
    },
  },
];

for (const { name, at, act } of PATHS) {
  for (const how of ['full', 'aborted'] as const) {
    test(`${name}: a refusal (${how}) is said`, async ({ page }) => {
      await openDemo(page);
      await page.goto(at);
      await page.waitForLoadState('networkidle');
      await refuse(page, how);
      await act(page);
      const words = how === 'full' ? /no room left/ : /broke off the writing/;
      await expect(page.getByRole('alert').filter({ hasText: words }).first()).toBeVisible();
    });
  }
}

test('a database that does not open is said, with what to do', async ({ page }) => {
  await page.addInitScript(() => {
    indexedDB.open = () => {
      throw new DOMException('denied', 'UnknownError');
    };
  });
  for (const at of ['/', '/person?id=marit-sollen']) {
    await page.goto(at);
    await expect(page.getByText(/^This browser does not open its database\./)).toBeVisible();
    await expect(page.getByRole('button', { name: 'Reload' })).toBeVisible();
  }
  await expectAccessible(page);
});
