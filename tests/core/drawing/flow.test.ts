import { describe, expect, it } from 'vitest';
import { drawFlowMat, drawMarks } from '../../../src/core/drawing/flowMat.ts';
import { drawLinkingFigure } from '../../../src/core/drawing/linkingFigure.ts';
import type { Shape } from '../../../src/core/drawing/shapes.ts';
import { LINKING_POSES } from '../../../src/core/poses/linking/index.ts';
import { findFootMoves } from '../../../src/core/sequence/moves.ts';
import type { FootPlace } from '../../../src/core/sequence/feetPlaces.ts';

const mat = { lengthCm: 183, widthCm: 66, frontMarksCm: 50, overCm: 0 };
const foot = (x: number, y: number, part: FootPlace['part'] = 'foot'): FootPlace => ({
  part,
  x,
  y,
  turnDeg: 0,
});
const rolesOf = (shapes: readonly Shape[]): readonly string[] => shapes.map(({ role }) => role);

describe('the figures of linking poses', () => {
  it('are there for every one, stand on the floor and have two equal sides', () => {
    for (const { id } of LINKING_POSES) {
      const drawing = drawLinkingFigure(id);
      expect(drawing, id).not.toBeNull();
      const points = drawing!.shapes.flatMap((each) =>
        each.kind === 'polygon' && each.role.startsWith('body') ? each.points : [],
      );
      // Nothing hangs below the floor, and something touches it.
      const lowest = Math.max(...points.map(([, y]) => y));
      expect(lowest, id).toBeLessThan(3);
      expect(lowest, id).toBeGreaterThan(-3);
    }
    expect(drawLinkingFigure('headstand')).toBeNull();
  });
});

describe('the mat of a flow', () => {
  const before = { left: foot(-100, 8), right: foot(0, -8) };
  const after = { left: foot(-60, 8, 'knee'), right: foot(0, -8) };

  it('shows where the feet stand, where they came from and their way', () => {
    const { shapes, box } = drawFlowMat(mat, after, findFootMoves(before, after));
    expect(rolesOf(shapes)).toEqual([
      'mat',
      'ghost',
      'footprint',
      'footprint',
      'foot-goes',
      'foot-goes',
    ]);
    const [way] = shapes.filter(({ role }) => role === 'foot-goes');
    // 40 cm toward the front edge, which is on the right.
    if (way?.kind !== 'line') throw new Error('No arrow');
    expect(way.points[1]![0] - way.points[0]![0]).toBeCloseTo(40, 9);
    expect(box[2]).toBeCloseTo(mat.lengthCm + 4, 9);
    expect(rolesOf(drawFlowMat(mat, before, []).shapes)).toEqual(['mat', 'footprint', 'footprint']);
  });

  it('numbers its marks', () => {
    const marks = [
      { number: 1, side: 'left', place: foot(-100, 8), serves: [0] },
      { number: 2, side: 'right', place: foot(0, -8), serves: [0, 1] },
    ] as const;
    const { shapes } = drawMarks(mat, marks);
    const numbers = shapes.flatMap((each) => (each.kind === 'text' ? [each.text] : []));
    expect(numbers).toEqual(['1', '2']);
  });
});
