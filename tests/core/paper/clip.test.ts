import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { arcPoints, clipLine } from '../../../src/core/paper/clip.ts';

type Point = readonly [number, number];

const FROM: Point = [0, 0];
const TO: Point = [10, 6];
const inside = ([x, y]: Point): boolean =>
  x >= FROM[0] - 1e-9 && x <= TO[0] + 1e-9 && y >= FROM[1] - 1e-9 && y <= TO[1] + 1e-9;
const lengthOf = (points: readonly Point[]): number =>
  points
    .slice(1)
    .reduce((sum, [x, y], i) => sum + Math.hypot(x - points[i]![0], y - points[i]![1]), 0);

/** The length of a line that lies in the window, by very many samples. */
function sampleLength(points: readonly Point[]): number {
  const steps = 4000;
  let sum = 0;
  points.slice(1).forEach((b, i) => {
    const a = points[i]!;
    let within = 0;
    for (let k = 0; k < steps; k += 1) {
      const t = (k + 0.5) / steps;
      if (inside([a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t])) within += 1;
    }
    sum += (within / steps) * Math.hypot(b[0] - a[0], b[1] - a[1]);
  });
  return sum;
}

describe('a line cut to a window', () => {
  it.each<[string, readonly Point[], readonly (readonly Point[])[]]>([
    [
      'inside',
      [
        [1, 1],
        [2, 2],
        [3, 1],
      ],
      [
        [
          [1, 1],
          [2, 2],
          [3, 1],
        ],
      ],
    ],
    [
      'outside',
      [
        [-5, -5],
        [-1, 20],
      ],
      [],
    ],
    [
      'through',
      [
        [-5, 3],
        [15, 3],
      ],
      [
        [
          [0, 3],
          [10, 3],
        ],
      ],
    ],
    [
      'out and in again',
      [
        [5, 3],
        [5, 9],
        [7, 9],
        [7, 3],
      ],
      [
        [
          [5, 3],
          [5, 6],
        ],
        [
          [7, 6],
          [7, 3],
        ],
      ],
    ],
    [
      'along its edge',
      [
        [0, 0],
        [10, 0],
      ],
      [
        [
          [0, 0],
          [10, 0],
        ],
      ],
    ],
    [
      'touching a corner',
      [
        [-1, 1],
        [1, -1],
      ],
      [],
    ],
  ])('%s', (_name, points, parts) => {
    expect(clipLine(points, FROM, TO)).toEqual(parts);
  });

  it('keeps all of what lies in the window and nothing else', () => {
    // Hundredths of a millimetre, as they are written; never along an edge, where either is right.
    const place = fc.integer({ min: -2000, max: 2000 }).map((each) => each / 100 + 0.003);
    const point = fc.tuple(place, place);
    fc.assert(
      fc.property(fc.array(point, { minLength: 2, maxLength: 5 }), (points) => {
        const parts = clipLine(points, FROM, TO);
        for (const each of parts.flat()) expect(inside(each)).toBe(true);
        const kept = parts.reduce((sum, each) => sum + lengthOf(each), 0);
        expect(Math.abs(kept - sampleLength(points))).toBeLessThan(0.1);
      }),
      { numRuns: 200 },
    );
  });

  it('takes a circle as a closed line, and an arc the shorter way round', () => {
    const circle = arcPoints({ kind: 'circle', role: '', centre: [3, 4], radius: 2 });
    expect(circle[0]![0]).toBeCloseTo(circle.at(-1)![0], 9);
    expect(lengthOf(circle)).toBeCloseTo(2 * Math.PI * 2, 1);
    const arc = arcPoints({
      kind: 'arc',
      role: '',
      centre: [0, 0],
      radius: 1,
      fromDeg: 350,
      toDeg: 20,
    });
    expect(lengthOf(arc)).toBeCloseTo((30 * Math.PI) / 180, 3);
  });
});
