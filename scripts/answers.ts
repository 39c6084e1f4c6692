/**
 * The set-ups and recipes of every demo person, pose, side and level: to a file, or compared with one. For a
 * change that must change no answer. Exit 0 = the same, 1 = something differs, 2 = wrong use.
 * Use: npm run --silent answers -- record|compare FILE
 */
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { pathToFileURL } from 'node:url';
import { readPersonFile } from '../src/core/formats/personFile.ts';
import { SIDES, type Side } from '../src/core/measures/protocol.ts';
import type { PersonRecord } from '../src/core/person/person.ts';
import { PlanningContext } from '../src/core/planning/planningContext.ts';
import { POSES } from '../src/core/poses/catalogue/index.ts';
import { FITTING_LEVEL } from '../src/core/poses/level.ts';
import { LYING_POSES } from '../src/core/poses/lying/index.ts';
import { listProps } from '../src/core/recipe/fetch.ts';
import { listRecipe } from '../src/core/recipe/recipe.ts';
import { withHeldPoses } from '../src/core/sessions/heldPoses.ts';
import { planInFull } from '../src/core/whatIf/planInFull.ts';
import { planSetUp } from '../src/core/setup/planSetUp.ts';

/** cm and degrees. */
const TOLERANCE = 0.01;
const MOST_SHOWN = 40;
/** Wording may change; what it says of numbers may not. */
const WORDS = new Set(['words', 'text', 'name', 'advice', 'message', 'hint', 'sentence', 'reason']);

/** Every number, id and yes or no of an answer, by where it stands in it. */
type Answer = Record<string, number | string | boolean>;

function flatten(value: unknown, path: string, into: Answer): Answer {
  if (typeof value === 'number' || typeof value === 'string' || typeof value === 'boolean') {
    into[path] = typeof value === 'number' ? Math.round(value * 1e4) / 1e4 : value;
  } else if (typeof value === 'object' && value !== null) {
    for (const [key, each] of Object.entries(value)) {
      if (!WORDS.has(key)) flatten(each, path === '' ? key : `${path}.${key}`, into);
    }
  }
  return into;
}

function readDemo(): readonly PersonRecord[] {
  const folder = pathToFileURL('public/demo/');
  const names = readdirSync(folder).filter((each) => each !== 'index.json');
  return names.map((name) => {
    const read = readPersonFile(readFileSync(new URL(name, folder), 'utf8'), null);
    if (!read.ok) throw new Error(`${name}: ${read.problems[0]?.message ?? ''}`);
    return withHeldPoses(read.value.file, read.value.file.sessions);
  });
}

function calcAnswers(): Record<string, Answer> {
  const answers: Record<string, Answer> = {};
  for (const record of readDemo()) {
    const context = new PlanningContext(record);
    const add = (plan: typeof planSetUp, pose: string, side: Side, level: string | null): void => {
      const kind = plan === planInFull ? 'in full' : 'set-up';
      const key = [record.person.id, pose, side, level ?? 'usual', kind].join(' ');
      const planned = plan(context, pose, side, {}, level);
      const lines = planned.ok ? listRecipe(planned.value, 'cm').map((line) => line.words) : [];
      const props = planned.ok ? listProps(planned.value) : [];
      answers[key] = flatten({ planned, lines, props }, '', {});
    };
    for (const side of SIDES) {
      for (const { id, levels } of POSES) {
        for (const level of [null, FITTING_LEVEL, ...levels.map((each) => each.id)])
          add(planSetUp, id, side, level);
        add(planInFull, id, side, FITTING_LEVEL);
      }
      for (const { id } of LYING_POSES) add(planInFull, id, side, null);
    }
  }
  return answers;
}

/** How two answers differ, each difference in words. */
function compare(key: string, before: Answer, now: Answer): readonly string[] {
  const paths = [...new Set([...Object.keys(before), ...Object.keys(now)])];
  return paths.flatMap((path) => {
    const [old, fresh] = [before[path], now[path]];
    const isSame =
      typeof old === 'number' && typeof fresh === 'number'
        ? Math.abs(old - fresh) <= TOLERANCE
        : old === fresh;
    return isSame ? [] : [`${key}: ${path}: ${String(old)} → ${String(fresh)}`];
  });
}

const [mode, file] = process.argv.slice(2);
if ((mode !== 'record' && mode !== 'compare') || file === undefined) {
  process.stderr.write('Use: npm run --silent answers -- record|compare FILE\n');
  process.exit(2);
}
const answers = calcAnswers();
if (mode === 'record') {
  writeFileSync(file, JSON.stringify(answers));
  process.stdout.write(`${String(Object.keys(answers).length)} answers in ${file}\n`);
} else {
  const before = JSON.parse(readFileSync(file, 'utf8')) as Record<string, Answer>;
  const keys = [...new Set([...Object.keys(before), ...Object.keys(answers)])];
  const differences = keys.flatMap((key) => compare(key, before[key] ?? {}, answers[key] ?? {}));
  for (const each of differences.slice(0, MOST_SHOWN)) process.stdout.write(`${each}\n`);
  process.stdout.write(
    `${String(keys.length)} answers, ${String(differences.length)} numbers or ids differ\n`,
  );
  process.exit(differences.length === 0 ? 0 : 1);
}
