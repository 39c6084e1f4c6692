import { USUAL_LEVEL } from '../level.ts';
import type { PoseDefinition } from '../poseDefinition.ts';
import { HAND_ON_A_CHAIR, ON_A_CHAIR, STRAIGHT_AHEAD } from './schools.ts';

export const halfMoon: PoseDefinition = {
  id: 'half-moon',
  name: 'Half moon',
  sanskrit: 'Ardha Chandrasana',
  family: 'open',
  pelvisFaces: 'stacked',
  straightLegs: ['front', 'back'],
  frontFootYaw: { kind: 'free', from: -15, to: 15, start: 0 },
  backContact: 'lifted',
  backFootYaw: STRAIGHT_AHEAD,
  backHeelLift: null,
  heelLine: 'hip-width',
  stance: { kind: 'none' },
  arms: { front: { reach: 'down', bears: true }, back: { reach: 'out' } },
  musts: [
    { quantity: 'hand-load', atMost: 15 },
    { quantity: 'hand-ahead', atLeast: 10, atMost: 35 },
    { quantity: 'hand-beside', atLeast: 0, atMost: 10 },
    { quantity: 'weight-inside-base', atLeast: 1 },
  ],
  wishes: [
    { quantity: 'pelvis-stacking', goal: 90, sigma: 25 },
    { quantity: 'chest-stacking', goal: 90, sigma: 25 },
    { quantity: 'trunk-lean', goal: 90, sigma: 10 },
    {
      quantity: 'hand-height',
      goal: 0,
      sigma: { rule: 'balanceProp', options: { 'tallest-face': 10000, floor: 5 } },
    },
  ],
  eases: [
    { quantity: 'front-foot-angle', goal: 0, sigma: 10 },
    { quantity: 'lifted-leg-turn', goal: 0, sigma: 20 },
    { quantity: 'back-leg-across', goal: 0, sigma: 10 },
    { quantity: 'trunk-lean-across', goal: 0, sigma: 10 },
    { quantity: 'spine-side-bend', goal: 0, sigma: 15 },
    { quantity: 'spine-flexion', goal: 0, sigma: 15 },
    { quantity: 'front-leg-lean-across', goal: 0, sigma: 5 },
  ],
  firstDepth: null,
  depth: { quantity: 'back-leg-lift', words: 'lift of the back leg', easiest: 20, textbook: 90 },
  chestTarget: 'long-edge',
  starts: [
    {
      pelvisTurn: 62,
      pelvisTilt: 36,
      pelvisList: 60,
      spineRotation: 45,
      kneeBend: 1,
      stanceShare: 0.4,
      lifted: [-19, 1, 4],
      again: ['sparing', 'settled'],
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
    reference: ['the textbook shape'],
    stiff: ['the textbook shape'],
    supple: ['the textbook shape'],
  },
  levels: [
    {
      ...HAND_ON_A_CHAIR,
      changes: { handsOn: ON_A_CHAIR, supports: ['wall-behind'] },
    },
    {
      id: 'at-a-wall',
      name: 'The back at a wall',
      reachedBy: 'choice',
      changes: { supports: ['wall-behind'] },
    },
    {
      id: 'upper-hand-at-a-wall',
      name: 'Back and upper hand at a wall',
      reachedBy: 'choice',
      changes: { supports: ['wall-behind', 'upper-hand-at-wall'] },
    },
    { id: USUAL_LEVEL, name: 'Hand on a prop or the floor', changes: {} },
    {
      id: 'hand-on-the-floor',
      name: 'Hand on the floor',
      reachedBy: 'practice',
      changes: { handsOn: { surface: 'floor', elbows: 'straight' } },
    },
  ],
  easier: 'half moon with the back at a wall and the hand on a chair',
  guidance: {
    gaze: 'Down first, then ahead, then up if all is steady.',
    farPoints: ['crown of the head', 'heel of the lifted leg'],
    tendencies: [
      {
        seen: 'Hand beside the ankle',
        error: 'hand-beside-ankle',
        first: 'Set the prop well ahead of the toes.',
        felt: 'The standing hip has room.',
      },
      {
        seen: 'Lifted leg hangs',
        first: 'Lower the trunk a little and press through the heel.',
        felt: 'One line from heel to crown.',
      },
      {
        seen: 'Standing knee turns in',
        first: 'Face it over the second toe and turn the trunk less.',
        felt: 'The outside of the standing hip works.',
      },
    ],
    easier: [
      { words: 'the back at a wall and the hand on a chair', level: 'hand-on-a-chair' },
      { words: 'top hand on the hip' },
    ],
    harder: [{ words: 'hand off the prop for a breath' }, { words: 'gaze up' }],
    inhale: [
      ['lengthen', 'the lifted heel', 'away from the crown'],
      ['turn', 'the upper hip', 'upward'],
      ['widen', 'the arms', 'away from each other'],
    ],
    exhale: [
      ['press', 'the big toe’s mound', 'down'],
      ['draw in', 'the lower belly', 'toward the spine'],
      ['steady', 'the gaze', 'at one place'],
    ],
    breaths: 4,
    effort: 'active',
  },
  lookAt: [
    {
      at: 'Foot',
      look: 'Big toe, little toe and heel all heavy.',
      change: 'Spread the toes before lifting anything.',
    },
    {
      at: 'Standing knee',
      look: 'Straight and easy, facing its toes.',
      change: 'Soften it a little.',
    },
    {
      at: 'Hand',
      look: 'Well ahead of the toes, never beside the ankle.',
      change: 'Set the block further ahead.',
    },
    {
      at: 'Pelvis',
      look: 'Opens only as far as the hip lets it.',
      change: 'Let the top hip roll forward.',
    },
    {
      at: 'Lifted leg',
      look: 'No higher than the hips, toes facing the long edge.',
      change: 'Lower it.',
    },
    {
      at: 'Gaze',
      look: 'Down, then ahead, then up if it is steady.',
      change: 'Look at the floor.',
    },
    { at: 'Breath', look: 'Even; wobbling is ordinary.', change: 'Touch the wall.' },
  ],
  wayIn: [
    'Set the block on its mark ahead of the foot before lifting.',
    'Bend the front knee, walk the hand to the block, back foot in.',
    'Shift the weight over the front foot, then lift the back leg and straighten.',
    'Open the chest last.',
  ],
  wayOut: [
    'Bend the standing knee, look down.',
    'Lower the back leg a long way behind, clear of the block.',
  ],
  transitions: [
    {
      to: 'warrior-two',
      foot: 'back',
      movement: 'lower',
      hands: 'off the prop, then out to both sides',
      order: [
        'Bend the front knee.',
        'Lower the back foot far behind, to its mark.',
        'Come up once both feet are heavy.',
      ],
    },
    {
      to: 'warrior-three',
      foot: 'none',
      movement: 'turn-over',
      hands: 'from its prop to under the shoulders or to the sides',
      order: ['Turn the chest and the pelvis to the floor.', 'Turn the lifted toes down.'],
      isDeliberateFlip: true,
    },
    {
      to: 'front-of-mat',
      foot: 'back',
      movement: 'lower',
      hands: 'on the prop until both feet stand',
      order: [
        'Bend the standing knee.',
        'Lower the lifted foot next to the other.',
        'Roll up slowly.',
      ],
    },
  ],
};
