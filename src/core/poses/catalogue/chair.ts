import { USUAL_LEVEL } from '../level.ts';
import type { PoseDefinition } from '../poseDefinition.ts';
import { STRAIGHT_AHEAD } from './schools.ts';

export const chair: PoseDefinition = {
  id: 'chair',
  name: 'Chair',
  sanskrit: 'Utkatasana',
  family: 'neutral',
  pelvisFaces: 'front',
  origin: 'mid-stance',
  straightLegs: [],
  frontFootYaw: STRAIGHT_AHEAD,
  backContact: 'flat',
  backFootYaw: STRAIGHT_AHEAD,
  backHeelLift: null,
  heelLine: 'two-fists',
  stance: { kind: 'none' },
  arms: { front: { reach: 'up' }, back: { reach: 'up' } },
  musts: [
    { quantity: 'weight-ahead-of-mid-foot', atLeast: -2, atMost: 2 },
    { quantity: 'pelvis-level', atLeast: -2, atMost: 2 },
    { quantity: 'weight-inside-base', atLeast: 2 },
  ],
  wishes: [
    {
      quantity: 'equal-arms',
      goal: 0,
      sigma: {
        rule: 'chairStyle',
        options: { 'equal-arms': 1, 'knees-forward': 10000, 'hips-back': 10000 },
      },
    },
    {
      quantity: 'hips-back-arms',
      goal: 0,
      sigma: {
        rule: 'chairStyle',
        options: { 'equal-arms': 10000, 'knees-forward': 10000, 'hips-back': 1 },
      },
    },
    { quantity: 'knees-differ', goal: 0, sigma: 3 },
    { quantity: 'pelvis-turn', goal: 0, sigma: 2 },
    { quantity: 'spine-rotation', goal: 0, sigma: 2 },
    { quantity: 'spine-side-bend', goal: 0, sigma: 2 },
  ],
  eases: [
    {
      quantity: 'ankles-bend',
      goal: 60,
      sigma: {
        rule: 'chairStyle',
        options: { 'equal-arms': 10000, 'knees-forward': 2, 'hips-back': 10000 },
      },
    },
    { quantity: 'spine-flexion', goal: 0, sigma: 5 },
    { quantity: 'pelvis-level', goal: 0, sigma: 1 },
    // Both feet equally heavy, also on legs of different length.
    { quantity: 'weight-between-feet', goal: 0, sigma: 1 },
    { quantity: 'trunk-lean-across', goal: 0, sigma: 2 },
    { quantity: 'trunk-lean-along', goal: 20, sigma: 30 },
  ],
  firstDepth: null,
  depth: { quantity: 'front-knee-bend', words: 'knee bend', easiest: 10, textbook: 80 },
  chestTarget: null,
  starts: [
    {
      pelvisTurn: 0,
      pelvisTilt: 20,
      pelvisList: 0,
      spineRotation: 0,
      kneeBend: 50,
      stanceShare: 1,
    },
  ],
  needs: [
    'hip-flexion',
    'straight-leg-raise',
    'ankle-dorsiflexion-bent',
    'ankle-dorsiflexion-straight',
  ],
  expected: {
    reference: ['the textbook shape'],
    stiff: ['the textbook shape'],
    supple: ['the textbook shape'],
  },
  levels: [
    {
      id: 'at-a-wall',
      name: 'Hips at a wall',
      reachedBy: 'choice',
      changes: { supports: ['wall-behind'] },
    },
    {
      id: 'arms-down',
      name: 'Arms beside the trunk',
      reachedBy: 'practice',
      changes: { arms: { front: { reach: 'beside' }, back: { reach: 'beside' } } },
    },
    {
      id: 'arms-forward',
      name: 'Arms forward',
      reachedBy: 'practice',
      changes: { arms: { front: { reach: 'forward' }, back: { reach: 'forward' } } },
    },
    { id: USUAL_LEVEL, name: 'Arms up', changes: {} },
  ],
  easier: 'chair with the back at a wall',
  guidance: {
    gaze: 'Level, or a little down.',
    farPoints: ['fingertips', 'sit bones'],
    tendencies: [
      {
        seen: 'Heels lift',
        error: 'heel-floats',
        first: 'Bend the knees less.',
        felt: 'The heels are heavy.',
      },
      {
        seen: 'Knees fall together',
        error: 'knee-drifts',
        first: 'Press them apart against a strap.',
        felt: 'The outsides of the hips work.',
      },
      {
        seen: 'Low back hollows',
        first: 'Lower the arms.',
        felt: 'Ribs and pelvis face each other.',
      },
    ],
    easier: [
      { words: 'hips at a wall', level: 'at-a-wall' },
      { words: 'arms beside the trunk', level: 'arms-down' },
    ],
    harder: [{ words: 'heels lifted' }, { words: 'a hold of eight breaths' }],
    inhale: [
      ['lengthen', 'the crown', 'up and forward'],
      ['reach', 'the fingertips', 'upward'],
      ['widen', 'the collar bones', 'apart'],
    ],
    exhale: [
      ['let sink', 'the hips', 'down and back'],
      ['press', 'the heels', 'down'],
      ['draw in', 'the lower ribs', 'inward'],
    ],
    breaths: 5,
    effort: 'active',
  },
  lookAt: [
    { at: 'Feet', look: 'Heels heavy, toes light.', change: 'Sit back a little.' },
    { at: 'Knees', look: 'Over the toes, not drifting in.', change: 'Bend less.' },
    { at: 'Hips', look: 'Back and level.', change: 'Lean the trunk forward a little.' },
    { at: 'Spine', look: 'Long; ribs not thrust out.', change: 'Lower the arms.' },
    { at: 'Gaze', look: 'At one point that does not move.', change: 'Look a little lower.' },
    { at: 'Breath', look: 'Easy and even, jaw loose.', change: 'Come up one step.' },
  ],
  wayIn: [
    'Stand on both marks, two fists apart.',
    'Bend the knees and sit the hips back together.',
    'Raise the arms only as far as the ribs stay down.',
  ],
  wayOut: ['Press the heels and stand up.'],
  transitions: [
    {
      to: 'mountain',
      foot: 'none',
      movement: 'straighten',
      hands: 'down to the sides',
      order: ['Press the heels and stand up.'],
    },
    {
      to: 'forward-fold',
      foot: 'none',
      movement: 'straighten',
      hands: 'down to the floor or blocks',
      order: ['Fold over the thighs.', 'Let the knees straighten as far as they like.'],
    },
  ],
};
