/** Prints one set-up as JSON, its drawing as SVG, the bands of 2,000 repeats, or a planned flow; or answers a batch of them, one a line. Exit 0 = an answer, 1 = problems on stderr, 2 = wrong use. */
import { PlanningContext } from '../src/core/planning/planningContext.ts';
import { readFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { drawFromAbove, drawFromSide } from '../src/core/drawing/sheet.ts';
import { drawFromFront } from '../src/core/drawing/frontView.ts';
import { writeSvg } from '../src/core/drawing/svg.ts';
import { findPose } from '../src/core/poses/catalogue/index.ts';
import { readJson } from '../src/core/formats/personFile.ts';
import { checkFlowRequest } from '../src/core/formats/flowRequest.ts';
import { checkSetUpRequest } from '../src/core/formats/setUpRequest.ts';
import type { Problem } from '../src/core/problems/problem.ts';
import { planBands } from '../src/core/whatIf/planBands.ts';
import { readNoted } from '../src/core/sessions/noted.ts';
import { FlowPlanner } from '../src/core/sequence/flowPlanner.ts';
import { planBatch } from './batch/planBatch.ts';
import { planInFull } from '../src/core/whatIf/planInFull.ts';

const VIEWS: Readonly<Record<string, typeof drawFromSide | undefined>> = {
  above: drawFromAbove,
  side: drawFromSide,
  front: drawFromFront,
};

const USAGE =
  'Use: npm run --silent plan -- --person FILE.json --pose warrior-two --side left|right [--level ID|auto] [--rules FILE.json] [--svg above|side|front | --bands]\n  or: npm run --silent plan -- --person FILE.json --flow FILE.json [--rules FILE.json]\n  or: npm run --silent plan -- --batch < REQUESTS.ndjson > ANSWERS.ndjson';

function stopWithUsage(reason: string): never {
  process.stderr.write(`${reason}\n${USAGE}\n`);
  process.exit(2);
}

function stopWithProblems(problems: readonly Problem[]): never {
  process.stderr.write(`${JSON.stringify({ problems }, null, 2)}\n`);
  process.exit(1);
}

function readArguments() {
  try {
    const option = { type: 'string' } as const;
    return parseArgs({
      options: {
        person: option,
        pose: option,
        side: option,
        level: option,
        rules: option,
        svg: option,
        bands: { type: 'boolean' },
        flow: option,
        batch: { type: 'boolean' },
      },
    }).values;
  } catch (error) {
    return stopWithUsage(error instanceof Error ? error.message : String(error));
  }
}

function readFile(path: string): unknown {
  let text: string;
  try {
    text = readFileSync(path, 'utf8');
  } catch {
    return stopWithUsage(`Cannot read the file ${path}`);
  }
  const json = readJson(text);
  return json.ok ? json.value : stopWithProblems(json.problems);
}

const { person, pose, side, level, rules, svg, bands, flow, batch } = readArguments();
if (batch === true) {
  await planBatch(process.stdin, process.stdout);
  process.exit(0);
}
if (flow !== undefined) {
  if (person === undefined) stopWithUsage('--person is needed.');
  const asked = checkFlowRequest(
    {
      person: readFile(person),
      flow: readFile(flow),
      rules: rules === undefined ? {} : readFile(rules),
    },
    new Date().toISOString(),
  );
  if (!asked.ok) stopWithProblems(asked.problems);
  const { person: record, rules: house, sessions } = asked.value;
  const planner = new FlowPlanner(new PlanningContext(record), house, readNoted(sessions));
  const plan = planner.plan(asked.value.flow);
  if (plan.steps.length === 0) stopWithProblems(plan.problems);
  process.stdout.write(`${JSON.stringify(plan, null, 2)}\n`);
  process.exit(0);
}
if (person === undefined || pose === undefined || side === undefined) {
  stopWithUsage('--person, --pose and --side are needed.');
}
if (side !== 'left' && side !== 'right') stopWithUsage('--side is left or right.');
const request = checkSetUpRequest(
  {
    person: readFile(person),
    pose,
    side,
    level: level ?? 'auto',
    rules: rules === undefined ? {} : readFile(rules),
  },
  new Date().toISOString(),
);
if (!request.ok) stopWithProblems(request.problems);
const { value } = request;
const context = new PlanningContext(value.person);
if (bands === true) {
  const drawn = planBands(context, value.pose, value.side, value.rules, value.level);
  if (!drawn.ok) stopWithProblems(drawn.problems);
  process.stdout.write(`${JSON.stringify(drawn.value, null, 2)}\n`);
  process.exit(0);
}
const planned = planInFull(context, value.pose, value.side, value.rules, value.level);
if (!planned.ok) stopWithProblems(planned.problems);
if (svg === undefined) {
  process.stdout.write(`${JSON.stringify(planned.value, null, 2)}\n`);
} else {
  const draw = VIEWS[svg];
  if (draw === undefined) stopWithUsage('--svg is above, side or front.');
  const standing = findPose(value.pose);
  const drawing =
    standing === null ? null : draw(standing, planned.value, { unit: 'cm', labelMm: 4 });
  if (drawing === null) stopWithUsage('There is no posture to draw: see the answer without --svg.');
  process.stdout.write(writeSvg(drawing));
}
