/**
 * Lengths as a fraction of stature. Drillis & Contini 1966, as reprinted in
 * D. A. Winter, Biomechanics and Motor Control of Human Movement (from memory).
 */
export const PER_STATURE = {
  thigh: 0.245,
  shank: 0.246,
  ankleHeight: 0.039,
  footLength: 0.152,
  footWidth: 0.055,
  trochanterHeight: 0.53,
  kneeHeight: 0.285,
  shoulderHeight: 0.818,
  halfShoulderWidth: 0.129,
  upperArm: 0.186,
  forearm: 0.146,
  hand: 0.108,
} as const;

/** Distance of the hip centres when hip bone width is missing, per stature. Our choice. */
export const HIP_BONE_WIDTH_PER_STATURE = 0.14;

/** Ear canal above the shoulder line, and neck base, per stature. Our choice. */
export const EAR_ABOVE_SHOULDER_PER_STATURE = 0.118;
export const NECK_ABOVE_SHOULDER_PER_STATURE = 0.052;

/**
 * Lower edge of a shoulder blade: below the shoulder line and half the chest's depth behind
 * it, per stature, and outward as a share of half the shoulder width. Estimated, our choice.
 */
export const SHOULDER_BLADE = {
  belowPerStature: 0.09,
  chestDepthPerStature: 0.14,
  outward: 0.6,
} as const;

/** An estimated length may be off by this share of itself (one standard error). Our choice. */
export const ESTIMATE_ERROR_SHARE = 0.05;

/**
 * Hip joint centre from the front hip bones, as fractions of their distance.
 * Bell, Pedersen & Brand 1990 (from memory): 14 % in, 30 % below, 19 % behind.
 */
export const HIP_CENTRE = { inward: 0.14, below: 0.3, behind: 0.19 } as const;

/** Pelvis depth when missing, per hip bone width. Our choice. */
export const PELVIS_DEPTH_PER_HIP_BONE_WIDTH = 0.6;

/** Fist width when missing, cm. Our choice. */
export const FIST_WIDTH_CM = 9;

/** Half the depth of a thigh, cm. Our modelling choice. */
export const HALF_THIGH_CM = 8;

/** Girths when not measured, cm. Our choice. */
export const GIRTH_CM = { thigh: 54, foot: 24 } as const;

/** Places on the foot as fractions of its length from the back of the heel. Our choice. */
export const FOOT = { heelCentre: 0.1, ankle: 0.25, arch: 0.5, ball: 0.72, toe: 1 } as const;
