import { PlanningContext } from '../../../src/core/planning/planningContext.ts';
import Ajv2020 from 'ajv/dist/2020.js';
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { joiFromSchema, type FormatSchema } from '../../../src/core/formats/joiFromSchema.ts';
import { findShapeProblems } from '../../../src/core/formats/validate.ts';
import { planSetUp } from '../../../src/core/setup/planSetUp.ts';
import { writePersonFile } from '../../../src/core/formats/personFile.ts';
import { mutate } from '../../support/mutate.ts';
import { makeRandom } from '../../support/random.ts';
import { contextOf, recordOf, REFERENCE, STIFF } from '../../support/people.ts';

const readSchema = (name: string): FormatSchema =>
  JSON.parse(readFileSync(`docs/formats/${name}.schema.json`, 'utf8')) as FormatSchema;

function makeFiles(): { name: string; good: unknown }[] {
  const record = recordOf(REFERENCE);
  const planned = [
    planSetUp(new PlanningContext(record), 'triangle', 'left'),
    planSetUp(contextOf(STIFF), 'warrior-two', 'right', { backFootDeg: 90, depth: 'deepest' }),
  ];
  const short = { ...record, readings: record.readings.slice(0, 4) };
  return [
    { name: 'person', good: JSON.parse(writePersonFile(short)) },
    ...planned.map((each) => {
      if (!each.ok) throw new Error(each.problems[0]?.message);
      return { name: 'set-up', good: JSON.parse(JSON.stringify(each.value)) as unknown };
    }),
    {
      name: 'rules',
      good: {
        stance: 'fixed',
        fixedStanceCm: 91,
        backFootDeg: null,
        provisional: true,
        limitMarginSem: 1,
      },
    },
  ];
}

describe('Joi and JSON Schema', () => {
  it('give one verdict on 500 generated files of each kind', () => {
    const random = makeRandom(2026);
    const ajv = new Ajv2020({ strict: false });
    for (const { name, good } of makeFiles()) {
      const schema = readSchema(name);
      const byAjv = ajv.compile(schema);
      const byJoi = joiFromSchema(schema);
      expect(byAjv(good), `${name}: ${JSON.stringify(byAjv.errors)}`).toBe(true);
      expect(findShapeProblems(byJoi, good)).toEqual([]);
      let refused = 0;
      for (let i = 0; i < 500; i += 1) {
        let file = mutate(good, random);
        if (random() < 0.4) file = mutate(file, random);
        const verdict = byAjv(file);
        if (!verdict) refused += 1;
        expect(findShapeProblems(byJoi, file).length === 0, JSON.stringify(file)).toBe(verdict);
      }
      // Both verdicts must really occur, or nothing was compared.
      expect(refused).toBeGreaterThan(100);
      expect(refused).toBeLessThan(490);
    }
  });
});
