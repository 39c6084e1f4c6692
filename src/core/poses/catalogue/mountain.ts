import type { PoseDefinition } from '../poseDefinition.ts';

/** Feet whose legs do not turn in may turn out by this. Our choice. */
const MOST_TURNED_OUT_DEG = 20;

export const mountain: PoseDefinition = {
  id: 'mountain',
  name: 'Mountain',
  sanskrit: 'Tadasana',
  family: 'neutral',
  pelvisFaces: 'front',
  origin: 'mid-stance',
  straightLegs: ['front', 'back'],
  frontFootYaw: { kind: 'free', from: -MOST_TURNED_OUT_DEG, to: 0, start: 0 },
  backContact: 'flat',
  backFootYaw: { kind: 'free', from: 0, to: MOST_TURNED_OUT_DEG, start: 0 },
  backHeelLift: null,
  heelLine: 'two-fists',
  stance: { kind: 'none' },
  arms: { front: { reach: 'beside' }, back: { reach: 'beside' } },
  musts: [{ quantity: 'weight-inside-base', atLeast: 2 }],
  wishes: [
    { quantity: 'pelvis-turn', goal: 0, sigma: 5 },
    { quantity: 'pelvis-tilt', goal: 0, sigma: 5 },
    { quantity: 'chest-turn', goal: 0, sigma: 5 },
    { quantity: 'trunk-lean-along', goal: 0, sigma: 5 },
    { quantity: 'trunk-lean-across', goal: 0, sigma: 5 },
    { quantity: 'weight-ahead-of-mid-foot', goal: 0, sigma: 2 },
  ],
  eases: [
    { quantity: 'front-foot-angle', goal: 0, sigma: 2 },
    { quantity: 'back-foot-angle', goal: 0, sigma: 2 },
    { quantity: 'pelvis-level', goal: 0, sigma: 5 },
    // Both feet equally heavy, also on legs of different length.
    { quantity: 'weight-between-feet', goal: 0, sigma: 1 },
    { quantity: 'spine-side-bend', goal: 0, sigma: 5 },
    { quantity: 'spine-flexion', goal: 0, sigma: 5 },
  ],
  firstDepth: null,
  depth: null,
  chestTarget: null,
  starts: [
    { pelvisTurn: 0, pelvisTilt: 0, pelvisList: 0, spineRotation: 0, kneeBend: 1, stanceShare: 1 },
  ],
  needs: [],
  expected: null,
  levels: [],
  easier: 'standing with the back at a wall',
  guidance: {
    gaze: 'Level, at one quiet place.',
    farPoints: ['crown of the head', 'both heels'],
    tendencies: [
      {
        seen: 'Knees pushed back',
        first: 'Unlock them by a hair and lift the kneecaps.',
        felt: 'Work in the front of the thighs, none behind the knees.',
      },
      {
        seen: 'Weight on the heels or on the toes',
        first: 'Sway, and stop where both are equally heavy.',
        felt: 'The whole sole, like a print in sand.',
      },
      {
        seen: 'Ribs pushed forward',
        first: 'Let the lower ribs sink on the next breath out.',
        felt: 'The back of the ribs moves with the breath.',
      },
    ],
    easier: ['back at a wall', 'feet a fist wider'],
    harder: ['eyes closed', 'heels lifted by a finger’s breadth'],
    inhale: [
      ['lengthen', 'the crown', 'upward'],
      ['widen', 'the collar bones', 'to both sides'],
      ['lift', 'the kneecaps', 'upward'],
    ],
    exhale: [
      ['press', 'the heels', 'down'],
      ['soften', 'the lower ribs', 'inward'],
      ['let sink', 'the shoulders', 'away from the ears'],
    ],
    breaths: 5,
    effort: 'active',
    next: ['warrior-two', 'high-lunge', 'chair', 'tree', 'wide-fold'],
  },
  lookAt: [
    {
      at: 'Feet',
      look: 'Two fists apart, both soles heavy.',
      change: 'Rock forward and back until the weight settles.',
    },
    {
      at: 'Knees',
      look: 'Straight and easy, kneecaps ahead.',
      change: 'Soften both knees a little.',
    },
    { at: 'Pelvis', look: 'Level, neither tucked nor tipped.', change: 'Let the tail hang.' },
    { at: 'Spine', look: 'Long, ribs over the hips.', change: 'Let the lower ribs soften back.' },
    { at: 'Gaze', look: 'At one point that does not move.', change: 'Look a little lower.' },
    { at: 'Breath', look: 'Easy and even, jaw loose.', change: 'Come up one step.' },
  ],
  wayIn: [
    'Stand on both marks, two fists apart.',
    'Spread the weight over heels and balls.',
    'Let the arms hang.',
  ],
  wayOut: ['Step off softly.'],
};
