import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { expectRefusal, letAgain, refuse } from './refusing.ts';
import {
  beginSession,
  fillDateTime,
  markDrawnPicture,
  openDemo,
  removePerson,
  startPhone,
  tiltPhone,
  toLog,
} from './support.ts';

const PERSON = '/person?id=marit-sollen';

/** One thing that a view stores. */
interface WritePath {
  readonly name: string;
  /** The page; absent = the one that `prepare` ends on. */
  readonly at?: string;
  /** Done once, while the browser still stores. */
  readonly prepare?: (page: Page) => Promise<void>;
  /** Runs before each refusal, on a freshly opened page, while writing still works. */
  readonly open?: (page: Page) => Promise<void>;
  readonly act: (page: Page) => Promise<void>;
}

const press = (name: string | RegExp) => (page: Page) =>
  page.getByRole('button', { name }).first().click();

const SET_UP = '/set-up?id=marit-sollen&pose=triangle&side=right';

let angle = 30;

async function setAside(page: Page): Promise<void> {
  await page.getByText(/of this measure$/).click();
  const line = page.locator('[data-testid=readings-list] li').first();
  await line.getByRole('button', { name: 'set aside' }).click();
  await line.getByLabel('Why').fill('doubtful');
  await line.getByRole('button', { name: 'Set aside' }).click();
}

/** Two days of readings whose sides are exchanged. */
async function exchangeSides(page: Page): Promise<void> {
  const rows = [
    ['2026-11-25', 30, 60],
    ['2026-11-28', 60, 30],
  ].flatMap(([day, left, right]) => [
    `${String(day)},hip opening,L,${String(left)}`,
    `${String(day)},hip opening,R,${String(right)}`,
  ]);
  await page.goto('/files');
  await page.getByLabel('Readings of').selectOption({ label: 'Marit Sollen' });
  await page
    .getByLabel('Table to import (CSV)')
    .setInputFiles(tableOf(`When,What,Leg,Value\n${rows.join('\n')}\n`));
  await press('Import 4 readings')(page);
  await expect(page.getByText(/^4 readings imported/)).toBeVisible();
}

async function chooseSchool(page: Page): Promise<void> {
  await page.getByText('Compare schools').click();
  await page
    .getByRole('combobox', { name: 'School' })
    .selectOption({ label: 'Stance three feet, for everyone' });
  await press('Choose it')(page);
}

async function keepSetUp(page: Page): Promise<void> {
  await page.goto(SET_UP);
  await page.getByText('Kept set-ups').click();
  await press('Keep it')(page);
  await expect(page.getByRole('button', { name: 'remove it' })).toBeVisible();
}

let backup = Buffer.alloc(0);

/** A person who is not here yet. */
function fileOfRea(): Buffer {
  const file = JSON.parse(readFileSync('public/demo/bram-okelo.json', 'utf8')) as {
    person: object;
  };
  const person = { ...file.person, id: 'rea-loman', name: 'Rea Loman' };
  return Buffer.from(JSON.stringify({ ...file, person }));
}

const tableOf = (text: string) => ({
  name: 'readings.csv',
  mimeType: 'text/csv',
  buffer: Buffer.from(text),
});

/** The writes of each view, as a hand makes them. */
const PATHS: Readonly<Record<string, readonly WritePath[]>> = {
  people: [
    {
      name: 'someone new',
      at: '/',
      act: async (page) => {
        await page.getByLabel('Someone new').fill('Rea Loman');
        await page.keyboard.press('Enter');
      },
    },
    { name: 'someone removed', at: '/', act: (page) => removePerson(page, 'Sanna Tveit') },
    {
      name: 'someone brought back',
      at: '/',
      prepare: async (page) => {
        await page.goto('/');
        await removePerson(page, 'Oda Brask');
        await expect(page.getByText('Oda Brask is removed.')).toBeVisible();
      },
      act: async (page) => {
        await page.getByText('Removed people (1)').click();
        await press('bring back Oda Brask')(page);
      },
    },
    {
      name: 'a removal undone',
      at: '/',
      open: async (page) => {
        await press(/^More about (Juno|Dov)/)(page);
        await press(/^remove (Juno|Dov)/)(page);
        await expect(page.getByText(/ is removed\.$|is removed\. Undo$/)).toBeVisible();
      },
      act: press('Undo'),
    },
  ],
  'a person': [
    {
      name: 'a stop sign',
      at: PERSON,
      act: (page) => page.getByRole('checkbox', { name: /^Tingling or numbness/ }).click(),
    },
    {
      name: 'experience',
      at: PERSON,
      act: async (page) => {
        await page.getByLabel('Experience').selectOption('seasoned');
      },
    },
    {
      name: 'an answer',
      at: PERSON,
      act: async (page) => {
        const notes = page.getByLabel('Private notes (never printed)');
        await notes.fill('Sleeps badly this week.');
        await notes.blur();
      },
    },
    {
      name: 'the side of a sign',
      at: PERSON,
      open: async (page) => {
        const sign = page.getByRole('checkbox', { name: /^Tingling or numbness/ });
        if (!(await sign.isChecked())) await sign.click();
        await expect(sign).toBeChecked();
      },
      act: async (page) => {
        await page.getByRole('combobox', { name: /^Side/ }).first().selectOption('left');
      },
    },
    {
      name: 'who cleared a sign',
      at: PERSON,
      act: async (page) => {
        const by = page.getByLabel('Cleared by (doctor, physiotherapist)').first();
        await by.fill('Dr Okoro');
        await by.blur();
      },
    },
    {
      name: 'a sign taken away',
      at: PERSON,
      act: (page) => page.getByRole('checkbox', { name: /^Tingling or numbness/ }).click(),
    },
    {
      name: 'the reference bands',
      at: PERSON,
      act: async (page) => {
        await page.getByLabel(/^Reference ranges/).selectOption({ index: 0 });
      },
    },
    { name: 'consent to pictures', at: PERSON, act: press('They agree to pictures') },
    { name: 'consent withdrawn', at: PERSON, act: press('They withdraw consent') },
    { name: 'someone removed', at: PERSON, act: press('Remove') },
    {
      name: 'someone erased',
      at: PERSON,
      act: async (page) => {
        await press('Erase now')(page);
        await press(/^Erase all data/)(page);
      },
    },
    { name: 'the unit', at: PERSON, act: press(/^cm/) },
  ],
  measuring: [
    {
      name: 'that someone agrees',
      at: '/measure?id=bram-okelo&step=stature',
      act: press('They agree'),
    },
    {
      name: 'that no sign is there',
      at: '/measure?id=bram-okelo&step=stature',
      prepare: async (page) => {
        await page.goto('/measure?id=bram-okelo&step=stature');
        await press('They agree')(page);
        await press('None of these')(page);
        await press('None of these')(page);
      },
      open: async (page) => {
        await press('None of these')(page);
        await press('None of these')(page);
      },
      act: press('None of these'),
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
      name: 'a reading by tape',
      at: '/measure?id=marit-sollen&step=straight-leg-raise&by=tape',
      act: async (page) => {
        const ankle = page.getByLabel('outer ankle bone above the floor').first();
        await ankle.fill('62');
        await ankle.press('Enter');
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
      name: 'a stop sign found in a test',
      at: '/measure?id=marit-sollen&step=straight-leg-raise',
      open: async (page) => {
        await page.getByLabel(/^right not taken/).selectOption('nerve-sign');
        await expect(page.getByRole('button', { name: 'Keep it as a stop sign' })).toBeVisible();
      },
      act: press('Keep it as a stop sign'),
    },
    {
      name: 'a reading set aside',
      at: '/measure?id=marit-sollen&step=stature',
      act: (page) => setAside(page),
    },
    {
      name: 'a reading counted again',
      at: '/measure?id=marit-sollen&step=stature',
      prepare: async (page) => {
        await page.goto('/measure?id=marit-sollen&step=stature');
        await setAside(page);
        await expect(page.getByRole('button', { name: 'include again' })).toBeVisible();
      },
      act: async (page) => {
        await page.getByText(/of this measure$/).click();
        await press('include again')(page);
      },
    },
    {
      name: 'sides changed over',
      at: '/measure?id=marit-sollen&step=hip-opening',
      prepare: (page) => exchangeSides(page),
      act: press('Swap left and right'),
    },
    {
      name: 'a time by stopwatch',
      at: '/measure?id=marit-sollen&step=single-leg-balance&by=stopwatch',
      act: async (page) => {
        await press(/^Start/)(page);
        await press(/^Stop/)(page);
      },
    },
    {
      name: 'a time undone',
      at: '/measure?id=marit-sollen&step=single-leg-balance&by=stopwatch',
      open: async (page) => {
        await press(/^Start/)(page);
        await press(/^Stop/)(page);
        await expect(page.getByText('Saved.').or(page.getByLabel('left first'))).toBeVisible();
      },
      act: press(/^Undo/),
    },
    {
      name: 'a tilt of the phone',
      at: '/measure?id=marit-sollen&step=hip-flexion&by=phone',
      open: (page) => startPhone(page, { beta: 1, gamma: 1 }),
      act: (page) => tiltPhone(page, { beta: 85 }),
    },
    {
      name: 'how a capture is confirmed',
      at: '/measure?id=marit-sollen&step=straight-leg-raise&by=inclinometer',
      open: press('Practise with a simulation'),
      act: async (page) => {
        await page.getByLabel(/^Each reading is confirmed by/).selectOption('none');
      },
    },
    {
      name: 'a reading from a photo',
      at: '/measure?id=marit-sollen&step=straight-leg-raise&by=photo',
      open: markDrawnPicture,
      act: press(/^Save (left|right)/),
    },
    {
      name: 'a picture deleted',
      at: '/measure?id=marit-sollen&step=straight-leg-raise&by=photo',
      prepare: async (page) => {
        await page.goto(PERSON);
        await press('They agree to pictures')(page);
        await expect(page.getByText(/^Pictures may be kept, since/)).toBeVisible();
        await page.goto('/measure?id=marit-sollen&step=straight-leg-raise&by=photo');
        await markDrawnPicture(page);
        await press(/^Save (left|right)/)(page);
        await expect(page.getByText('One picture is kept')).toBeVisible();
      },
      act: async (page) => {
        await page.getByText('One picture is kept').click();
        await press('delete the picture, keep its numbers')(page);
      },
    },
    {
      name: 'a reading put right',
      at: '/measure?id=marit-sollen&step=stature',
      act: async (page) => {
        await page.getByText(/of this measure$/).click();
        const line = page.locator('[data-testid=readings-list] li').first();
        await line.getByRole('button', { name: 'correct' }).click();
        await line.getByLabel('Correct value').fill('170.5');
        await line.getByLabel('Why').fill('shoes were on');
        await line.getByRole('button', { name: 'Save correction' }).click();
      },
    },
    {
      name: 'who measures',
      at: '/measure?id=marit-sollen&step=straight-leg-raise',
      act: async (page) => {
        await page.getByLabel('by', { exact: true }).fill('Tove');
        await page.getByLabel('by', { exact: true }).blur();
      },
    },
    {
      name: 'a reading of an instrument',
      at: '/measure?id=marit-sollen&step=straight-leg-raise&by=inclinometer',
      act: async (page) => {
        await press('Practise with a simulation')(page);
        await page.keyboard.press('z');
        await expect(page.getByText(/^Ready for the left, /)).toBeVisible();
        await page.getByText('Move the simulated limb').click();
        // The server's stand-in stays where it was led before.
        angle += 20;
        await page.getByRole('slider').fill(String(angle));
      },
    },
  ],
  'a set-up': [
    {
      name: 'a set-up that is kept',
      at: SET_UP,
      act: async (page) => {
        await page.getByText('Kept set-ups').click();
        await page.getByRole('button', { name: 'Keep it' }).click();
      },
    },
    {
      name: 'a kept set-up removed',
      at: SET_UP,
      prepare: keepSetUp,
      act: async (page) => {
        await page.getByText('Kept set-ups').click();
        await press('remove it')(page);
      },
    },
    {
      name: 'a kept set-up brought back',
      at: SET_UP,
      open: async (page) => {
        await page.getByText('Kept set-ups').click();
        if ((await page.getByRole('button', { name: 'remove it' }).count()) === 0)
          await press('Keep it')(page);
        await press('remove it')(page);
        await expect(page.getByRole('button', { name: /^Undo$/ })).toBeVisible();
      },
      act: press(/^Undo$/),
    },
    {
      name: 'a school that is chosen',
      at: SET_UP,
      act: chooseSchool,
    },
    {
      name: 'a school left again',
      at: SET_UP,
      prepare: async (page) => {
        await page.goto(SET_UP);
        await chooseSchool(page);
        await expect(page.getByRole('button', { name: 'remove it' })).toBeVisible();
      },
      act: async (page) => {
        await page.getByText('Compare schools').click();
        await press('remove it')(page);
      },
    },
  ],
  Studio: [
    {
      name: 'a thing added',
      at: '/studio',
      act: async (page) => {
        await press('Add a thing')(page);
        const form = page.getByTestId('item-form');
        await form.getByLabel('Name').fill('Cork block');
        await form.getByLabel('How many').fill('2');
        await form.getByLabel('Height').fill('8, 12, 22');
        await form.getByRole('button', { name: 'Save' }).click();
      },
    },
    { name: 'a thing removed', at: '/studio', act: press('remove Block') },
    {
      name: 'a house rule',
      at: '/studio',
      act: (page) => page.getByTestId('openHeelLine').getByLabel('heel to heel').click(),
    },
  ],
  Record: [
    {
      name: 'an appointment',
      at: '/record?id=marit-sollen',
      act: async (page) => {
        await fillDateTime(page, 'Start', '2026-12-03T18:00');
        await page.getByRole('button', { name: 'Add appointment' }).click();
        await expect(page.getByRole('group', { name: 'Start' })).toContainText('03/12/2026');
      },
    },
    {
      name: 'an appointment removed',
      at: '/record?id=marit-sollen',
      prepare: async (page) => {
        await page.goto('/record?id=marit-sollen');
        await fillDateTime(page, 'Start', '2026-12-03T18:00');
        await press('Add appointment')(page);
        await expect(page.getByRole('button', { name: /^remove .*December/ })).toBeVisible();
      },
      act: press(/^remove .*December/),
    },
    {
      name: 'a session removed',
      at: '/record?id=marit-sollen',
      act: press(/^remove the session/),
    },
    {
      name: 'a session put back',
      at: '/record?id=marit-sollen',
      open: async (page) => {
        await press(/^remove the session/)(page);
        await expect(page.getByRole('button', { name: /^Undo$/ })).toBeVisible();
      },
      act: press(/^Undo$/),
    },
  ],
  files: [
    {
      name: 'a person file taken in',
      at: '/files',
      open: async (page) => {
        await page
          .getByLabel('Person file (JSON)')
          .setInputFiles({ name: 'rea.json', mimeType: 'application/json', buffer: fileOfRea() });
        await expect(page.getByRole('button', { name: 'Import', exact: true })).toBeVisible();
      },
      act: press('Import'),
    },
    {
      name: 'a file taken back',
      at: '/files',
      prepare: async (page) => {
        await page.goto('/files');
        await page
          .getByLabel('Person file (JSON)')
          .setInputFiles({ name: 'rea.json', mimeType: 'application/json', buffer: fileOfRea() });
        await press('Import')(page);
        await expect(page.getByText('Rea Loman is imported.')).toBeVisible();
      },
      act: async (page) => {
        await page.getByText('Imported in the last 30 days').click();
        await press('undo import')(page);
      },
    },
    {
      name: 'a table taken in',
      at: '/files',
      open: async (page) => {
        await page.getByLabel('Readings of').selectOption({ label: 'Marit Sollen' });
        await page
          .getByLabel('Table to import (CSV)')
          .setInputFiles(tableOf('When,What,Leg,Value\n2026-11-20,hip opening,L,54\n'));
        await expect(page.getByRole('button', { name: 'Import 1 reading' })).toBeEnabled();
      },
      act: press('Import 1 reading'),
    },
    {
      name: 'the date of a backup',
      at: '/files',
      open: (page) => page.getByLabel('encrypt with a passphrase').uncheck(),
      act: press('Back up everything'),
    },
    {
      name: 'a backup restored',
      at: '/files',
      prepare: async (page) => {
        await page.goto('/files');
        await page.getByLabel('encrypt with a passphrase').uncheck();
        const saving = page.waitForEvent('download');
        await press('Back up everything')(page);
        backup = readFileSync(await (await saving).path());
      },
      open: async (page) => {
        await page
          .getByLabel(/^Backup/)
          .setInputFiles({ name: 'b.zip', mimeType: 'application/zip', buffer: backup });
        await expect(page.getByRole('button', { name: 'Restore everything' })).toBeVisible();
      },
      act: press('Restore everything'),
    },
    {
      name: 'the days of the reminder',
      at: '/files',
      act: async (page) => {
        await page.getByLabel(/^Remind me/).selectOption('14 days');
      },
    },
    {
      name: 'how long data is kept',
      at: '/files',
      act: async (page) => {
        await page.getByLabel(/^After their last entry/).selectOption('2 years');
      },
    },
  ],
  'a session': [
    {
      name: 'a session that begins',
      at: '/session?id=pell-krossing',
      act: async (page) => {
        const begin = page.getByRole('button', { name: 'Begin' });
        await expect(begin).toBeEnabled();
        await begin.click();
      },
    },
    {
      name: 'verdicts accepted',
      prepare: async (page) => {
        await beginSession(page, 'marit-sollen');
        await toLog(page);
        await press(/^pain 1 of 10/)(page);
        await expect(page.getByText('Saved.')).toBeVisible();
        await press('end session')(page);
        await expect(page.getByRole('heading', { name: 'Next time' })).toBeVisible();
      },
      act: press(/^Accept/),
    },
    {
      name: 'a verdict overruled',
      at: '/session?id=pell-krossing&session=pell-krossing-2026-11-19',
      act: async (page) => {
        const line = page.locator('[data-testid=verdicts] li').first();
        await line.getByText('decide again').click();
        await line.getByLabel('Instead').selectOption('ease');
        await line.getByLabel('Reason, for a colleague to follow').fill('a hard week');
        await line.getByRole('button', { name: 'Decide' }).click();
      },
    },
    {
      name: 'a session ended where it stands',
      at: '/session?id=ingeborg-quill',
      prepare: (page) => beginSession(page, 'ingeborg-quill'),
      act: press('end it now'),
    },
    {
      name: 'a lying form that takes the place of a pose',
      prepare: async (page) => {
        await beginSession(page, 'oda-brask');
        await toLog(page);
        await press('pain 6 of 10')(page);
        await expect(page.getByRole('button', { name: /^Lying .* instead/ })).toBeVisible();
      },
      act: press(/^Lying .* instead/),
    },
    { name: 'a pose left', act: press('Leave this pose') },
    { name: 'a session ended by pain', act: press('End the session') },
    {
      name: 'a session ended by a sign',
      prepare: async (page) => {
        await page.reload();
        await page.getByText('A stop sign', { exact: true }).click();
        await press('chest pain or breathless at rest')(page);
        await expect(page.getByRole('alert')).toContainText('emergency number');
      },
      act: press('End the session'),
    },
    {
      name: 'a pause that is lifted',
      at: '/session?id=pell-krossing',
      prepare: async (page) => {
        await beginSession(page, 'pell-krossing');
        await toLog(page);
        await press('pain 1 of 10')(page);
        await press('tingling')(page);
        await expect(page.getByRole('alert')).toContainText('paused until it is cleared');
        await press('End the session')(page);
        await expect(page.getByRole('heading', { name: 'Next time' })).toBeVisible();
      },
      act: async (page) => {
        await page.getByText('it has been cleared').click();
        await page.getByLabel('Cleared by (doctor, physiotherapist)').fill('Dr Okoro');
        await press('Cleared')(page);
      },
    },
    {
      name: 'set-ups made anew',
      prepare: async (page) => {
        await beginSession(page, 'sanna-tveit');
        await page.clock.setFixedTime(Date.now() + 2 * 86_400_000);
      },
      act: press('update them'),
    },
  ],
};

for (const [view, paths] of Object.entries(PATHS)) {
  test(`every refused write of ${view} is said`, async ({ page }) => {
    test.setTimeout(360_000);
    page.setDefaultTimeout(45_000);
    await openDemo(page);
    for (const { name, at, prepare, open, act } of paths) {
      await prepare?.(page);
      for (const how of ['full', 'aborted'] as const) {
        // Nothing was stored: a page that is opened again begins as before.
        if (at === undefined) await page.reload();
        else await page.goto(at);
        await page.waitForLoadState('networkidle');
        await open?.(page);
        await refuse(page, how);
        await act(page);
        await expectRefusal(page, how, `${name}, ${how}`);
      }
    }
  });
}

test('made-up people who find no room are said, and come once there is some', async ({ page }) => {
  await page.goto('/');
  const ask = page.getByRole('button', { name: 'Try it with made-up people' });
  await expect(ask).toBeVisible();
  await refuse(page, 'full');
  await ask.click();
  await expectRefusal(page, 'full', 'the made-up people');
  await letAgain(page);
  await expect(page.getByRole('link', { name: 'Sanna Tveit' })).toBeVisible();
});
