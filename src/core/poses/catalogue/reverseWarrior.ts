import type { PoseDefinition } from '../poseDefinition.ts';
import { OPEN_BACK_FOOT, OPEN_FRONT_FOOT } from './schools.ts';

export const reverseWarrior: PoseDefinition = {
  id: 'reverse-warrior',
  name: 'Reverse warrior',
  sanskrit: 'Viparita Virabhadrasana',
  family: 'open',
  pelvisFaces: 'long-edge',
  restsOn: { pose: 'warrior-two' },
  blueprint: 'open-stance',
  straightLegs: ['back'],
  frontFootYaw: OPEN_FRONT_FOOT,
  backContact: 'flat',
  backFootYaw: OPEN_BACK_FOOT,
  backHeelLift: null,
  heelLine: 'heel-to-arch',
  stance: { kind: 'free' },
  arms: { front: { reach: 'up' }, back: { reach: 'on-back-leg' } },
  trunkShares: { extension: 0.5 },
  musts: [
    {
      quantity: 'pelvis-level',
      atLeast: -10,
      atMost: { rule: 'pelvisReverseWarrior', options: { level: 10, 'may-drop': 30 } },
    },
    { quantity: 'weight-inside-base', atLeast: 2 },
  ],
  wishes: [
    { quantity: 'trunk-lean-across', goal: 0, sigma: 10 },
    // Turned to the front, a chest buys side bend; the pose keeps it open.
    { quantity: 'chest-forward-along', goal: 0, sigma: 20 },
  ],
  eases: [
    { quantity: 'pelvis-turn', goal: 90, sigma: 30 },
    { quantity: 'pelvis-tilt', goal: 0, sigma: 20 },
    {
      quantity: 'pelvis-level',
      goal: 0,
      sigma: { rule: 'pelvisReverseWarrior', options: { level: 5, 'may-drop': 10_000 } },
    },
    { quantity: 'spine-flexion', goal: 0, sigma: 20 },
  ],
  firstDepth: null,
  depth: { quantity: 'spine-side-bend', words: 'side bend', easiest: 2, textbook: 30 },
  chestTarget: 'long-edge',
  starts: [
    {
      pelvisTurn: 60,
      pelvisTilt: 10,
      pelvisList: 0,
      spineRotation: 25,
      kneeBend: 60,
      stanceShare: 1.2,
      again: ['sparing', 'settled'],
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
    reference: ['front hip abduction', 'back hip extension', 'spine extension'],
    stiff: [
      'front hip external rotation',
      'back hip extension',
      'spine extension',
      'back hip external rotation',
      'front hip abduction',
    ],
    supple: ['front hip abduction', 'back hip extension', 'spine extension', 'spine side bend'],
  },
  levels: [],
  easier: 'warrior II with the front arm raised',
  guidance: {
    gaze: 'Ahead, or up along the top arm.',
    farPoints: ['fingertips of the top hand', 'front knee'],
    tendencies: [
      {
        seen: 'Weight falls on the back hand',
        first: 'Lift it off the leg for one breath.',
        felt: 'The side of the waist carries the trunk.',
      },
      {
        seen: 'Front knee straightens',
        error: 'legs-upright',
        first: 'Bend it again before bending the trunk.',
        felt: 'The front thigh stays level.',
      },
      {
        seen: 'Low back is pinched',
        first: 'Bend less and lengthen first.',
        felt: 'The bend is spread along the whole side.',
      },
    ],
    easier: [{ words: 'top hand on the hip' }, { words: 'a smaller side bend' }],
    harder: [{ words: 'back hand behind the waist' }, { words: 'five breaths longer' }],
    inhale: [
      ['lengthen', 'the front side of the ribs', 'upward'],
      ['reach', 'the top hand', 'up and back'],
      ['widen', 'the breastbone', 'toward the long edge'],
    ],
    exhale: [
      ['press', 'both feet', 'into the mat'],
      ['bend', 'the front knee', 'over its ankle'],
      ['soften', 'the throat', 'down'],
    ],
    breaths: 4,
    effort: 'active',
  },
  lookAt: [
    {
      at: 'Feet',
      look: 'As in warrior II; the front knee stays where it was.',
      change: 'Come back to warrior II and bend less.',
    },
    { at: 'Pelvis', look: 'As level as in warrior II.', change: 'Lean back less.' },
    {
      at: 'Spine',
      look: 'One long curve; the low back not pinched.',
      change: 'Lift the ribs before leaning.',
    },
    {
      at: 'Back hand',
      look: 'Only touching the back leg.',
      change: 'Lighten it, or rest it on the hip.',
    },
    { at: 'Gaze', look: 'Up the raised arm, or down if the neck is sore.', change: 'Look ahead.' },
    { at: 'Breath', look: 'Easy and even, jaw loose.', change: 'Come up one step.' },
  ],
  wayIn: [
    'Begin in warrior II.',
    'Turn the front palm up and lift that arm.',
    'Lean back over the mat’s length, back hand light on the back leg.',
  ],
  wayOut: ['Come back up to warrior II with an in-breath.'],
  transitions: [
    {
      to: 'warrior-two',
      foot: 'none',
      movement: 'straighten',
      hands: 'out to both sides',
      order: ['Keep the front knee bent.', 'Come up with an in-breath.'],
    },
  ],
};
