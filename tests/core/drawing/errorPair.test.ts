import { describe, expect, it } from 'vitest';
import { drawErrorPair } from '../../../src/core/drawing/errorPair.ts';
import { boxOfText, calcOverlap } from '../../../src/core/drawing/placement.ts';
import type { Drawing, Point } from '../../../src/core/drawing/shapes.ts';
import { explainError } from '../../../src/core/poseErrors/explainError.ts';
import { hasGeometry } from '../../../src/core/poseErrors/imposed.ts';
import { findPossibleErrors } from '../../../src/core/poseErrors/possible.ts';
import { findPose, POSES } from '../../../src/core/poses/catalogue/index.ts';
import { FITTING_LEVEL, withLevel } from '../../../src/core/poses/level.ts';
import { NOT_MOVED } from '../../../src/core/whatIf/planMoved.ts';
import { contextOfDemo } from '../../support/demoContext.ts';

const context = contextOfDemo('marit-sollen');

function drawn(id: string, error: string): Drawing {
  const pose = findPose(id)!;
  const asked = { pose: id, side: 'right', rules: {}, level: FITTING_LEVEL } as const;
  const found = explainError(context, { ...asked, error, held: NOT_MOVED, onSameFeet: [] });
  if (!found.ok) throw new Error(`${id} ${error}`);
  return drawErrorPair(withLevel(pose, found.value.planned.level), found.value, error)!;
}

const pointsOf = ({ shapes }: Drawing, role: string): readonly Point[] =>
  shapes.flatMap((shape) =>
    (shape.kind === 'line' || shape.kind === 'polygon') && shape.role.startsWith(role)
      ? shape.points
      : [],
  );

describe('a pose as planned and with an error', () => {
  it.each(POSES.map(({ id }) => id))('%s: no words meet, and none is cut', (id) => {
    const errors = findPossibleErrors(findPose(id)).map((each) => each.id);
    for (const error of errors.filter(hasGeometry)) {
      const { shapes, box } = drawn(id, error);
      const words = shapes.flatMap((shape) =>
        shape.kind === 'text' ? [boxOfText(shape.text, shape.at, shape.size, shape.anchor)] : [],
      );
      expect(words.length).toBeGreaterThanOrEqual(2);
      for (const [i, one] of words.entries()) {
        for (const other of words.slice(i + 1)) expect(calcOverlap(one, other), error).toBe(0);
        expect(one[0]).toBeGreaterThanOrEqual(box[0] - 0.01);
        expect(one[2]).toBeLessThanOrEqual(box[0] + box[2] + 0.01);
        expect(one[3]).toBeLessThanOrEqual(box[1] + box[3] + 0.01);
      }
    }
  });

  it('shows a turn of the pelvis from above, and a drifting knee from the front', () => {
    const hauled = drawn('warrior-two', 'pelvis-hauled');
    expect(hauled.caption).toContain('seen from above');
    expect(pointsOf(hauled, 'footprint').length).toBeGreaterThan(10);
    expect(pointsOf(hauled, 'body-flesh')).toEqual([]);
    const drifts = drawn('warrior-one', 'knee-drifts');
    expect(drifts.caption).toContain('by 6 cm, side by side, seen from the front edge of the mat');
  });

  it('enlarges what is too small to see, inside its circle', () => {
    const drops = drawn('warrior-two', 'pelvis-drops');
    const circle = drops.shapes.find(({ role }) => role === 'enlarged');
    if (circle?.kind !== 'circle') throw new Error('not enlarged');
    const inside = drops.shapes
      .slice(drops.shapes.indexOf(circle) + 1)
      .flatMap((shape) => (shape.kind === 'line' ? shape.points : []));
    expect(inside.length).toBeGreaterThan(5);
    for (const [x, y] of inside) {
      const [cx, cy] = circle.centre;
      expect(Math.hypot(x - cx, y - cy)).toBeLessThanOrEqual(circle.radius + 0.5);
    }
  });

  it('draws the planned thigh and shank beside the bent ones', () => {
    const bent = drawn('pyramid', 'knee-bends');
    expect(pointsOf(bent, 'sign-guide').length).toBe(4);
  });
});
