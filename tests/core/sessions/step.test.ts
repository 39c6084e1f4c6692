import { describe, expect, it } from 'vitest';
import { POSES } from '../../../src/core/poses/catalogue/index.ts';
import { takeStep } from '../../../src/core/sessions/step.ts';
import { NOT_MOVED } from '../../../src/core/whatIf/planMoved.ts';
import { planPose, type Plan } from '../../../src/core/setup/planSetUp.ts';
import type { SetUp } from '../../../src/core/setup/setUp.ts';
import { contextOf, REFERENCE, STIFF, SUPPLE, type Measures } from '../../support/people.ts';

function plan(measures: Measures, poseId: string): Plan | null {
  const planned = planPose(contextOf({ ...measures, 'knee-flexion': 165 }), poseId, 'right');
  return planned.kind === 'planned' && planned.setUp.status !== 'failed' ? planned : null;
}

const leastOf = ({ joints }: SetUp): number =>
  Math.min(
    ...joints.map(({ safeDeg, askedDeg }) =>
      safeDeg === null || askedDeg === null ? Infinity : safeDeg - askedDeg,
    ),
  );
const numberOf = ({ settings }: SetUp, id: string): number =>
  settings.find((each) => each.id === id)?.value ?? NaN;

describe('a step of the ladder', () => {
  it.each(POSES.map((each) => each.id))(
    '%s: one step, in its own direction, held by every joint',
    (poseId) => {
      for (const measures of [REFERENCE, STIFF, SUPPLE]) {
        const planned = plan(measures, poseId);
        if (planned === null) continue;
        const { depth } = planned.setUp;
        for (const direction of ['easier', 'further'] as const) {
          const step = takeStep(planned, NOT_MOVED, direction);
          if (step === null) continue;
          expect(step.changes.length).toBeGreaterThan(0);
          // Limits hold: nothing gives.
          expect(leastOf(step.setUp)).toBeGreaterThan(-0.5);
          const after = step.setUp.depth?.value;
          if (depth?.value == null || after == null) continue;
          if (direction === 'further') {
            expect(after).toBeGreaterThan(depth.value);
            expect(after - depth.value).toBeLessThanOrEqual(10.2);
            expect(after).toBeLessThanOrEqual((depth.deepest ?? 0) + 0.2);
          } else {
            expect(after).toBeLessThanOrEqual(depth.value + 0.2);
          }
        }
      }
    },
  );

  it('changes what the practice changes first: the knee in a warrior, the hand in a triangle', () => {
    const warrior = plan(REFERENCE, 'warrior-two')!;
    const less = takeStep(warrior, NOT_MOVED, 'easier')!;
    expect(less.words).toBe('the knee bent less');
    const was = numberOf(warrior.setUp, 'front-knee-bend');
    expect(was - numberOf(less.setUp, 'front-knee-bend')).toBeCloseTo(12, 0);
    const change = less.changes.find((each) => each.id === 'front-knee-bend');
    expect(change).toMatchObject({ was, unit: 'deg' });
    const triangle = plan(REFERENCE, 'triangle')!;
    const higher = takeStep(triangle, NOT_MOVED, 'easier')!;
    expect(higher.words).toBe('the hand one face higher');
    expect([7.5, 15, 23, 45]).toContain(higher.held.handCm);
    expect(numberOf(higher.setUp, 'hand-height')).toBeGreaterThan(
      numberOf(triangle.setUp, 'hand-height'),
    );
  });

  it('leads on from what was really used, and ends at the deepest safe set-up', () => {
    const planned = plan(REFERENCE, 'warrior-two')!;
    const deepest = planned.setUp.depth!.deepest!;
    const near = { ...NOT_MOVED, depth: deepest - 4 };
    const last = takeStep(planned, near, 'further')!;
    expect(last.held.depth).toBeCloseTo(deepest, 6);
    expect(takeStep(planned, { ...NOT_MOVED, depth: deepest }, 'further')).toBeNull();
  });
});
