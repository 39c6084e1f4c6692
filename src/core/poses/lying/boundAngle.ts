import type { LyingPose } from './lyingPose.ts';

export const boundAngle: LyingPose = {
  id: 'bound-angle',
  name: 'Bound angle',
  sanskrit: 'Baddha Konasana',
  swapFor: ['tree'],
  needs: ['hip-opening'],
  asks: [{ measure: 'hip-opening', of: 'both' }],
  guidance: {
    gaze: 'Level, ahead.',
    farPoints: ['crown of the head', 'both knees'],
    tendencies: [
      {
        seen: 'Low back rounds',
        error: 'back-rounds',
        first: 'Sit higher.',
        felt: 'Weight before the sit bones.',
      },
      {
        seen: 'Knees are pushed down',
        first: 'Support both at their height.',
        felt: 'The hips let go by themselves.',
      },
      {
        seen: 'Feet hurt at their edges',
        first: 'Move the heels a hand forward.',
        felt: 'The ankles are quiet.',
      },
    ],
    easier: [{ words: 'blocks under both knees' }, { words: 'a higher seat' }],
    harder: [{ words: 'heels nearer' }, { words: 'a long fold forward' }],
    inhale: [
      ['lengthen', 'the crown', 'upward'],
      ['widen', 'the thighs', 'apart'],
      ['lift', 'the breastbone', 'upward'],
    ],
    exhale: [
      ['let sink', 'the knees', 'into their supports'],
      ['lightly press', 'the soles', 'together'],
      ['soften', 'the jaw', 'down'],
    ],
    breaths: 10,
    effort: 'passive',
  },
  transitions: [
    {
      to: 'staff',
      foot: 'both',
      movement: 'straighten',
      hands: 'under the knees',
      order: ['Lift the knees with the hands.', 'Stretch one leg, then the other.'],
    },
    {
      to: 'cross-legged',
      foot: 'both',
      movement: 'bend',
      hands: 'under the knees',
      order: ['Lift the knees with the hands.', 'Cross the shins.'],
    },
  ],
};
