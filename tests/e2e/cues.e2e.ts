import { expect, test, type Page } from '@playwright/test';
import { beginSession, expectAccessible, nextButton, openDemo } from './support.ts';

/** A device with two voices: one of its own, and one that would send the words away. */
function addVoices(): void {
  const said: string[] = [];
  const voice = (name: string, localService: boolean) => ({ name, localService, lang: 'en-GB' });
  Object.assign(window, { said });
  class Utterance {
    voice: { name: string } | null = null;
    constructor(readonly text: string) {}
  }
  Object.assign(window, { SpeechSynthesisUtterance: Utterance });
  Object.defineProperty(window, 'speechSynthesis', {
    value: {
      getVoices: () => [voice('far away', false), voice('own', true)],
      speak: ({ voice: by, text }: Utterance) => said.push(`${by?.name ?? 'default'}: ${text}`),
      cancel: () => said.push('silence'),
      addEventListener: () => undefined,
      removeEventListener: () => undefined,
    },
  });
}

const listSaid = (page: Page): Promise<readonly string[]> =>
  page.evaluate(() => (window as unknown as { said: string[] }).said);

test('a hold shows each cue at its half breath, and reads it aloud by the device’s own voice until Q', async ({
  page,
}) => {
  await page.addInitScript(addVoices);
  await page.clock.install();
  await openDemo(page);
  await beginSession(page, 'marit-sollen');
  await nextButton(page).click();
  const cues = page.getByTestId('breath-cues');
  await expect(cues).toBeVisible();
  const seconds = Number(
    /([\d.]+) s a breath/.exec((await page.getByText(/s a breath/).textContent()) ?? '')![1],
  );
  const breath = page.getByTestId('run-breathe').getByRole('status').locator('span').first();
  // What is counted is stored first; storing takes its own little time.
  const expectBreath = (count: number): Promise<void> =>
    expect(async () => {
      await page.clock.runFor(5);
      await expect(breath).toHaveText(String(count), { timeout: 300 });
    }).toPass();
  const now = cues.locator('p[aria-current=true]');
  await page.getByRole('button', { name: 'pause', exact: true }).click();
  await expect(page.getByRole('button', { name: 'count for me' })).toBeVisible();
  // From here on time stands still unless it is moved.
  await page.clock.pauseAt(Date.now() + 60_000);
  const counted = Number(await breath.textContent());
  await page.getByRole('button', { name: 'count for me' }).click();
  await expect(now).toContainText('in');
  expect(await listSaid(page)).toEqual([]);
  await page.getByRole('button', { name: 'read aloud', exact: true }).click();
  await expect(page.getByRole('button', { name: 'stop reading aloud (Q)' })).toBeVisible();
  const first = (await now.textContent()) ?? '';
  await page.clock.runFor(seconds * 500 + 50);
  await expect(now).toContainText('out');
  await page.clock.runFor(seconds * 500);
  await expectBreath(counted + 1);
  await expect(now).toContainText('in');
  await expect(now).not.toHaveText(first);
  const said = (await listSaid(page)).filter((each) => each !== 'silence');
  expect(said.length).toBeGreaterThan(1);
  for (const each of said) expect(each).toMatch(/^own: /);
  await page.keyboard.press('q');
  await expect(page.getByRole('button', { name: 'read aloud', exact: true })).toBeVisible();
  expect((await listSaid(page)).at(-1)).toBe('silence');
  const count = said.length;
  await page.clock.runFor(seconds * 1000);
  await expectBreath(counted + 2);
  expect((await listSaid(page)).filter((each) => each !== 'silence')).toHaveLength(count);
});

test('cues are put in the teacher’s own words, kept, printed and taken back', async ({ page }) => {
  await openDemo(page);
  await page.goto('/set-up?id=sanna-tveit&pose=triangle&side=right');
  await page.getByText('Cues', { exact: true }).focus();
  await page.keyboard.press('Enter');
  const cues = page.getByTestId('cues');
  await expect(cues).toContainText('Complete.');
  await expect(cues).toContainText('Lengthen the crown over the front foot');
  await expectAccessible(page);
  await cues.getByRole('button', { name: 'edit in your own words' }).click();
  const text = cues.getByLabel('Cues, one a line');
  const before = await text.inputValue();
  await text.fill('Breathe: deep');
  await text.blur();
  await expect(cues).toContainText('line 1: “Breathe: deep” does not say what it is.');
  await text.fill(before.replace('lengthen the crown', 'grow the crown').replace(/\nGaze: .*/, ''));
  await text.blur();
  await expect(cues).toContainText('Still missing: 1 gaze.');
  await expect(cues).toContainText('Grow the crown over the front foot');
  await page.reload();
  await page.getByText('Cues', { exact: true }).click();
  await expect(cues).toContainText('Grow the crown over the front foot');
  await page.goto('/paper?id=sanna-tveit&poses=triangle&kind=cues&side=right');
  await expect(page.getByRole('img', { name: /cues triangle/ })).toBeVisible();
  await page.goto('/set-up?id=sanna-tveit&pose=triangle&side=right');
  await page.getByText('Cues', { exact: true }).click();
  await cues.getByRole('button', { name: 'edit in your own words' }).click();
  await cues.getByRole('button', { name: 'back to Stillwater’s words' }).click();
  await expect(cues).toContainText('Complete.');
  await cues.getByRole('button', { name: 'undo' }).click();
  await expect(cues).toContainText('Still missing: 1 gaze.');
});

test('cues of a flow print with the way into each pose, and a class has its own', async ({
  page,
}) => {
  await openDemo(page);
  await page.goto('/paper?id=teska-morrow&flow=toward-half-moon&kind=cues');
  await expect(page.getByLabel('What is printed')).toHaveValue('cues');
  await expect(page.getByRole('img', { name: /cues half-moon/ }).first()).toBeVisible();
  await page.getByLabel('What is printed').selectOption('figures');
  await expect(page.getByRole('img', { name: /cues/ })).toHaveCount(0);
  await page.goto('/classes?class=after-the-kiln&part=teach');
  await page.getByRole('button', { name: 'Begin the class' }).click();
  await page.getByText('Cues', { exact: true }).click();
  await expect(page.getByTestId('class-cues')).toContainText('With the breath');
  await expectAccessible(page);
});
