import type { PoseDefinition } from '../poseDefinition.ts';
import { STRAIGHT_AHEAD } from './schools.ts';

export const revolvedTriangle: PoseDefinition = {
  id: 'revolved-triangle',
  name: 'Revolved triangle',
  sanskrit: 'Parivritta Trikonasana',
  family: 'closed',
  pelvisFaces: 'front',
  blueprint: 'closed-straight-legs',
  straightLegs: ['front', 'back'],
  frontFootYaw: STRAIGHT_AHEAD,
  backContact: 'flat',
  backFootYaw: { kind: 'held', at: 10 },
  backHeelLift: null,
  heelLine: 'two-fists',
  stance: { kind: 'longest-up-to', of: 'leg-length', factor: 0.95 },
  arms: {
    front: { reach: 'out' },
    back: { reach: 'down', clearOfFrontFoot: true, mostAsideCm: 10 },
  },
  trunkShares: { rotation: 0.8 },
  musts: [
    {
      quantity: 'pelvis-turn',
      atLeast: {
        rule: 'twist',
        options: { 'by-pose': -10, 'hip-first': -20, 'pelvis-fixed': -2, full: -30 },
      },
      atMost: {
        rule: 'twist',
        options: { 'by-pose': 10, 'hip-first': 20, 'pelvis-fixed': 2, full: 30 },
      },
    },
    { quantity: 'pelvis-level', atLeast: -8, atMost: 8 },
    { quantity: 'trunk-lean-across', atLeast: -5, atMost: 5 },
    { quantity: 'spine-flexion', atMost: 10 },
    { quantity: 'spine-side-bend', atLeast: -10, atMost: 10 },
    { quantity: 'weight-inside-base', atLeast: 2 },
  ],
  wishes: [
    { quantity: 'spine-flexion', goal: 0, sigma: 5 },
    { quantity: 'spine-side-bend', goal: 0, sigma: 5 },
  ],
  eases: [
    { quantity: 'pelvis-level', goal: 0, sigma: 8 },
    { quantity: 'pelvis-turn', goal: 0, sigma: 10 },
    { quantity: 'trunk-lean-across', goal: 0, sigma: 10 },
  ],
  firstDepth: { quantity: 'pelvis-tilt', words: 'pelvis tilt', easiest: 5, textbook: 90 },
  depth: {
    quantity: 'chest-turned-to-front-leg',
    words: 'chest turned from facing the floor',
    easiest: 5,
    textbook: 90,
  },
  chestTarget: null,
  starts: [
    {
      pelvisTurn: 0,
      pelvisTilt: 45,
      pelvisList: 0,
      spineRotation: 0,
      kneeBend: 1,
      stanceShare: 0.9,
    },
  ],
  needs: [
    'straight-leg-raise',
    'hip-abduction',
    'hip-extension',
    'hip-external-rotation',
    'hip-internal-rotation',
    'ankle-dorsiflexion-straight',
    'trunk-rotation',
  ],
  expected: {
    reference: ['front hip flexion', 'spine rotation to the right'],
    stiff: ['front hip flexion', 'back ankle dorsiflexion', 'spine rotation to the right'],
    supple: ['front hip flexion', 'spine rotation to the right', 'spine flexion'],
  },
  levels: [],
  easier: 'revolved triangle with the hand on a chair, or the lying crossed twist',
  guidance: {
    gaze: 'Down, then ahead, then up if the neck is easy.',
    farPoints: ['fingertips of the top hand', 'back heel'],
    tendencies: [
      {
        seen: 'Pelvis swings round',
        error: 'twist-from-pelvis',
        first: 'Turn less and hold the hips level.',
        felt: 'The ribs do the turning.',
      },
      {
        seen: 'Back rounds',
        error: 'back-rounds',
        first: 'Raise the hand by one face.',
        felt: 'A long back before a turn.',
      },
      { seen: 'Balance goes', first: 'Set the feet a fist wider.', felt: 'Both feet press alike.' },
    ],
    easier: [{ words: 'hand inside the foot on a tall block' }, { words: 'top hand on the hip' }],
    harder: [{ words: 'hand outside the front foot' }, { words: 'gaze up' }],
    inhale: [
      ['lengthen', 'the crown', 'forward'],
      ['widen', 'the collar bones', 'apart'],
      ['lift', 'both kneecaps', 'upward'],
    ],
    exhale: [
      ['turn', 'the ribs', 'toward the front leg'],
      ['hold', 'the pelvis', 'level'],
      ['press', 'the back heel', 'down'],
    ],
    breaths: 5,
    effort: 'active',
  },
  lookAt: [
    {
      at: 'Feet',
      look: 'Two fists apart, the back heel heavy.',
      change: 'Shorten the stance until the heel lands.',
    },
    {
      at: 'Pelvis',
      look: 'Level; a little give is fine.',
      change: 'Move the hand to the inside of the foot.',
    },
    { at: 'Spine', look: 'Long before it turns.', change: 'Raise the hand by one face.' },
    { at: 'Chest', look: 'Turns by the ribs, not by a swaying pelvis.', change: 'Turn less.' },
    {
      at: 'Hand',
      look: 'Plumb under its shoulder, light.',
      change: 'Bring the block under the shoulder.',
    },
    { at: 'Gaze', look: 'At one point that does not move.', change: 'Look a little lower.' },
    { at: 'Breath', look: 'Easy and even, jaw loose.', change: 'Come up one step.' },
  ],
  wayIn: [
    'Set both feet and the block on their marks.',
    'Tip forward with a long back as in pyramid.',
    'Opposite hand to the block, then turn the chest toward the front leg.',
  ],
  wayOut: ['Turn the chest back to the floor, then come up.'],
  transitions: [
    {
      to: 'pyramid',
      foot: 'none',
      movement: 'turn-over',
      hands: 'both to their props',
      order: ['Turn the chest back to the floor.', 'Set both hands.'],
    },
  ],
};
