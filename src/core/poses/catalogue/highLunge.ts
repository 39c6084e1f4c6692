import type { PoseDefinition } from '../poseDefinition.ts';
import { USUAL_LEVEL } from '../level.ts';
import {
  FRONT_KNEE_DEPTH,
  leanShinBack,
  STACKED_KNEE,
  stanceBySchool,
  STRAIGHT_AHEAD,
} from './schools.ts';

/** All that it keeps beside its front knee. The trunk may lean over the thigh. */
const MUSTS: PoseDefinition['musts'] = [
  { quantity: 'pelvis-level', atLeast: -5, atMost: 5 },
  { quantity: 'trunk-lean-along', atLeast: -10, atMost: 20 },
  { quantity: 'weight-inside-base', atLeast: 2 },
];

/** A soft back knee bends up to this, degrees. Our choice. */
const SOFT_BACK_KNEE_DEG = 25;

export const highLunge: PoseDefinition = {
  id: 'high-lunge',
  name: 'High lunge',
  sanskrit: 'Ashta Chandrasana',
  family: 'closed',
  isLunge: true,
  pelvisFaces: 'front',
  blueprint: 'closed-lunge',
  straightLegs: ['back'],
  frontFootYaw: STRAIGHT_AHEAD,
  backFootYaw: { kind: 'held', at: 0 },
  backContact: 'ball',
  backHeelLift: { from: 30, to: 65, start: 50 },
  heelLine: 'hip-width',
  stance: stanceBySchool({ kind: 'free' }),
  arms: { front: { reach: 'up' }, back: { reach: 'up' } },
  musts: [...STACKED_KNEE, ...MUSTS],
  wishes: [
    { quantity: 'pelvis-turn', goal: 0, sigma: 5 },
    { quantity: 'pelvis-tilt', goal: 0, sigma: 20 },
    { quantity: 'trunk-lean-along', goal: 0, sigma: 10 },
    { quantity: 'trunk-lean-across', goal: 0, sigma: 5 },
    { quantity: 'back-heel-lift', goal: 50, sigma: 10 },
  ],
  eases: [
    { quantity: 'pelvis-level', goal: 0, sigma: 5 },
    // Made easier by a shorter stance rather than by the knee down.
    {
      quantity: 'stance',
      goal: 50,
      sigma: { rule: 'easing', options: { 'as-named': 10_000, shorter: 5 } },
    },
    { quantity: 'spine-side-bend', goal: 0, sigma: 20 },
    { quantity: 'spine-rotation', goal: 0, sigma: 20 },
    { quantity: 'spine-flexion', goal: 0, sigma: 40 },
  ],
  firstDepth: null,
  depth: FRONT_KNEE_DEPTH,
  chestTarget: null,
  starts: [
    {
      pelvisTurn: 1,
      pelvisTilt: 18,
      pelvisList: -3,
      spineRotation: 0,
      kneeBend: 70,
      stanceShare: 1.1,
    },
    {
      pelvisTurn: -18,
      pelvisTilt: 6,
      pelvisList: 2,
      spineRotation: -18,
      kneeBend: 50,
      stanceShare: 0.95,
      again: ['sparing'],
    },
  ],
  needs: [
    'hip-flexion',
    'straight-leg-raise',
    'hip-extension',
    'hip-abduction',
    'hip-external-rotation',
    'hip-internal-rotation',
    'ankle-dorsiflexion-straight',
  ],
  expected: {
    reference: ['back hip extension', 'front hip flexion'],
    stiff: ['back hip extension', 'spine extension'],
    supple: ['the textbook shape'],
  },
  levels: [
    leanShinBack(MUSTS, [
      {
        pelvisTurn: 0,
        pelvisTilt: 15,
        pelvisList: 0,
        spineRotation: 0,
        kneeBend: 25,
        stanceShare: 0.9,
      },
    ]),
    {
      id: 'soft-back-knee',
      name: 'Soft back knee',
      insteadWhere: { stanceShorterBy: 0.15 },
      changes: {
        straightLegs: [],
        musts: [
          ...STACKED_KNEE,
          ...MUSTS,
          { quantity: 'back-knee-bend', atLeast: 0, atMost: SOFT_BACK_KNEE_DEG },
        ],
      },
    },
    { id: USUAL_LEVEL, name: 'Back leg straight', changes: {} },
  ],
  easier: 'low lunge, with the back knee down',
  guidance: {
    gaze: 'Level, ahead.',
    farPoints: ['crown of the head', 'back heel'],
    tendencies: [
      {
        seen: 'Low back hollows',
        first: 'Bend the back knee a little, tilt, straighten again.',
        felt: 'The front of the back hip is long.',
      },
      {
        seen: 'Back knee sags',
        error: 'knee-bends',
        first: 'Press through the back heel.',
        felt: 'The back thigh is firm.',
      },
      {
        seen: 'Front knee passes the ankle',
        first: 'Step the front foot forward by half a foot.',
        felt: 'The shin is upright.',
      },
    ],
    easier: [{ words: 'back knee down on a pad' }, { words: 'hands on blocks' }],
    harder: [
      { words: 'arms beside the ears' },
      { words: 'back knee bent and straightened with the breath' },
    ],
    inhale: [
      ['lift', 'the crown', 'upward'],
      ['lengthen', 'the front of the back hip', 'downward'],
      ['reach', 'the fingertips', 'upward'],
    ],
    exhale: [
      ['press', 'the back heel', 'backward'],
      ['draw in', 'the lower belly', 'upward'],
      ['bend', 'the front knee', 'over its ankle'],
    ],
    breaths: 5,
    effort: 'active',
  },
  lookAt: [
    {
      at: 'Feet',
      look: 'Hip width apart, the back heel above its toes.',
      change: 'Move the back foot out to hip width.',
    },
    {
      at: 'Front knee',
      look: 'Above the ankle, from the side and from the front.',
      change: 'Bend less until it stops drifting in.',
    },
    {
      at: 'Pelvis',
      look: 'Level and facing the front.',
      change: 'Bend less, or put the back knee down.',
    },
    {
      at: 'Spine',
      look: 'Upright, the low back long.',
      change: 'Soften the back knee before arching.',
    },
    {
      at: 'Arms',
      look: 'Up beside the ears, shoulders easy.',
      change: 'Hands on the hips or on two blocks.',
    },
    { at: 'Gaze', look: 'At one point ahead.', change: 'Look a little down.' },
    { at: 'Breath', look: 'Easy and even.', change: 'Come up by ten degrees of knee.' },
  ],
  wayIn: [
    'Stand at the front heel mark, hands on hips.',
    'Step the other foot back onto its ball, hip width apart.',
    'Bend the front knee over the ankle and stop at the planned depth.',
    'Raise the arms when it is steady.',
  ],
  wayOut: ['Hands to hips, straighten the front knee.', 'Step the back foot in.'],
  transitions: [
    {
      to: 'mountain',
      foot: 'back',
      movement: 'step',
      hands: 'on the hips',
      order: ['Lean ahead over the front foot.', 'Step the back foot up to it.'],
    },
    {
      to: 'low-lunge',
      foot: 'back',
      movement: 'lower',
      hands: 'down either side of the front foot',
      order: ['Set both hands down.', 'Lower the back knee onto its pad.'],
    },
    {
      to: 'warrior-one',
      foot: 'back',
      movement: 'pivot',
      hands: 'on the hips',
      order: ['Turn the back heel in and set it down.', 'Move the back foot to its mark.'],
    },
    {
      to: 'warrior-two',
      foot: 'back',
      movement: 'pivot',
      hands: 'out to both sides',
      order: [
        'Set the back heel down.',
        'Turn the back foot to its angle, on its mark.',
        'Open the chest to the long edge.',
      ],
    },
    {
      to: 'warrior-three',
      foot: 'back',
      movement: 'lift-off',
      hands: 'on the hips',
      order: ['Lean ahead until the back foot is light.', 'Lift it as the front knee straightens.'],
    },
    {
      to: 'revolved-side-angle',
      foot: 'none',
      movement: 'bend',
      hands: 'to the breastbone, or one to its prop',
      order: [
        'Lean over the front thigh with a long back.',
        'Turn the chest toward the front leg.',
      ],
    },
    {
      to: 'downward-dog',
      foot: 'front',
      movement: 'step',
      hands: 'down either side of the front foot',
      order: [
        'Set both hands down.',
        'Step the front foot back next to the other.',
        'Lift the hips.',
      ],
    },
    {
      to: 'forward-fold',
      foot: 'back',
      movement: 'step',
      hands: 'down either side of the front foot',
      order: ['Set both hands down.', 'Step the back foot up to the front one.'],
    },
  ],
};
