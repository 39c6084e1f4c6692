import type { LyingPose } from './lyingPose.ts';

/** How far each leg is drawn out to its side: it is not a number that is set. */
export const STRADDLE_DEG = 35;

export const seatedStraddle: LyingPose = {
  id: 'seated-straddle',
  name: 'Seated straddle',
  sanskrit: 'Upavishtha Konasana',
  swapFor: ['wide-fold'],
  needs: ['straight-leg-raise', 'hip-abduction'],
  asks: [
    { measure: 'straight-leg-raise', of: 'both', mostDeg: 90 },
    { measure: 'hip-abduction', of: 'both', mostDeg: STRADDLE_DEG },
  ],
  guidance: {
    gaze: 'Ahead, or down along the floor.',
    farPoints: ['crown of the head', 'both heels'],
    tendencies: [
      {
        seen: 'Low back rounds',
        error: 'back-rounds',
        first: 'Sit higher, fold less.',
        felt: 'The pelvis tips, not the waist.',
      },
      {
        seen: 'Knees roll in',
        first: 'Point kneecaps and toes up.',
        felt: 'The backs of the thighs are heavy.',
      },
      {
        seen: 'Feet fall outward',
        first: 'Bring the legs a hand nearer.',
        felt: 'No pull at the inner knees.',
      },
    ],
    easier: [{ words: 'a higher seat' }, { words: 'hands behind the hips' }],
    harder: [{ words: 'forearms on a bolster' }, { words: 'no seat' }],
    inhale: [
      ['lengthen', 'the breastbone', 'forward'],
      ['lift', 'the kneecaps', 'upward'],
      ['widen', 'the sit bones', 'apart'],
    ],
    exhale: [
      ['tip', 'the pelvis', 'forward'],
      ['press', 'the thighs', 'down'],
      ['let hang', 'the shoulders', 'down'],
    ],
    breaths: 10,
    effort: 'active',
  },
  transitions: [
    {
      to: 'staff',
      foot: 'both',
      movement: 'step',
      hands: 'under the knees',
      order: ['Come up with a long back.', 'Bring the legs together, hands under the knees.'],
    },
  ],
};
