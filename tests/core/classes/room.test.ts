import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { planMember } from '../../../src/core/classes/planMember.ts';
import {
  findCollisions,
  findHidden,
  MAT_ALONE,
  placeClass,
  TEACHER_M,
  type Standing,
} from '../../../src/core/classes/room/placeClass.ts';
import { findReach, type SlotReach } from '../../../src/core/classes/room/reach.ts';
import { recordOf, REFERENCE } from '../../support/people.ts';

const MAT = { lengthCm: 183, widthCm: 66 };
const NOW = '2026-12-01T10:00:00Z';
const setUpOf = (pose: string) =>
  planMember({ record: recordOf(REFERENCE), sessions: [] }, pose, null, NOW).pairs;

const reach = (pose: string, half: number, side: 'left' | 'right' = 'right'): SlotReach => ({
  pose,
  side,
  ahead: half,
  behind: half,
  left: half,
  right: half,
  chair: null,
});
const mat: SlotReach = {
  pose: MAT_ALONE,
  side: 'right',
  ahead: 0.9,
  behind: 0.9,
  left: 0.3,
  right: 0.3,
  chair: null,
};
const standing = (member: string, ...reaches: readonly SlotReach[]): Standing => ({
  member,
  reaches: [mat, ...reaches],
  isAtWall: false,
});

describe('clear space', () => {
  it('holds every hand and foot of the solved pose, and the mat', () => {
    for (const pose of ['warrior-two', 'half-moon', 'tree']) {
      const [right, left] = setUpOf(pose);
      for (const { setUp } of [right!, left!]) {
        const found = findReach(setUp, MAT, false);
        const xs = Object.values(setUp.landmarks).map(([x]) => x);
        const ys = Object.values(setUp.landmarks).map(([, y]) => y);
        const long = (Math.max(...xs) - Math.min(...xs)) / 100;
        expect(found.ahead + found.behind).toBeGreaterThanOrEqual(Math.max(1.83, long));
        expect(found.left + found.right).toBeGreaterThan((Math.max(...ys) - Math.min(...ys)) / 100);
        expect(found.ahead + found.behind).toBeLessThan(3);
      }
      // The left side is the right one in a mirror.
      const [a, b] = [right!, left!].map(({ setUp }) => findReach(setUp, MAT, false));
      expect(a!.left).toBeCloseTo(b!.right, 2);
      expect(a!.ahead).toBeCloseTo(b!.ahead, 2);
    }
  });

  it('grows by the chair that stands under the hand', () => {
    const { setUp } = setUpOf('half-moon')[0]!;
    const [bare, withChair] = [findReach(setUp, MAT, false), findReach(setUp, MAT, true)];
    const area = (r: typeof bare): number => (r.ahead + r.behind) * (r.left + r.right);
    expect(area(withChair)).toBeGreaterThanOrEqual(area(bare));
    for (const way of ['ahead', 'behind', 'left', 'right'] as const) {
      expect(withChair[way]).toBeGreaterThanOrEqual(bare[way]);
    }
    expect(bare.chair).toBeNull();
    // The hand of half moon stands ahead of the foot, and the chair under it.
    const hand = setUp.landmarks['handRight']!;
    const { ahead } = withChair.chair!;
    expect(ahead).toBeGreaterThan(0);
    expect(withChair.ahead).toBeGreaterThanOrEqual(ahead + 0.2);
    expect(hand[2]).toBeLessThan(setUp.landmarks['handLeft']![2]);
  });
});

describe('a room', () => {
  it('that is large enough gives everyone a place where nobody meets anybody, or a wall', () => {
    const anyReach = fc.double({ min: 0.4, max: 1.4, noNaN: true });
    fc.assert(
      fc.property(
        fc.array(fc.tuple(anyReach, anyReach), { minLength: 1, maxLength: 20 }),
        fc.double({ min: 4, max: 12, noNaN: true }),
        (people, widthM) => {
          const all = people.map(([a, b], i) =>
            standing(`p${String(i)}`, reach('half-moon', a), reach('triangle', b, 'left')),
          );
          const room = { widthM, lengthM: 80 };
          const { placed, tooSmall } = placeClass(all, room, {});
          expect(tooSmall).toBeNull();
          expect(findCollisions(placed, room)).toEqual([]);
          for (const { place } of placed) expect(place.y).toBeGreaterThan(TEACHER_M);
        },
      ),
      { numRuns: 60, seed: 5 },
    );
  });

  it('that is too small says how much, and which pose is the reason', () => {
    const all = Array.from({ length: 12 }, (_each, i) =>
      standing(`p${String(i)}`, reach('half-moon', 1.6), reach('mountain', 0.3)),
    );
    const { tooSmall } = placeClass(all, { widthM: 6, lengthM: 8 }, {});
    expect(tooSmall!.pose).toBe('half-moon');
    // As long as it would have to be, it is large enough.
    const room = { widthM: 6, lengthM: 8 + tooSmall!.missingM + 0.01 };
    const larger = placeClass(all, room, {});
    expect(larger.tooSmall).toBeNull();
    expect(findCollisions(larger.placed, room)).toEqual([]);
  });

  it('says who meets whom where they are placed by hand, and in which pose', () => {
    const all = [standing('a', reach('half-moon', 1.2)), standing('b', reach('half-moon', 1.2))];
    const room = { widthM: 10, lengthM: 10 };
    const places = { a: { x: 3, y: 5 }, b: { x: 5, y: 5 } };
    const { placed } = placeClass(all, room, places);
    expect(placed.map(({ place }) => place)).toEqual([places.a, places.b]);
    expect(findCollisions(placed, room)).toEqual([{ pose: 'half-moon', member: 'a', other: 'b' }]);
    const apart = placeClass(all, room, { ...places, b: { x: 5.5, y: 5 } });
    expect(findCollisions(apart.placed, room)).toEqual([]);
    const atWall = placeClass(all, room, { ...places, a: { x: 0.5, y: 5 } });
    expect(findCollisions(atWall.placed, room)).toContainEqual({
      pose: 'half-moon',
      member: 'a',
      other: null,
    });
  });

  it('sees who lies on their mat while others move', () => {
    const room = { widthM: 10, lengthM: 10 };
    const all = [standing('a', reach('half-moon', 1.2)), standing('kept')];
    const places = { a: { x: 3, y: 5 }, kept: { x: 4.3, y: 5 } };
    const { placed } = placeClass(all, room, places);
    expect(findCollisions(placed, room).map(({ other }) => other)).toEqual(['kept']);
  });

  it('puts those who go to the wall in the last row', () => {
    const all = Array.from({ length: 9 }, (_each, i): Standing => ({
      ...standing(`p${String(i)}`, reach('triangle', 0.9)),
      isAtWall: i === 0,
    }));
    const { placed } = placeClass(all, { widthM: 6, lengthM: 20 }, {});
    const last = Math.max(...placed.map(({ place }) => place.y));
    expect(placed.find(({ member }) => member === 'p0')!.place.y).toBe(last);
  });

  it('says whom the teacher does not see', () => {
    const room = { widthM: 8, lengthM: 10 };
    const places = { a: { x: 4, y: 3 }, b: { x: 4, y: 7 }, c: { x: 6, y: 7 } };
    const { placed } = placeClass(
      ['a', 'b', 'c'].map((each) => standing(each)),
      room,
      places,
    );
    expect(findHidden(placed, room)).toEqual([{ member: 'b', by: 'a' }]);
  });
});
