import type { LyingPose } from './lyingPose.ts';
import { OFF_THE_WALL } from './offTheWall.ts';

export const lyingWarriorTwo: LyingPose = {
  id: 'lying-warrior-two',
  name: 'Lying warrior II',
  sanskrit: 'Supta Virabhadrasana II',
  swapFor: ['warrior-two', 'reverse-warrior'],
  needs: ['hip-opening'],
  asks: [{ measure: 'hip-opening', of: 'front' }],
  guidance: {
    gaze: 'Straight up, eyes soft or closed.',
    farPoints: ['crown of the head', 'sole of the back foot'],
    tendencies: [
      {
        seen: 'Pelvis rolls to the bent leg',
        first: 'Raise the support under the knee.',
        felt: 'Both hip bones equally heavy.',
      },
      {
        seen: 'Knee hangs in the air',
        first: 'Bring the support up to it.',
        felt: 'The thigh can let go.',
      },
      {
        seen: 'Chin lifts',
        error: 'neck-short',
        first: 'Fold a blanket under the head.',
        felt: 'The throat is soft.',
      },
    ],
    easier: [{ words: 'a higher support' }, { words: 'hips farther from the wall' }],
    harder: [{ words: 'a lower support' }, { words: 'a minute longer' }],
    inhale: [
      ['widen', 'the hips', 'to both sides'],
      ['lengthen', 'the back leg', 'away'],
      ['let rise', 'the ribs', 'to all sides'],
    ],
    exhale: [
      ['let sink', 'the bent knee', 'into its support'],
      ['lightly press', 'the soles', 'into the wall'],
      ['let sink', 'the shoulders', 'down'],
    ],
    breaths: 12,
    effort: 'passive',
  },
  transitions: [OFF_THE_WALL],
};
