import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type BrowserContext, type Page } from '@playwright/test';
import { writePersonFile } from '../../src/core/formats/personFile.ts';
import { killBrowserOf } from '../e2e/support.ts';
import { recordOf, REFERENCE } from '../support/people.ts';
import { makeRandom } from '../support/random.ts';

const CHROMIUM = process.env['CHROMIUM'] ?? '/usr/bin/chromium';
const ARGS = ['--no-sandbox', '--disable-gpu', '--no-first-run', '--disable-sync'];

interface Rows {
  readonly people: readonly { readonly id: string }[];
  readonly readings: readonly {
    readonly id: string;
    readonly personId: string;
    readonly value: number;
  }[];
  readonly sessions: readonly { readonly entries: readonly unknown[] }[];
  readonly stamps: readonly {
    readonly personId: string;
    readonly path: string;
    readonly isRemoved: boolean;
  }[];
  readonly settings: readonly { readonly key: string }[];
}

/** The rows as they are stored, read without the app. */
const readRows = (page: Page): Promise<Rows> =>
  page.evaluate(
    () =>
      new Promise<Rows>((resolve, reject) => {
        const opening = indexedDB.open('stillwater');
        opening.onerror = () => {
          reject(new Error('The database does not open.'));
        };
        opening.onsuccess = () => {
          const names = ['people', 'readings', 'sessions', 'stamps', 'settings'];
          const transaction = opening.result.transaction(names);
          const rows: Record<string, unknown> = {};
          for (const name of names) {
            const all = transaction.objectStore(name).getAll();
            all.onsuccess = () => {
              rows[name] = all.result;
            };
          }
          transaction.oncomplete = () => {
            opening.result.close();
            resolve(rows as unknown as Rows);
          };
        };
      }),
  );

/** The key of a reading that was taken here. */
const IS_TYPED = / [0-9a-f]{8}-[0-9a-f-]{27}$/;

/** What is wrong with what is stored, whatever was going on: a record without its time, or a time without its record. */
function findTorn({ readings, stamps }: Rows): string | null {
  const stamped = new Set(
    stamps
      .filter(({ path, isRemoved }) => path.startsWith('reading/') && !isRemoved)
      .map(({ personId, path }) => `${personId} ${path.slice('reading/'.length)}`),
  );
  const stored = new Set(readings.map(({ personId, id }) => `${personId} ${id}`));
  const torn = [
    ...[...stamped].filter((each) => !stored.has(each)),
    // What came in with a file that has no times has none here either.
    ...[...stored].filter((each) => IS_TYPED.test(each) && !stamped.has(each)),
  ];
  return torn.length === 0 ? null : `torn: ${torn[0]!}`;
}

/**
 * One thing that is going on when the browser is killed. It answers what the screen had
 * confirmed by then, as a check of what is stored afterwards.
 */
type Scenario = (
  page: Page,
  random: () => number,
  round: number,
) => Promise<(rows: Rows, before: Rows) => string | null>;

const measuring: Scenario = async (page, random, round) => {
  await page.goto('/measure?id=marit-sollen&step=straight-leg-raise');
  // No two rounds in a row type the same.
  const value = 40 + (round % 50) + Math.floor(random() * 10) / 10;
  const field = page.getByLabel('left first');
  await field.fill(String(value));
  await field.press('Enter');
  if (random() < 0.3) return () => null;
  const words = `${String(value)}°`;
  await page.waitForFunction(
    (shown) => [...document.querySelectorAll('input')].some((each) => each.value === shown),
    words,
    { polling: 'raf' },
  );
  return ({ readings }) =>
    readings.some((each) => each.value === value) ? null : `a reading of ${words} is lost`;
};

const IMPORTED = 60;

const importing: Scenario = async (page, random, round) => {
  const id = `imported-${String(round)}-${String(Math.floor(random() * 1e9))}`;
  const record = recordOf(REFERENCE);
  const readings = Array.from({ length: IMPORTED }, (_, i) => ({
    ...record.readings[i % record.readings.length]!,
    id: `${id}-${String(i)}`,
  }));
  const text = writePersonFile({ person: { ...record.person, id, name: id }, readings });
  await page.goto('/files');
  await page
    .getByLabel('Person file (JSON)')
    .setInputFiles({ name: 'p.json', mimeType: 'application/json', buffer: Buffer.from(text) });
  await page.getByRole('button', { name: 'Import', exact: true }).click();
  const isConfirmed = random() < 0.5;
  if (isConfirmed) await page.getByText('is imported.').waitFor();
  return (rows) => {
    const count = rows.readings.filter((each) => each.personId === id).length;
    const isHere = rows.people.some((each) => each.id === id);
    if (isConfirmed && count !== IMPORTED) return `an import is lost: ${String(count)} readings`;
    return (count === IMPORTED && isHere) || (count === 0 && !isHere)
      ? null
      : `an import is torn: ${String(count)} readings`;
  };
};

const backingUp: Scenario = async (page, random) => {
  await page.goto('/files');
  await page.getByLabel('encrypt with a passphrase').uncheck();
  await page.getByRole('button', { name: 'Back up everything' }).click();
  const isDone = random() < 0.5;
  if (isDone) await page.getByText(/^Done\./).waitFor();
  return (rows, before) => {
    if (rows.readings.length !== before.readings.length) return 'a backup changed the readings';
    return !isDone || rows.settings.some(({ key }) => key === 'backed-up-at')
      ? null
      : 'the date of a backup is lost';
  };
};

/** A session that is under way: one thing seen is tapped. */
const inSession: Scenario = async (page, random) => {
  await page.goto('/session?id=marit-sollen');
  const begin = page.getByRole('button', { name: 'Begin' });
  const resume = page.getByRole('link', { name: /continue/i }).first();
  await begin.or(resume).or(page.locator('[data-testid=error-tile]').first()).first().waitFor();
  if (await begin.isVisible()) {
    await begin.click();
    for (const stage of ['[data-testid=run-set]', '[data-testid=run-breathe]']) {
      await page.locator(stage).waitFor();
      await page.locator('[data-testid=run-next]').click();
    }
  } else if (await resume.isVisible()) await resume.click();
  const tiles = page.locator('[data-testid=error-tile]');
  await tiles.first().waitFor();
  const before = await countEntries(page);
  const index = Math.floor(random() * (await tiles.count()));
  const was = await tiles.nth(index).getAttribute('aria-pressed');
  await tiles.nth(index).click();
  if (random() < 0.3) return () => null;
  await page.waitForFunction(
    ([at, old]) =>
      [...document.querySelectorAll('[data-testid=error-tile]')]
        .at(Number(at))
        ?.getAttribute('aria-pressed') !== old,
    [String(index), was] as const,
    { polling: 'raf' },
  );
  return ({ sessions }) => {
    const now = sessions.reduce((sum, { entries }) => sum + entries.length, 0);
    return now > before ? null : 'what was tapped is lost';
  };
};

const countEntries = async (page: Page): Promise<number> =>
  (await readRows(page)).sessions.reduce((sum, { entries }) => sum + entries.length, 0);

const SCENARIOS: readonly (readonly [name: string, scenario: Scenario])[] = [
  ['measuring', measuring],
  ['session', inSession],
  ['import', importing],
  ['backup', backingUp],
];

export interface KillsReport {
  readonly tried: number;
  readonly failed: readonly string[];
  /** From the start of the browser to a page that shows its data, ms. */
  readonly slowestMs: number;
}

/** Kills the browser (SIGKILL) in the midst of things, at moments that the seed decides. */
export async function tryKills(
  from: number,
  to: number,
  seed: number,
  baseURL: string,
): Promise<KillsReport> {
  const profile = mkdtempSync(join(tmpdir(), 'stillwater-kills-'));
  const failed: string[] = [];
  let slowestMs = 0;
  const open = async (): Promise<readonly [BrowserContext, Page]> => {
    const start = performance.now();
    const context = await chromium.launchPersistentContext(profile, {
      executablePath: CHROMIUM,
      args: ARGS,
      baseURL,
      viewport: { width: 1280, height: 800 },
    });
    const page = context.pages()[0] ?? (await context.newPage());
    await page.goto('/?demo');
    await page.getByRole('link', { name: 'Sanna Tveit' }).waitFor();
    slowestMs = Math.max(slowestMs, performance.now() - start);
    return [context, page];
  };
  let [context, page] = await open();
  for (let round = from; round < to; round += 1) {
    const random = makeRandom(seed + round);
    const [name, scenario] = SCENARIOS[round % SCENARIOS.length]!;
    try {
      const before = await readRows(page);
      const check = await scenario(page, random, round);
      // Often as soon as can be, sometimes a little later.
      const wait = random() < 0.6 ? random() * 8 : 60 + random() * 700;
      await new Promise((resolve) => setTimeout(resolve, wait));
      killBrowserOf(profile);
      await context.close().catch(() => undefined);
      [context, page] = await open();
      const rows = await readRows(page);
      const wrong = check(rows, before) ?? findTorn(rows);
      if (wrong !== null) failed.push(`kill ${String(round)}, ${name}: ${wrong}`);
    } catch (error) {
      failed.push(`kill ${String(round)}, ${name}: ${String(error).split('\n')[0]!}`);
      killBrowserOf(profile);
      await context.close().catch(() => undefined);
      [context, page] = await open();
    }
  }
  await context.close();
  return { tried: to - from, failed, slowestMs };
}
