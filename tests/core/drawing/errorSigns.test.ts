import { describe, expect, it } from 'vitest';
import { drawErrorSign } from '../../../src/core/drawing/errorSigns.ts';
import { POSE_ERRORS } from '../../../src/core/poseErrors/catalogue.ts';

describe('the small drawings of errors', () => {
  it.each(POSE_ERRORS.map(({ id, words }) => [id, words] as const))(
    '%s is drawn inside its square, with an arrow to where it goes',
    (id, words) => {
      const drawing = drawErrorSign(id, words)!;
      expect(drawing.caption).toBe(words);
      const [left, top, width, height] = drawing.box;
      const points = drawing.shapes.flatMap((shape) =>
        shape.kind === 'line' ? shape.points : shape.kind === 'circle' ? [shape.centre] : [],
      );
      for (const [x, y] of points) {
        expect(x).toBeGreaterThanOrEqual(left);
        expect(x).toBeLessThanOrEqual(left + width);
        expect(y).toBeGreaterThanOrEqual(top);
        expect(y).toBeLessThanOrEqual(top + height);
      }
      expect(drawing.shapes.some(({ role }) => role === 'sign-goes')).toBe(true);
    },
  );
  it('no two are alike', () => {
    const drawn = POSE_ERRORS.map(({ id }) => JSON.stringify(drawErrorSign(id, '')!.shapes));
    expect(new Set(drawn).size).toBe(drawn.length);
  });
  it('an error that is not known has none', () => {
    expect(drawErrorSign('hums', 'hums')).toBeNull();
  });
});
