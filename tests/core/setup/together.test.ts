/** One person's poses share their numbers and some of them their legs: each comes out as if planned alone. */
import { describe, expect, it } from 'vitest';
import { SIDES } from '../../../src/core/measures/protocol.ts';
import { POSES } from '../../../src/core/poses/catalogue/index.ts';
import type { HouseRules } from '../../../src/core/rules/houseRules.ts';
import { planSetUp } from '../../../src/core/setup/planSetUp.ts';
import { contextOf, REFERENCE, STIFF, SUPPLE } from '../../support/people.ts';

const BODIES = { REFERENCE, STIFF, SUPPLE };

/** Every set-up of a person as text: in order, or the last first. */
function planAll(
  measures: (typeof BODIES)[keyof typeof BODIES],
  rules: Partial<HouseRules>,
  isAlone: boolean,
): ReadonlyMap<string, string> {
  const together = contextOf(measures);
  const asked = POSES.flatMap(({ id }) => SIDES.map((side) => ({ id, side })));
  if (isAlone) asked.reverse();
  return new Map(
    asked.map(({ id, side }) => {
      const context = isAlone ? contextOf(measures) : together;
      return [`${id} ${side}`, JSON.stringify(planSetUp(context, id, side, rules))];
    }),
  );
}

describe('poses planned one after the other', () => {
  it.each(Object.keys(BODIES) as (keyof typeof BODIES)[])(
    'come out to the letter as each alone, the last one first: %s',
    (name) => {
      const alone = planAll(BODIES[name], {}, true);
      const together = planAll(BODIES[name], {}, false);
      expect(together.size).toBe(2 * POSES.length);
      for (const [asked, told] of together) expect(told, asked).toBe(alone.get(asked));
    },
  );

  it('take no legs from other house rules', () => {
    const context = contextOf(SUPPLE);
    const plan = (rules: Partial<HouseRules>): string =>
      JSON.stringify(planSetUp(context, 'reverse-warrior', 'right', rules));
    const rules = { stance: 'leg-length' } as const;
    const usual = plan({});
    const other = plan(rules);
    expect(other).not.toBe(usual);
    const alone = planSetUp(contextOf(SUPPLE), 'reverse-warrior', 'right', rules);
    expect(other).toBe(JSON.stringify(alone));
    expect(plan({})).toBe(usual);
  });
});
