import { describe, expect, it } from 'vitest';
import { LYING_POSES } from '../../../src/core/poses/lying/index.ts';
import { planSetUp } from '../../../src/core/setup/planSetUp.ts';
import { calcExpression } from '../../support/expression.ts';
import { contextOf, REFERENCE, STIFF } from '../../support/people.ts';
import { markOf, planPlain, settingOf } from '../../support/plan.ts';

describe('lying and seated forms', () => {
  it('lying warrior II: the wall is the floor, worked by hand', () => {
    const setUp = planPlain(REFERENCE, 'lying-warrior-two');
    // Shin level to the wall: shank 40 and the ankle's 7.
    expect(settingOf(setUp, 'hips-off-wall')).toBe(47);
    // 42 · sin 55° + √(82² − 40²) + 17 − 0.15 · 24.5
    expect(settingOf(setUp, 'heel-marks')).toBeCloseTo(34.4 + 71.58 + 17 - 3.68, 1);
    // The hip bones 23.61 apart: pelvis 0.6 of that deep, the hip centre 0.19 of it behind its front.
    const hip = (0.6 - 0.19) * (17 / 0.72);
    // + 42 · cos 55° − 8
    expect(settingOf(setUp, 'knee-support')).toBeCloseTo(hip + 24.09 - 8, 1);
    // The ankle lies a quarter of the foot above the back of its heel.
    expect(settingOf(setUp, 'back-heel-block')).toBeCloseTo(hip - 24.5 / 4, 1);
  });

  it('lying triangle stands the hips off the wall as high as straight legs hold them', () => {
    const setUp = planPlain(REFERENCE, 'lying-triangle');
    // 7 + √(82² − ((82 − 17) / 2)²)
    expect(settingOf(setUp, 'hips-off-wall')).toBeCloseTo(7 + Math.sqrt(82 ** 2 - 32.5 ** 2), 1);
  });

  it('a seat is what the leg raise lacks, the floor when nothing does, 25 cm at most', () => {
    // 82 · sin 5° − 3.5
    expect(settingOf(planPlain(REFERENCE, 'staff'), 'seat-height')).toBeCloseTo(3.6, 1);
    expect(
      settingOf(planPlain({ ...REFERENCE, 'straight-leg-raise': 95 }, 'staff'), 'seat-height'),
    ).toBe(0);
    const stiff = planPlain(STIFF, 'staff');
    expect(settingOf(stiff, 'seat-height')).toBe(25);
    expect(settingOf(stiff, 'knee-support')).toBeGreaterThan(0);
  });

  it('a strap for the raised foot is there and back between sole and hand', () => {
    const setUp = planPlain(REFERENCE, 'lying-hand-to-foot');
    const along = 89 * Math.cos((85 * Math.PI) / 180) + 50;
    const up = (0.6 - 0.19) * (17 / 0.72) + 89 * Math.sin((85 * Math.PI) / 180);
    expect(settingOf(setUp, 'strap-length')).toBeCloseTo(2 * (Math.hypot(along, up) - 62), 0);
    expect(settingOf(setUp, 'door-frame-distance')).toBeCloseTo(
      82 * Math.cos((85 * Math.PI) / 180),
      1,
    );
    // A leg that passes upright leaves the door frame behind: there is no place to tell.
    const supple = planPlain({ ...REFERENCE, 'straight-leg-raise': 100 }, 'lying-hand-to-foot');
    expect(supple.settings.map(({ id }) => id)).not.toContain('door-frame-distance');
  });

  it.each(LYING_POSES.map((pose) => pose.id))(
    '%s: every number names its contact points and follows from its written steps',
    (id) => {
      for (const measures of [REFERENCE, STIFF]) {
        const { settings, status } = planPlain(measures, id);
        expect(status).toBe('solved');
        expect(settings.length).toBeGreaterThan(0);
        for (const { value, working, from, to } of settings) {
          const terms = working.filter((step) => step.kind === 'term');
          const sum = terms.reduce((all, step) => all + calcExpression(step.expression!), 0);
          expect(Math.abs(sum - value)).toBeLessThanOrEqual(0.1);
          expect(from.length).toBeGreaterThan(2);
          expect(to.length).toBeGreaterThan(2);
        }
      }
    },
  );

  it('has a posture: the wall at x = 0, both soles on it, the head beyond the hips, on either side', () => {
    for (const side of ['left', 'right'] as const) {
      for (const pose of ['lying-warrior-two', 'lying-triangle']) {
        const setUp = planPlain(REFERENCE, pose, side);
        const hips = markOf(setUp, 'pelvisCentre');
        expect(hips[0]).toBeCloseTo(settingOf(setUp, 'hips-off-wall'), 1);
        for (const ankle of ['ankleLeft', 'ankleRight']) {
          expect(markOf(setUp, ankle)[0]).toBeCloseTo(7, 1);
        }
        expect(markOf(setUp, 'head')[0]).toBeGreaterThan(hips[0] + 40);
        // On its back the body's left lies to the right of one who looks from the wall to the head.
        expect(markOf(setUp, 'hipLeft')[1]).toBeLessThan(markOf(setUp, 'hipRight')[1]);
      }
    }
  });

  it('names a missing measure, and stops at a stop sign', () => {
    const missing = planSetUp(contextOf({ stature: 170 }), 'staff', 'left');
    expect(missing).toMatchObject({ ok: false });
    expect(!missing.ok && missing.problems.map((each) => each.path)).toEqual([
      'straight-leg-raise left',
      'straight-leg-raise right',
    ]);
  });
});
