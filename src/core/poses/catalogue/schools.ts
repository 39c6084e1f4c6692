import type {
  AngleDefinition,
  ByRule,
  PoseDefinition,
  StanceDefinition,
} from '../poseDefinition.ts';

/** What several poses leave to the same house rules, said once. */

/** Where the back foot points in open poses. Common practice, no source; 75 and 60 are our choice within it. */
const BACK_FOOT_SCHOOL: ByRule = {
  rule: 'backFoot',
  options: { parallel: 90, 'turned-in': 75, natural: 60 },
};

export const OPEN_BACK_FOOT: PoseDefinition['backFootYaw'] = {
  kind: 'free',
  from: 45,
  to: 90,
  start: BACK_FOOT_SCHOOL,
};

export const OPEN_BACK_FOOT_WISH = {
  quantity: 'back-foot-angle',
  goal: BACK_FOOT_SCHOOL,
  sigma: 20,
} as const;

/** The rest version turns both feet out. */
export const OPEN_FRONT_FOOT: AngleDefinition = {
  kind: 'held',
  at: { rule: 'backFoot', options: { parallel: 0, 'turned-in': 0, natural: -10 } },
};

export const STRAIGHT_AHEAD: AngleDefinition = { kind: 'held', at: 0 };

/** As open as the front hip allows, or square to the long side. */
export const OPEN_PELVIS_WISH = {
  quantity: 'pelvis-turn',
  goal: 90,
  sigma: { rule: 'pelvisOpen', options: { 'as-hips-allow': 30, square: 3 } },
} as const;

/** Above the ankle both ways; a strong knee may pass it forward. */
export const STACKED_KNEE = [
  { quantity: 'front-knee-beside-ankle', atLeast: 0, atMost: 0 },
  {
    quantity: 'front-knee-ahead-of-ankle',
    atLeast: 0,
    atMost: { rule: 'frontKnee', options: { stacked: 0, 'may-pass': 8 } },
  },
] as const;

/** The stance schools, with what “solved” means for this pose. */
export const stanceBySchool = (solved: StanceDefinition): ByRule<StanceDefinition> => ({
  rule: 'stance',
  options: {
    solved,
    'leg-length': { kind: 'times', of: 'leg-length', factor: 1 },
    'one-and-a-half-leg-lengths': { kind: 'times', of: 'leg-length', factor: 1.5 },
    wrists: { kind: 'times', of: 'wrist-span', factor: 1 },
    fixed: { kind: 'fixed' },
  },
});
