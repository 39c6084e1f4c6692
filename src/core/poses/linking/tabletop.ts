import type { LinkingPose } from './linkingPose.ts';

export const tabletop: LinkingPose = {
  id: 'tabletop',
  name: 'Tabletop',
  sanskrit: 'Bharmanasana',
  height: 'kneeling',
  feet: 'together',
  standsOnHands: true,
  headBelowHeart: false,
  effort: 'passive',
  breaths: 3,
  say: 'Hands under the shoulders, knees under the hips.',
  transitions: [
    {
      to: 'downward-dog',
      foot: 'both',
      movement: 'lift-off',
      hands: 'flat on the floor',
      order: ['Tuck the toes.', 'Lift the knees, then the hips.'],
    },
    {
      to: 'plank',
      foot: 'both',
      movement: 'step',
      hands: 'flat on the floor',
      order: ['Tuck the toes.', 'Step one foot back, then the other.'],
    },
    {
      to: 'low-lunge',
      foot: 'front',
      movement: 'step',
      hands: 'on the floor, or on blocks',
      order: [
        'Step the front foot between the hands, to its mark.',
        'Settle the back knee on its pad.',
      ],
    },
    {
      to: 'kneeling',
      foot: 'none',
      movement: 'straighten',
      hands: 'on the thighs',
      order: ['Walk the hands back and sit up.'],
    },
  ],
};
