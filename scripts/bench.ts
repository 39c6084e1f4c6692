/** Median time of one set-up, in this Node.js; reported, never asserted. */
import { readFileSync } from 'node:fs';
import { checkPersonFile } from '../src/core/formats/personFile.ts';
import { POSES } from '../src/core/poses/catalogue/index.ts';
import { planSetUp } from '../src/core/setup/planSetUp.ts';

const WARM_UP = 6;
const ROUNDS = 25;
const PEOPLE = ['marit-sollen', 'sanna-tveit', 'oda-brask'];

function quantile(sorted: readonly number[], share: number): number {
  return sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? NaN;
}

function measure(run: () => void): {
  readonly median: number;
  readonly low: number;
  readonly high: number;
} {
  for (let i = 0; i < WARM_UP; i += 1) run();
  const times = Array.from({ length: ROUNDS }, () => {
    const start = performance.now();
    run();
    return performance.now() - start;
  }).sort((a, b) => a - b);
  return { median: quantile(times, 0.5), low: quantile(times, 0.1), high: quantile(times, 0.9) };
}

const all: number[] = [];
for (const id of PEOPLE) {
  const checked = checkPersonFile(JSON.parse(readFileSync(`public/demo/${id}.json`, 'utf8')), null);
  if (!checked.ok) throw new Error(checked.problems[0]?.message);
  for (const pose of POSES) {
    const { median, low, high } = measure(() => {
      planSetUp(checked.value.file, pose.id, 'right');
    });
    all.push(median);
    const words = [median, low, high].map((each) => each.toFixed(1).padStart(7));
    console.log(
      `${id.padEnd(14)} ${pose.id.padEnd(12)} median${words[0] ?? ''} ms, 10–90 %${words[1] ?? ''} –${words[2] ?? ''} ms`,
    );
  }
}
all.sort((a, b) => a - b);
console.log(`one set-up: median of medians ${quantile(all, 0.5).toFixed(1)} ms`);
