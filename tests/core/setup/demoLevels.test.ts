import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { readPersonFile } from '../../../src/core/formats/personFile.ts';
import { PlanningContext } from '../../../src/core/planning/planningContext.ts';
import { POSES } from '../../../src/core/poses/catalogue/index.ts';
import { planSetUp } from '../../../src/core/setup/planSetUp.ts';

const FOLDER = 'public/demo';

/** The made-up people that ship with the app, as they are after a first session of everything. */
const people = readdirSync(FOLDER)
  .filter((name) => name !== 'index.json')
  .flatMap((name) => {
    const read = readPersonFile(readFileSync(`${FOLDER}/${name}`, 'utf8'), null);
    if (!read.ok) throw new Error(name);
    const held = POSES.map(({ id }) => ({ pose: id, level: 'not chosen' }));
    return [new PlanningContext({ ...read.value.file, held })];
  });

describe('every level and variant', () => {
  const levels = POSES.flatMap(({ id, levels: each }) => each.map((level) => [id, level.id]));

  it.each(levels)('%s, %s: somebody of the demo holds it, on either side', (pose, level) => {
    const holds = (side: 'left' | 'right') => (context: PlanningContext) => {
      const planned = planSetUp(context, pose, side, {}, level);
      return planned.ok && planned.value.status !== 'failed';
    };
    expect(people.some(holds('left'))).toBe(true);
    expect(people.some(holds('right'))).toBe(true);
  });
});
