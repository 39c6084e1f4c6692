import type { PoseDefinition } from '../poseDefinition.ts';

export const warriorTwo: PoseDefinition = {
  id: 'warrior-two',
  name: 'Warrior II',
  sanskrit: 'Virabhadrasana II',
  family: 'open',
  straightLegs: ['back'],
  frontFootYaw: { rule: 'backFoot', options: { parallel: 0, 'turned-in': 0, natural: -10 } },
  backFootYaw: {
    kind: 'free',
    from: 45,
    to: 90,
    start: { rule: 'backFoot', options: { parallel: 90, 'turned-in': 75, natural: 60 } },
  },
  stance: {
    rule: 'stance',
    options: {
      solved: { kind: 'free' },
      'leg-length': { kind: 'times', of: 'leg-length', factor: 1 },
      'one-and-a-half-leg-lengths': { kind: 'times', of: 'leg-length', factor: 1.5 },
      wrists: { kind: 'times', of: 'wrist-span', factor: 1 },
      fixed: { kind: 'fixed' },
    },
  },
  arms: { front: { reach: 'out' }, back: { reach: 'out' } },
  musts: [
    { quantity: 'front-knee-beside-ankle', atLeast: 0, atMost: 0 },
    {
      quantity: 'front-knee-ahead-of-ankle',
      atLeast: 0,
      atMost: { rule: 'frontKnee', options: { stacked: 0, 'may-pass': 8 } },
    },
    { quantity: 'pelvis-level', atLeast: -5, atMost: 5 },
    { quantity: 'trunk-lean', atMost: 2 },
    { quantity: 'weight-inside-base', atLeast: 2 },
  ],
  wishes: [
    { quantity: 'chest-turn', goal: 90, sigma: 10 },
    {
      quantity: 'pelvis-turn',
      goal: 90,
      sigma: { rule: 'pelvisOpen', options: { 'as-hips-allow': 30, square: 3 } },
    },
    { quantity: 'pelvis-tilt', goal: 0, sigma: 20 },
    { quantity: 'pelvis-level', goal: 0, sigma: 5 },
    {
      quantity: 'back-foot-angle',
      goal: { rule: 'backFoot', options: { parallel: 90, 'turned-in': 75, natural: 60 } },
      sigma: 20,
    },
  ],
  eases: [
    { quantity: 'spine-side-bend', goal: 0, sigma: 40 },
    { quantity: 'spine-flexion', goal: 0, sigma: 40 },
  ],
  depth: {
    quantity: 'front-knee-bend',
    words: 'front-knee bend',
    easiest: 10,
    textbook: 90,
  },
  chestTarget: 'long-edge',
  starts: [
    {
      pelvisTurn: 55,
      pelvisTilt: 15,
      pelvisList: 3,
      spineRotation: 30,
      kneeBend: 75,
      stanceShare: 1.3,
    },
    {
      pelvisTurn: 70,
      pelvisTilt: 5,
      pelvisList: 0,
      spineRotation: 20,
      kneeBend: 40,
      stanceShare: 1.1,
    },
    {
      pelvisTurn: 40,
      pelvisTilt: 15,
      pelvisList: 0,
      spineRotation: 40,
      kneeBend: 40,
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
  easier: 'lying warrior II',
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
