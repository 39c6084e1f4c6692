import { USUAL_LEVEL } from '../level.ts';
import type { DepthDefinition, LevelDefinition, PoseDefinition } from '../poseDefinition.ts';
import { STACKED_KNEE, STRAIGHT_AHEAD } from './schools.ts';

const EASES: PoseDefinition['eases'] = [
  { quantity: 'pelvis-level', goal: 0, sigma: 3 },
  { quantity: 'spine-side-bend', goal: 0, sigma: 20 },
  { quantity: 'spine-rotation', goal: 0, sigma: 20 },
  { quantity: 'spine-flexion', goal: 0, sigma: 20 },
  { quantity: 'front-knee-bend', goal: 90, sigma: 20 },
];

const MUSTS: PoseDefinition['musts'] = [
  ...STACKED_KNEE,
  { quantity: 'pelvis-level', atLeast: -5, atMost: 5 },
  { quantity: 'weight-inside-base', atLeast: 2 },
];

const HANDS_DOWN: PoseDefinition['arms'] = {
  front: { reach: 'down', clearOfFrontFoot: true },
  back: { reach: 'down', clearOfFrontFoot: true },
};

const RAISED: DepthDefinition = {
  quantity: 'trunk-raised',
  words: 'trunk raised from level',
  easiest: 5,
  textbook: 90,
};
/** A shin's lean that brings the foot outside the hip, as one school teaches. Our choice. */
const FOOT_OUTSIDE_DEG = 15;
/** Past upright by so much the shoulders come to the wall that the shin is on. Our choice. */
const BACK_TO_WALL_DEG = 103;

/** The back knee stands away from the wall, its foot against it. */
const KNEE_OFF_WALL: LevelDefinition['changes'] = {
  backContact: 'shin-leaning-on-wall',
  eases: [...EASES, { quantity: 'back-shin-lean', goal: 0, sigma: 10 }],
  supports: ['knee-pad', 'wall-at-shin'],
};

export const wallKneel: PoseDefinition = {
  id: 'wall-kneel',
  name: 'Wall kneel',
  sanskrit: 'Eka Pada Kapotasana at the wall',
  family: 'closed',
  pelvisFaces: 'front',
  straightLegs: [],
  frontFootYaw: STRAIGHT_AHEAD,
  backContact: 'shin-on-wall',
  backFootYaw: STRAIGHT_AHEAD,
  backHeelLift: null,
  heelLine: 'hip-width',
  stance: { kind: 'free' },
  arms: { front: { reach: 'beside' }, back: { reach: 'beside' } },
  supports: ['knee-pad'],
  musts: MUSTS,
  wishes: [
    { quantity: 'pelvis-turn', goal: 0, sigma: 5 },
    { quantity: 'trunk-lean-across', goal: 0, sigma: 5 },
  ],
  eases: EASES,
  firstDepth: null,
  depth: RAISED,
  chestTarget: null,
  starts: [
    {
      pelvisTurn: 0,
      pelvisTilt: 60,
      pelvisList: 0,
      spineRotation: 0,
      kneeBend: 80,
      stanceShare: 0.6,
    },
  ],
  needs: [
    'hip-flexion',
    'straight-leg-raise',
    'hip-extension',
    'hip-extension-bent-knee',
    'knee-flexion',
    'hip-external-rotation',
    'hip-internal-rotation',
    'hip-abduction',
  ],
  expected: {
    reference: ['front hip flexion', 'the textbook shape'],
    stiff: ['cannot be held'],
    supple: ['the textbook shape'],
  },
  levels: [
    {
      id: 'blocks-by-the-front-foot',
      name: 'Knee away from the wall, blocks by the front foot',
      reachedBy: 'practice',
      changes: {
        ...KNEE_OFF_WALL,
        arms: HANDS_DOWN,
        musts: [...MUSTS, { quantity: 'hand-ahead', atLeast: -30 }],
      },
    },
    {
      id: 'knee-off-wall',
      name: 'Knee away from the wall, blocks under the shoulders',
      changes: {
        ...KNEE_OFF_WALL,
        arms: HANDS_DOWN,
      },
    },
    {
      id: 'hands-free',
      name: 'Knee away from the wall, hands free',
      reachedBy: 'practice',
      changes: KNEE_OFF_WALL,
    },
    {
      id: USUAL_LEVEL,
      name: 'Shin up the wall',
      forWhom: 'for knees that bend 150° or more, and a front hip that flexes 130° or more',
      changes: {},
    },
    {
      id: 'foot-outside-the-hip',
      name: 'Shin up the wall, foot outside the hip',
      reachedBy: 'choice',
      changes: { backShinOutDeg: FOOT_OUTSIDE_DEG },
    },
    {
      id: 'back-on-the-wall',
      name: 'Shin and back on the wall',
      forWhom: 'for knees that bend until the heel touches the seat',
      reachedBy: 'practice',
      changes: {
        musts: [...MUSTS, { quantity: 'hips-ahead-of-back-knee', atMost: 18 }],
        depth: { ...RAISED, textbook: BACK_TO_WALL_DEG },
      },
    },
  ],
  easier: 'low lunge',
  guidance: {
    gaze: 'Level, ahead.',
    farPoints: ['crown of the head', 'back knee'],
    tendencies: [
      {
        seen: 'Weight on the kneecap',
        error: 'on-kneecap',
        first: 'Move the knee a finger from the wall, pad above it.',
        felt: 'The bone above the kneecap bears.',
      },
      {
        seen: 'Heel hidden behind the thigh',
        error: 'heel-hidden',
        first: 'Let the foot stand outside the thigh.',
        felt: 'The knee is not twisted.',
      },
      {
        seen: 'Low back hollows',
        first: 'Come down onto the blocks again.',
        felt: 'The stretch is before the thigh.',
      },
    ],
    easier: [
      { words: 'hands on blocks ahead', level: 'blocks-by-the-front-foot' },
      { words: 'knee farther from the wall', level: 'knee-off-wall' },
    ],
    harder: [
      { words: 'hands off the blocks', level: 'hands-free' },
      { words: 'back at the wall', level: 'back-on-the-wall' },
    ],
    inhale: [
      ['lengthen', 'the front of the back thigh', 'upward'],
      ['lift', 'the breastbone', 'upward'],
      ['widen', 'the collar bones', 'apart'],
    ],
    exhale: [
      ['let sink', 'the hips', 'down and forward'],
      ['tuck', 'the tail', 'down'],
      ['soften', 'the jaw', 'down'],
    ],
    breaths: 10,
    effort: 'passive',
  },
  lookAt: [
    {
      at: 'Back knee',
      look: 'On the pad, either side of the kneecap free.',
      change: 'Fold the pad thicker.',
    },
    {
      at: 'Shin',
      look: 'Up the wall, heel outside the thigh.',
      change: 'Move the knee away from the wall.',
    },
    { at: 'Front shin', look: 'Upright.', change: 'Move the front foot.' },
    { at: 'Pelvis', look: 'Level, not tipped.', change: 'Hands to two blocks.' },
    { at: 'Spine', look: 'Rises only as far as the low back stays long.', change: 'Stay lower.' },
    { at: 'Breath', look: 'Easy and even, jaw loose.', change: 'Come up one step.' },
  ],
  wayIn: [
    'Pad at the wall, hands on two blocks.',
    'Slide the back knee to the pad, shin up the wall, a folded cloth between the foot and the wall.',
    'Step the front foot to its mark.',
    'Raise the trunk step by step.',
  ],
  wayOut: ['Hands down, front foot back, slide the knee away from the wall.'],
  transitions: [
    {
      to: 'low-lunge',
      foot: 'back',
      movement: 'step',
      hands: 'down either side of the front foot',
      order: ['Set both hands down.', 'Slide the knee away from the wall.'],
    },
    {
      to: 'tabletop',
      foot: 'front',
      movement: 'step',
      hands: 'down either side of the front foot',
      order: ['Set both hands down.', 'Bring the front knee back next to the other.'],
    },
  ],
};
