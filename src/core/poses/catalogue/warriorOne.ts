import type { PoseDefinition } from '../poseDefinition.ts';
import { USUAL_LEVEL } from '../level.ts';
import {
  FRONT_KNEE_DEPTH,
  leanShinBack,
  STACKED_KNEE,
  stanceBySchool,
  STRAIGHT_AHEAD,
  UPRIGHT_TRUNK_WISHES,
  WARRIOR_MUSTS,
} from './schools.ts';

const WISHES: PoseDefinition['wishes'] = [
  { quantity: 'chest-turn', goal: 0, sigma: 10 },
  {
    quantity: 'pelvis-turn',
    goal: 0,
    sigma: { rule: 'pelvisWarriorOne', options: { open: 18, square: 3 } },
  },
  { quantity: 'pelvis-tilt', goal: 0, sigma: 20 },
  ...UPRIGHT_TRUNK_WISHES,
  { quantity: 'back-foot-angle', goal: 50, sigma: 10 },
];

export const warriorOne: PoseDefinition = {
  id: 'warrior-one',
  name: 'Warrior I',
  sanskrit: 'Virabhadrasana I',
  family: 'closed',
  pelvisFaces: 'front',
  straightLegs: ['back'],
  frontFootYaw: STRAIGHT_AHEAD,
  backFootYaw: { kind: 'free', from: 30, to: 60, start: 50 },
  backContact: 'flat',
  backHeelLift: null,
  heelLine: 'hip-width',
  stance: stanceBySchool({ kind: 'free' }),
  arms: { front: { reach: 'up' }, back: { reach: 'up' } },
  musts: [...STACKED_KNEE, ...WARRIOR_MUSTS],
  wishes: WISHES,
  eases: [
    { quantity: 'pelvis-level', goal: 0, sigma: 5 },
    { quantity: 'spine-side-bend', goal: 0, sigma: 40 },
    { quantity: 'spine-flexion', goal: 0, sigma: 40 },
  ],
  firstDepth: null,
  depth: FRONT_KNEE_DEPTH,
  chestTarget: 'front',
  starts: [
    {
      pelvisTurn: 29,
      pelvisTilt: 47,
      pelvisList: -4,
      spineRotation: -39,
      kneeBend: 49,
      stanceShare: 1.2,
    },
  ],
  needs: [
    'hip-flexion',
    'straight-leg-raise',
    'hip-extension',
    'hip-abduction',
    'hip-opening',
    'hip-external-rotation',
    'hip-internal-rotation',
    'ankle-dorsiflexion-straight',
    'trunk-rotation',
  ],
  expected: {
    reference: ['back hip extension'],
    stiff: [
      'front hip abduction',
      'back hip extension',
      'back ankle dorsiflexion',
      'back hip external rotation',
      'spine extension',
      'spine rotation to the right',
    ],
    supple: ['the textbook shape'],
  },
  levels: [
    leanShinBack(WARRIOR_MUSTS, [
      {
        pelvisTurn: 30,
        pelvisTilt: 15,
        pelvisList: 0,
        spineRotation: -25,
        kneeBend: 25,
        stanceShare: 0.95,
      },
    ]),
    {
      id: 'heel-on-a-wedge',
      name: 'Back heel on a wedge',
      reachedBy: 'practice',
      changes: {
        backHeelLift: { from: 8, to: 20, start: 12 },
        wishes: [...WISHES, { quantity: 'back-heel-lift', goal: 12, sigma: 3 }],
        supports: ['heel-wedge'],
      },
    },
    { id: USUAL_LEVEL, name: 'Front knee over its ankle', changes: {} },
  ],
  easier: 'high lunge, which lifts the back heel',
  guidance: {
    gaze: 'Level; up only while the low back is easy.',
    farPoints: ['fingertips', 'back heel'],
    tendencies: [
      {
        seen: 'Back heel floats',
        error: 'heel-floats',
        first: 'Shorten the stance, or put a wedge under it.',
        felt: 'The outer edge of the back foot is heavy.',
      },
      {
        seen: 'Low back hollows',
        first: 'Bend the front knee less and lift the belly.',
        felt: 'The front of the back hip is long.',
      },
      {
        seen: 'Back knee is twisted',
        first: 'Turn the back foot farther in and let the pelvis open.',
        felt: 'No strain at the inside of the knee.',
      },
    ],
    easier: [
      { words: 'back heel on a wedge', level: 'heel-on-a-wedge' },
      { words: 'a shorter stance' },
    ],
    harder: [{ words: 'palms together' }, { words: 'back heel up as a high lunge' }],
    inhale: [
      ['lift', 'the ribs', 'off the pelvis'],
      ['reach', 'the fingertips', 'upward'],
      ['lengthen', 'the front of the back hip', 'upward'],
    ],
    exhale: [
      ['press', 'the back heel', 'down'],
      ['turn', 'the back hip', 'forward, as far as it lets'],
      ['let sink', 'the shoulders', 'away from the ears'],
    ],
    breaths: 5,
    effort: 'active',
  },
  lookAt: [
    {
      at: 'Feet',
      look: 'Hip width apart, the back outer edge heavy.',
      change: 'Turn the back toes more forward, or shorten by one step.',
    },
    {
      at: 'Front knee',
      look: 'Above the ankle, from the side and from the front.',
      change: 'Bend less until it stops drifting in.',
    },
    {
      at: 'Pelvis',
      look: 'Level; it may stay open toward the back foot.',
      change: 'Let the back hip go back.',
    },
    {
      at: 'Spine',
      look: 'Upright, the low back long.',
      change: 'Shorten the stance before arching.',
    },
    {
      at: 'Arms',
      look: 'Up beside the ears, shoulders easy.',
      change: 'Hands wider, or on the hips.',
    },
    { at: 'Gaze', look: 'Ahead, or up if the neck stays long.', change: 'Look ahead.' },
    { at: 'Breath', look: 'Easy and even.', change: 'Come up by ten degrees of knee.' },
  ],
  wayIn: [
    'Stand at the front heel mark, hands on hips.',
    'Step the other foot back to its mark and turn it to its angle.',
    'Bend the front knee over the ankle and stop at the planned depth.',
    'Turn the chest to the front, then raise the arms.',
  ],
  wayOut: ['Lower the arms, straighten the front knee.', 'Step the back foot in.'],
  transitions: [
    {
      to: 'high-lunge',
      foot: 'back',
      movement: 'pivot',
      hands: 'on the hips',
      order: ['Lift the back heel.', 'Turn the back toes ahead, foot on its mark.'],
    },
    {
      to: 'warrior-two',
      foot: 'back',
      movement: 'pivot',
      hands: 'out to both sides',
      order: [
        'Turn the back foot out to its angle, on its mark.',
        'Open the chest to the long edge.',
      ],
    },
    {
      to: 'pyramid',
      foot: 'back',
      movement: 'straighten',
      hands: 'on the hips, then down to their props',
      order: [
        'Straighten the front knee.',
        'Step the back foot in to its mark.',
        'Fold from the hips.',
      ],
    },
    {
      to: 'mountain',
      foot: 'back',
      movement: 'step',
      hands: 'on the hips',
      order: ['Straighten the front knee.', 'Step the back foot up to the front one.'],
    },
  ],
};
