import { USUAL_LEVEL } from '../level.ts';
import type { PoseDefinition } from '../poseDefinition.ts';
import { STRAIGHT_AHEAD } from './schools.ts';

const MUSTS: PoseDefinition['musts'] = [
  { quantity: 'shoulder-inside-front-foot', atLeast: 0 },
  { quantity: 'trunk-inside-front-knee', atLeast: 8 },
  { quantity: 'front-knee-ahead-of-ankle', atLeast: -5, atMost: 8 },
  { quantity: 'trunk-lean-along', atLeast: 0 },
  { quantity: 'spine-flexion', atMost: 20 },
  { quantity: 'pelvis-level', atLeast: -10, atMost: 10 },
  { quantity: 'stance', atLeast: 20 },
  { quantity: 'weight-inside-base', atLeast: 2 },
];

const WISHES: PoseDefinition['wishes'] = [
  { quantity: 'pelvis-turn', goal: 0, sigma: 10 },
  { quantity: 'front-knee-bend', goal: 90, sigma: 15 },
  { quantity: 'trunk-lean-across', goal: 0, sigma: 8 },
  { quantity: 'spine-side-bend', goal: 0, sigma: 5 },
];

const FOREARMS: PoseDefinition['arms'] = {
  front: { reach: 'forearm-down', bears: true },
  back: { reach: 'forearm-down', bears: true },
};

export const lizard: PoseDefinition = {
  id: 'lizard',
  name: 'Lizard',
  sanskrit: 'Utthan Pristhasana',
  family: 'closed',
  pelvisFaces: 'front',
  straightLegs: [],
  frontFootYaw: { kind: 'free', from: -30, to: 0, start: -10 },
  backContact: 'knee-foot-flat',
  backFootYaw: STRAIGHT_AHEAD,
  backHeelLift: null,
  heelLine: 'hip-width',
  mostWidening: 16,
  stance: { kind: 'free' },
  arms: {
    front: { reach: 'down', bears: true, clearOfFrontFoot: true },
    back: { reach: 'down', bears: true },
  },
  spineFlexionDeg: 20,
  supports: ['knee-pad'],
  musts: MUSTS,
  wishes: WISHES,
  eases: [
    { quantity: 'pelvis-level', goal: 0, sigma: 5 },
    { quantity: 'spine-rotation', goal: 0, sigma: 10 },
    { quantity: 'spine-flexion', goal: 0, sigma: 15 },
    { quantity: 'front-foot-angle', goal: -10, sigma: 10 },
    { quantity: 'hips-ahead-of-back-knee', goal: 20, sigma: 20 },
  ],
  firstDepth: null,
  depth: {
    quantity: 'trunk-lean',
    words: 'trunk lowering from upright',
    easiest: 25,
    textbook: 95,
  },
  chestTarget: null,
  starts: [
    {
      pelvisTurn: 20,
      pelvisTilt: 50,
      pelvisList: -8,
      spineRotation: 0,
      kneeBend: 95,
      stanceShare: 0.4,
      again: ['sparing'],
    },
    {
      pelvisTurn: 0,
      pelvisTilt: 30,
      pelvisList: 0,
      spineRotation: 0,
      kneeBend: 60,
      stanceShare: 0.7,
      again: ['sparing'],
    },
    {
      pelvisTurn: 0,
      pelvisTilt: 50,
      pelvisList: 0,
      spineRotation: 0,
      kneeBend: 70,
      stanceShare: 0.8,
      again: ['sparing', 'settled'],
    },
  ],
  needs: [
    'hip-flexion',
    'straight-leg-raise',
    'hip-opening',
    'hip-abduction',
    'hip-extension',
    'hip-extension-bent-knee',
    'hip-external-rotation',
    'hip-internal-rotation',
  ],
  expected: {
    reference: ['front hip flexion', 'front hip external rotation', 'spine flexion'],
    stiff: [
      'front hip flexion',
      'front hip abduction',
      'front hip external rotation',
      'spine flexion',
    ],
    supple: ['front hip flexion', 'spine flexion'],
  },
  levels: [
    { id: USUAL_LEVEL, name: 'Back knee down, hands on a prop', changes: {} },
    {
      id: 'forearms-on-a-prop',
      name: 'Back knee down, forearms on a prop',
      reachedBy: 'practice',
      changes: { arms: FOREARMS },
    },
    {
      id: 'chest-open',
      name: 'One hand on the thigh, chest open',
      reachedBy: 'choice',
      changes: {
        arms: { front: { reach: 'on-front-thigh' }, back: { reach: 'down', bears: true } },
        musts: [...MUSTS, { quantity: 'front-arm-miss', atMost: 0 }],
        wishes: [...WISHES, { quantity: 'chest-turned-to-front-leg', goal: 45, sigma: 30 }],
      },
    },
    {
      id: 'forearms-on-the-floor',
      name: 'Back knee down, forearms on the floor',
      forWhom: 'for a front hip that flexes 145° or more',
      reachedBy: 'practice',
      changes: { arms: FOREARMS, handsOn: { surface: 'floor', elbows: 'straight' } },
    },
    {
      id: 'knee-up',
      name: 'Back knee up, hands on a prop',
      reachedBy: 'practice',
      changes: {
        backContact: 'ball',
        straightLegs: ['back'],
        supports: [],
        backHeelLift: { from: 30, to: 65, start: 50 },
        wishes: [
          { quantity: 'pelvis-turn', goal: 0, sigma: 10 },
          { quantity: 'front-knee-bend', goal: 90, sigma: 15 },
          { quantity: 'trunk-lean-across', goal: 0, sigma: 8 },
          { quantity: 'spine-side-bend', goal: 0, sigma: 5 },
          { quantity: 'back-heel-lift', goal: 50, sigma: 10 },
        ],
        eases: [
          { quantity: 'pelvis-level', goal: 0, sigma: 5 },
          { quantity: 'spine-rotation', goal: 0, sigma: 10 },
          { quantity: 'spine-flexion', goal: 0, sigma: 15 },
          { quantity: 'front-foot-angle', goal: -10, sigma: 10 },
        ],
        starts: [
          {
            pelvisTurn: 0,
            pelvisTilt: 50,
            pelvisList: 0,
            spineRotation: 0,
            kneeBend: 70,
            stanceShare: 1.1,
          },
          {
            pelvisTurn: 0,
            pelvisTilt: 30,
            pelvisList: 0,
            spineRotation: 0,
            kneeBend: 60,
            stanceShare: 1,
          },
        ],
      },
    },
  ],
  easier: 'lizard with both hands on tall blocks',
  guidance: {
    gaze: 'Ahead and down.',
    farPoints: ['crown of the head', 'back heel'],
    tendencies: [
      {
        seen: 'Front knee falls in',
        error: 'knee-drifts',
        first: 'Press it toward the shoulder.',
        felt: 'Room beside the ribs.',
      },
      {
        seen: 'Back rounds to reach the floor',
        error: 'back-rounds',
        first: 'Raise the hands by one face.',
        felt: 'The breastbone leads.',
      },
      {
        seen: 'Back hip sinks to one side',
        first: 'Press both hands alike.',
        felt: 'Weight in the middle.',
      },
    ],
    easier: [{ words: 'hands on tall blocks' }, { words: 'back knee down' }],
    harder: [
      { words: 'forearms on the floor', level: 'forearms-on-the-floor' },
      { words: 'back knee up', level: 'knee-up' },
      { words: 'rolling onto the outer edge of the front foot' },
    ],
    inhale: [
      ['lengthen', 'the breastbone', 'forward'],
      ['widen', 'the shoulder blades', 'apart'],
      ['lengthen', 'the back thigh', 'backward'],
    ],
    exhale: [
      ['let sink', 'the hips', 'down'],
      ['press', 'the front knee', 'outward'],
      ['soften', 'the jaw', 'down'],
    ],
    breaths: 6,
    effort: 'active',
  },
  lookAt: [
    {
      at: 'Front foot',
      look: 'Outside its shoulder, knee over its toes.',
      change: 'Turn the toes out a little more.',
    },
    { at: 'Back knee', look: 'Padded, not on the kneecap.', change: 'Fold the pad thicker.' },
    { at: 'Pelvis', look: 'Sinking evenly.', change: 'Bring the hips back.' },
    { at: 'Spine', look: 'Long, hardly rounded.', change: 'One face of the block higher.' },
    { at: 'Hands', look: 'Both inside the front foot.', change: 'Widen the front foot.' },
    { at: 'Breath', look: 'Easy and even, jaw loose.', change: 'Come up one step.' },
  ],
  wayIn: [
    'From low lunge walk the front foot out to the mat’s edge.',
    'Bring both hands inside the foot, onto their blocks.',
    'Lower from the hips, not from the back.',
  ],
  wayOut: ['Press the hands, walk the foot in.'],
  transitions: [
    {
      to: 'low-lunge',
      foot: 'front',
      movement: 'step',
      hands: 'down either side of the front foot',
      order: [
        'Straighten the arms.',
        'Walk the front foot in to its mark.',
        'Lower the back knee.',
      ],
    },
  ],
};
