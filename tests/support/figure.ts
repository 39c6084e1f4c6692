import type { Figure } from '../../src/core/solver/figure.ts';

const LIMB = { thigh: 0.42, shank: 0.4, armReach: 0.62, thighFootAngle: 0 };

/** The reference body as the solver sees it, metres. */
export const FIGURE: Figure = {
  stature: 1.7,
  front: LIMB,
  back: LIMB,
  ankleHeight: 0.07,
  footLength: 0.245,
  footWidth: 0.0935,
  hipBoneWidth: 0.17 / 0.72,
  halfHips: 0.085,
  pelvisDepth: 0.14,
  trunk: 0.5,
  halfShoulders: 0.18,
};
