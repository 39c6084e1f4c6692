import type { PoseDefinition } from '../poseDefinition.ts';
import { USUAL_LEVEL } from '../level.ts';
import {
  OPEN_BACK_FOOT,
  OPEN_BACK_FOOT_WISH,
  OPEN_FRONT_FOOT,
  OPEN_PELVIS_WISH,
  SHIN_LEANING_BACK,
  SHIN_LEANING_BACK_EASIEST,
  SHIN_LEANING_BACK_KNEE,
  SHIN_LEANING_BACK_STANCE,
  STACKED_KNEE,
  stanceBySchool,
  UPRIGHT_TRUNK,
} from './schools.ts';

/** All that it keeps beside its front knee. */
const MUSTS: PoseDefinition['musts'] = [
  { quantity: 'pelvis-level', atLeast: -5, atMost: 5 },
  ...UPRIGHT_TRUNK,
  { quantity: 'weight-inside-base', atLeast: 2 },
];

const DEPTH = {
  quantity: 'front-knee-bend',
  words: 'front-knee bend',
  easiest: 10,
  textbook: 90,
} as const;

export const warriorTwo: PoseDefinition = {
  id: 'warrior-two',
  name: 'Warrior II',
  sanskrit: 'Virabhadrasana II',
  family: 'open',
  pelvisFaces: 'long-edge',
  straightLegs: ['back'],
  frontFootYaw: OPEN_FRONT_FOOT,
  backFootYaw: OPEN_BACK_FOOT,
  backContact: 'flat',
  backHeelLift: null,
  heelLine: 'heel-to-arch',
  stance: stanceBySchool({ kind: 'free' }),
  arms: { front: { reach: 'out' }, back: { reach: 'out' } },
  musts: [...STACKED_KNEE, ...MUSTS],
  wishes: [
    { quantity: 'chest-turn', goal: 90, sigma: 10 },
    OPEN_PELVIS_WISH,
    { quantity: 'pelvis-tilt', goal: 0, sigma: 20 },
    { quantity: 'pelvis-level', goal: 0, sigma: 5 },
    OPEN_BACK_FOOT_WISH,
  ],
  eases: [
    { quantity: 'trunk-lean-along', goal: 0, sigma: 10 },
    { quantity: 'trunk-lean-across', goal: 0, sigma: 10 },
    { quantity: 'spine-side-bend', goal: 0, sigma: 40 },
    { quantity: 'spine-flexion', goal: 0, sigma: 40 },
  ],
  firstDepth: null,
  depth: DEPTH,
  chestTarget: 'long-edge',
  starts: [
    {
      pelvisTurn: 55,
      pelvisTilt: 15,
      pelvisList: 3,
      spineRotation: 30,
      kneeBend: 75,
      stanceShare: 1.3,
      again: ['sparing'],
    },
    {
      pelvisTurn: 51,
      pelvisTilt: -15,
      pelvisList: 6,
      spineRotation: 45,
      kneeBend: 33,
      stanceShare: 1,
      again: ['sparing'],
    },
    {
      pelvisTurn: 40,
      pelvisTilt: 26,
      pelvisList: 1,
      spineRotation: 25,
      kneeBend: 31,
      stanceShare: 0.65,
    },
  ],
  needs: [
    'hip-opening',
    'hip-abduction',
    'hip-flexion',
    'straight-leg-raise',
    'hip-extension',
    'hip-external-rotation',
    'hip-internal-rotation',
    'trunk-rotation',
  ],
  expected: {
    reference: [
      'front hip abduction',
      'back hip extension',
      'spine extension',
      'back ankle dorsiflexion',
    ],
    stiff: [
      'front hip abduction',
      'back hip extension',
      'back ankle dorsiflexion',
      'back hip external rotation',
      'spine rotation to the left',
    ],
    supple: ['the textbook shape'],
  },
  levels: [
    {
      ...SHIN_LEANING_BACK,
      changes: {
        stance: stanceBySchool({ kind: 'free', legLengths: SHIN_LEANING_BACK_STANCE }),
        musts: [...SHIN_LEANING_BACK_KNEE, ...MUSTS],
        depth: { ...DEPTH, easiest: SHIN_LEANING_BACK_EASIEST },
        starts: [
          {
            pelvisTurn: 50,
            pelvisTilt: 5,
            pelvisList: 0,
            spineRotation: 35,
            kneeBend: 25,
            stanceShare: 0.95,
          },
          {
            pelvisTurn: 40,
            pelvisTilt: 20,
            pelvisList: 1,
            spineRotation: 30,
            kneeBend: 12,
            stanceShare: 0.9,
          },
        ],
      },
    },
    {
      id: 'on-a-chair',
      name: 'Front thigh on a chair',
      byChoice: true,
      changes: { supports: ['under-front-thigh'] },
    },
    { id: USUAL_LEVEL, name: 'Front knee over its ankle', changes: {} },
  ],
  easier: 'lying warrior II',
  guidance: {
    gaze: 'Over the front middle finger, or straight ahead if the neck is sore.',
    farPoints: ['fingertips of the front hand', 'outer edge of the back heel'],
    tendencies: [
      {
        seen: 'Front knee drifts in',
        first: 'Bend less, and press the knee toward the little toe.',
        felt: 'The outside of the front hip works.',
      },
      {
        seen: 'Trunk leans over the front thigh',
        first: 'Reach the back hand farther than the front one.',
        felt: 'The trunk stands upright over the pelvis.',
      },
      {
        seen: 'Back arch falls',
        first: 'Press the outer edge of the back foot.',
        felt: 'The inside of the back thigh wakes.',
      },
    ],
    easier: ['front thigh on a chair', 'a shorter stance'],
    harder: ['arms up and palms together', 'eyes closed for three breaths'],
    inhale: [
      ['lengthen', 'both sides of the waist', 'upward'],
      ['widen', 'the arms', 'away from each other'],
      ['lift', 'the arch of the back foot', 'upward'],
    ],
    exhale: [
      ['press', 'the back heel', 'into the mat'],
      ['turn', 'the front knee', 'toward its little toe'],
      ['let sink', 'the shoulder blades', 'down the back'],
    ],
    breaths: 5,
    effort: 'active',
    next: [
      'side-angle',
      'triangle',
      'reverse-warrior',
      'half-moon',
      'high-lunge',
      'low-lunge',
      'wide-fold',
    ],
  },
  lookAt: [
    {
      at: 'Feet',
      look: 'Both soles heavy, the back outer edge down.',
      change: 'Shorten the stance by one step.',
    },
    {
      at: 'Front knee',
      look: 'Straight above the ankle, from the side and from the front.',
      change: 'Bend less until it stops drifting in.',
    },
    {
      at: 'Pelvis',
      look: 'Level; it may stay short of the long edge.',
      change: 'Let the back hip come forward.',
    },
    {
      at: 'Spine',
      look: 'Upright between both heels.',
      change: 'Bring the weight back over the middle.',
    },
    {
      at: 'Arms',
      look: 'In line with the shoulders, shoulders low.',
      change: 'Lower the hands a little.',
    },
    {
      at: 'Gaze',
      look: 'Over the front hand, or ahead if the neck is sore.',
      change: 'Look where the chest looks.',
    },
    { at: 'Breath', look: 'Easy and even, jaw loose.', change: 'Come up by ten degrees of knee.' },
  ],
  wayIn: [
    'Stand at the back heel mark, hands on hips.',
    'Step the front foot to its mark.',
    'Turn the back foot to its angle.',
    'Bend the front knee over the ankle and stop at the planned depth.',
  ],
  wayOut: [
    'Press both feet and straighten the front knee.',
    'Turn the feet parallel and walk them in.',
  ],
};
