import { describe, expect, it } from 'vitest';
import { withParts } from '../../../src/core/skeleton/posture.ts';
import { layOnMat } from '../../../src/core/setup/mat.ts';
import { buildSkeleton } from '../../../src/core/skeleton/skeleton.ts';
import { POSES } from '../../../src/core/poses/catalogue/index.ts';
import { ARM_OUT, CANONICAL_BODY, STANDING, standOn } from '../../support/canonicalBody.ts';
import { SUPPLE } from '../../support/people.ts';
import { markOf, planPlain } from '../../support/plan.ts';

function layStance(stance: number) {
  const posture = {
    ...withParts(STANDING, { stance }),
    pelvisCentre: [-stance / 2, 0, 0.7] as const,
  };
  return layOnMat(
    CANONICAL_BODY,
    buildSkeleton(CANONICAL_BODY, standOn(0, ARM_OUT, null), posture),
    { lengthCm: 183, widthCm: 66 },
  );
}

describe('a stance on the mat', () => {
  it('lies in its middle, with as much room before the toes as behind the heel', () => {
    const mat = layStance(1);
    // Toe tip 22.05 cm before the front heel centre, rear edge 2.45 cm behind the back one.
    expect(mat.extentCm).toBeCloseTo(100 + 24.5, 6);
    const mark = mat.working.reduce((sum, step) => sum + step.value, 0);
    expect(mark).toBeCloseTo((183 - 124.5) / 2 + 22.05, 6);
    expect(mat.fits).toBe(true);
  });

  it.each(POSES.map(({ id }) => [id] as const))('%s: its marks add up as they are told', (id) => {
    const { settings } = planPlain({ ...SUPPLE, 'knee-flexion': 165 }, id);
    const told = (wanted: string): number | null => {
      const value = settings.find((each) => each.id === wanted)?.value;
      return value === undefined ? null : Math.round(value * 2) / 2;
    };
    const front = told('front-heel-from-mat-edge')!;
    const [back] = settings.filter(
      (each) => each.id.endsWith('-from-mat-edge') && each.id !== 'front-heel-from-mat-edge',
    );
    if (back !== undefined) expect(told(back.id)).toBe(front + told('stance-length')!);
    expect(front).toBe(settings.find((each) => each.id === 'front-heel-from-mat-edge')!.value);
  });

  it('is said not to fit when it is longer than the mat', () => {
    expect(layStance(1.58).fits).toBe(true);
    expect(layStance(1.6).fits).toBe(false);
  });
});

describe('the origin of the world', () => {
  it.each(POSES.map((pose) => [pose.id, pose.origin] as const))(
    '%s: under the front heel, or midway between the heels (%s)',
    (id, origin) => {
      for (const side of ['left', 'right'] as const) {
        const setUp = planPlain({ ...SUPPLE, 'knee-flexion': 165 }, id, side);
        const front = markOf(setUp, side === 'right' ? 'heelRight' : 'heelLeft');
        const back = markOf(setUp, side === 'right' ? 'heelLeft' : 'heelRight');
        const at = origin === undefined ? front : front.map((each, i) => (each + back[i]!) / 2);
        expect(at[0]).toBeCloseTo(0, 2);
        expect(at[1]).toBeCloseTo(0, 2);
        // Footprints and base move with the body.
        const [x, y] = markOf(setUp, side === 'right' ? 'toeRight' : 'toeLeft');
        const near = setUp.footprints!.front.map(([px, py]) => Math.hypot(px - x, py - y));
        expect(Math.min(...near)).toBeLessThan(2);
      }
    },
  );
});
