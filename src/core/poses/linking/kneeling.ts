import type { LinkingPose } from './linkingPose.ts';

export const kneeling: LinkingPose = {
  id: 'kneeling',
  name: 'Kneeling',
  sanskrit: 'Vajrasana',
  height: 'kneeling',
  feet: 'together',
  standsOnHands: false,
  headBelowHeart: false,
  effort: 'passive',
  breaths: 3,
  say: 'Sit on the heels, on a blanket or a block.',
  transitions: [
    {
      to: 'tabletop',
      foot: 'none',
      movement: 'bend',
      hands: 'flat on the floor under the shoulders',
      order: ['Lean ahead and set the hands down.'],
    },
    {
      to: 'low-lunge',
      foot: 'front',
      movement: 'step',
      hands: 'on the front thigh, or one at the wall',
      order: ['Come up on both knees.', 'Step the front foot to its mark.'],
    },
    {
      to: 'cross-legged',
      foot: 'both',
      movement: 'step',
      hands: 'on the floor beside the hips',
      order: ['Sit to one side of the heels.', 'Swing the legs ahead and cross the shins.'],
    },
  ],
};
