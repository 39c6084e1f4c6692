import { PlanningContext } from '../../../src/core/planning/planningContext.ts';
import { describe, expect, it } from 'vitest';
import { findDrawnBody } from '../../../src/core/drawing/demonstration/drawnBody.ts';
import { drawLying } from '../../../src/core/drawing/lying/drawLying.ts';
import { boxOfText, calcOverlap } from '../../../src/core/drawing/placement.ts';
import type { Drawing, Shape } from '../../../src/core/drawing/shapes.ts';
import { LYING_POSES } from '../../../src/core/poses/lying/index.ts';
import { planSetUp } from '../../../src/core/setup/planSetUp.ts';
import type { SetUp } from '../../../src/core/setup/setUp.ts';
import type { SettingId } from '../../../src/core/setup/settingKinds.ts';
import { cmFromMetres } from '../../../src/core/units/brands.ts';
import { recordOf, REFERENCE, STIFF, SUPPLE, type Measures } from '../../support/people.ts';
import { settingOf } from '../../support/plan.ts';

type Point = readonly [number, number];
type Of<Kind extends Shape['kind']> = Extract<Shape, { kind: Kind }>;

const shapesOf = <Kind extends Shape['kind']>(
  { shapes }: Drawing,
  kind: Kind,
  role: string,
): Of<Kind>[] =>
  shapes.filter((each): each is Of<Kind> => each.kind === kind && each.role === role);

function draw(
  measures: Measures,
  poseId: string,
  side: 'left' | 'right',
  unit: 'cm' | 'in' = 'cm',
): { drawing: Drawing; setUp: SetUp } {
  const record = recordOf(measures);
  const pose = LYING_POSES.find((each) => each.id === poseId)!;
  const planned = planSetUp(new PlanningContext(record), poseId, side);
  if (!planned.ok) throw new Error(planned.problems[0]?.message);
  const drawing = drawLying(pose, planned.value, { unit, labelMm: 5.3 });
  if (drawing === null) throw new Error('nothing drawn');
  return { drawing, setUp: planned.value };
}

/** A dimension line is long; the ticks at its ends are 5 mm. */
const dimensionsOf = (drawing: Drawing): number[] =>
  shapesOf(drawing, 'line', 'dimension')
    .map(({ points }) => Math.hypot(points[1]![0] - points[0]![0], points[1]![1] - points[0]![1]))
    .filter((length) => length > 5.5);

const has = ({ settings }: SetUp, id: SettingId): boolean =>
  settings.some((each) => each.id === id);

describe.each(LYING_POSES.map((each) => each.id))('the sheet of %s', (poseId) => {
  it('tells every drawn number once, in both units and on both sides, and no two meet', () => {
    for (const measures of [REFERENCE, STIFF, SUPPLE]) {
      for (const side of ['left', 'right'] as const) {
        for (const unit of ['cm', 'in'] as const) {
          const { drawing } = draw(measures, poseId, side, unit);
          const texts = drawing.shapes.filter((each): each is Of<'text'> => each.kind === 'text');
          const told = texts.flatMap(({ setting }) => (setting === undefined ? [] : [setting]));
          expect(told.length).toBeGreaterThan(0);
          expect(new Set(told).size).toBe(told.length);
          const boxes = texts.map((each) => boxOfText(each.text, each.at, each.size, each.anchor));
          boxes.forEach((a, i) => {
            boxes.slice(i + 1).forEach((b, j) => {
              const which = `${texts[i]!.text} and ${texts[i + 1 + j]!.text}`;
              expect(calcOverlap(a, b), which).toBeLessThan(0.5);
            });
          });
        }
      }
    }
  });

  it('has nothing under the floor or the seat', () => {
    for (const measures of [REFERENCE, STIFF, { ...SUPPLE, 'arm-reach': 70 }]) {
      const { setUp } = draw(measures, poseId, 'right');
      const seat = has(setUp, 'seat-height') ? settingOf(setUp, 'seat-height') : 0;
      for (const [name, [, , z]] of Object.entries(setUp.landmarks)) {
        // The legs come down from a seat to the floor, all else stays above it.
        const least = /knee|ankle|heel|ball|toe/.test(name) ? 0 : seat;
        expect(z, name).toBeGreaterThan(least - 0.1);
      }
    }
  });

  it('draws its lengths to scale', () => {
    const { drawing, setUp } = draw(REFERENCE, poseId, 'right');
    const drawn = dimensionsOf(drawing);
    const hasLine = (['hips-off-wall', 'heel-marks', 'door-frame-distance'] as const).filter((id) =>
      has(setUp, id),
    );
    for (const id of hasLine) {
      const value = settingOf(setUp, id);
      expect(
        drawn.some((length) => Math.abs(length - value) < 0.01),
        id,
      ).toBe(true);
    }
    if (has(setUp, 'seat-height') && settingOf(setUp, 'seat-height') > 0) {
      const [seat] = shapesOf(drawing, 'polygon', 'prop');
      const ys = seat!.points.map(([, y]) => y);
      expect(Math.max(...ys) - Math.min(...ys)).toBeCloseTo(settingOf(setUp, 'seat-height'), 6);
    }
  });
});

describe('before a wall', () => {
  /** Knee and ankle circles are drawn in the order hip, knee, ankle: front then back. */
  const jointsOf = (drawing: Drawing): Point[] =>
    shapesOf(drawing, 'circle', 'joint').map(({ centre }) => centre);

  it('the front shin stands level to the wall, both soles on it, the legs as long as they are', () => {
    for (const side of ['left', 'right'] as const) {
      const { drawing, setUp } = draw(REFERENCE, 'lying-warrior-two', side);
      const [frontHip, backHip, frontKnee, , frontAnkle, backAnkle] = jointsOf(drawing);
      const body = findDrawnBody(recordOf(REFERENCE).readings);
      const leg = cmFromMetres(body.thigh[side]) + cmFromMetres(body.shank[side]);
      // Level to the wall: as far along it at the knee as at the ankle.
      expect(Math.abs(frontKnee![0] - frontAnkle![0])).toBeLessThan(0.5);
      expect(Math.hypot(backAnkle![0] - backHip![0], backAnkle![1] - backHip![1])).toBeCloseTo(
        leg,
        1,
      );
      const [wall] = shapesOf(drawing, 'line', 'floor');
      const wallY = wall!.points[0]![1];
      const ankleHeight = cmFromMetres(body.ankleHeight);
      for (const ankle of [frontAnkle!, backAnkle!]) {
        expect(Math.abs(wallY - ankle[1] - ankleHeight)).toBeLessThan(0.5);
      }
      // The front leg lies on its own side as seen from above: a right leg on the left of the page.
      expect(Math.sign(frontKnee![0] - frontHip![0])).toBe(side === 'right' ? -1 : 1);
      expect(wallY - frontHip![1]).toBeCloseTo(settingOf(setUp, 'hips-off-wall'), 6);
    }
  });

  it.each([70, 105])('a leg raised by %d° is measured from the leg on the floor', (raise) => {
    for (const side of ['left', 'right'] as const) {
      const measures = { ...REFERENCE, 'straight-leg-raise': raise };
      const { drawing } = draw(measures, 'lying-hand-to-foot', side);
      const [frontHip, backHip, , , frontAnkle, backAnkle] = jointsOf(drawing);
      const [arc] = shapesOf(drawing, 'arc', 'dimension');
      const toward = (from: Point, to: Point): number =>
        (Math.atan2(to[1] - from[1], to[0] - from[0]) * 180) / Math.PI;
      const apart = (a: number, b: number): number => Math.abs(((a - b + 540) % 360) - 180);
      expect(apart(arc!.fromDeg, toward(backHip!, backAnkle!))).toBeLessThan(5);
      expect(apart(arc!.toDeg, toward(frontHip!, frontAnkle!))).toBeLessThan(1);
    }
  });

  it('a stopped set-up has no drawing', () => {
    const record = recordOf(REFERENCE, {
      cautions: [
        {
          uid: 'one',
          id: 'tingling-numbness',
          side: null,
          since: null,
          severity: 'stop',
          clearedBy: null,
          clearedAt: null,
          note: '',
        },
      ],
    });
    const planned = planSetUp(new PlanningContext(record), 'lying-warrior-two', 'right');
    if (!planned.ok) throw new Error('no plan');
    const [pose] = LYING_POSES.filter((each) => each.id === 'lying-warrior-two');
    expect(drawLying(pose!, planned.value, { unit: 'cm', labelMm: 5 })).toBeNull();
  });
});
