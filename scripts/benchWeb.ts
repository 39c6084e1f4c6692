/**
 * Times of the real interface in headless Chromium: the first drawing, the pose shelf, and how
 * long a led foot takes to be drawn where it was led. Needs a build; reports, asserts nothing.
 */
import { spawn } from 'node:child_process';
import { chromium, type Page } from '@playwright/test';

const PORT = 4398;
const ROUNDS = 7;
const DRAGS = 6;
const MOVES = 40;
const MOVE_EVERY_MS = 16;
/** The drag is said to follow the hand when its p95 is under this, ms. */
const AIM_MS = 50;
const POSES = ['warrior-two', 'triangle', 'high-lunge'] as const;

const quantile = (values: readonly number[], share: number): number => {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? NaN;
};

function report(name: string, values: readonly number[], beside = ''): void {
  const [median, low, high] = [0.5, 0.1, 0.95].map((share) => quantile(values, share).toFixed(0));
  console.log(
    `${name.padEnd(44)} median ${median!.padStart(5)} ms, 10–95 % ${low!.padStart(5)} – ${high!.padStart(5)} ms ${beside}`,
  );
}

/** Opens the sheet anew; when its drawing stands, and when the whole shelf is planned. */
async function timeOpening(page: Page, poseId: string): Promise<{ first: number; shelf: number }> {
  await page.goto(`/set-up?id=marit-sollen&pose=${poseId}&side=right`);
  const handle = await page.waitForFunction(
    () => {
      const times = (window as { benchTimes?: { first?: number; shelf?: number } }).benchTimes;
      return times?.first !== undefined && times.shelf !== undefined ? times : null;
    },
    undefined,
    { polling: 100 },
  );
  return (await handle.jsonValue()) as { first: number; shelf: number };
}

/** Notes in the page itself when the drawing and the shelf are there. */
function watchOpening(): void {
  const times: { first?: number; shelf?: number } = {};
  (window as { benchTimes?: typeof times }).benchTimes = times;
  const look = (): void => {
    if (document.querySelector('[data-testid=sheet]') !== null) times.first ??= performance.now();
    const shelf = document.querySelector('[data-testid=shelf]');
    if (shelf?.getAttribute('aria-busy') === 'false') times.shelf ??= performance.now();
    if (times.first === undefined || times.shelf === undefined) requestAnimationFrame(look);
  };
  requestAnimationFrame(look);
}

interface Dragged {
  /** From a pointer's move to the frame that draws its answer, ms. */
  readonly latencies: readonly number[];
  /** Moves that a newer one overtook before they were asked. */
  readonly overtaken: number;
}

/** In the page: pairs every move of the pointer with the frame whose stance is its answer. */
function watchDrag(): void {
  const handle = document.querySelector<SVGCircleElement>('[aria-label="Move the back foot"]')!;
  const svg = handle.ownerSVGElement!;
  const start = Number(handle.getAttribute('aria-valuenow'));
  const frontX = Number(
    document.querySelector('[aria-label="Move the front foot"]')?.getAttribute('cx'),
  );
  const sign = Number(handle.getAttribute('cx')) > frontX ? 1 : -1;
  const scale = svg.getScreenCTM()!.a;
  const state = { latencies: [] as number[], sent: 0, done: false };
  (window as { benchDrag?: typeof state }).benchDrag = state;
  let waiting: { readonly at: number; readonly stance: number }[] = [];
  let from: number | null = null;
  window.addEventListener('pointerdown', (event) => (from = event.clientX), { capture: true });
  window.addEventListener(
    'pointermove',
    (event) => {
      if (from === null) return;
      state.sent += 1;
      const stance = start + (sign * (event.clientX - from)) / scale;
      waiting.push({ at: performance.now(), stance });
    },
    { capture: true },
  );
  const look = (): void => {
    const now = Number(
      document.querySelector('[aria-label="Move the back foot"]')?.getAttribute('aria-valuenow'),
    );
    const found = waiting.findLast(({ stance }) => Math.abs(stance - now) < 0.06);
    if (found !== undefined) {
      state.latencies.push(performance.now() - found.at);
      waiting = waiting.filter(({ at }) => at > found.at);
    }
    if (!state.done) requestAnimationFrame(look);
  };
  requestAnimationFrame(look);
}

async function timeDrag(page: Page, poseId: string): Promise<Dragged> {
  await page.goto(`/set-up?id=marit-sollen&pose=${poseId}&side=right`);
  await page.locator('[data-testid=shelf][aria-busy=false]').waitFor();
  await page.waitForTimeout(600);
  const foot = page.getByRole('slider', { name: 'Move the back foot' });
  const box = (await foot.boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.evaluate(watchDrag);
  await page.mouse.move(x, y);
  await page.mouse.down();
  for (let i = 1; i <= MOVES; i += 1) {
    // In and out again by up to a hand's breadth, never far enough for the pose to give.
    await page.mouse.move(x - 30 * Math.sin((Math.PI * i) / MOVES), y);
    await page.waitForTimeout(MOVE_EVERY_MS);
  }
  await page.waitForTimeout(800);
  await page.mouse.up();
  const state = await page.evaluate(() => {
    const drag = (window as { benchDrag?: { latencies: number[]; sent: number; done: boolean } })
      .benchDrag!;
    drag.done = true;
    return { latencies: drag.latencies, sent: drag.sent };
  });
  return { latencies: state.latencies, overtaken: state.sent - state.latencies.length };
}

const server = spawn('node', ['server.mjs'], {
  env: { ...process.env, PORT: String(PORT) },
  stdio: 'ignore',
});
const browser = await chromium.launch({
  executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu'],
});
try {
  const context = await browser.newContext({
    baseURL: `http://localhost:${String(PORT)}`,
    viewport: { width: 1280, height: 800 },
  });
  const page = await context.newPage();
  for (let i = 0; i < 50; i += 1) {
    const isUp = await page.goto('/?demo').then(
      () => true,
      () => false,
    );
    if (isUp) break;
    await new Promise((resolve) => setTimeout(resolve, 200));
  }
  await page.getByRole('link', { name: 'Sanna Tveit' }).first().waitFor();
  // What runs this file names functions by a helper that the page does not have.
  await page.addInitScript({ content: 'globalThis.__name ??= (each) => each;' });
  await page.addInitScript(watchOpening);
  for (const poseId of POSES) {
    const openings = [];
    for (let i = 0; i < ROUNDS; i += 1) openings.push(await timeOpening(page, poseId));
    report(
      `${poseId}: opening to its drawing`,
      openings.map((each) => each.first),
    );
    report(
      `${poseId}: opening to the whole shelf`,
      openings.map((each) => each.shelf),
      '(aim 1,000)',
    );
  }
  for (const poseId of POSES) {
    const drags: Dragged[] = [];
    for (let i = 0; i < DRAGS; i += 1) drags.push(await timeDrag(page, poseId));
    const latencies = drags.flatMap((each) => each.latencies);
    const overtaken = drags.reduce((sum, each) => sum + each.overtaken, 0);
    report(
      `${poseId}: a move to its drawn answer`,
      latencies,
      `(aim p95 ${String(AIM_MS)}; ${String(latencies.length)} drawn, ${String(overtaken)} overtaken)`,
    );
  }
} finally {
  await browser.close();
  server.kill();
}
