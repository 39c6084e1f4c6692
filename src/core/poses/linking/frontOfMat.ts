import type { LinkingPose } from './linkingPose.ts';

export const frontOfMat: LinkingPose = {
  id: 'front-of-mat',
  name: 'Standing at the front of the mat',
  sanskrit: '',
  height: 'standing',
  feet: 'together',
  standsOnHands: false,
  headBelowHeart: false,
  effort: 'passive',
  breaths: 2,
  say: 'Stand at the front edge, feet under the hips.',
  transitions: [
    {
      to: 'mountain',
      foot: 'both',
      movement: 'step',
      hands: 'at the sides',
      order: ['Set the feet on their marks.'],
    },
    {
      to: 'forward-fold',
      foot: 'none',
      movement: 'bend',
      hands: 'down the legs, then to the floor or blocks',
      order: ['Soften the knees.', 'Fold from the hips.', 'Let the hands come down.'],
    },
    {
      to: 'kneeling',
      foot: 'both',
      movement: 'lower',
      hands: 'on the thighs, then on the floor',
      order: ['Step one foot back.', 'Lower that knee, then the other.'],
    },
  ],
};
