import type { LyingPose } from './lyingPose.ts';
import { OFF_THE_WALL } from './offTheWall.ts';

export const lyingTriangle: LyingPose = {
  id: 'lying-triangle',
  name: 'Lying triangle',
  sanskrit: 'Supta Trikonasana',
  swapFor: ['triangle', 'reverse-triangle'],
  needs: [],
  asks: [],
  guidance: {
    gaze: 'Up.',
    farPoints: ['crown of the head', 'soles of both feet'],
    tendencies: [
      {
        seen: 'One hip lifts',
        first: 'Come farther from the wall.',
        felt: 'Both hip bones equally heavy.',
      },
      { seen: 'Knees lock', first: 'Soften them.', felt: 'A pull along the whole leg.' },
      {
        seen: 'Trunk turns',
        first: 'Lay both shoulder blades down.',
        felt: 'The chest faces the ceiling.',
      },
    ],
    easier: [{ words: 'hips farther from the wall' }, { words: 'feet nearer to each other' }],
    harder: [{ words: 'a wider stance on the wall' }, { words: 'a minute longer' }],
    inhale: [
      ['lengthen', 'both legs', 'away from the hips'],
      ['widen', 'the collar bones', 'apart'],
      ['let rise', 'the ribs', 'to all sides'],
    ],
    exhale: [
      ['lightly press', 'the soles', 'into the wall'],
      ['let sink', 'the thighs', 'down'],
      ['soften', 'the throat', 'down'],
    ],
    breaths: 12,
    effort: 'passive',
  },
  transitions: [OFF_THE_WALL],
};
