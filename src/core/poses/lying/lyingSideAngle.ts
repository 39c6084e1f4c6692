import type { LyingPose } from './lyingPose.ts';
import { OFF_THE_WALL } from './offTheWall.ts';

export const lyingSideAngle: LyingPose = {
  id: 'lying-side-angle',
  name: 'Lying side angle',
  sanskrit: 'Supta Parshvakonasana',
  swapFor: ['side-angle'],
  needs: ['hip-opening'],
  asks: [{ measure: 'hip-opening', of: 'front' }],
  guidance: {
    gaze: 'Up, or along the top arm.',
    farPoints: ['fingertips of the top hand', 'sole of the back foot'],
    tendencies: [
      {
        seen: 'Pelvis rolls to the bent leg',
        first: 'Raise the support under the knee.',
        felt: 'Both hip bones equally heavy.',
      },
      {
        seen: 'Waist is crushed on the bent side',
        first: 'Bend the trunk less.',
        felt: 'Both sides of the ribs breathe.',
      },
      { seen: 'Top arm hangs', first: 'Lay it on a bolster.', felt: 'The shoulder is quiet.' },
    ],
    easier: [{ words: 'a bolster under the arm' }, { words: 'a smaller side bend' }],
    harder: [{ words: 'both arms overhead' }, { words: 'a minute longer' }],
    inhale: [
      ['lengthen', 'the upper side', 'from heel to hand'],
      ['let rise', 'the ribs', 'to the side'],
      ['widen', 'the hips', 'apart'],
    ],
    exhale: [
      ['let sink', 'the bent knee', 'into its support'],
      ['lightly press', 'the back sole', 'into the wall'],
      ['soften', 'the belly', 'down'],
    ],
    breaths: 12,
    effort: 'passive',
  },
  transitions: [OFF_THE_WALL],
};
