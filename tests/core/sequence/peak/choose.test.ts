import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  calcChoiceCost,
  choose,
  type Choice,
  type ChoiceTask,
} from '../../../../src/core/sequence/peak/choose.ts';

const anyChoice = fc.record({
  serves: fc.uniqueArray(fc.nat({ max: 7 }), { maxLength: 4 }),
  leastSeconds: fc.integer({ min: 20, max: 90 }),
  longer: fc.integer({ min: 0, max: 90 }),
  family: fc.constantFrom('open', 'closed', 'neutral'),
  feet: fc.constantFrom(null, 'a', 'b', 'c'),
  isPassive: fc.boolean(),
  actions: fc.integer({ min: 0, max: 4 }),
  besides: fc.integer({ min: 0, max: 3 }),
});
const anyTask: fc.Arbitrary<ChoiceTask> = fc
  .record({
    choices: fc.array(anyChoice, { maxLength: 9 }),
    goals: fc.array(fc.double({ min: 0.2, max: 1, noNaN: true }), { minLength: 8, maxLength: 8 }),
    seconds: fc.integer({ min: 0, max: 600 }),
    passiveSeconds: fc.integer({ min: 0, max: 300 }),
    family: fc.constantFrom('open', 'closed', 'neutral'),
  })
  .map(({ choices, family, ...task }): ChoiceTask => ({
    ...task,
    choices: choices.map(({ longer, ...each }, i): Choice => ({
      ...each,
      id: String(i),
      mostSeconds: each.leastSeconds + longer,
    })),
    next: { family, feet: 'a' },
  }));

/** Every choice there is, one after the other. */
function findByTryingAll(task: ChoiceTask): number {
  const count = 2 ** task.choices.length;
  let best = Infinity;
  for (let set = 0; set < count; set += 1) {
    const picks = task.choices.flatMap((_each, i) => ((set >> i) & 1 ? [i] : []));
    best = Math.min(best, calcChoiceCost(task, picks));
  }
  return best;
}

describe('the choice of preparations', () => {
  it('equals trying all of them', () => {
    fc.assert(
      fc.property(anyTask, (task) => {
        const found = choose(task);
        expect(found.isProven).toBe(true);
        expect(found.cost).toBeCloseTo(findByTryingAll(task), 6);
        expect(calcChoiceCost(task, found.picks)).toBeCloseTo(found.cost, 9);
        expect(found.picks).toEqual(found.picks.toSorted((a, b) => a - b));
      }),
      { numRuns: 300, seed: 5 },
    );
  });

  it('keeps to its time, and to what of it may be passive', () => {
    fc.assert(
      fc.property(anyTask, (task) => {
        const picked = choose(task).picks.map((i) => task.choices[i]!);
        const least = picked.reduce((sum, { leastSeconds }) => sum + leastSeconds, 0);
        const passive = picked.reduce(
          (sum, each) => sum + (each.isPassive ? each.mostSeconds : 0),
          0,
        );
        expect(least).toBeLessThanOrEqual(task.seconds);
        expect(passive).toBeLessThanOrEqual(task.passiveSeconds);
      }),
      { numRuns: 100, seed: 6 },
    );
  });

  it('counts every part: by hand', () => {
    const common = { leastSeconds: 30, mostSeconds: 60, isPassive: false, besides: 0 } as const;
    const task: ChoiceTask = {
      choices: [
        { ...common, id: 'lunge', serves: [0], family: 'closed', feet: 'long', actions: 2 },
        { ...common, id: 'warrior', serves: [1], family: 'open', feet: 'wide', actions: 1 },
      ],
      goals: [1, 1, 2],
      seconds: 180,
      passiveSeconds: 0,
      next: { family: 'open', feet: 'wide' },
    };
    // Half the goals by weight are open; a flip, a step, one action more, two picks, one minute unfilled.
    expect(calcChoiceCost(task, [0, 1])).toBeCloseTo(50 + 4 + 1 + 0.5 + 2 * 0.5 + 5, 9);
    expect(calcChoiceCost(task, [])).toBeCloseTo(100 + 15, 9);
    expect(calcChoiceCost({ ...task, seconds: 59 }, [0, 1])).toBe(Infinity);
  });
});
