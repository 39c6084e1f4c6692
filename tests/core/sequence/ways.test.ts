import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { otherSide } from '../../../src/core/measures/protocol.ts';
import { ANY_POSES, findAnyPose } from '../../../src/core/poses/anyPose.ts';
import { HIPS_AT_REST, type Hips } from '../../../src/core/sequence/hips.ts';
import { COST_OF_ONE, sumParts } from '../../../src/core/sequence/wayCosts.ts';
import {
  findWays,
  followWay,
  listPassed,
  type Place,
  type Way,
} from '../../../src/core/sequence/ways.ts';
import { OPEN_TERRAIN, placeOf } from '../../support/flows.ts';

const anyPlace: fc.Arbitrary<Place> = fc
  .tuple(fc.constantFrom(...ANY_POSES.map(({ id }) => id)), fc.constantFrom('left', 'right'))
  .map(([pose, side]) => placeOf(pose, side));

/** The hips of whoever begins in a pose. */
const hipsIn = ({ pose }: Place): Hips => {
  const { family } = findAnyPose(pose)!;
  return { family, needsLunge: family === 'open' };
};
const ways = (from: Place, to: Place, most = 1, hips = hipsIn(from)): readonly Way[] =>
  findWays(from, to, hips, OPEN_TERRAIN, most);
const best = (from: Place, to: Place, hips = hipsIn(from)): Way => ways(from, to, 1, hips)[0]!;
const passedIds = (way: Way): readonly string[] => way.passages.map(({ to }) => to.pose);
const costOf = (way: Way): number =>
  way.passages.flatMap(({ parts }) => parts).reduce((sum, { cost }) => sum + cost, 0);
const mirror = ({ pose, side }: Place): Place => ({
  pose,
  side: side === null ? null : otherSide(side),
});

/** The least cost of any way with at most this many poses between, by exhaustive search. */
function tryAll(from: Place, to: Place, most: number): number {
  let least = Infinity;
  const go = (by: readonly string[]): void => {
    const way = followWay(from, to, hipsIn(from), OPEN_TERRAIN, by);
    if (way !== null) least = Math.min(least, way.cost);
    if (by.length === most) return;
    const last = by.at(-1) ?? from.pose;
    for (const { to: next } of findAnyPose(last)!.transitions) {
      if (next !== to.pose) go([...by, next]);
    }
  };
  go([]);
  return least;
}

describe('ways between poses', () => {
  it('go through warrior II where practice does', () => {
    // Common practice, no source.
    expect(listPassed(best(placeOf('mountain'), placeOf('triangle')))).toEqual(['warrior-two']);
    expect(listPassed(best(placeOf('side-angle'), placeOf('triangle')))).toEqual(['warrior-two']);
    const reversed = best(placeOf('reverse-warrior'), placeOf('side-angle'));
    expect(listPassed(reversed)).toEqual(['warrior-two']);
    expect(listPassed(best(placeOf('warrior-two'), placeOf('downward-dog')))).toEqual([
      'high-lunge',
    ]);
    expect(listPassed(best(placeOf('mountain'), placeOf('downward-dog')))).toEqual([
      'forward-fold',
    ]);
    expect(listPassed(best(placeOf('side-angle'), placeOf('half-moon')))).toEqual([]);
    expect(listPassed(best(placeOf('half-moon'), placeOf('revolved-half-moon')))).toEqual([
      'warrior-three',
    ]);
  });

  it('never come from an open standing pose onto the hands without a lunge', () => {
    const open = ANY_POSES.filter(({ family }) => family === 'open');
    const onHands = ANY_POSES.filter((each) => each.kind === 'linking' && each.pose.standsOnHands);
    expect(open.length * onHands.length).toBeGreaterThan(15);
    for (const from of open) {
      for (const to of onHands) {
        const found = ways(placeOf(from.id), placeOf(to.id), 6);
        expect(found.length, `${from.id} to ${to.id}`).toBeGreaterThan(0);
        for (const way of found) {
          const lunges = passedIds(way).filter((id) => ['high-lunge', 'low-lunge'].includes(id));
          expect(lunges.length, `${from.id}: ${passedIds(way).join(', ')}`).toBeGreaterThan(0);
        }
      }
    }
    // Standing in mountain for a while does not pay the lunge that is owed.
    const owed = best(placeOf('warrior-two'), placeOf('mountain')).hips;
    const down = best(placeOf('mountain'), placeOf('downward-dog'), owed);
    expect(passedIds(down)).toContain('high-lunge');
  });

  it('have no flip between open poses, and none where practice flips on purpose', () => {
    const flipsOf = (way: Way): number =>
      sumParts(way.passages).find(({ kind }) => kind === 'flips')?.amount ?? 0;
    const open = ANY_POSES.filter(({ family }) => family === 'open').map(({ id }) => id);
    for (const from of open) {
      for (const to of open) {
        expect(flipsOf(best(placeOf(from), placeOf(to))), `${from} to ${to}`).toBe(0);
        const across = best(placeOf(from), placeOf(to, 'left'));
        expect(flipsOf(across), `${from} to ${to}, other side`).toBe(0);
      }
    }
    expect(flipsOf(best(placeOf('half-moon'), placeOf('warrior-three')))).toBe(0);
    expect(flipsOf(best(placeOf('warrior-two'), placeOf('warrior-one')))).toBe(1);
    // A lunge on the way down to the hands is no flip.
    expect(flipsOf(best(placeOf('warrior-two'), placeOf('downward-dog')))).toBe(0);
  });

  it('do not pass through what a caution leaves out', () => {
    const without = { ...OPEN_TERRAIN, isExcluded: (id: string) => id === 'high-lunge' };
    const from = placeOf('warrior-two');
    const [way] = findWays(from, placeOf('downward-dog'), hipsIn(from), without);
    expect(listPassed(way!)).toEqual(['low-lunge']);
    const none = { ...OPEN_TERRAIN, isExcluded: (id: string) => id.includes('lunge') };
    expect(findWays(from, placeOf('downward-dog'), hipsIn(from), none)).toEqual([]);
    const by = ['high-lunge'];
    expect(followWay(from, placeOf('downward-dog'), hipsIn(from), without, by)).toBeNull();
  });

  it('cost what their parts cost, and can be followed to the same cost', () => {
    fc.assert(
      fc.property(anyPlace, anyPlace, (from, to) => {
        for (const way of ways(from, to, 3)) {
          expect(way.cost).toBeCloseTo(costOf(way), 9);
          expect(sumParts(way.passages).reduce((sum, { cost }) => sum + cost, 0)).toBeCloseTo(
            way.cost,
            9,
          );
          for (const { parts } of way.passages) {
            for (const { kind, amount, cost } of parts) {
              expect(cost).toBeCloseTo(amount * COST_OF_ONE[kind], 9);
            }
          }
          if (way.passages.length === 0) continue;
          const by = listPassed(way);
          const followed = followWay(from, to, hipsIn(from), OPEN_TERRAIN, by);
          expect(followed).not.toBeNull();
          expect(followed!.cost).toBeCloseTo(way.cost, 6);
        }
      }),
      { numRuns: 60, seed: 26 },
    );
  });

  it('are as cheap as the best of all that can be tried by hand', () => {
    const pairs = [
      ['mountain', 'triangle'],
      ['warrior-two', 'pyramid'],
      ['side-angle', 'warrior-three'],
      ['pyramid', 'half-moon'],
      ['low-lunge', 'revolved-triangle'],
      ['lizard', 'warrior-two'],
    ] as const;
    for (const [from, to] of pairs) {
      const found = best(placeOf(from), placeOf(to));
      const tried = tryAll(placeOf(from), placeOf(to), 4);
      expect(found.passages.length, `${from} to ${to}`).toBeLessThanOrEqual(5);
      expect(found.cost, `${from} to ${to}`).toBeCloseTo(tried, 6);
    }
  });

  it('are never cheaper with one pose more between', () => {
    fc.assert(
      fc.property(anyPlace, anyPlace, anyPlace, (from, between, to) => {
        const first = best(from, between);
        const second = best(between, to, first.hips);
        expect(first.cost + second.cost).toBeGreaterThanOrEqual(best(from, to).cost - 1e-9);
      }),
      { numRuns: 150, seed: 27 },
    );
  });

  it('are the same in a mirror', () => {
    fc.assert(
      fc.property(anyPlace, anyPlace, (from, to) => {
        const [way, seen] = [best(from, to), best(mirror(from), mirror(to))];
        expect(seen.cost).toBeCloseTo(way.cost, 9);
        expect(sumParts(seen.passages).map(({ kind }) => kind)).toEqual(
          sumParts(way.passages).map(({ kind }) => kind),
        );
      }),
      { numRuns: 60, seed: 28 },
    );
  });

  it('come in order of their cost, each another one', () => {
    const found = ways(placeOf('warrior-two'), placeOf('downward-dog'), 3);
    expect(found.length).toBe(3);
    const costs = found.map(({ cost }) => cost);
    expect(costs).toEqual(costs.toSorted((a, b) => a - b));
    expect(new Set(found.map((way) => listPassed(way).join())).size).toBe(3);
    expect(best(placeOf('mountain'), placeOf('mountain'), HIPS_AT_REST).passages).toEqual([]);
  });
});
