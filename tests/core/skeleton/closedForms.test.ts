import { describe, expect, it } from 'vitest';
import { CANONICAL_BODY } from '../../support/canonicalBody.ts';
import { aboutUp, NO_ROTATION } from '../../../src/core/geometry/rotation.ts';
import { distance, type Vec3 } from '../../../src/core/geometry/vector.ts';
import { placeFlatFoot } from '../../../src/core/skeleton/foot.ts';
import { poseLeg } from '../../../src/core/skeleton/leg.ts';
import type { CanonicalBody } from '../../../src/core/skeleton/canonicalBody.ts';
import { REFERENCE } from '../../support/people.ts';
import { depthOf, planPlain, settingOf } from '../../support/plan.ts';

const DEG = Math.PI / 180;
/** A straight leg that is allowed no bend at all. */
const NO_BEND = 0;

describe('a leg between hip and foot', () => {
  it('bends its knee by the law of cosines: hip 60 cm above the ankle', () => {
    const foot = placeFlatFoot(CANONICAL_BODY, [0, 0, 0], 0);
    const hip: Vec3 = [foot.ankle[0], 0, foot.ankle[2] + 0.6];
    const leg = poseLeg(CANONICAL_BODY, 'front', NO_ROTATION, hip, foot, null);
    const inner = Math.acos((0.42 ** 2 + 0.4 ** 2 - 0.6 ** 2) / (2 * 0.42 * 0.4));
    expect(leg.kneeFlexion).toBeCloseTo(Math.PI - inner, 9);
    expect(distance(leg.knee, hip)).toBeCloseTo(0.42, 12);
    expect(distance(leg.knee, foot.ankle)).toBeCloseTo(0.4, 12);
    // It bends the way the foot points.
    expect(leg.knee[0]).toBeGreaterThan(foot.ankle[0]);
    expect(leg.knee[1]).toBeCloseTo(0, 12);
  });

  it('places heel, ankle, ball and toe at 0.10, 0.25, 0.72 and 1.00 of the foot', () => {
    const foot = placeFlatFoot(CANONICAL_BODY, [0, 0, 0], 90 * DEG);
    expect(foot.ankle[1]).toBeCloseTo(0.15 * 0.245, 12);
    expect(foot.ball[1]).toBeCloseTo(0.62 * 0.245, 12);
    expect(foot.toe[1]).toBeCloseTo(0.9 * 0.245, 12);
    expect(foot.ankle[2]).toBe(0.07);
  });

  /** tan(rotation) = tan(foot − pelvis) · cos(abduction), straight leg, level pelvis. */
  it.each([
    [90, 80, 0, 10],
    [90, 80, 40, 7.7],
    [75, 75, 30, 0],
    [90, 60, 35, 25.3],
  ])(
    'foot %i°, pelvis %i°, abduction %i°: %f° of rotation',
    (footDeg, pelvisDeg, abductionDeg, expected) => {
      const foot = placeFlatFoot(CANONICAL_BODY, [0, 0, 0], footDeg * DEG);
      const pelvis = aboutUp(pelvisDeg * DEG);
      const reach = 0.82;
      // The leg leans in the pelvis's own frontal plane: from the ankle inward and up.
      const inward: Vec3 = [-pelvis.left[0], -pelvis.left[1], 0];
      const s = Math.sin(abductionDeg * DEG) * reach;
      const hip: Vec3 = [
        foot.ankle[0] + inward[0] * s,
        foot.ankle[1] + inward[1] * s,
        foot.ankle[2] + Math.cos(abductionDeg * DEG) * reach,
      ];
      const { hipAngles } = poseLeg(CANONICAL_BODY, 'back', pelvis, hip, foot, NO_BEND);
      expect(hipAngles.abduction / DEG).toBeCloseTo(abductionDeg, 6);
      expect(hipAngles.flexion / DEG).toBeCloseTo(0, 6);
      expect((hipAngles.externalRotation ?? NaN) / DEG).toBeCloseTo(expected, 1);
      const formula = Math.atan(
        Math.tan((footDeg - pelvisDeg) * DEG) * Math.cos(abductionDeg * DEG),
      );
      expect(hipAngles.externalRotation).toBeCloseTo(formula, 9);
    },
  );

  it('lets the foot of a straight leg point outward of the knee by the thigh–foot angle', () => {
    const turned: CanonicalBody = {
      ...CANONICAL_BODY,
      back: { ...CANONICAL_BODY.back, thighFootAngle: 12 * DEG },
    };
    const foot = placeFlatFoot(turned, [0, 0, 0], 12 * DEG);
    const hip: Vec3 = [foot.ankle[0], foot.ankle[1], foot.ankle[2] + 0.82];
    const leg = poseLeg(turned, 'back', NO_ROTATION, hip, foot, NO_BEND);
    expect(leg.hipAngles.externalRotation).toBeCloseTo(0, 9);
  });

  it('inverts the ankle whose shank leans to the big-toe side', () => {
    const foot = placeFlatFoot(CANONICAL_BODY, [0, 0, 0], 0);
    const lean = 20 * DEG;
    // The back leg is the left one: its big toe lies to the right, −y.
    const hip: Vec3 = [
      foot.ankle[0],
      -Math.sin(lean) * 0.82,
      foot.ankle[2] + Math.cos(lean) * 0.82,
    ];
    const leg = poseLeg(CANONICAL_BODY, 'back', NO_ROTATION, hip, foot, NO_BEND);
    expect(leg.ankleAngles.inversion).toBeCloseTo(lean, 9);
    expect(leg.ankleAngles.dorsiflexion).toBeCloseTo(0, 9);
  });
});

describe('closed forms', () => {
  it.each([0.7, 0.89, 1.1])(
    'straight legs %f m apart: angle 2·asin((S − w) / (2·hipToAnkle)), hips √(hipToAnkle² − ((S − w)/2)²) up',
    (span) => {
      const w = 2 * CANONICAL_BODY.halfHips;
      const half = (span - w) / 2;
      const height = Math.sqrt(0.82 ** 2 - half ** 2);
      // A straddle: pelvis square to the long edge, both feet parallel to it, hips level.
      const pelvis = aboutUp(90 * DEG);
      const frontFoot = placeFlatFoot(CANONICAL_BODY, [0, 0, 0], 90 * DEG);
      const backFoot = placeFlatFoot(CANONICAL_BODY, [-span, 0, 0], 90 * DEG);
      const hip = (x: number): Vec3 => [x, frontFoot.ankle[1], frontFoot.ankle[2] + height];
      const front = poseLeg(CANONICAL_BODY, 'front', pelvis, hip(-half), frontFoot, NO_BEND);
      const back = poseLeg(CANONICAL_BODY, 'back', pelvis, hip(-half - w), backFoot, NO_BEND);
      for (const leg of [front, back]) {
        expect(leg.overreach).toBeCloseTo(0, 12);
        expect(leg.hipAngles.flexion).toBeCloseTo(0, 9);
        expect(leg.ankleAngles.inversion).toBeCloseTo(Math.asin(half / 0.82), 9);
      }
      const between = front.hipAngles.abduction + back.hipAngles.abduction;
      expect(between).toBeCloseTo(2 * Math.asin((span - w) / (2 * 0.82)), 9);
    },
  );

  it('right-angle warrior II, pelvis level and square: S = thigh + √(hipToAnkle² − shank²) + w − 0.15 foot', () => {
    // A body with more range than the pose can ask, so that nothing but lengths decides.
    const boundless = {
      ...REFERENCE,
      'hip-flexion': 150,
      'straight-leg-raise': 140,
      'hip-extension': 45,
      'hip-abduction': 88,
      'hip-opening': 94,
      'hip-external-rotation': 88,
      'hip-internal-rotation': 78,
      'trunk-rotation': 95,
    };
    const setUp = planPlain(boundless, 'warrior-two', 'right', {
      backFootDeg: 90,
      heelLine: 'heel-to-heel',
    });
    expect(depthOf(setUp).value).toBeCloseTo(90, 0);
    const closed = 42 + Math.sqrt(82 ** 2 - 40 ** 2) + 17 - 0.15 * 24.5;
    // Heel to heel the back ankle stands 3.7 cm off the line, and 1° of knee is kept.
    expect(settingOf(setUp, 'stance-length')).toBeGreaterThan(closed - 2);
    expect(settingOf(setUp, 'stance-length')).toBeLessThan(closed + 0.5);
    expect(settingOf(setUp, 'pelvis-short-of-square')).toBeCloseTo(0, 0);
  });
});
