import type { LinkingPose } from './linkingPose.ts';

export const crossLegged: LinkingPose = {
  id: 'cross-legged',
  name: 'Cross-legged seat',
  sanskrit: 'Sukhasana',
  height: 'seated',
  feet: 'none',
  standsOnHands: false,
  headBelowHeart: false,
  effort: 'passive',
  breaths: 6,
  say: 'Sit high enough that the knees are below the hips.',
  transitions: [
    {
      to: 'kneeling',
      foot: 'both',
      movement: 'step',
      hands: 'on the floor beside the hips',
      order: ['Swing the legs to one side.', 'Come up onto both knees.'],
    },
    {
      to: 'tabletop',
      foot: 'both',
      movement: 'step',
      hands: 'flat on the floor ahead of the shins',
      order: ['Lean ahead and set the hands down.', 'Roll over the shins onto the knees.'],
    },
    {
      to: 'staff',
      foot: 'both',
      movement: 'straighten',
      hands: 'on the floor behind the hips',
      order: ['Stretch one leg, then the other.'],
    },
    {
      to: 'bound-angle',
      foot: 'both',
      movement: 'bend',
      hands: 'on the ankles',
      order: ['Uncross the shins.', 'Bring the soles together.'],
    },
    {
      to: 'rest',
      foot: 'both',
      movement: 'lower',
      hands: 'on the floor beside the hips',
      order: ['Lean to one side.', 'Lie down on that side, then roll onto the back.'],
    },
  ],
};
