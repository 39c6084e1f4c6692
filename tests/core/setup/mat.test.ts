import { describe, expect, it } from 'vitest';
import { layOnMat } from '../../../src/core/setup/mat.ts';
import { buildSkeleton } from '../../../src/core/solver/skeleton.ts';
import { ARM_OUT, FIGURE, STANDING, standOn } from '../../support/figure.ts';

function layStance(stance: number) {
  const posture = { ...STANDING, pelvisCentre: [-stance / 2, 0, 0.7] as const, stance };
  return layOnMat(FIGURE, buildSkeleton(FIGURE, standOn(0, ARM_OUT, null), posture));
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

  it('is said not to fit when it is longer than the mat', () => {
    expect(layStance(1.58).fits).toBe(true);
    expect(layStance(1.6).fits).toBe(false);
  });
});
