import { describe, expect, it } from 'vitest';
import { boxOfText, calcOverlap } from '../../../src/core/drawing/placement.ts';
import { drawFromAbove, drawFromSide, drawSheet } from '../../../src/core/drawing/sheet.ts';
import { drawFromFront } from '../../../src/core/drawing/frontView.ts';
import type { Drawing, Shape } from '../../../src/core/drawing/shapes.ts';
import { writeSvg } from '../../../src/core/drawing/svg.ts';
import { findPose, POSES } from '../../../src/core/poses/catalogue/index.ts';
import { REFERENCE, SUPPLE } from '../../support/people.ts';
import { markOf, planPlain, settingOf } from '../../support/plan.ts';

const draw = (
  poseId: string,
  side: 'left' | 'right',
  unit: 'cm' | 'in' = 'cm',
): { drawing: Drawing; setUp: ReturnType<typeof planPlain> } => {
  const setUp = planPlain({ ...SUPPLE, 'knee-flexion': 165 }, poseId, side);
  const drawing = drawSheet(findPose(poseId)!, setUp, { unit, labelMm: 5 });
  if (drawing === null) throw new Error('nothing drawn');
  return { drawing, setUp };
};

type Text = Extract<Shape, { kind: 'text' }>;
const textsOf = ({ shapes }: Drawing): Text[] =>
  shapes.filter((each): each is Text => each.kind === 'text');

describe.each(POSES.map((pose) => pose.id))('the sheet of %s', (poseId) => {
  it.each(['left', 'right'] as const)('draws to scale, knee above plan, %s in front', (side) => {
    const { drawing, setUp } = draw(poseId, side);
    const open = ['long-edge', 'stacked'].includes(findPose(poseId)!.pelvisFaces);
    // Open poses are seen from the edge the chest faces, closed ones from the front leg's side.
    const direction = open === (side === 'right') ? -1 : 1;
    const joints = drawing.shapes.filter((each) => each.role === 'joint' && each.kind === 'circle');
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

  it('keeps its words on the page, also with the large labels of a phone', () => {
    const { setUp } = draw(poseId, 'right');
    const options = { unit: 'cm', labelMm: 9 } as const;
    for (const drawIt of [drawSheet, drawFromSide, drawFromAbove]) {
      const drawing = drawIt(findPose(poseId)!, setUp, options)!;
      const [left, , width] = drawing.box;
      for (const { text, at, size, anchor } of textsOf(drawing)) {
        const [from, , to] = boxOfText(text, at, size, anchor);
        expect(from, text).toBeGreaterThanOrEqual(left - 1e-9);
        expect(to, text).toBeLessThanOrEqual(left + width + 1e-9);
      }
    }
  });

  it('writes each number as it is to be set', () => {
    const { drawing, setUp } = draw(poseId, 'right');
    const texts = textsOf(drawing);
    for (const each of texts.filter((text) => text.setting !== undefined)) {
      const value = settingOf(setUp, each.setting as Parameters<typeof settingOf>[1]);
      const shown = each.text.endsWith('°')
        ? Math.round(Math.abs(value))
        : Math.round(value * 2) / 2;
      expect(Number.parseFloat(each.text)).toBe(shown);
    }
    const hasStance = setUp.settings.some((each) => each.id === 'stance-length');
    expect(texts.some((each) => each.setting === 'stance-length')).toBe(hasStance);
    expect(drawing.caption.includes('Stance')).toBe(hasStance);
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
});

describe('every level', () => {
  const levels = POSES.flatMap((pose) => pose.levels.map((level) => [pose, level.id] as const));

  it.each(levels.map(([pose, level]) => [pose.id, level] as const))(
    '%s, %s: no two numbers meet, and what it is leant on is drawn where it stands',
    (poseId, level) => {
      const measures = {
        ...SUPPLE,
        'knee-flexion': 165,
        'trunk-rotation': 75,
        'hip-flexion': 150,
        'straight-leg-raise': 145,
        'hip-extension': 30,
        'hip-adduction': 30,
      };
      for (const side of ['left', 'right'] as const) {
        const setUp = planPlain(measures, poseId, side, {}, level);
        const drawing = drawSheet(findPose(poseId)!, setUp, { unit: 'cm', labelMm: 5 })!;
        for (const draw of [drawFromAbove, drawFromSide, drawFromFront]) {
          const svg = writeSvg(draw(findPose(poseId)!, setUp, { unit: 'cm', labelMm: 5 })!);
          expect(svg).toContain('</svg>');
          expect(svg).not.toContain('NaN');
        }
        const texts = textsOf(drawing);
        const boxes = texts.map((each) => boxOfText(each.text, each.at, each.size, each.anchor));
        for (let i = 0; i < boxes.length; i += 1) {
          for (let j = i + 1; j < boxes.length; j += 1) {
            const which = `${texts[i]!.text} and ${texts[j]!.text}`;
            expect(calcOverlap(boxes[i]!, boxes[j]!), which).toBeLessThan(0.5);
          }
        }
        const heights = ['thigh-support', 'knee-pad', 'front-ball-block', 'heel-wedge'] as const;
        const tops = drawing.shapes.flatMap((each) =>
          each.role === 'prop' && each.kind === 'polygon'
            ? [-Math.min(...each.points.map(([, y]) => y))]
            : [],
        );
        for (const id of heights) {
          const height = setUp.settings.find((each) => each.id === id)?.value;
          if (height !== undefined) {
            expect(
              tops.some((top) => Math.abs(top - height) < 0.06),
              id,
            ).toBe(true);
          }
        }
        const ahead = setUp.settings.find((each) => each.id === 'wall-ahead')?.value;
        if (ahead !== undefined) {
          const palm = markOf(setUp, 'handLeft')[0];
          const walls = drawing.shapes.filter(
            (each) =>
              each.role === 'floor' &&
              each.kind === 'line' &&
              each.points.every(([x]) => Math.abs(Math.abs(x) - Math.abs(palm)) < 0.5),
          );
          expect(walls.length).toBeGreaterThan(0);
        }
      }
    },
  );
});

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

describe('a drawing as SVG text', () => {
  const setUp = planPlain(REFERENCE, 'warrior-two', 'right');
  const options = { unit: 'cm', labelMm: 5 } as const;
  const pose = findPose('warrior-two')!;

  it('prints at 1:10: a millimetre of paper is a centimetre of the mat', () => {
    const drawing = drawFromAbove(pose, setUp, options)!;
    const svg = writeSvg(drawing);
    const [, width, height] = /width="([\d.]+)mm" height="([\d.]+)mm"/.exec(svg)!;
    expect(Number(width)).toBeCloseTo(drawing.box[2], 1);
    expect(Number(height)).toBeCloseTo(drawing.box[3], 1);
    const mat = /<polygon class="mat" points="([^"]+)"/.exec(svg)![1]!.split(' ');
    const xs = mat.map((point) => Number(point.split(',')[0]));
    expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(183, 1);
    // At 1:5 the same drawing takes twice the paper, with the same view box.
    expect(writeSvg(drawing, 5)).toContain(
      `width="${String(Number((drawing.box[2] * 2).toFixed(2)))}mm"`,
    );
  });

  it('shows from the front what the side cannot: hips and the front knee, to scale', () => {
    const { shapes, caption } = drawFromFront(pose, setUp, options)!;
    const bar = shapes.find((each) => each.role === 'pelvis-bar');
    const [left, right] = ['hipLeft', 'hipRight'].map((name) => markOf(setUp, name));
    expect(bar).toMatchObject({
      points: [
        [left![1], -left![2]],
        [right![1], -right![2]],
      ],
    });
    expect(caption).toContain('off level');
  });

  it('escapes what would break the text, and draws each view of every pose', () => {
    expect(writeSvg({ box: [0, 0, 1, 1], shapes: [], caption: 'a < b & "c"' })).toContain(
      'a &lt; b &amp; &quot;c&quot;',
    );
    for (const each of POSES) {
      const planned = planPlain({ ...SUPPLE, 'knee-flexion': 165 }, each.id);
      for (const draw of [drawFromAbove, drawFromSide, drawFromFront]) {
        const svg = writeSvg(draw(each, planned, options)!);
        expect(svg.startsWith('<svg xmlns="http://www.w3.org/2000/svg"')).toBe(true);
        expect(svg).not.toContain('NaN');
      }
    }
  });
});

describe('where a hand comes down', () => {
  it('is told in front of the body, so that no leg hides the number on a small screen', () => {
    const setUp = planPlain(SUPPLE, 'wide-fold');
    const { shapes } = drawSheet(findPose('wide-fold')!, setUp, { unit: 'cm', labelMm: 9 })!;
    const told = shapes.findIndex((each) => each.kind === 'text' && each.setting === 'hand-height');
    expect(told).toBeGreaterThan(shapes.findLastIndex((each) => /^body/.test(each.role)));
  });

  it('stands a block only where the hand does not reach the floor', () => {
    const floorAndBlock = [SUPPLE, REFERENCE].map((measures) => {
      const setUp = planPlain(measures, 'wide-fold', 'right', { depth: 'deepest' });
      const { shapes } = drawSheet(findPose('wide-fold')!, setUp, { unit: 'cm', labelMm: 5 })!;
      const countOf = (role: string): number => shapes.filter((each) => each.role === role).length;
      return {
        high: settingOf(setUp, 'hand-height'),
        hands: countOf('footprint hand'),
        blocks: countOf('prop'),
      };
    });
    expect(floorAndBlock[0]).toEqual({ high: 0, hands: 2, blocks: 0 });
    expect(floorAndBlock[1]!.high).toBeGreaterThan(1);
    // Two in the elevation, two on the mat from above.
    expect(floorAndBlock[1]).toMatchObject({ hands: 0, blocks: 4 });
  });
});
