import type { LyingPose } from './lyingPose.ts';
import { OFF_THE_WALL } from './offTheWall.ts';

export const lyingRevolvedSideAngle: LyingPose = {
  id: 'lying-revolved-side-angle',
  name: 'Lying revolved side angle',
  sanskrit: 'Supta Parivritta Parshvakonasana',
  swapFor: ['revolved-side-angle'],
  needs: ['hip-opening', 'trunk-rotation'],
  asks: [
    { measure: 'hip-opening', of: 'front' },
    { measure: 'trunk-rotation', of: 'front' },
  ],
  guidance: {
    gaze: 'Up, or over the upper shoulder.',
    farPoints: ['crown of the head', 'sole of the back foot'],
    tendencies: [
      {
        seen: 'Upper shoulder hangs',
        first: 'Put a blanket under it.',
        felt: 'The chest is open without a pull.',
      },
      {
        seen: 'Bent knee slides off',
        first: 'Bring the bolster closer to the hip.',
        felt: 'The thigh lies heavy.',
      },
      {
        seen: 'Breath is short',
        error: 'breath-held',
        first: 'Turn less.',
        felt: 'The ribs move on both sides.',
      },
    ],
    easier: [{ words: 'a blanket for the head' }, { words: 'a higher bolster' }],
    harder: [{ words: 'the arm out to its side' }, { words: 'a minute longer' }],
    inhale: [
      ['lengthen', 'the crown', 'away from the hips'],
      ['widen', 'the collar bones', 'apart'],
      ['let rise', 'the upper ribs', 'upward'],
    ],
    exhale: [
      ['turn', 'the ribs', 'away from the knees'],
      ['let sink', 'the upper shoulder', 'down'],
      ['soften', 'the jaw', 'down'],
    ],
    breaths: 12,
    effort: 'passive',
  },
  transitions: [OFF_THE_WALL],
};
