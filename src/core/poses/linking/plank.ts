import type { LinkingPose } from './linkingPose.ts';

export const plank: LinkingPose = {
  id: 'plank',
  name: 'Plank',
  sanskrit: 'Phalakasana',
  height: 'hands-and-feet',
  feet: 'together',
  standsOnHands: true,
  headBelowHeart: false,
  effort: 'active',
  breaths: 3,
  say: 'One line from the heels to the head, hands under the shoulders.',
  transitions: [
    {
      to: 'downward-dog',
      foot: 'none',
      movement: 'lift-off',
      hands: 'flat on the floor',
      order: ['Bend the knees a little.', 'Lift the hips up and back.'],
    },
    {
      to: 'tabletop',
      foot: 'none',
      movement: 'lower',
      hands: 'flat on the floor',
      order: ['Set the knees down.'],
    },
  ],
};
