import type {
  HandsOn,
  AngleDefinition,
  ByRule,
  LevelDefinition,
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

/** A chair under the lower hand of a half moon, its side to the wall. */
export const HAND_ON_A_CHAIR = {
  id: 'hand-on-a-chair',
  name: 'Hand on a chair, its side to the wall',
  reachedBy: 'practice',
} as const;
/** It is higher than the arm is long: the elbow bends and the trunk stays level. */
export const ON_A_CHAIR: HandsOn = { surface: 'chair', elbows: 'bent' };

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

/** A trunk that counts as upright in both warriors: within 5° along the mat and across it. Our choice. */
const UPRIGHT_TRUNK = [
  { quantity: 'trunk-lean-along', atLeast: -5, atMost: 5 },
  { quantity: 'trunk-lean-across', atLeast: -5, atMost: 5 },
] as const;
export const UPRIGHT_TRUNK_WISHES = [
  { quantity: 'trunk-lean-along', goal: 0, sigma: 5 },
  { quantity: 'trunk-lean-across', goal: 0, sigma: 5 },
] as const;

/** What both warriors keep beside their front knee. */
export const WARRIOR_MUSTS: PoseDefinition['musts'] = [
  { quantity: 'pelvis-level', atLeast: -5, atMost: 5 },
  ...UPRIGHT_TRUNK,
  { quantity: 'weight-inside-base', atLeast: 2 },
];

export const FRONT_KNEE_DEPTH = {
  quantity: 'front-knee-bend',
  words: 'front-knee bend',
  easiest: 10,
  textbook: 90,
} as const;

/**
 * The stance schools, with what “solved” means for this pose.
 *
 * @param solved what “solved” means
 * @returns one stance for each school
 */
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

/** The id and name of the gentle level of the poses that bend the front knee. */
export const SHIN_LEANING_BACK = { id: 'shin-leaning-back', name: 'Shin leaning back' } as const;

/**
 * That level: a short stance, the front knee above the ankle or behind it and never past it.
 * The stance, 0.85 to 1 leg length, and the knee, which may be nearly straight, are our choice.
 *
 * @param musts what the pose keeps beside its front knee
 * @param starts postures to start from
 * @returns the level
 */
export const leanShinBack = (
  musts: PoseDefinition['musts'],
  starts: PoseDefinition['starts'],
): LevelDefinition => ({
  ...SHIN_LEANING_BACK,
  changes: {
    stance: stanceBySchool({ kind: 'free', legLengths: [0.85, 1] }),
    musts: [
      { quantity: 'front-knee-beside-ankle', atLeast: 0, atMost: 0 },
      { quantity: 'front-knee-ahead-of-ankle', atMost: 0 },
      ...musts,
    ],
    depth: { ...FRONT_KNEE_DEPTH, easiest: 3 },
    starts,
  },
});
