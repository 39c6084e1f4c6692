import { describe, expect, it } from 'vitest';
import { fromYawTiltList } from '../../../src/core/geometry/rotation.ts';
import { layOnMat } from '../../../src/core/setup/mat.ts';
import { buildSkeleton, planFeet } from '../../../src/core/solver/skeleton.ts';
import { FIGURE } from '../../support/figure.ts';

const ARM = { reach: 'out', clearFrontFoot: null } as const;

function layStance(stance: number) {
  const contacts = {
    feet: planFeet(FIGURE, 0, () => 0, false),
    arms: { front: ARM, back: ARM },
    straightKnee: { front: null, back: null },
  };
  const skeleton = buildSkeleton(FIGURE, contacts, {
    pelvisCentre: [-stance / 2, 0, 0.7],
    pelvis: fromYawTiltList({ yaw: 0, tilt: 0, list: 0 }),
    spineFlexion: 0,
    spineSideBend: 0,
    spineRotation: 0,
    stance,
    backFootYaw: 0,
    backHeelLift: 0,
  });
  return layOnMat(FIGURE, skeleton);
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
