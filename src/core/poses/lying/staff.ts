import type { LyingPose } from './lyingPose.ts';

export const staff: LyingPose = {
  id: 'staff',
  name: 'Staff',
  sanskrit: 'Dandasana',
  swapFor: [],
  needs: ['straight-leg-raise'],
  asks: [{ measure: 'straight-leg-raise', of: 'both', mostDeg: 90 }],
  guidance: {
    gaze: 'Level, ahead.',
    farPoints: ['crown of the head', 'both heels'],
    tendencies: [
      {
        seen: 'Low back rounds',
        error: 'back-rounds',
        first: 'Sit higher.',
        felt: 'Weight before the sit bones.',
      },
      {
        seen: 'Shoulders lift',
        error: 'shoulders-up',
        first: 'Fingertips on blocks beside the hips.',
        felt: 'The neck is long.',
      },
      {
        seen: 'Knees lock',
        first: 'Soften them and lift the kneecaps.',
        felt: 'The fronts of the thighs work.',
      },
    ],
    easier: [{ words: 'a higher seat' }, { words: 'a roll under the knees' }],
    harder: [{ words: 'no seat' }, { words: 'arms up' }],
    inhale: [
      ['lengthen', 'the crown', 'upward'],
      ['lift', 'the breastbone', 'upward'],
      ['lift', 'the kneecaps', 'toward the hips'],
    ],
    exhale: [
      ['press', 'the thighs', 'down'],
      ['press', 'the sit bones', 'down'],
      ['let sink', 'the shoulders', 'away from the ears'],
    ],
    breaths: 8,
    effort: 'active',
  },
  transitions: [
    {
      to: 'cross-legged',
      foot: 'both',
      movement: 'bend',
      hands: 'on the floor behind the hips',
      order: ['Bend one knee, then the other.', 'Cross the shins.'],
    },
    {
      to: 'bound-angle',
      foot: 'both',
      movement: 'bend',
      hands: 'on the floor behind the hips',
      order: ['Bend both knees.', 'Bring the soles together.'],
    },
    {
      to: 'seated-straddle',
      foot: 'both',
      movement: 'step',
      hands: 'on the floor behind the hips',
      order: ['Lean back a little.', 'Slide the legs apart to their marks.'],
    },
  ],
};
