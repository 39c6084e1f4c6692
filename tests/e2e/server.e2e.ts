import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { openDemo } from './support.ts';

test('no view breaks its own policy, which lets nothing run or style a page from inside it', async ({
  page,
}) => {
  const broken: string[] = [];
  page.on('console', (message) => {
    if (message.text().includes('Content Security Policy')) broken.push(message.text());
  });
  await openDemo(page);
  const answer = await page.goto('/paper?id=marit-sollen&pose=triangle');
  // WebAssembly alone may be compiled: the solver of mixed-integer programs is written in it.
  expect(answer!.headers()['content-security-policy']).not.toContain("'unsafe");
  // The page's size comes as a style sheet of its own.
  await expect(page.getByRole('button', { name: 'Print', exact: true })).toBeVisible();
  const sizes = await page.evaluate(() =>
    document.adoptedStyleSheets.map((sheet) => sheet.cssRules[0]?.cssText),
  );
  expect(sizes).toHaveLength(1);
  expect(sizes[0]).toMatch(/@page \{.*size: \d+mm \d+mm/);
  for (const path of ['/set-up', '/session', '/over-time', '/record', '/pose-photo', '/measure']) {
    await page.goto(`${path}?id=marit-sollen`);
    await expect(page.getByRole('navigation', { name: 'Views of Marit Sollen' })).toBeVisible();
  }
  for (const path of ['/', '/classes?class=after-the-kiln&part=props', '/files', '/your-data']) {
    await page.goto(path);
    await expect(page.getByRole('heading').first()).toBeVisible();
  }
  expect(broken).toEqual([]);
});

test('pages are answered while set-ups are solved, and too many at once are turned away', async ({
  baseURL,
}) => {
  const person = JSON.parse(readFileSync('public/demo/marit-sollen.json', 'utf8')) as unknown;
  const body = JSON.stringify({ person, pose: 'warrior-two', side: 'right' });
  const gone = new AbortController();
  let solved = 0;
  const asked = Array.from({ length: 60 }, async () => {
    const answer = await fetch(`${baseURL!}/api/set-up`, {
      method: 'POST',
      body,
      headers: { 'content-type': 'application/json' },
      signal: gone.signal,
    });
    if (answer.status === 200) solved += 1;
    return { status: answer.status, retryAfter: answer.headers.get('retry-after') };
  });
  const refused = await Promise.race(
    asked.map((each) =>
      each.then((answer) => (answer.status === 503 ? answer : new Promise<never>(() => undefined))),
    ),
  );
  expect(refused.retryAfter).toBe('1');
  const before = solved;
  expect((await fetch(`${baseURL!}/icon.svg`)).status).toBe(200);
  // It did not wait for those that stand in the queue.
  expect(solved - before).toBeLessThan(20);
  gone.abort();
  await Promise.allSettled(asked);
  // A busy machine may need a second try, as the 503 says.
  await expect
    .poll(async () => {
      const next = await fetch(`${baseURL!}/api/set-up`, {
        method: 'POST',
        body,
        headers: { 'content-type': 'application/json' },
      });
      return next.status;
    })
    .toBe(200);
});

test('at most 64 instruments are open at once, and a closed one makes room', async ({
  baseURL,
}) => {
  const open = async (): Promise<{ status: number; close: () => void }> => {
    const gone = new AbortController();
    const answer = await fetch(`${baseURL!}/api/inclinometer?device=many`, { signal: gone.signal });
    return {
      status: answer.status,
      close: () => {
        gone.abort();
      },
    };
  };
  const streams = await Promise.all(Array.from({ length: 64 }, open));
  expect(streams.map(({ status }) => status)).toEqual(Array.from({ length: 64 }, () => 200));
  expect((await open()).status).toBe(503);
  streams[0]!.close();
  await expect
    .poll(async () => {
      const next = await open();
      next.close();
      return next.status;
    })
    .toBe(200);
  for (const { close } of streams) close();
});
