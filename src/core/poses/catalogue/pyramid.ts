import type { ArmDefinition, PoseDefinition } from '../poseDefinition.ts';
import { makeFoldLevels } from './foldLevels.ts';
import { STRAIGHT_AHEAD } from './schools.ts';

const ARM: ArmDefinition = { reach: 'down', clearOfFrontFoot: true };

const MUSTS: PoseDefinition['musts'] = [
  { quantity: 'pelvis-level', atLeast: -5, atMost: 5 },
  { quantity: 'spine-flexion', atMost: 10 },
  { quantity: 'weight-inside-base', atLeast: 2 },
];

export const pyramid: PoseDefinition = {
  id: 'pyramid',
  name: 'Pyramid',
  sanskrit: 'Parshvottanasana',
  family: 'closed',
  pelvisFaces: 'front',
  blueprint: 'closed-straight-legs',
  straightLegs: ['front', 'back'],
  frontFootYaw: STRAIGHT_AHEAD,
  backFootYaw: {
    rule: 'pyramidStance',
    options: {
      short: { kind: 'held', at: 10 },
      'leg-length': { kind: 'held', at: 10 },
      long: { kind: 'free', from: 10, to: 60, start: 35 },
    },
  },
  backContact: 'flat',
  backHeelLift: null,
  heelLine: 'two-fists',
  stance: {
    rule: 'pyramidStance',
    options: {
      short: { kind: 'times', of: 'leg-length', factor: 0.75 },
      'leg-length': { kind: 'longest-up-to', of: 'leg-length', factor: 1 },
      long: { kind: 'longest-up-to', of: 'leg-length', factor: 1.35 },
    },
  },
  arms: { front: ARM, back: ARM },
  musts: MUSTS,
  wishes: [
    { quantity: 'pelvis-turn', goal: 0, sigma: 5 },
    // A long back neither rounds nor hollows to buy tilt.
    { quantity: 'spine-flexion', goal: 0, sigma: 2.5 },
    { quantity: 'spine-side-bend', goal: 0, sigma: 5 },
    { quantity: 'spine-rotation', goal: 0, sigma: 5 },
  ],
  eases: [
    { quantity: 'back-foot-angle', goal: 30, sigma: 20 },
    { quantity: 'pelvis-level', goal: 0, sigma: 5 },
    // The hips stay between the feet.
    { quantity: 'weight-between-feet', goal: 0, sigma: 3 },
  ],
  firstDepth: null,
  depth: {
    quantity: 'pelvis-tilt',
    words: 'pelvis tilt',
    easiest: 5,
    textbook: 110,
  },
  chestTarget: null,
  starts: [
    { pelvisTurn: 0, pelvisTilt: 35, pelvisList: 0, spineRotation: 0, kneeBend: 1, stanceShare: 1 },
  ],
  needs: [
    'straight-leg-raise',
    'hip-abduction',
    'hip-extension',
    'hip-external-rotation',
    'hip-internal-rotation',
    'ankle-dorsiflexion-straight',
  ],
  expected: {
    reference: ['front hip flexion'],
    stiff: ['front hip flexion', 'back ankle dorsiflexion'],
    supple: ['front hip flexion'],
  },
  levels: makeFoldLevels(MUSTS, ARM, {
    floor: 'palms down with a long back: for leg raises of 135° or more',
    elbowsBent: 'for leg raises of 140° or more',
  }),
  easier: 'lying pyramid',
  guidance: {
    gaze: 'At the front foot’s toes, or the shin.',
    farPoints: ['crown of the head', 'back heel'],
    tendencies: [
      {
        seen: 'Back rounds',
        error: 'back-rounds',
        first: 'Raise the hands by one face.',
        felt: 'The breastbone moves toward the toes.',
      },
      {
        seen: 'Back heel floats',
        error: 'heel-floats',
        first: 'Shorten the stance by half a foot.',
        felt: 'Both heels equally heavy.',
      },
      {
        seen: 'Front hip runs forward',
        error: 'hip-creeps',
        first: 'Draw it back in line with the other.',
        felt: 'An even pull at the back of the front thigh.',
      },
    ],
    easier: [
      { words: 'hands on a chair', level: 'hands-on-a-chair' },
      { words: 'a shorter stance' },
    ],
    harder: [
      { words: 'hands on the floor', level: 'hands-on-the-floor' },
      { words: 'hands behind the back' },
    ],
    inhale: [
      ['lengthen', 'the breastbone', 'forward'],
      ['lift', 'the front kneecap', 'upward'],
      ['widen', 'the sit bones', 'apart'],
    ],
    exhale: [
      ['tip', 'the pelvis', 'over the front thigh'],
      ['press', 'the back heel', 'down'],
      ['draw', 'the front hip', 'back'],
    ],
    breaths: 6,
    effort: 'active',
  },
  lookAt: [
    {
      at: 'Feet',
      look: 'Two fists apart, the back heel heavy.',
      change: 'Shorten the stance until the heel lands.',
    },
    {
      at: 'Knees',
      look: 'Straight and easy, kneecaps ahead.',
      change: 'Soften the front knee a little.',
    },
    {
      at: 'Pelvis',
      look: 'Level, front hip drawn back.',
      change: 'Turn the back toes a little more forward.',
    },
    {
      at: 'Spine',
      look: 'Long from the hips; no rounding.',
      change: 'Raise both hands by one face of the block.',
    },
    {
      at: 'Hands',
      look: 'Plumb under the shoulders, light.',
      change: 'Bring the props under the shoulders.',
    },
    { at: 'Gaze', look: 'Down, the neck long.', change: 'Look a little ahead of the front toes.' },
    { at: 'Breath', look: 'Free in the back of the ribs.', change: 'Come up by a hand’s breadth.' },
  ],
  wayIn: [
    'Set both feet on their marks and the props beside the front foot.',
    'Hands on hips, chest long, tip forward from the hips.',
    'Stop when the pelvis stops, and set the hands down there.',
  ],
  wayOut: ['Hands to hips, press both feet, come up with a long back.', 'Step the back foot in.'],
  transitions: [
    {
      to: 'revolved-triangle',
      foot: 'none',
      movement: 'turn-over',
      hands: 'the opposite hand to its prop, the other on the hip',
      order: ['Lengthen the back.', 'Set the opposite hand.', 'Turn the chest, the pelvis still.'],
    },
    {
      to: 'mountain',
      foot: 'back',
      movement: 'step',
      hands: 'on the hips',
      order: ['Come up with a long back.', 'Step the back foot up to the front one.'],
    },
    {
      to: 'warrior-one',
      foot: 'back',
      movement: 'step',
      hands: 'on the hips',
      order: [
        'Come up with a long back.',
        'Step the back foot out to its mark.',
        'Bend the front knee.',
      ],
    },
  ],
};
