import type { LinkingPose } from './linkingPose.ts';

export const forwardFold: LinkingPose = {
  id: 'forward-fold',
  name: 'Forward fold',
  sanskrit: 'Uttanasana',
  height: 'standing',
  feet: 'together',
  standsOnHands: false,
  headBelowHeart: true,
  effort: 'passive',
  breaths: 3,
  say: 'Fold from the hips, knees as soft as the back needs.',
  transitions: [
    {
      to: 'mountain',
      foot: 'none',
      movement: 'straighten',
      hands: 'on the hips',
      order: ['Soften the knees.', 'Come up slowly with a long back.'],
    },
    {
      to: 'front-of-mat',
      foot: 'none',
      movement: 'straighten',
      hands: 'on the hips',
      order: ['Soften the knees.', 'Come up slowly with a long back.'],
    },
    {
      to: 'chair',
      foot: 'none',
      movement: 'bend',
      hands: 'forward or up',
      order: ['Bend the knees.', 'Lift the chest as the hips sit back.'],
    },
    {
      to: 'high-lunge',
      foot: 'back',
      movement: 'step',
      hands: 'down either side of the front foot',
      order: [
        'Set both hands down.',
        'Step the back foot to its mark, heel up.',
        'Come up once the legs are steady.',
      ],
    },
    {
      to: 'low-lunge',
      foot: 'back',
      movement: 'step',
      hands: 'down either side of the front foot',
      order: ['Set both hands down.', 'Step the back foot back.', 'Lower its knee onto the pad.'],
    },
    {
      to: 'downward-dog',
      foot: 'both',
      movement: 'step',
      hands: 'flat on the floor, shoulder-width apart',
      order: [
        'Bend the knees and set both hands down.',
        'Step one foot back, then the other.',
        'Lift the hips.',
      ],
    },
    {
      to: 'plank',
      foot: 'both',
      movement: 'step',
      hands: 'flat on the floor under the shoulders',
      order: ['Bend the knees and set both hands down.', 'Step one foot back, then the other.'],
    },
  ],
};
