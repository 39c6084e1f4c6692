import { describe, expect, it } from 'vitest';
import { calcHipAngles } from '../../../src/core/body/jointAngles.ts';
import { boxOfText, calcOverlap } from '../../../src/core/drawing/placement.ts';
import { drawRotation } from '../../../src/core/drawing/rotation.ts';
import { normalise, rejectFrom, type Vec3 } from '../../../src/core/geometry/vector.ts';
import { SIDES } from '../../../src/core/measures/protocol.ts';
import { POSES } from '../../../src/core/poses/catalogue/index.ts';
import { withLevel } from '../../../src/core/poses/level.ts';
import { findHipRotation, findTwistShares } from '../../../src/core/setup/hipRotation.ts';
import { planPose } from '../../../src/core/setup/planSetUp.ts';
import { listRotationSteps, sayRotations } from '../../../src/core/setup/sayRotation.ts';
import type { SetUp } from '../../../src/core/setup/setUp.ts';
import { contextOfDemo } from '../../support/demoContext.ts';
import { planPlain, settingOf } from '../../support/plan.ts';
import { REFERENCE } from '../../support/people.ts';

function listSetUps(): readonly SetUp[] {
  const context = contextOfDemo('sanna-tveit');
  return POSES.flatMap(({ id }) =>
    SIDES.flatMap((side) => {
      const planned = planPose(context, id, side, {}, null);
      return planned.kind === 'planned' && planned.setUp.status !== 'failed' ? [planned.setUp] : [];
    }),
  );
}

const degrees = (radians: number): number => (radians * 180) / Math.PI;

describe('hip rotation from above', () => {
  const setUps = listSetUps();

  it('is a sum that closes and comes to the joint report, in every pose', () => {
    let followed = 0;
    for (const setUp of setUps) {
      for (const side of SIDES) {
        const found = findHipRotation(setUp, side);
        if (found === null) continue;
        followed += 1;
        const { floorDeg, tiltDeg, lowerLegDeg, rotationDeg, directionDeg, pelvisDeg } = found;
        expect(floorDeg + tiltDeg + lowerLegDeg).toBeCloseTo(rotationDeg, 5);
        const outward = (directionDeg - pelvisDeg) * (side === 'left' ? 1 : -1);
        expect(Math.abs(outward - floorDeg) % 360).toBeLessThan(0.06);
        const report = setUp.joints.find(
          (each) =>
            each.joint === 'hip' && each.side === side && each.motion.endsWith('al-rotation'),
        )!;
        const sign = report.motion === 'external-rotation' ? 1 : -1;
        expect(Math.abs(report.askedDeg! * sign - rotationDeg)).toBeLessThan(0.06);
      }
    }
    expect(followed).toBeGreaterThan(50);
  });

  /** A straight leg under a level pelvis, without flexion: tan(rotation) = tan(foot − pelvis) · cos(abduction). */
  it('agrees with the closed form of a spread leg: 10° with feet together, 7.7° at 40°', () => {
    const level = { forward: [1, 0, 0], left: [0, 1, 0], up: [0, 0, 1] } as const;
    const turn = (10 * Math.PI) / 180;
    const foot: Vec3 = [Math.cos(turn), Math.sin(turn), 0];
    for (const [abduction, expected] of [
      [0, 10],
      [40, 7.7],
    ] as const) {
      const a = (abduction * Math.PI) / 180;
      const thighDown: Vec3 = [0, Math.sin(a), -Math.cos(a)];
      const facing = normalise(rejectFrom(foot, thighDown));
      const angles = calcHipAngles(level, thighDown, facing, 'left');
      expect(degrees(angles.abduction)).toBeCloseTo(abduction, 6);
      expect(degrees(angles.externalRotation!)).toBeCloseTo(expected, 1);
    }
  });

  it('puts foot, pelvis and thigh-foot angle where the set-up has them', () => {
    const setUp = planPlain({ ...REFERENCE, 'thigh-foot-angle': 12 }, 'warrior-two');
    const back = findHipRotation(setUp, 'left')!;
    expect(back.by).toBe('foot');
    expect(Math.abs(back.directionDeg - settingOf(setUp, 'back-foot-angle'))).toBeLessThan(0.2);
    const short = settingOf(setUp, 'pelvis-short-of-square');
    expect(Math.abs(90 - back.pelvisDeg - short)).toBeLessThan(0.2);
    expect(back.lowerLegDeg).toBeCloseTo(-12, 0);
    const front = findHipRotation(setUp, 'right')!;
    expect(front.by).toBe('thigh');
    expect(front.pelvisDeg).toBe(back.pelvisDeg);
    expect(listRotationSteps(front).at(-1)!.words).toBe('Hip rotation');
  });

  it('mirrors', () => {
    const [right, left] = SIDES.map((side) => planPlain(REFERENCE, 'triangle', side));
    for (const side of SIDES) {
      const other = side === 'left' ? 'right' : 'left';
      const [a, b] = [findHipRotation(right!, side)!, findHipRotation(left!, other)!];
      expect(a.floorDeg).toBeCloseTo(b.floorDeg, 0);
      expect(a.rotationDeg).toBeCloseTo(b.rotationDeg, 0);
      expect(a.directionDeg).toBeCloseTo(-b.directionDeg, 0);
    }
  });

  it('shares a twist between pelvis and spine', () => {
    const twists = setUps.filter((each) => findTwistShares(each) !== null);
    expect(new Set(twists.map(({ pose }) => pose)).size).toBeGreaterThanOrEqual(3);
    for (const setUp of twists) {
      const { chestDeg, pelvisDeg, spineDeg } = findTwistShares(setUp)!;
      expect(pelvisDeg + spineDeg).toBeCloseTo(chestDeg, 5);
      expect(Math.abs(spineDeg - Math.abs(settingOf(setUp, 'spine-share-of-twist')))).toBeLessThan(
        0.06,
      );
    }
  });

  it('is drawn without texts that meet, with the numbers of its words', () => {
    for (const setUp of setUps) {
      const pose = withLevel(
        POSES.find(({ id }) => id === setUp.pose)!,
        setUp.level,
      );
      const drawing = drawRotation(pose, setUp)!;
      const texts = drawing.shapes.flatMap((each) => (each.kind === 'text' ? [each] : []));
      const boxes = texts.map(({ text, at, size, anchor }) => boxOfText(text, at, size, anchor));
      expect(texts.length, setUp.pose).toBeGreaterThanOrEqual(6);
      boxes.forEach((box, i) => {
        for (const other of boxes.slice(i + 1)) expect(calcOverlap(box, other)).toBe(0);
      });
      const words = sayRotations(setUp);
      for (const { role, text } of texts) {
        if (role === 'number') expect(words, setUp.pose).toContain(text);
      }
    }
  });
});
