import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { findMarks, type Stand } from '../../../src/core/sequence/marks.ts';

const at = (step: number, x: number, turnDeg = 0, side: Stand['side'] = 'left'): Stand => ({
  step,
  side,
  place: { part: 'foot', x, y: 0, turnDeg },
});
const always = (): boolean => true;

describe('the marks of a flow', () => {
  it('make one of places within 2 cm and 3°, and two of others', () => {
    expect(findMarks([at(0, 0), at(1, 1.9)], always)).toHaveLength(1);
    expect(findMarks([at(0, 0), at(1, 2.1)], always)).toHaveLength(2);
    expect(findMarks([at(0, 0), at(1, 0, 2.9)], always)).toHaveLength(1);
    expect(findMarks([at(0, 0), at(1, 0, 3.1)], always)).toHaveLength(2);
    expect(findMarks([at(0, 0, 179), at(1, 0, -179)], always)).toHaveLength(1);
    expect(findMarks([at(0, 0), at(1, 0, 0, 'right')], always)).toHaveLength(2);
  });

  it('are as few as can be: the middle one of three serves all', () => {
    const marks = findMarks([at(0, 0), at(1, 3.5), at(2, 1.8)], always);
    expect(marks).toHaveLength(1);
    expect(marks[0]!.place.x).toBe(1.8);
    expect(marks[0]!.serves).toEqual([0, 1, 2]);
  });

  it('stay apart where a pose would lose by it', () => {
    const keeps = ({ step }: Stand): boolean => step !== 1;
    const marks = findMarks([at(0, 0), at(1, 1)], keeps);
    // The first may come to the second, which may not come to the first.
    expect(marks).toHaveLength(1);
    expect(marks[0]!.place.x).toBe(1);
    expect(findMarks([at(0, 0), at(1, 1)], () => false)).toHaveLength(2);
  });

  it('serve every step once, none farther than allowed, and are never more than the places', () => {
    const stands = fc.array(
      fc.tuple(
        fc.double({ min: 0, max: 20, noNaN: true }),
        fc.double({ min: 0, max: 9, noNaN: true }),
      ),
      { minLength: 1, maxLength: 14 },
    );
    fc.assert(
      fc.property(stands, (places) => {
        const given = places.map(([x, turn], i) => at(i, x, turn));
        const marks = findMarks(given, always);
        expect(marks.flatMap(({ serves }) => serves).toSorted((a, b) => a - b)).toEqual(
          given.map(({ step }) => step),
        );
        for (const { serves, place } of marks) {
          for (const step of serves) {
            expect(Math.abs(given[step]!.place.x - place.x)).toBeLessThanOrEqual(2);
            expect(Math.abs(given[step]!.place.turnDeg - place.turnDeg)).toBeLessThanOrEqual(3);
          }
        }
        expect(marks.map(({ number }) => number)).toEqual(marks.map((_, i) => i + 1));
      }),
      { numRuns: 200, seed: 3 },
    );
  });
});
