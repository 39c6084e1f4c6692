import { USUAL_LEVEL } from '../level.ts';
import type { PoseDefinition } from '../poseDefinition.ts';
import { STRAIGHT_AHEAD } from './schools.ts';

export const tree: PoseDefinition = {
  id: 'tree',
  name: 'Tree',
  sanskrit: 'Vrikshasana',
  family: 'open',
  pelvisFaces: 'front',
  straightLegs: ['front'],
  frontFootYaw: STRAIGHT_AHEAD,
  backContact: 'on-front-leg',
  soleAt: 'shin',
  backFootYaw: STRAIGHT_AHEAD,
  backHeelLift: null,
  heelLine: 'hip-width',
  stance: { kind: 'none' },
  arms: { front: { reach: 'folded' }, back: { reach: 'folded' } },
  musts: [
    { quantity: 'pelvis-turn', atLeast: -3, atMost: 3 },
    { quantity: 'pelvis-level', atLeast: -5, atMost: 5 },
    { quantity: 'hips-beside-front-foot', atLeast: -4, atMost: 4 },
    { quantity: 'weight-inside-base', atLeast: 1 },
  ],
  wishes: [
    { quantity: 'pelvis-tilt', goal: 0, sigma: 10 },
    { quantity: 'trunk-lean-along', goal: 0, sigma: 5 },
    { quantity: 'trunk-lean-across', goal: 0, sigma: 5 },
    { quantity: 'chest-turn', goal: 0, sigma: 5 },
  ],
  eases: [
    // As high as it goes, but depth comes first.
    { quantity: 'sole-height', goal: 100, sigma: 100 },
    { quantity: 'pelvis-level', goal: 0, sigma: 2 },
    { quantity: 'spine-side-bend', goal: 0, sigma: 20 },
    { quantity: 'spine-flexion', goal: 0, sigma: 20 },
  ],
  firstDepth: null,
  depth: {
    quantity: 'back-knee-out',
    words: 'knee turned out from straight ahead',
    easiest: 10,
    textbook: 90,
  },
  chestTarget: null,
  starts: [
    { pelvisTurn: 0, pelvisTilt: 0, pelvisList: 0, spineRotation: 0, kneeBend: 1, stanceShare: 1 },
  ],
  needs: ['hip-opening', 'hip-abduction', 'hip-flexion', 'hip-external-rotation'],
  expected: {
    reference: ['back hip external rotation'],
    stiff: ['back hip abduction'],
    supple: ['back hip external rotation'],
  },
  levels: [
    { id: 'toes-down', name: 'Heel at the ankle, toes on the floor', changes: { soleAt: 'ankle' } },
    {
      id: 'at-a-wall',
      name: 'A palm at a wall',
      reachedBy: 'choice',
      changes: { supports: ['wall-beside'] },
    },
    { id: USUAL_LEVEL, name: 'Sole on the inner shin', changes: {} },
    {
      id: 'thigh',
      name: 'Sole on the inner thigh',
      forWhom: 'for knees that bend 150° or more',
      changes: { soleAt: 'thigh' },
    },
  ],
  easier: 'tree with the toes on the floor, a hand on the wall',
  guidance: {
    gaze: 'Level, at something that does not move.',
    farPoints: ['crown of the head', 'heel of the standing foot'],
    tendencies: [
      {
        seen: 'Standing hip slides out',
        first: 'Press the foot and the thigh into each other.',
        felt: 'The standing hip is over its heel.',
      },
      {
        seen: 'Pelvis turns with the knee',
        first: 'Let the knee come forward again.',
        felt: 'Both hip bones face the front.',
      },
      {
        seen: 'Sole on the knee',
        first: 'Set it on the calf or on the thigh.',
        felt: 'Nothing presses on the knee.',
      },
    ],
    easier: [
      { words: 'heel at the ankle, toes on the floor', level: 'toes-down' },
      { words: 'a palm at a wall', level: 'at-a-wall' },
    ],
    harder: [{ words: 'arms up' }, { words: 'eyes closed' }],
    inhale: [
      ['lengthen', 'the crown', 'upward'],
      ['widen', 'the collar bones', 'to both sides'],
      ['lift', 'the kneecap of the standing leg', 'upward'],
    ],
    exhale: [
      ['press', 'the sole', 'into the leg'],
      ['press', 'the standing foot', 'down'],
      ['turn', 'the lifted knee', 'outward'],
    ],
    breaths: 6,
    effort: 'active',
  },
  lookAt: [
    {
      at: 'Foot',
      look: 'Big toe, little toe and heel all heavy.',
      change: 'Spread the toes before lifting anything.',
    },
    {
      at: 'Lifted foot',
      look: 'On the calf or high on the thigh, never on the knee.',
      change: 'Lower it to the ankle.',
    },
    {
      at: 'Knee',
      look: 'Out only as far as the pelvis still faces ahead.',
      change: 'Bring it forward a little.',
    },
    { at: 'Pelvis', look: 'Level and facing the front.', change: 'Lower the foot.' },
    { at: 'Spine', look: 'Long above the standing foot.', change: 'Fingertips on the wall.' },
    { at: 'Gaze', look: 'At one point that does not move.', change: 'Look a little lower.' },
    { at: 'Breath', look: 'Easy and even, jaw loose.', change: 'Come up one step.' },
  ],
  wayIn: [
    'Stand next to a wall, weight on one foot.',
    'Bring the other sole to its place with a hand.',
    'Turn the knee out and stop when the pelvis starts to follow.',
  ],
  wayOut: ['Bring the knee ahead, then the foot down.'],
  transitions: [
    {
      to: 'mountain',
      foot: 'back',
      movement: 'lower',
      hands: 'on the hips, or one at the wall',
      order: ['Turn the knee ahead.', 'Lower the foot next to the other.'],
    },
  ],
};
