import type { PoseDefinition } from '../poseDefinition.ts';
import { highLunge } from './highLunge.ts';
import { USUAL_LEVEL } from '../level.ts';
import { STRAIGHT_AHEAD } from './schools.ts';

/** What every level keeps beside its lunge's knees: a pelvis that turns and drops a little at most. */
const LUNGE_MUSTS = [
  {
    quantity: 'pelvis-turn',
    atLeast: {
      rule: 'twist',
      options: { 'by-pose': -10, 'hip-first': -20, 'pelvis-fixed': -2, full: -20 },
    },
    atMost: 10,
  },
  { quantity: 'pelvis-level', atLeast: -10, atMost: 10 },
] as const;

/** A tolerance so wide that it prefers nothing. */
const NO_PREFERENCE = {
  'by-pose': 10_000,
  'hip-first': 10_000,
  'pelvis-fixed': 10_000,
  full: 10_000,
} as const;

/** The hooked elbow lets the back round and the spine turn as far as they go. Our choice. */
const HOOK_ROUNDING_DEG = 35;

/** A bind asks for as low a shoulder as the hook, degrees. Our choice. */
const LEAST_LEAN_OF_BIND = 45;

/** Levels with the back heel up stand on the high lunge's legs. */
const HEEL_UP = {
  restsOn: { pose: 'high-lunge' },
  backContact: 'ball',
  blueprint: 'closed-lunge',
  straightLegs: ['back'],
  backHeelLift: { from: 30, to: 65, start: 50 },
  supports: [],
  needs: [...highLunge.needs, 'trunk-rotation'],
} as const;

const HEEL_UP_STARTS: PoseDefinition['starts'] = [
  {
    pelvisTurn: 0,
    pelvisTilt: 40,
    pelvisList: 0,
    spineRotation: -20,
    kneeBend: 60,
    stanceShare: 1.1,
  },
];

export const revolvedSideAngle: PoseDefinition = {
  id: 'revolved-side-angle',
  name: 'Revolved side angle',
  sanskrit: 'Parivritta Parshvakonasana',
  family: 'closed',
  pelvisFaces: 'front',
  restsOn: { pose: 'low-lunge', level: USUAL_LEVEL },
  straightLegs: [],
  frontFootYaw: STRAIGHT_AHEAD,
  backContact: 'knee-toes-tucked',
  backFootYaw: STRAIGHT_AHEAD,
  backHeelLift: null,
  heelLine: 'hip-width',
  stance: { kind: 'free' },
  arms: { front: { reach: 'out' }, back: { reach: 'down', clearOfFrontFoot: true } },
  supports: ['knee-pad'],
  trunkShares: { rotation: 0.8 },
  musts: [
    ...LUNGE_MUSTS,
    { quantity: 'spine-flexion', atMost: 10 },
    { quantity: 'weight-inside-base', atLeast: 2 },
  ],
  wishes: [
    { quantity: 'spine-flexion', goal: 0, sigma: 5 },
    { quantity: 'trunk-lean-across', goal: 0, sigma: 10 },
  ],
  eases: [
    { quantity: 'pelvis-level', goal: 0, sigma: 8 },
    {
      quantity: 'pelvis-turn',
      goal: 0,
      sigma: { rule: 'twist', options: { ...NO_PREFERENCE, 'by-pose': 10, 'pelvis-fixed': 10 } },
    },
    // Hip first: the spine turns only by what the hips leave.
    {
      quantity: 'spine-rotation',
      goal: 0,
      sigma: { rule: 'twist', options: { ...NO_PREFERENCE, 'hip-first': 2 } },
    },
    { quantity: 'spine-side-bend', goal: 0, sigma: 10 },
  ],
  firstDepth: {
    quantity: 'trunk-lean',
    words: 'trunk lean from upright',
    easiest: 10,
    textbook: 60,
  },
  depth: {
    quantity: 'chest-turned-to-front-leg',
    words: 'chest turned from facing the floor',
    easiest: 5,
    textbook: 60,
  },
  chestTarget: null,
  starts: [
    {
      pelvisTurn: 0,
      pelvisTilt: 40,
      pelvisList: 0,
      spineRotation: -20,
      kneeBend: 80,
      stanceShare: 0.5,
    },
    {
      pelvisTurn: 0,
      pelvisTilt: 20,
      pelvisList: 0,
      spineRotation: -10,
      kneeBend: 80,
      stanceShare: 0.5,
    },
  ],
  needs: [
    'hip-flexion',
    'straight-leg-raise',
    'hip-external-rotation',
    'hip-internal-rotation',
    'hip-abduction',
    'trunk-rotation',
  ],
  expected: {
    reference: ['the textbook shape'],
    stiff: ['the textbook shape'],
    supple: ['the textbook shape'],
  },
  levels: [
    { id: USUAL_LEVEL, name: 'Back knee down, hand on a block', changes: {} },
    {
      id: 'heel-up',
      name: 'Back heel up, hand on a block',
      changes: {
        ...HEEL_UP,
        starts: HEEL_UP_STARTS,
      },
    },
    {
      id: 'hook',
      name: 'Palms together, elbow outside the knee',
      changes: {
        ...HEEL_UP,
        arms: { front: { reach: 'folded' }, back: { reach: 'folded' } },
        musts: [
          ...LUNGE_MUSTS,
          { quantity: 'spine-flexion', atMost: HOOK_ROUNDING_DEG },
          { quantity: 'hook-distance', atMost: 5 },
          { quantity: 'weight-inside-base', atLeast: 2 },
        ],
        wishes: [{ quantity: 'trunk-lean-across', goal: 0, sigma: 20 }],
        spineFlexionDeg: HOOK_ROUNDING_DEG,
        trunkShares: {},
        firstDepth: null,
        depth: {
          quantity: 'chest-turned-to-front-leg',
          words: 'chest turned from facing the floor',
          easiest: 5,
          textbook: 90,
        },
        starts: [
          {
            pelvisTurn: 0,
            pelvisTilt: 60,
            pelvisList: 0,
            spineRotation: -30,
            kneeBend: 60,
            stanceShare: 1.1,
          },
          {
            pelvisTurn: 0,
            pelvisTilt: 45,
            pelvisList: 0,
            spineRotation: -30,
            kneeBend: 60,
            stanceShare: 1.1,
          },
        ],
      },
    },
    {
      id: 'bind',
      name: 'Bind: strap by trial, start at 60 cm',
      reachedBy: 'practice',
      changes: {
        ...HEEL_UP,
        arms: { front: { reach: 'behind-back' }, back: { reach: 'behind-back' } },
        musts: [
          ...LUNGE_MUSTS,
          { quantity: 'spine-flexion', atMost: HOOK_ROUNDING_DEG },
          { quantity: 'trunk-lean', atLeast: LEAST_LEAN_OF_BIND },
          { quantity: 'weight-inside-base', atLeast: 2 },
        ],
        wishes: [{ quantity: 'trunk-lean-across', goal: 0, sigma: 20 }],
        spineFlexionDeg: HOOK_ROUNDING_DEG,
        supports: ['bind-strap'],
        starts: HEEL_UP_STARTS,
      },
    },
  ],
  easier:
    'revolved side angle with the back knee down and the hand on a tall block, or lying revolved side angle',
  guidance: {
    gaze: 'Down, or ahead.',
    farPoints: ['crown of the head', 'back heel'],
    tendencies: [
      {
        seen: 'Front knee is pushed over',
        first: 'Turn from the ribs, and press the knee back.',
        felt: 'The shin stays upright.',
      },
      {
        seen: 'Chest rests on the thigh',
        first: 'Raise the hand by one face.',
        felt: 'The breath moves freely.',
      },
      {
        seen: 'Shoulder hunches',
        error: 'shoulders-up',
        first: 'Lower the hand’s load.',
        felt: 'The neck is long.',
      },
    ],
    easier: [{ words: 'back knee down, hand on a tall block' }, { words: 'top hand on the hip' }],
    harder: [
      { words: 'palms together, elbow outside the knee', level: 'hook' },
      { words: 'bind with a strap', level: 'bind' },
    ],
    inhale: [
      ['lengthen', 'the crown', 'forward'],
      ['widen', 'the collar bones', 'apart'],
      ['lengthen', 'the back leg', 'backward'],
    ],
    exhale: [
      ['turn', 'the ribs', 'toward the front leg'],
      ['press', 'the front heel', 'down'],
      ['draw in', 'the lower belly', 'away from the thigh'],
    ],
    breaths: 5,
    effort: 'active',
  },
  lookAt: [
    {
      at: 'Feet and knee',
      look: 'The bent knee is never twisted: turn from hip and foot together.',
      change: 'Bring the front foot straight ahead again.',
    },
    { at: 'Pelvis', look: 'Drops and turns a little, then rests.', change: 'Turn less.' },
    {
      at: 'Spine',
      look: 'Long over the thigh before it turns.',
      change: 'Raise the hand by one face.',
    },
    { at: 'Chest', look: 'Turns toward the front leg by the ribs.', change: 'Turn less.' },
    {
      at: 'Hand',
      look: 'Inside the front foot, light.',
      change: 'Bring the block under the shoulder.',
    },
    { at: 'Breath', look: 'Easy and even, jaw loose.', change: 'Come up one step.' },
  ],
  wayIn: [
    'Begin in the lunge of this level.',
    'Lengthen the trunk over the front thigh.',
    'Opposite hand to the block inside the foot, then turn the chest.',
  ],
  wayOut: ['Turn the chest back, both hands down, step back.'],
  transitions: [
    {
      to: 'high-lunge',
      foot: 'none',
      movement: 'straighten',
      hands: 'on the hips',
      order: ['Turn the chest ahead.', 'Come up over the front leg.'],
    },
    {
      to: 'low-lunge',
      foot: 'back',
      movement: 'lower',
      hands: 'down either side of the front foot',
      order: ['Turn the chest ahead and set both hands down.', 'Lower the back knee onto its pad.'],
    },
  ],
};
