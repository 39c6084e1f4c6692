/**
 * Segment masses as fractions of body mass, and where each centre lies from the
 * proximal end. Winter, after Dempster (from memory). Head and neck at the ear canal.
 */
export const MASS_SHARE = {
  foot: 0.0145,
  shank: 0.0465,
  thigh: 0.1,
  trunk: 0.497,
  headAndNeck: 0.081,
  upperArm: 0.028,
  forearm: 0.016,
  hand: 0.006,
} as const;

export const CENTRE_FROM_PROXIMAL = {
  foot: 0.5,
  shank: 0.433,
  thigh: 0.433,
  trunk: 0.5,
  upperArm: 0.436,
  forearm: 0.43,
  hand: 0.506,
} as const;
