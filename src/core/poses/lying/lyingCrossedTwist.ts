import type { LyingPose } from './lyingPose.ts';

export const lyingCrossedTwist: LyingPose = {
  id: 'lying-crossed-twist',
  name: 'Lying crossed twist',
  sanskrit: 'Supta Parivritta Padangushthasana',
  swapFor: ['revolved-half-moon', 'revolved-triangle'],
  needs: ['hip-adduction', 'trunk-rotation'],
  asks: [
    { measure: 'hip-adduction', of: 'front' },
    { measure: 'trunk-rotation', of: 'front' },
  ],
  guidance: {
    gaze: 'Up, or away from the leg.',
    farPoints: ['fingertips of the far hand', 'heel of the crossed leg'],
    tendencies: [
      {
        seen: 'Far shoulder lifts',
        first: 'Bring the foot higher on the wall.',
        felt: 'Both shoulder blades are heavy.',
      },
      {
        seen: 'Crossed knee bends',
        first: 'Lengthen the strap.',
        felt: 'A pull along the outer thigh.',
      },
      {
        seen: 'Low back is pinched',
        first: 'Let the pelvis roll with the leg.',
        felt: 'The turn is spread along the spine.',
      },
    ],
    easier: [{ words: 'foot on the wall' }, { words: 'knee bent' }],
    harder: [{ words: 'foot nearer to the hand' }, { words: 'a minute longer' }],
    inhale: [
      ['lengthen', 'the crown', 'away from the hips'],
      ['reach', 'the far arm', 'to its side'],
      ['let rise', 'the upper ribs', 'upward'],
    ],
    exhale: [
      ['let roll', 'the pelvis', 'with the leg'],
      ['let sink', 'the far shoulder', 'down'],
      ['soften', 'the belly', 'down'],
    ],
    breaths: 10,
    effort: 'passive',
  },
  transitions: [
    {
      to: 'rest',
      foot: 'front',
      movement: 'turn-over',
      hands: 'on the floor',
      order: ['Bend the crossed knee.', 'Roll back to the middle.', 'Lower the foot.'],
    },
  ],
};
