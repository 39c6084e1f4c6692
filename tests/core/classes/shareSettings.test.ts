import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  MOST_LOST,
  MOST_SETTINGS,
  shareSettings,
  type LossOnGrid,
  type SharedSettings,
} from '../../../src/core/classes/shareSettings.ts';

/** Bodies whose sets of values may have holes: worse than real ones. */
const anyBodies: fc.Arbitrary<readonly LossOnGrid[]> = fc
  .array(
    fc.array(fc.tuple(fc.integer({ min: 80, max: 89 }), fc.integer({ min: 0, max: 24 })), {
      maxLength: 8,
    }),
    { maxLength: 7 },
  )
  .map((rows) =>
    rows.map((row, i) => ({
      id: `p${String(i)}`,
      own: 84 + (i % 3),
      losses: new Map(row.map(([value, lost]) => [value, lost / 100])),
    })),
  );

/** Every choice of so many values: fewest left out, then least worst loss. */
function tryAll(bodies: readonly LossOnGrid[], count: number): readonly [number, number] {
  const values = Array.from({ length: 10 }, (_each, i) => 80 + i);
  let best: readonly [number, number] = [bodies.length, 0];
  const judge = (chosen: readonly number[]): void => {
    const own = bodies.map(({ losses }) =>
      Math.min(...chosen.map((value) => losses.get(value) ?? Infinity)),
    );
    // Whoever loses least first: each number of people served has its own worst loss.
    const sorted = own.filter((lost) => lost <= MOST_LOST).toSorted((a, b) => a - b);
    const out = bodies.length - sorted.length;
    const worst = sorted.at(-1) ?? 0;
    if (out < best[0] || (out === best[0] && worst < best[1])) best = [out, worst];
    if (out === best[0] && best[0] === bodies.length) best = [out, 0];
  };
  const go = (from: number, chosen: readonly number[]): void => {
    if (chosen.length > 0) judge(chosen);
    if (chosen.length === count) return;
    for (let i = from; i < values.length; i += 1) go(i + 1, [...chosen, values[i]!]);
  };
  go(0, []);
  return best;
}

const toPair = ({ leftOut, worst }: SharedSettings): readonly [number, number] => [
  leftOut.length,
  worst,
];

describe('settings for a class', () => {
  it('are those of trying every choice: fewest left out, then the least largest loss', () => {
    fc.assert(
      fc.property(anyBodies, fc.integer({ min: 1, max: MOST_SETTINGS }), (bodies, count) => {
        const found = shareSettings(bodies, count);
        expect(toPair(found)).toEqual(tryAll(bodies, count));
        expect(found.values.length).toBeLessThanOrEqual(count);
        for (const { id, value, lost } of found.served) {
          const { losses } = bodies.find((each) => each.id === id)!;
          expect(found.values).toContain(value);
          expect(losses.get(value)).toBe(lost);
          expect(lost).toBe(Math.min(...found.values.map((each) => losses.get(each) ?? Infinity)));
        }
      }),
      { numRuns: 300, seed: 27 },
    );
  });

  it('never get worse with one group more: first those left out, then the largest loss', () => {
    fc.assert(
      fc.property(anyBodies, (bodies) => {
        let before: readonly [number, number] = [Infinity, 0];
        for (let count = 1; count <= MOST_SETTINGS; count += 1) {
          const now = toPair(shareSettings(bodies, count));
          expect(now[0]).toBeLessThanOrEqual(before[0]);
          if (now[0] === before[0]) expect(now[1]).toBeLessThanOrEqual(before[1]);
          before = now;
        }
      }),
      { numRuns: 200, seed: 28 },
    );
  });

  it('do not depend on the order of the people', () => {
    fc.assert(
      fc.property(anyBodies, fc.nat(), (bodies, turn) => {
        const at = bodies.length === 0 ? 0 : turn % bodies.length;
        const shuffled = [...bodies.slice(at), ...bodies.slice(0, at)].toReversed();
        expect(shareSettings(shuffled, 2)).toEqual(shareSettings(bodies, 2));
      }),
      { numRuns: 100, seed: 29 },
    );
  });

  it('of one body are its own, and of nobody none', () => {
    const losses = new Map([
      [84, 0.1],
      [85, 0],
      [86, 0.05],
    ]);
    expect(shareSettings([{ id: 'a', own: 85.2, losses }], 1)).toMatchObject({
      values: [85],
      worst: 0,
    });
    expect(shareSettings([], 3)).toEqual({ values: [], worst: 0, served: [], leftOut: [] });
    const beyond = { id: 'b', own: 90, losses: new Map([[90, MOST_LOST + 0.01]]) };
    expect(shareSettings([beyond], 4).leftOut).toEqual(['b']);
  });

  it('lie next to the bodies’ own where the loss is the same', () => {
    const flat = new Map(Array.from({ length: 20 }, (_each, i) => [70 + i, 0]));
    const bodies = [72.4, 80, 80.2].map((own, i) => ({ id: String(i), own, losses: flat }));
    expect(shareSettings(bodies, 1).values).toEqual([78]);
    expect(shareSettings(bodies, 2).values).toEqual([72, 80]);
  });
});
