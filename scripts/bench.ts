/** Median time of one set-up, in this Node.js; reported, never asserted. */
import { PlanningContext } from '../src/core/planning/planningContext.ts';
import { readFileSync } from 'node:fs';
import { checkPersonFile } from '../src/core/formats/personFile.ts';
import { POSES } from '../src/core/poses/catalogue/index.ts';
import loadHighs from 'highs';
import { getProtocol } from '../src/core/measures/protocols/index.ts';
import { SIDES } from '../src/core/measures/protocol.ts';
import type { PersonRecord } from '../src/core/person/person.ts';
import { USUAL_PROPS } from '../src/core/props/propList.ts';
import { readSolution } from '../src/core/props/readSolution.ts';
import { shareProps } from '../src/core/props/shareProps.ts';
import { DepthSearch } from '../src/core/planning/depthSearch.ts';
import { calcErrorBars } from '../src/core/whatIf/errorBars.ts';
import { planPose, planSetUp, type Plan } from '../src/core/setup/planSetUp.ts';
import { PLAIN_RULES, contextOf, recordOf, REFERENCE } from '../tests/support/people.ts';
import { makeRandom } from '../tests/support/random.ts';
import { planPlain } from '../tests/support/plan.ts';
import { searchSlowly } from '../tests/support/slowSearch.ts';
import { makeSlowTask, SEARCHED_POSES } from '../tests/support/slowTask.ts';
import { toWarmStart } from '../src/core/solver/run.ts';
import { settleAt } from '../src/core/solver/solve.ts';

const WARM_UP = 6;
const ROUNDS = 25;
const PEOPLE = ['marit-sollen', 'sanna-tveit', 'oda-brask'];

function quantile(sorted: readonly number[], share: number): number {
  return sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? NaN;
}

interface Timed {
  readonly median: number;
  readonly low: number;
  readonly high: number;
}

function sum(times: readonly number[]): Timed {
  const sorted = [...times].sort((a, b) => a - b);
  return { median: quantile(sorted, 0.5), low: quantile(sorted, 0.1), high: quantile(sorted, 0.9) };
}

function time(run: () => void): number {
  const start = performance.now();
  run();
  return performance.now() - start;
}

function measure(run: () => void, rounds = ROUNDS): Timed {
  for (let i = 0; i < Math.min(WARM_UP, rounds); i += 1) run();
  return sum(Array.from({ length: rounds }, () => time(run)));
}

/** Once, of a person who was never planned for: nothing worked out of the readings is remembered. */
function timeNew({ person, readings }: PersonRecord, run: (record: PersonRecord) => void): number {
  const anew = structuredClone({ person, readings });
  return time(() => {
    run(anew);
  });
}

function measureNew(record: PersonRecord, run: (record: PersonRecord) => void): Timed {
  for (let i = 0; i < WARM_UP; i += 1) timeNew(record, run);
  return sum(Array.from({ length: ROUNDS }, () => timeNew(record, run)));
}

const show = (name: string, { median, low, high }: Timed): void => {
  const words = [median, low, high].map((each) => each.toFixed(1).padStart(8));
  console.log(
    `${name.padEnd(44)} median${words[0] ?? ''} ms, 10–90 %${words[1] ?? ''} –${words[2] ?? ''} ms`,
  );
};

function readPerson(id: string): PersonRecord {
  const checked = checkPersonFile(JSON.parse(readFileSync(`public/demo/${id}.json`, 'utf8')), null);
  if (!checked.ok) throw new Error(checked.problems[0]?.message);
  return checked.value.file;
}

const people = PEOPLE.map(readPerson);
// In turns, as a shelf of poses asks for them; what one pose is timed with serves no other.
const rows = people.flatMap((person, i) =>
  POSES.map(({ id }) => ({ name: `${PEOPLE[i]!} ${id}`, person, id, times: [] as number[] })),
);
for (let i = -WARM_UP; i < ROUNDS; i += 1) {
  for (const { person, id, times } of rows) {
    const took = timeNew(person, (anew) => {
      planSetUp(new PlanningContext(anew), id, 'right');
    });
    if (i >= 0) times.push(took);
  }
}
const all = rows.map(({ name, times }) => {
  const timed = sum(times);
  show(name, timed);
  return timed;
});
const middle = (of: keyof Timed): number => sum(all.map((each) => each[of])).median;
show('one set-up, the middle of all of these', {
  median: middle('median'),
  low: middle('low'),
  high: middle('high'),
});

const person = people[0]!;
const round = measureNew(person, (anew) => {
  const context = new PlanningContext(anew);
  for (const pose of POSES) for (const side of SIDES) planSetUp(context, pose.id, side);
});
show('both sides of all standing poses', round);

/** What else was timed of the high lunge, and how many slow searches would do as much. */
const work: { readonly name: string; readonly ms: number; readonly searches: number }[] = [];
const plan = planPose(new PlanningContext(person), 'high-lunge', 'right');
if (plan.kind === 'planned') {
  const bars = measure(() => {
    calcErrorBars(plan);
  });
  show('error bars of one set-up', bars);
  // A length is moved one way, a range both ways, beside the plan itself.
  const moves = (calcErrorBars(plan)?.influences ?? []).map(({ measure: id }) =>
    getProtocol(id).unit === 'cm' ? 1 : 2,
  );
  const solves = moves.reduce<number>((sum, each) => sum + each, 1);
  work.push({ name: `error bars, ${String(solves)} solves`, ms: bars.median, searches: solves });
  const { found, built } = plan.answer;
  if (found.kind === 'held') {
    const near = toWarmStart(found.answer);
    const drag = measure(() => {
      settleAt(
        built.task,
        'stance',
        near.posture.parts.stance - 0.02,
        { toSpare: 0, wishesWithin: null },
        near,
      );
    });
    show('one foot moved by 2 cm, solved from there', drag);
    work.push({ name: 'one foot moved', ms: drag.median, searches: 1 });
  }
}

/** As deep as the solver comes, within what two answers to one question may differ by, degrees. */
const SAME_ANSWER = 0.5;
const SEARCHES = 20;

/** The deepest depth alone, in a stance that is known: all that a slow search answers. */
function measureDeepest(id: string): Timed {
  const { poseRequest, answer } = planPlainly(id);
  const search = new DepthSearch(answer.built.task, poseRequest.pose.depth!, null);
  return measure(() => {
    search.reach();
  });
}

function planPlainly(id: string): Plan {
  const planned = planPose(contextOf(REFERENCE), id, 'right', PLAIN_RULES);
  if (planned.kind !== 'planned') throw new Error(planned.kind);
  return planned;
}

const ratios: number[] = [];
for (const id of SEARCHED_POSES) {
  const task = makeSlowTask(REFERENCE, id);
  const ours = measureNew(recordOf(REFERENCE), (anew) => {
    planSetUp(new PlanningContext(anew), id, 'right', PLAIN_RULES);
  });
  const deepest = planPlain(REFERENCE, id).depth!.deepest!;
  const alike = measureDeepest(id);
  const random = makeRandom(1);
  const times: number[] = [];
  let came = 0;
  for (let i = 0; i < SEARCHES; i += 1) {
    const start = performance.now();
    const found = searchSlowly(task, random);
    times.push(performance.now() - start);
    if (found !== null && found > deepest - SAME_ANSWER) came += 1;
  }
  const slow = sum(times);
  show(`${id} by one slow multi-start search`, slow);
  show('the same depth by the solver', alike);
  show('a whole set-up by the solver', ours);
  const all = times.reduce((total, each) => total + each, 0);
  // With none that came, the time is at least that of all.
  const ratio = all / Math.max(1, came) / ours.median;
  ratios.push(ratio);
  const [times1, times2] = [alike, ours].map((each) => (slow.median / each.median).toFixed(0));
  console.log(
    `${id}: that depth ${times1} times, a whole set-up ${times2} times as fast as one search; ` +
      `${String(came)} of ${String(SEARCHES)} searches come within ${String(SAME_ANSWER)}°, ` +
      `until one does ${came === 0 ? 'over ' : ''}${ratio.toFixed(0)} times`,
  );
  if (id !== 'high-lunge') continue;
  for (const { name, ms, searches } of work) {
    const times = (searches * slow.median) / ms;
    console.log(`${name}: ${times.toFixed(0)} times as fast as by single searches`);
  }
}
ratios.sort((a, b) => a - b);
console.log(
  `one set-up against the same answer by slow search: median ${quantile(ratios, 0.5).toFixed(0)} times`,
);

const solver = await loadHighs();
const needs = Array.from({ length: 20 }, (_, i) => ({
  person: `Person ${String(i)}`,
  heightCm: (i * 7) % 46,
  hands: i % 4 === 0 ? (2 as const) : (1 as const),
}));
const shared: number[] = [];
for (let i = 0; i < WARM_UP + ROUNDS; i += 1) {
  const start = performance.now();
  await shareProps(needs, USUAL_PROPS, (program) =>
    Promise.resolve(readSolution(solver.solve(program))),
  );
  if (i >= WARM_UP) shared.push(performance.now() - start);
}
shared.sort((a, b) => a - b);
show('props shared among 20 people', {
  median: quantile(shared, 0.5),
  low: quantile(shared, 0.1),
  high: quantile(shared, 0.9),
});

/** A made-up population, our choice: how many of it could square the pelvis at a right-angled knee. */
const POPULATION = 500;
const random = makeRandom(55);
const normal = (mean: number, sd: number): number =>
  mean + sd * Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
let squared = 0;
let deep = 0;
for (let i = 0; i < POPULATION; i += 1) {
  const made = recordOf({
    ...REFERENCE,
    'hip-opening': normal(55, 12),
    'hip-abduction': normal(45, 8),
    'hip-extension': normal(18, 5),
    'hip-external-rotation': normal(45, 9),
    'hip-internal-rotation': normal(38, 8),
    'trunk-rotation': normal(45, 8),
  });
  const free = planSetUp(new PlanningContext(made), 'warrior-two', 'right', PLAIN_RULES);
  const square = planSetUp(new PlanningContext(made), 'warrior-two', 'right', {
    ...PLAIN_RULES,
    pelvisOpen: 'square',
  });
  const reaches = (planned: typeof free): boolean =>
    planned.ok && planned.value.status === 'solved' && planned.value.depth!.deepest! > 89;
  if (reaches(free)) deep += 1;
  if (reaches(square)) squared += 1;
}
console.log(
  `of ${String(POPULATION)} made-up people ${String(deep)} reach a right-angled knee, ${String(squared)} with the pelvis square`,
);

const SOLVES = 10_000;
const heap = (): number => {
  globalThis.gc?.();
  return process.memoryUsage().heapUsed / 2 ** 20;
};
const before = heap();
for (let i = 0; i < SOLVES; i += 1)
  planSetUp(new PlanningContext(person), 'high-lunge', i % 2 === 0 ? 'left' : 'right');
const grown = heap() - before;
console.log(`heap after 10,000 more solves: ${grown >= 0 ? '+' : ''}${grown.toFixed(1)} MB`);
