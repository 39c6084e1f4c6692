import type { LyingPose } from './lyingPose.ts';

export const lyingHandToFoot: LyingPose = {
  id: 'lying-hand-to-foot',
  name: 'Lying hand to foot',
  sanskrit: 'Supta Padangushthasana',
  swapFor: ['triangle', 'pyramid'],
  needs: ['straight-leg-raise'],
  asks: [{ measure: 'straight-leg-raise', of: 'front' }],
  guidance: {
    gaze: 'Up.',
    farPoints: ['heel of the raised leg', 'heel of the resting leg'],
    tendencies: [
      {
        seen: 'Raised knee bends',
        first: 'Lower the leg, or lengthen the strap.',
        felt: 'A pull in the middle of the thigh.',
      },
      { seen: 'Pelvis tips up', first: 'Lower the leg.', felt: 'The sacrum is flat.' },
      {
        seen: 'Shoulders lift',
        error: 'shoulders-up',
        first: 'Lengthen the strap.',
        felt: 'The arms hang from it.',
      },
    ],
    easier: [{ words: 'resting knee bent' }, { words: 'a door frame instead of a strap' }],
    harder: [{ words: 'foot nearer' }, { words: 'leg out to its side' }],
    inhale: [
      ['lengthen', 'the raised heel', 'upward'],
      ['lengthen', 'the resting leg', 'away'],
      ['widen', 'the collar bones', 'apart'],
    ],
    exhale: [
      ['let sink', 'the raised thigh into its hip', 'down'],
      ['press', 'the resting thigh', 'down'],
      ['soften', 'the jaw', 'down'],
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
      order: ['Bend the lifted knee.', 'Let go of the strap and lower the foot.'],
    },
  ],
};
