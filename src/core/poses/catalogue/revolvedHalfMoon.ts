import { USUAL_LEVEL } from '../level.ts';
import type { DepthDefinition, PoseDefinition } from '../poseDefinition.ts';
import { HAND_ON_A_CHAIR, ON_A_CHAIR, STRAIGHT_AHEAD } from './schools.ts';

const LIFT: DepthDefinition = {
  quantity: 'back-leg-lift',
  words: 'lift of trunk and leg in one line',
  easiest: 20,
  textbook: 90,
};

const TURN: DepthDefinition = {
  quantity: 'chest-turned-to-front-leg',
  words: 'chest turned from facing the floor',
  easiest: 5,
  textbook: 90,
};

export const revolvedHalfMoon: PoseDefinition = {
  id: 'revolved-half-moon',
  name: 'Revolved half moon',
  sanskrit: 'Parivritta Ardha Chandrasana',
  family: 'closed',
  pelvisFaces: 'front',
  straightLegs: ['front', 'back'],
  frontFootYaw: STRAIGHT_AHEAD,
  backContact: 'lifted',
  backFootYaw: STRAIGHT_AHEAD,
  backHeelLift: null,
  heelLine: 'hip-width',
  stance: { kind: 'none' },
  arms: { front: { reach: 'out' }, back: { reach: 'down', bears: true } },
  trunkShares: { rotation: 0.8 },
  musts: [
    { quantity: 'front-leg-lean-along', atLeast: -8, atMost: 8 },
    { quantity: 'front-leg-lean-across', atLeast: -8, atMost: 8 },
    { quantity: 'trunk-from-back-leg', atLeast: -5, atMost: 5 },
    { quantity: 'back-leg-across', atLeast: -8, atMost: 8 },
    { quantity: 'trunk-lean-across', atLeast: -5, atMost: 5 },
    { quantity: 'spine-side-bend', atLeast: -10, atMost: 10 },
    {
      quantity: 'pelvis-stacking',
      atLeast: {
        rule: 'twist',
        options: { 'by-pose': -20, 'hip-first': -20, 'pelvis-fixed': -5, full: -90 },
      },
      atMost: 5,
    },
    { quantity: 'spine-flexion', atMost: 10 },
    { quantity: 'hand-load', atMost: 15 },
    { quantity: 'weight-inside-base', atLeast: 1 },
  ],
  wishes: [],
  eases: [
    { quantity: 'trunk-lean-across', goal: 0, sigma: 10 },
    { quantity: 'lifted-leg-turn', goal: 0, sigma: 10 },
    { quantity: 'back-leg-across', goal: 0, sigma: 8 },
    { quantity: 'spine-side-bend', goal: 0, sigma: 10 },
    { quantity: 'spine-flexion', goal: 0, sigma: 10 },
    { quantity: 'trunk-from-back-leg', goal: 0, sigma: 5 },
    {
      quantity: 'pelvis-stacking',
      goal: 0,
      sigma: {
        rule: 'twist',
        options: { 'by-pose': 20, 'hip-first': 20, 'pelvis-fixed': 20, full: 10_000 },
      },
    },
  ],
  firstDepth: LIFT,
  depth: TURN,
  chestTarget: null,
  starts: [
    {
      pelvisTurn: 0,
      pelvisTilt: 70,
      pelvisList: 0,
      spineRotation: -10,
      kneeBend: 1,
      stanceShare: 1,
      lifted: [0, 0, 0],
      again: ['sparing', 'settled'],
    },
    {
      pelvisTurn: 0,
      pelvisTilt: 45,
      pelvisList: 0,
      spineRotation: -10,
      kneeBend: 1,
      stanceShare: 1,
      lifted: [0, 0, 0],
    },
  ],
  needs: [
    'straight-leg-raise',
    'hip-abduction',
    'hip-extension',
    'hip-external-rotation',
    'hip-internal-rotation',
    'trunk-rotation',
  ],
  expected: {
    reference: [
      'spine rotation to the right',
      'front hip flexion',
      'back hip adduction',
      'spine side bend',
    ],
    stiff: [
      'front hip flexion',
      'front hip external rotation',
      'back hip extension',
      'back hip abduction',
      'spine rotation to the right',
    ],
    supple: [
      'spine rotation to the right',
      'front hip adduction',
      'back hip adduction',
      'spine side bend',
    ],
  },
  levels: [
    {
      ...HAND_ON_A_CHAIR,
      changes: { handsOn: ON_A_CHAIR, supports: ['wall-at-foot'] },
    },
    {
      id: 'hands-on-two-blocks',
      name: 'Both hands on props, chest nearly level',
      reachedBy: 'practice',
      changes: {
        arms: { front: { reach: 'down', bears: true }, back: { reach: 'down', bears: true } },
        depth: { ...TURN, textbook: 15 },
        supports: ['two-blocks'],
      },
    },
    { id: USUAL_LEVEL, name: 'Hand on a prop', changes: {} },
    {
      id: 'hand-on-the-floor',
      name: 'Hand on the floor',
      reachedBy: 'practice',
      changes: {
        // The trunk goes below level, and the leg rises with it.
        firstDepth: { ...LIFT, textbook: 110 },
        handsOn: { surface: 'floor', elbows: 'straight' },
      },
    },
  ],
  easier: 'revolved half moon with the hand on a chair at the wall, or the lying crossed twist',
  guidance: {
    gaze: 'Down; up only when the twist rests.',
    farPoints: ['crown of the head', 'heel of the lifted leg'],
    tendencies: [
      {
        seen: 'Lifted leg turns out',
        first: 'Point its toes to the floor again.',
        felt: 'The leg and the pelvis turn as one.',
      },
      {
        seen: 'Hand straight under the face',
        first: 'Set it 5–15 cm to the little-toe side.',
        felt: 'The standing hip is not pinched.',
      },
      {
        seen: 'Back rounds',
        error: 'back-rounds',
        first: 'Raise the hand by one face.',
        felt: 'A long back before a turn.',
      },
    ],
    easier: [
      { words: 'hand on a chair at a wall', level: 'hand-on-a-chair' },
      { words: 'top hand on the hip' },
    ],
    harder: [{ words: 'hand on the floor', level: 'hand-on-the-floor' }, { words: 'gaze up' }],
    inhale: [
      ['lengthen', 'the lifted heel', 'backward'],
      ['lengthen', 'the crown', 'forward'],
      ['widen', 'the collar bones', 'apart'],
    ],
    exhale: [
      ['turn', 'the ribs', 'toward the standing leg'],
      ['press', 'the standing foot', 'down'],
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
    { at: 'Standing knee', look: 'Straight and easy.', change: 'Soften it a little.' },
    {
      at: 'Pelvis',
      look: 'Level first; up to a small roll when the chest turns.',
      change: 'Turn less.',
    },
    {
      at: 'Hand',
      look: 'Under its shoulder, ahead of the foot.',
      change: 'Raise it: tall block or chair.',
    },
    { at: 'Lifted leg', look: 'Turns as one with the pelvis.', change: 'Lower it.' },
    { at: 'Gaze', look: 'At one point that does not move.', change: 'Look a little lower.' },
    { at: 'Breath', look: 'Easy and even, jaw loose.', change: 'Come up one step.' },
  ],
  wayIn: [
    'Set the block ahead of the foot before lifting.',
    'Come into warrior III with both hands down.',
    'Leave the opposite hand down and turn the chest toward the standing leg.',
  ],
  wayOut: ['Turn the chest back, both hands down, lower the leg.'],
  transitions: [
    {
      to: 'warrior-three',
      foot: 'none',
      movement: 'turn-over',
      hands: 'from its prop to under the shoulders or to the sides',
      order: ['Turn the chest back to the floor.', 'Take the weight off the hand.'],
      isDeliberateFlip: true,
    },
    {
      to: 'forward-fold',
      foot: 'back',
      movement: 'lower',
      hands: 'both on the floor or on blocks',
      order: [
        'Turn the chest back to the floor.',
        'Set both hands down.',
        'Lower the lifted foot next to the other.',
      ],
    },
  ],
};
