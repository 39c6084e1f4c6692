import type { LyingPose } from './lyingPose.ts';

export const lyingPyramid: LyingPose = {
  id: 'lying-pyramid',
  name: 'Lying pyramid',
  sanskrit: 'Supta Parshvottanasana',
  swapFor: ['pyramid'],
  needs: ['straight-leg-raise'],
  asks: [{ measure: 'straight-leg-raise', of: 'front' }],
  guidance: {
    gaze: 'Up.',
    farPoints: ['heel of the raised leg', 'sole of the bottom foot'],
    tendencies: [
      {
        seen: 'Loop presses behind the knee',
        first: 'Slide it above the knee.',
        felt: 'It bears on the thigh.',
      },
      {
        seen: 'Pelvis tips up',
        first: 'Lengthen the loop by a hand.',
        felt: 'The sacrum is flat.',
      },
      { seen: 'Bottom foot turns out', first: 'Point its toes up.', felt: 'Both legs work alike.' },
    ],
    easier: [{ words: 'a longer loop' }, { words: 'raised knee soft' }],
    harder: [{ words: 'a shorter loop' }, { words: 'a minute longer' }],
    inhale: [
      ['lengthen', 'the raised heel', 'upward'],
      ['lengthen', 'the bottom heel', 'away'],
      ['widen', 'the sit bones', 'apart'],
    ],
    exhale: [
      ['press', 'the bottom foot', 'into the loop'],
      ['let sink', 'the sacrum', 'down'],
      ['soften', 'the throat', 'down'],
    ],
    breaths: 10,
    effort: 'passive',
  },
  transitions: [
    {
      to: 'rest',
      foot: 'front',
      movement: 'lower',
      hands: 'off the strap',
      order: ['Bend the lifted knee.', 'Take the loop off and lower the foot.'],
    },
  ],
};
