import { PlanningContext } from '../../../src/core/planning/planningContext.ts';
import Ajv2020 from 'ajv/dist/2020.js';
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { LYING_POSES } from '../../../src/core/poses/lying/index.ts';
import { POSES } from '../../../src/core/poses/catalogue/index.ts';
import { planInFull } from '../../../src/core/whatIf/planInFull.ts';
import { recordOf, REFERENCE } from '../../support/people.ts';

describe('the set-up format', () => {
  const schema = JSON.parse(readFileSync('docs/formats/set-up.schema.json', 'utf8')) as object;
  const validate = new Ajv2020({ strict: false, allErrors: true }).compile(schema);

  it('holds every pose and lying form in full, judged by ajv', () => {
    const record = recordOf({ ...REFERENCE, 'knee-flexion': 160 });
    const asFound = { stanceCm: 90, widthCm: null, backFootDeg: 80, depth: null, handCm: null };
    let judged = 0;
    for (const { id } of [...POSES, ...LYING_POSES]) {
      const planned = planInFull(new PlanningContext(record), id, 'left', { asFound });
      if (!planned.ok) throw new Error(planned.problems[0]?.message);
      // As a file holds it: no undefined, no NaN.
      const text = JSON.stringify(planned.value);
      expect(validate(JSON.parse(text)), `${id} ${JSON.stringify(validate.errors)}`).toBe(true);
      judged += 1;
    }
    expect(judged).toBe(31);
  }, 60_000);
});
