import { describe, expect, it } from 'vitest';
import { calcBody, type Body } from '../../../src/core/body/body.ts';
import { drawDemonstration } from '../../../src/core/drawing/demonstration/drawDemonstration.ts';
import { findDrawnBody } from '../../../src/core/drawing/demonstration/drawnBody.ts';
import type { Drawing, Point, Shape } from '../../../src/core/drawing/shapes.ts';
import { calcMeasureSet } from '../../../src/core/measures/measureSet.ts';
import {
  getProtocol,
  PROTOCOLS,
  type MeasureId,
} from '../../../src/core/measures/protocols/index.ts';
import { recordOf, REFERENCE, type Measures } from '../../support/people.ts';

function bodyOf(changes: Measures = {}): Body {
  const body = calcBody(calcMeasureSet(recordOf({ ...REFERENCE, ...changes }).readings));
  if (!body.ok) throw new Error(body.problems[0]?.message);
  return body.value;
}

const draw = (measure: MeasureId, body = bodyOf()): Drawing =>
  drawDemonstration(body, getProtocol(measure));

const landmarks = ({ shapes }: Drawing): Point[] =>
  shapes.flatMap((each) =>
    each.kind === 'circle' && each.role === 'landmark' ? [each.centre] : [],
  );

const find = <Kind extends Shape['kind']>({ shapes }: Drawing, kind: Kind, role: string) => {
  const found = shapes.find((each) => each.kind === kind && each.role === role);
  if (found === undefined) throw new Error(`no ${role}`);
  return found as Extract<Shape, { kind: Kind }>;
};

const apart = (a: Point, b: Point): number => Math.hypot(a[0] - b[0], a[1] - b[1]);

describe('the drawing of how a measure is taken', () => {
  it.each(PROTOCOLS.map((each) => each.id as MeasureId))('%s shows a body and its marks', (id) => {
    const { box, shapes, caption } = draw(id);
    const numbers = [
      ...box,
      ...shapes.flatMap((each) =>
        each.kind === 'polygon' || each.kind === 'line' ? each.points.flat() : [],
      ),
    ];
    expect(numbers.every(Number.isFinite)).toBe(true);
    expect(shapes.some((each) => each.role.startsWith('body-flesh'))).toBe(true);
    expect(caption).toContain(getProtocol(id).name);
    const marks = landmarks({ box, shapes, caption });
    expect(marks.length > 0).toBe(id !== 'single-leg-balance');
    const [left, top, width, height] = box;
    for (const [x, y] of marks) {
      expect(x).toBeGreaterThan(left);
      expect(x).toBeLessThan(left + width);
      expect(y).toBeGreaterThan(top);
      expect(y).toBeLessThan(top + height);
    }
  });

  // 1:10: a centimetre of the body is a millimetre of paper.
  it('moves the knee when the thigh grows, and leaves the hip', () => {
    const [hip, knee] = landmarks(draw('hip-extension'));
    const longer = bodyOf({ 'trochanter-height': 94, 'shoulder-height': 144 });
    const [hipThen, kneeThen] = landmarks(draw('hip-extension', longer));
    const thigh = (body: Body): number => body.thigh.left * 100;
    expect(thigh(longer) - thigh(bodyOf())).toBeGreaterThan(2);
    expect(apart(hip!, hipThen!)).toBeLessThan(0.01);
    expect(apart(hip!, knee!)).toBeCloseTo(thigh(bodyOf()), 3);
    expect(apart(hipThen!, kneeThen!)).toBeCloseTo(thigh(longer), 3);
  });

  it.each([
    'trochanter-height',
    'knee-height',
    'shoulder-height',
    'ankle-height',
    'arm-reach',
    'shoulder-width',
    'hip-bone-width',
    'pelvis-depth',
  ] as const)('lays the tape of %s along as many millimetres as it has centimetres', (id) => {
    const { uses } = bodyOf();
    const length = uses.find((each) => each.measure === id)?.value;
    const tape = find(draw(id), 'line', 'tape');
    expect(apart(tape.points[0]!, tape.points.at(-1)!)).toBeCloseTo(length!, 1);
  });

  it.each([
    ['straight-leg-raise', 72],
    ['hip-flexion', 115],
    ['hip-extension', 18],
    ['knee-flexion', 128],
    ['hip-external-rotation', 40],
    ['hip-internal-rotation', 35],
    ['hip-abduction', 40],
    ['hip-adduction', 22],
    ['trunk-side-bend', 30],
    ['trunk-extension', 24],
    ['trunk-rotation', 42],
    ['thigh-foot-angle', 18],
  ] as const)('draws %s at %d°, the angle its posture has', (id, deg) => {
    const { fromDeg, toDeg } = find(draw(id), 'arc', 'angle');
    const turn = ((((toDeg - fromDeg) % 360) + 540) % 360) - 180;
    expect(Math.abs(turn)).toBeCloseTo(deg, 0);
  });

  it('closes the soles-together leg: thigh and shank keep their length', () => {
    const body = bodyOf();
    const [hip, knee] = landmarks(draw('hip-opening', body));
    expect(apart(hip!, knee!)).toBeLessThan(body.thigh.right * 100);
    expect(apart(hip!, knee!)).toBeGreaterThan(0.5 * body.thigh.right * 100);
  });

  it('shows a body of usual build while nothing is measured', () => {
    expect(findDrawnBody([]).stature).toBeCloseTo(1.7, 6);
    expect(findDrawnBody(recordOf(REFERENCE).readings)).toEqual(bodyOf());
  });
});
