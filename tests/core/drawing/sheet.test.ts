import { describe, expect, it } from 'vitest';
import { boxOfText, calcOverlap } from '../../../src/core/drawing/placement.ts';
import { drawSheet } from '../../../src/core/drawing/sheet.ts';
import type { Drawing, Shape } from '../../../src/core/drawing/shapes.ts';
import { findPose } from '../../../src/core/poses/catalogue/index.ts';
import { REFERENCE } from '../../support/people.ts';
import { markOf, planPlain, settingOf } from '../../support/plan.ts';

const draw = (
  poseId: string,
  side: 'left' | 'right',
  unit: 'cm' | 'in' = 'cm',
): { drawing: Drawing; setUp: ReturnType<typeof planPlain> } => {
  const setUp = planPlain(REFERENCE, poseId, side);
  const drawing = drawSheet(findPose(poseId)!, setUp, { unit, labelMm: 5 });
  if (drawing === null) throw new Error('nothing drawn');
  return { drawing, setUp };
};

type Text = Extract<Shape, { kind: 'text' }>;
const textsOf = ({ shapes }: Drawing): Text[] =>
  shapes.filter((each): each is Text => each.kind === 'text');

describe.each(['warrior-two', 'triangle', 'pyramid', 'warrior-one', 'high-lunge'])(
  'the sheet of %s',
  (poseId) => {
    it.each(['left', 'right'] as const)('draws to scale, knee above plan, %s in front', (side) => {
      const { drawing, setUp } = draw(poseId, side);
      const open = poseId === 'warrior-two' || poseId === 'triangle';
      // Open poses are seen from the edge the chest faces, closed ones from the front leg's side.
      const direction = open === (side === 'right') ? -1 : 1;
      const joints = drawing.shapes.filter(
        (each) => each.role === 'joint' && each.kind === 'circle',
      );
      const expected = [
        'hipLeft',
        'hipRight',
        'kneeLeft',
        'kneeRight',
        'ankleLeft',
        'ankleRight',
      ].map((name) => markOf(setUp, name));
      for (const [x, , z] of expected) {
        const found = joints.some(
          (each) =>
            each.kind === 'circle' &&
            Math.abs(each.centre[0] - x * direction) < 0.01 &&
            Math.abs(each.centre[1] + z) < 0.01,
        );
        expect(found).toBe(true);
      }
      const mat = drawing.shapes.find((each) => each.role === 'mat');
      const xs = mat?.kind === 'polygon' ? mat.points.map(([x]) => x) : [];
      expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(183, 6);
    });

    it('writes each number as it is to be set', () => {
      const { drawing, setUp } = draw(poseId, 'right');
      const texts = textsOf(drawing);
      for (const each of texts.filter((text) => text.setting !== undefined)) {
        const value = settingOf(setUp, each.setting as Parameters<typeof settingOf>[1]);
        const shown = each.text.endsWith('°')
          ? Math.abs(Math.round(value))
          : Math.round(value * 2) / 2;
        expect(Number.parseFloat(each.text)).toBe(shown);
      }
      expect(texts.some((each) => each.setting === 'stance-length')).toBe(true);
      expect(drawing.caption).toContain('Stance');
    });

    it('lets no two numbers meet, in both units', () => {
      for (const side of ['left', 'right'] as const) {
        for (const unit of ['cm', 'in'] as const) {
          const texts = textsOf(draw(poseId, side, unit).drawing);
          const boxes = texts.map((each) => boxOfText(each.text, each.at, each.size, each.anchor));
          for (let i = 0; i < boxes.length; i += 1) {
            for (let j = i + 1; j < boxes.length; j += 1) {
              expect(
                calcOverlap(boxes[i]!, boxes[j]!),
                `${texts[i]!.text} and ${texts[j]!.text}`,
              ).toBeLessThan(0.5);
            }
          }
        }
      }
    });
  },
);

describe('the page', () => {
  it('holds the whole body and the whole mat, also of someone with a long reach', () => {
    const setUp = planPlain({ ...REFERENCE, 'arm-reach': 79, 'shoulder-width': 46 }, 'warrior-two');
    const drawing = drawSheet(findPose('warrior-two')!, setUp, { unit: 'cm', labelMm: 5 })!;
    const [left, top, width, height] = drawing.box;
    for (const shape of drawing.shapes) {
      const points = shape.kind === 'polygon' || shape.kind === 'line' ? shape.points : [];
      for (const [x, y] of points) {
        expect(x).toBeGreaterThanOrEqual(left);
        expect(x).toBeLessThanOrEqual(left + width);
        expect(y).toBeGreaterThanOrEqual(top);
        expect(y).toBeLessThanOrEqual(top + height);
      }
    }
  });
});

describe('nothing to draw', () => {
  it('is null for a failed set-up', () => {
    const setUp = planPlain(
      { ...REFERENCE, 'hip-external-rotation': 20, 'hip-opening': 25 },
      'warrior-two',
      'right',
      { backFootDeg: 90 },
    );
    expect(setUp.status).toBe('failed');
    expect(drawSheet(findPose('warrior-two')!, setUp, { unit: 'cm', labelMm: 5 })).toBeNull();
  });
});
