import type { ArmDefinition, PoseDefinition } from '../poseDefinition.ts';
import { makeFoldLevels } from './foldLevels.ts';

const ARM: ArmDefinition = { reach: 'down' };

const MUSTS: PoseDefinition['musts'] = [
  // Both sides alike: a body that leans or turns to one side buys tilt with it.
  { quantity: 'pelvis-level', atLeast: -2, atMost: 2 },
  { quantity: 'pelvis-turn', atLeast: 88, atMost: 92 },
  { quantity: 'spine-side-bend', atLeast: -2, atMost: 2 },
  { quantity: 'spine-rotation', atLeast: -2, atMost: 2 },
  { quantity: 'spine-flexion', atMost: 10 },
  { quantity: 'hips-ahead-of-heel-line', atLeast: -6, atMost: 6 },
  { quantity: 'weight-inside-base', atLeast: 2 },
];

export const wideFold: PoseDefinition = {
  id: 'wide-fold',
  name: 'Wide fold',
  sanskrit: 'Prasarita Padottanasana',
  family: 'neutral',
  pelvisFaces: 'long-edge',
  origin: 'mid-stance',
  straightLegs: ['front', 'back'],
  // Parallel, toed in by up to 10° or, where the legs do not turn in, out by up to 15°.
  frontFootYaw: { kind: 'free', from: 75, to: 100, start: 90 },
  backContact: 'flat',
  backFootYaw: { kind: 'free', from: 80, to: 105, start: 90 },
  backHeelLift: null,
  heelLine: 'heel-to-heel',
  stance: { kind: 'longest-up-to', of: 'wrist-span', factor: 1 },
  arms: { front: ARM, back: ARM },
  musts: MUSTS,
  wishes: [
    { quantity: 'hips-ahead-of-heel-line', goal: 0, sigma: 3 },
    { quantity: 'pelvis-turn', goal: 90, sigma: 1 },
    { quantity: 'spine-flexion', goal: 0, sigma: 2.5 },
    { quantity: 'spine-side-bend', goal: 0, sigma: 1 },
    { quantity: 'spine-rotation', goal: 0, sigma: 1 },
  ],
  eases: [
    { quantity: 'pelvis-level', goal: 0, sigma: 3 },
    { quantity: 'front-foot-angle', goal: 90, sigma: 1 },
    { quantity: 'back-foot-angle', goal: 90, sigma: 1 },
  ],
  firstDepth: null,
  depth: { quantity: 'pelvis-tilt', words: 'pelvis tilt', easiest: 5, textbook: 110 },
  chestTarget: null,
  starts: [
    {
      pelvisTurn: 90,
      pelvisTilt: 35,
      pelvisList: 0,
      spineRotation: 0,
      kneeBend: 1,
      stanceShare: 1.3,
      again: ['sparing'],
    },
    {
      pelvisTurn: 90,
      pelvisTilt: 10,
      pelvisList: 0,
      spineRotation: 0,
      kneeBend: 1,
      stanceShare: 1.1,
    },
  ],
  needs: [
    'straight-leg-raise',
    'hip-abduction',
    'hip-opening',
    'hip-external-rotation',
    'hip-internal-rotation',
  ],
  expected: {
    reference: ['right hip flexion', 'left hip flexion'],
    stiff: ['right hip flexion', 'left hip flexion'],
    supple: ['right hip flexion', 'left hip flexion'],
  },
  levels: makeFoldLevels(MUSTS, ARM, null),
  easier: 'wide fold with the hands on a chair',
  guidance: {
    gaze: 'At the floor between the hands.',
    farPoints: ['crown of the head', 'both sit bones'],
    tendencies: [
      {
        seen: 'Weight on the heels',
        first: 'Shift it until the toes are as heavy.',
        felt: 'Hips over the line of the heels.',
      },
      {
        seen: 'Back rounds',
        error: 'back-rounds',
        first: 'Come up on a higher prop.',
        felt: 'The breastbone moves forward.',
      },
      {
        seen: 'Arches fall',
        error: 'arches-fall',
        first: 'Press the outer edges.',
        felt: 'The inner thighs work.',
      },
    ],
    easier: [
      { words: 'hands on a chair', level: 'hands-on-a-chair' },
      { words: 'feet a hand nearer' },
    ],
    harder: [{ words: 'hands in line with the heels' }, { words: 'crown toward the floor' }],
    inhale: [
      ['lengthen', 'the breastbone', 'forward'],
      ['lift', 'both kneecaps', 'upward'],
      ['widen', 'the sit bones', 'apart'],
    ],
    exhale: [
      ['tip', 'the pelvis', 'forward'],
      ['press', 'the outer edges of the feet', 'down'],
      ['let hang', 'the head', 'down'],
    ],
    breaths: 6,
    effort: 'active',
  },
  lookAt: [
    { at: 'Feet', look: 'Parallel, outer edges heavy.', change: 'Step in by one foot’s width.' },
    { at: 'Knees', look: 'Straight and easy, kneecaps up.', change: 'Soften both a little.' },
    {
      at: 'Pelvis',
      look: 'Over the line of the heels.',
      change: 'Bring the weight forward to the balls.',
    },
    { at: 'Spine', look: 'Long from the hips.', change: 'Raise the hands by one face.' },
    { at: 'Hands', look: 'Plumb under the shoulders.', change: 'Bring the props nearer.' },
    { at: 'Breath', look: 'Easy and even, jaw loose.', change: 'Come up one step.' },
  ],
  wayIn: [
    'Step wide to both marks, toes ahead.',
    'Hands on hips, chest long, tip from the hips.',
    'Set the hands down where the pelvis stops.',
  ],
  wayOut: ['Hands to hips, press the feet, come up with a long back.', 'Walk the feet in.'],
  transitions: [
    {
      to: 'warrior-two',
      foot: 'both',
      movement: 'pivot',
      hands: 'on the hips',
      order: [
        'Come up with a long back.',
        'Turn the front foot out and the back foot in.',
        'Bend the front knee.',
      ],
    },
    {
      to: 'mountain',
      foot: 'both',
      movement: 'step',
      hands: 'on the hips',
      order: ['Come up with a long back.', 'Walk the feet together.', 'Turn to the front edge.'],
    },
  ],
};
