import type { PoseDefinition } from '../poseDefinition.ts';
import { USUAL_LEVEL } from '../level.ts';
import { OPEN_BACK_FOOT, OPEN_FRONT_FOOT, SHIN_LEANING_BACK, stanceBySchool } from './schools.ts';

/** The front knee gives way to the lean by this much at most, degrees. Our choice. */
const KNEE_MAY_STRAIGHTEN_DEG = 10;

/** A hand that needs more than this rests on the thigh first. Common practice, no source. */
const BLOCK_ON_ITS_MIDDLE_FACE_CM = 15;

/** A bind asks for a shoulder as low as the forearm level's, degrees. Our choice. */
const LEAST_LEAN_OF_BIND = 50;

const MUSTS: PoseDefinition['musts'] = [
  // The lean of the trunk comes before the bend of the knee.
  {
    quantity: 'front-knee-ahead-of-ankle',
    atMost: { rule: 'frontKnee', options: { stacked: 0, 'may-pass': 8 } },
  },
  { quantity: 'spine-side-bend', atLeast: -20, atMost: 20 },
  { quantity: 'weight-inside-base', atLeast: 2 },
];

export const sideAngle: PoseDefinition = {
  id: 'side-angle',
  name: 'Side angle',
  sanskrit: 'Utthita Parshvakonasana',
  family: 'open',
  pelvisFaces: 'long-edge',
  restsOn: { pose: 'warrior-two', kneeMayStraightenDeg: KNEE_MAY_STRAIGHTEN_DEG },
  blueprint: 'open-stance',
  straightLegs: ['back'],
  frontFootYaw: OPEN_FRONT_FOOT,
  backContact: 'flat',
  backFootYaw: OPEN_BACK_FOOT,
  backHeelLift: null,
  heelLine: 'heel-to-arch',
  stance: stanceBySchool({ kind: 'free' }),
  arms: { front: { reach: 'down', clearOfFrontFoot: true }, back: { reach: 'up' } },
  musts: MUSTS,
  wishes: [
    { quantity: 'trunk-from-back-leg', goal: 0, sigma: 15 },
    { quantity: 'trunk-lean-across', goal: 0, sigma: 6 },
    { quantity: 'chest-forward-along', goal: 0, sigma: 20 },
    { quantity: 'chest-forward-up', goal: 0, sigma: 20 },
  ],
  eases: [
    { quantity: 'front-knee-bend', goal: 90, sigma: 10 },
    { quantity: 'spine-side-bend', goal: 0, sigma: 20 },
    { quantity: 'spine-flexion', goal: 0, sigma: 20 },
    { quantity: 'pelvis-turn', goal: 90, sigma: 40 },
  ],
  firstDepth: null,
  depth: { quantity: 'trunk-lean', words: 'trunk lean from upright', easiest: 15, textbook: 65 },
  chestTarget: 'long-edge',
  starts: [
    {
      pelvisTurn: 60,
      pelvisTilt: 15,
      pelvisList: 25,
      spineRotation: 20,
      kneeBend: 60,
      stanceShare: 1.3,
      again: ['sparing'],
    },
    {
      pelvisTurn: 70,
      pelvisTilt: 10,
      pelvisList: 30,
      spineRotation: 10,
      kneeBend: 40,
      stanceShare: 1.1,
      again: ['sparing'],
    },
    {
      pelvisTurn: 45,
      pelvisTilt: 25,
      pelvisList: 20,
      spineRotation: 30,
      kneeBend: 30,
      stanceShare: 1,
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
      'front hip flexion',
      'front hip abduction',
      'back hip extension',
      'back ankle dorsiflexion',
    ],
    stiff: [
      'front hip flexion',
      'front hip abduction',
      'back hip external rotation',
      'spine flexion',
      'spine rotation to the left',
      'back ankle dorsiflexion',
      'back hip extension',
    ],
    supple: ['front hip flexion', 'spine flexion', 'spine rotation to the left'],
  },
  levels: [
    {
      ...SHIN_LEANING_BACK,
      reachedBy: 'practice',
      changes: {
        restsOn: {
          pose: 'warrior-two',
          level: SHIN_LEANING_BACK.id,
          kneeMayStraightenDeg: KNEE_MAY_STRAIGHTEN_DEG,
        },
      },
    },
    {
      id: 'elbow-on-thigh',
      name: 'Forearm on the front thigh',
      insteadWhere: { handAboveCm: BLOCK_ON_ITS_MIDDLE_FACE_CM },
      changes: {
        arms: { front: { reach: 'elbow-on-front-thigh' }, back: { reach: 'up' } },
        musts: [...MUSTS, { quantity: 'front-arm-miss', atLeast: -0.5, atMost: 0.5 }],
      },
    },
    {
      id: 'on-a-chair',
      name: 'Front thigh on a chair',
      reachedBy: 'practice',
      changes: { supports: ['under-front-thigh'] },
    },
    { id: USUAL_LEVEL, name: 'Hand on a prop by the front foot', changes: {} },
    {
      id: 'half-bind',
      name: 'Half bind: the top hand behind the waist',
      reachedBy: 'practice',
      changes: {
        arms: {
          front: { reach: 'down', clearOfFrontFoot: true },
          back: { reach: 'behind-back' },
        },
      },
    },
    {
      id: 'bind',
      name: 'Bind: strap by trial, start at 60 cm',
      reachedBy: 'practice',
      changes: {
        arms: { front: { reach: 'behind-back' }, back: { reach: 'behind-back' } },
        musts: [...MUSTS, { quantity: 'trunk-lean', atLeast: LEAST_LEAN_OF_BIND }],
        supports: ['bind-strap'],
      },
    },
  ],
  easier: 'side angle with the forearm on the thigh, or lying side angle',
  guidance: {
    gaze: 'Ahead, or up under the top arm.',
    farPoints: ['fingertips of the top hand', 'outer edge of the back heel'],
    tendencies: [
      {
        seen: 'Front knee drifts in',
        error: 'knee-drifts',
        first: 'Bend less, and press the knee into the arm.',
        felt: 'The outside of the front hip works.',
      },
      {
        seen: 'Chest drops toward the thigh',
        first: 'Raise the hand by one face, or rest the forearm.',
        felt: 'Air reaches both sides of the ribs.',
      },
      {
        seen: 'Weight sinks into the lower hand',
        first: 'Take it off the prop for one breath.',
        felt: 'The legs carry the trunk.',
      },
    ],
    easier: [
      { words: 'forearm on the front thigh', level: 'elbow-on-thigh' },
      { words: 'front thigh on a chair', level: 'on-a-chair' },
    ],
    harder: [
      { words: 'half bind', level: 'half-bind' },
      { words: 'bind with a strap', level: 'bind' },
    ],
    inhale: [
      ['lengthen', 'the upper side', 'from heel to hand'],
      ['turn', 'the breastbone', 'upward'],
      ['lift', 'the arch of the back foot', 'upward'],
    ],
    exhale: [
      ['press', 'the outer edge of the back foot', 'down'],
      ['press', 'the front knee', 'toward its little toe'],
      ['let sink', 'the upper shoulder', 'away from the ear'],
    ],
    breaths: 5,
    effort: 'active',
  },
  lookAt: [
    { at: 'Feet', look: 'The back outer edge heavy.', change: 'Shorten the stance by one step.' },
    {
      at: 'Front knee',
      look: 'Straight above the ankle, pressing back against the arm.',
      change: 'Bend less until it stops drifting in.',
    },
    {
      at: 'Pelvis',
      look: 'Tips sideways with the trunk.',
      change: 'Let the back hip come forward.',
    },
    {
      at: 'Spine',
      look: 'One line from the back heel to the crown.',
      change: 'Raise the hand: forearm on the thigh.',
    },
    { at: 'Hand', look: 'Light; the shoulder not sunk into it.', change: 'One face higher.' },
    { at: 'Gaze', look: 'Ahead, or up the top arm.', change: 'Look ahead or down.' },
    { at: 'Breath', look: 'Easy and even, jaw loose.', change: 'Come up one step.' },
  ],
  wayIn: [
    'Begin in warrior II.',
    'Lengthen the trunk over the front thigh and rest the forearm there.',
    'Only from there take the hand to its prop.',
    'Reach the top arm in line with the back leg.',
  ],
  wayOut: ['Press the back foot and come up to warrior II.'],
  transitions: [
    {
      to: 'warrior-two',
      foot: 'none',
      movement: 'straighten',
      hands: 'off the prop, then out to both sides',
      order: ['Press the back foot.', 'Come up, the arm after the chest.'],
    },
    {
      to: 'half-moon',
      foot: 'back',
      movement: 'lift-off',
      stepsIn: 0.5,
      hands: 'front hand from its prop to the mark ahead of the foot',
      order: [
        'Move the front hand and its prop ahead.',
        'Step the back foot in by half the stance.',
        'Keep the front knee bent.',
        'Lift the back leg as the front knee straightens.',
      ],
    },
  ],
};
