import { USUAL_LEVEL } from '../level.ts';
import type { PoseDefinition } from '../poseDefinition.ts';
import {
  OPEN_BACK_FOOT,
  OPEN_BACK_FOOT_WISH,
  OPEN_FRONT_FOOT,
  OPEN_PELVIS_WISH,
  stanceBySchool,
} from './schools.ts';

/** How far up a wall the ball of the front foot goes, its heel on the floor. Our choice. */
const BALL_UP_WALL_CM = 11;

const MUSTS: PoseDefinition['musts'] = [
  // 0.17 of the trunk's length across the mat is a lean of 9.8°.
  { quantity: 'trunk-lean-across', atLeast: -9.8, atMost: 9.8 },
  {
    quantity: 'spine-side-bend',
    atLeast: { rule: 'triangleShape', options: { long: -5, 'side-bend': -90 } },
    atMost: { rule: 'triangleShape', options: { long: 5, 'side-bend': 90 } },
  },
  {
    quantity: 'spine-flexion',
    atMost: { rule: 'triangleShape', options: { long: 5, 'side-bend': 90 } },
  },
  { quantity: 'weight-inside-base', atLeast: 2 },
];

export const triangle: PoseDefinition = {
  id: 'triangle',
  name: 'Triangle',
  sanskrit: 'Utthita Trikonasana',
  family: 'open',
  pelvisFaces: 'long-edge',
  straightLegs: ['front', 'back'],
  frontFootYaw: OPEN_FRONT_FOOT,
  backFootYaw: OPEN_BACK_FOOT,
  backContact: 'flat',
  backHeelLift: null,
  heelLine: 'heel-to-arch',
  stance: stanceBySchool({ kind: 'times', of: 'leg-length', factor: 1 }),
  arms: { front: { reach: 'down', clearOfFrontFoot: true }, back: { reach: 'out' } },
  musts: MUSTS,
  wishes: [
    { quantity: 'chest-forward-along', goal: 0, sigma: 25 },
    { quantity: 'chest-forward-up', goal: 0, sigma: 25 },
    OPEN_PELVIS_WISH,
    OPEN_BACK_FOOT_WISH,
  ],
  eases: [
    { quantity: 'spine-side-bend', goal: 0, sigma: 10 },
    { quantity: 'spine-flexion', goal: 0, sigma: 10 },
    { quantity: 'trunk-lean-across', goal: 0, sigma: 10 },
  ],
  firstDepth: null,
  depth: {
    quantity: 'trunk-lean',
    words: 'trunk lean from upright',
    easiest: 8,
    textbook: 90,
  },
  chestTarget: 'long-edge',
  starts: [
    {
      pelvisTurn: 51,
      pelvisTilt: 41,
      pelvisList: 7,
      spineRotation: 19,
      kneeBend: 1,
      stanceShare: 1.1,
      again: ['sparing'],
    },
    {
      pelvisTurn: 41,
      pelvisTilt: 17,
      pelvisList: 30,
      spineRotation: -25,
      kneeBend: 1,
      stanceShare: 0.9,
    },
    {
      pelvisTurn: 68,
      pelvisTilt: 38,
      pelvisList: 29,
      spineRotation: 37,
      kneeBend: 1,
      stanceShare: 1.15,
    },
  ],
  needs: [
    'hip-opening',
    'hip-abduction',
    'straight-leg-raise',
    'hip-extension',
    'hip-external-rotation',
    'hip-internal-rotation',
    'trunk-rotation',
  ],
  expected: {
    reference: ['front hip flexion', 'spine rotation to the left'],
    stiff: ['front hip flexion', 'front hip abduction', 'spine rotation to the left'],
    supple: ['back hip adduction'],
  },
  levels: [
    {
      id: 'hand-on-a-chair',
      name: 'Hand on a chair',
      reachedBy: 'practice',
      changes: { handsOn: { surface: 'chair', elbows: 'straight' } },
    },
    {
      id: 'natural-feet',
      name: 'Both feet turned out naturally',
      changes: { frontFootYaw: { kind: 'held', at: -10 }, backFootYaw: { kind: 'held', at: 60 } },
    },
    {
      id: 'hand-on-shin',
      name: 'Hand on the shin',
      changes: {
        arms: { front: { reach: 'on-front-shin' }, back: { reach: 'out' } },
        musts: [...MUSTS, { quantity: 'front-arm-miss', atMost: 0 }],
      },
    },
    {
      id: 'at-a-wall',
      name: 'The back at a wall',
      reachedBy: 'choice',
      changes: { supports: ['wall-behind'] },
    },
    {
      id: 'with-a-strap',
      name: 'Strap from the back foot round the front thigh',
      reachedBy: 'choice',
      changes: { supports: ['strap-foot-to-thigh'] },
    },
    {
      id: 'ball-on-a-block',
      name: 'Ball of the front foot on a block',
      reachedBy: 'choice',
      changes: { frontBallOnBlock: true, supports: ['front-ball-block'] },
    },
    {
      id: 'front-sole-up-a-wall',
      name: 'Front sole up the wall',
      reachedBy: 'choice',
      changes: { frontBallOnCm: BALL_UP_WALL_CM, supports: ['wall-at-toes'] },
    },
    {
      id: 'chair-behind',
      name: 'Chair behind the back',
      reachedBy: 'choice',
      changes: { supports: ['chair-behind'] },
    },
    {
      id: 'on-the-diagonal',
      name: 'Feet on the mat’s diagonal',
      reachedBy: 'choice',
      changes: { feetOnDiagonal: true },
    },
    {
      id: 'a-block-each-side',
      name: 'A block on each side, to change sides on the spot',
      reachedBy: 'choice',
      changes: { supports: ['second-block'] },
    },
    { id: USUAL_LEVEL, name: 'Hand on a prop', changes: {} },
    {
      id: 'hand-on-the-floor',
      name: 'Hand on the floor',
      forWhom: 'palm down and both sides long: for leg raises of 130° or more',
      reachedBy: 'practice',
      changes: { handsOn: { surface: 'floor', elbows: 'straight' } },
    },
  ],
  easier: 'triangle with the hand on a chair',
  guidance: {
    gaze: 'Ahead; up only while the neck stays long.',
    farPoints: ['fingertips of the top hand', 'outer edge of the back heel'],
    tendencies: [
      {
        seen: 'Chest turns to the floor',
        first: 'Raise the hand by one face.',
        felt: 'The upper ribs open without a push.',
      },
      {
        seen: 'Front knee locks',
        error: 'knees-locked',
        first: 'Soften it, then lift the kneecap.',
        felt: 'The work is in the thigh and not behind the knee.',
      },
      {
        seen: 'Lower side is crushed',
        first: 'Come up by a hand’s breadth and lengthen.',
        felt: 'Both sides of the waist are equally long.',
      },
    ],
    easier: [
      { words: 'hand on a chair', level: 'hand-on-a-chair' },
      { words: 'the back at a wall', level: 'at-a-wall' },
    ],
    harder: [
      { words: 'lower hand off the prop' },
      { words: 'strap from the back foot round the front thigh', level: 'with-a-strap' },
    ],
    inhale: [
      ['lengthen', 'the crown', 'over the front foot'],
      ['turn', 'the upper ribs', 'toward the long edge'],
      ['lift', 'both kneecaps', 'upward'],
    ],
    exhale: [
      ['press', 'the outer edge of the back foot', 'down'],
      ['draw', 'the front hip', 'back'],
      ['let sink', 'the shoulders', 'away from the ears'],
    ],
    breaths: 5,
    effort: 'active',
  },
  lookAt: [
    { at: 'Feet', look: 'Both soles heavy, arches up.', change: 'Press the outer back edge.' },
    {
      at: 'Knees',
      look: 'Straight and easy, kneecaps facing their toes.',
      change: 'Soften the front knee a little.',
    },
    {
      at: 'Pelvis',
      look: 'Tipping sideways as one piece with the trunk.',
      change: 'Let the back hip come forward.',
    },
    {
      at: 'Spine',
      look: 'Both sides of the trunk equally long.',
      change: 'Raise the hand by one face of the block.',
    },
    {
      at: 'Hand',
      look: 'Plumb under its shoulder, light on the prop.',
      change: 'Raise the prop; keep the stance.',
    },
    { at: 'Gaze', look: 'Ahead; up only if the neck stays long.', change: 'Look ahead or down.' },
    {
      at: 'Breath',
      look: 'Even in both sides of the ribs.',
      change: 'Come up by a hand’s breadth.',
    },
  ],
  wayIn: [
    'Set both feet on their marks and the prop in its place.',
    'Arms out, reach long over the front foot from the hip.',
    'Lower the hand to the prop and turn the chest.',
  ],
  wayOut: [
    'Press the back foot and come up with a long trunk.',
    'Turn the feet parallel and walk them in.',
  ],
  transitions: [
    {
      to: 'warrior-two',
      foot: 'back',
      movement: 'step',
      hands: 'off the prop, then out to both sides',
      order: [
        'Press the feet and come up.',
        'Step the back foot out to its mark.',
        'Bend the front knee.',
      ],
    },
    {
      to: 'reverse-triangle',
      foot: 'none',
      movement: 'bend',
      hands: 'front arm up, back hand light on the back leg',
      order: ['Press the feet and come up.', 'Lean back over the back leg.'],
    },
    {
      to: 'half-moon',
      foot: 'back',
      movement: 'lift-off',
      stepsIn: 0.5,
      hands: 'front hand ahead of the foot on its prop',
      order: [
        'Bend the front knee.',
        'Move the front hand and its prop ahead.',
        'Step the back foot in by half the stance.',
        'Lift the back leg as the front knee straightens.',
      ],
    },
    {
      to: 'pyramid',
      foot: 'back',
      movement: 'pivot',
      hands: 'both down to their props',
      order: [
        'Press the feet and come up.',
        'Turn the back foot in and move it to its mark.',
        'Turn the pelvis to the front.',
        'Fold from the hips.',
      ],
    },
  ],
};
