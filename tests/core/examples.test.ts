/** Runs every `@example` of the core's docstrings: `expression // → value`. */
import { readdirSync, readFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { pathToFileURL } from 'node:url';
import { describe, expect, it } from 'vitest';
import { readPersonFile } from '../../src/core/formats/personFile.ts';
import { PlanningContext } from '../../src/core/planning/planningContext.ts';
import type { Flow } from '../../src/core/sequence/flow.ts';
import { USUAL_STUDIO } from '../../src/core/studio/studio.ts';
import { planSetUp } from '../../src/core/setup/planSetUp.ts';

interface Example {
  readonly file: string;
  readonly expression: string;
  readonly value: unknown;
}

const CORE = 'src/core';

function readExamples(file: string): readonly Example[] {
  const text = readFileSync(join(CORE, file), 'utf8').replaceAll(/^ \* ?/gm, '');
  const blocks = [...text.matchAll(/@example\n([\s\S]*?)(?=\n@|\n ?\*?\/)/g)];
  return blocks.flatMap(([, block]) =>
    [...(block ?? '').matchAll(/^(.+?) \/\/ → (.+)$/gm)].map(([, expression, value]) => ({
      file,
      expression: expression!,
      value: JSON.parse(value!) as unknown,
    })),
  );
}

const files = readdirSync(CORE, { recursive: true, encoding: 'utf8' })
  .filter((file) => file.endsWith('.ts'))
  .sort();
const examples = files.flatMap(readExamples);

/** What every example may name: a person of the demo, their context, and one of their set-ups. */
function makeScope(): Readonly<Record<string, unknown>> {
  const read = readPersonFile(readFileSync('public/demo/marit-sollen.json', 'utf8'), null);
  if (!read.ok) throw new Error('the demo cannot be read');
  const record = { person: read.value.file.person, readings: read.value.file.readings };
  const context = new PlanningContext(record);
  const planned = planSetUp(context, 'warrior-two', 'right');
  if (!planned.ok) throw new Error('the demo cannot be planned');
  const flow: Flow = { id: 'short', name: 'Short', peak: null, minutes: null, steps: [] };
  return { record, context, setUp: planned.value, studio: USUAL_STUDIO, flow };
}

describe('the examples of the docstrings', () => {
  it('are at least thirty, and none is left out', () => {
    expect(examples.length).toBeGreaterThanOrEqual(30);
    const written = files.reduce(
      (sum, file) => sum + readFileSync(join(CORE, file), 'utf8').split('@example').length - 1,
      0,
    );
    expect(examples).toHaveLength(written);
  });

  it.each(examples)('$file: $expression', async ({ file, expression, value }) => {
    const exported = (await import(pathToFileURL(resolve(CORE, file)).href)) as object;
    const scope = { ...makeScope(), ...exported };
    // eslint-disable-next-line @typescript-eslint/no-implied-eval, @typescript-eslint/no-unsafe-call -- our own docstrings
    const found: unknown = new Function(...Object.keys(scope), `return (${expression});`)(
      ...Object.values(scope),
    );
    expect(JSON.parse(JSON.stringify(found))).toEqual(value);
  });
});
