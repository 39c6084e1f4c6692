import type { LyingPose } from './lyingPose.ts';
import { OFF_THE_WALL } from './offTheWall.ts';

export const lyingWarriorOne: LyingPose = {
  id: 'lying-warrior-one',
  name: 'Lying warrior I',
  sanskrit: 'Supta Virabhadrasana I',
  swapFor: ['warrior-one', 'high-lunge'],
  needs: ['hip-opening', 'hip-extension'],
  asks: [
    { measure: 'hip-opening', of: 'front' },
    { measure: 'hip-extension', of: 'back' },
  ],
  guidance: {
    gaze: 'Up.',
    farPoints: ['fingertips', 'sole of the back foot'],
    tendencies: [
      { seen: 'Low back lifts off', first: 'Turn the pelvis less.', felt: 'The waist rests.' },
      {
        seen: 'Chest turns with the pelvis',
        first: 'Lay both shoulder blades down.',
        felt: 'The turn is below the ribs.',
      },
      {
        seen: 'Back knee bends',
        first: 'Slide the hips nearer to the wall.',
        felt: 'The front of the back hip is long.',
      },
    ],
    easier: [{ words: 'a bolster beside the hip' }, { words: 'arms beside the trunk' }],
    harder: [{ words: 'arms overhead' }, { words: 'a minute longer' }],
    inhale: [
      ['lengthen', 'the arms', 'overhead'],
      ['lengthen', 'the back leg', 'away'],
      ['let rise', 'the ribs', 'upward'],
    ],
    exhale: [
      ['turn', 'the pelvis', 'toward the bent leg, as far as it lets'],
      ['let sink', 'the shoulder blades', 'down'],
      ['soften', 'the belly', 'down'],
    ],
    breaths: 12,
    effort: 'passive',
  },
  transitions: [OFF_THE_WALL],
};
