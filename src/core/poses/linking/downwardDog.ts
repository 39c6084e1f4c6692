import type { LinkingPose } from './linkingPose.ts';

export const downwardDog: LinkingPose = {
  id: 'downward-dog',
  name: 'Downward dog',
  sanskrit: 'Adho Mukha Shvanasana',
  height: 'hands-and-feet',
  feet: 'together',
  standsOnHands: true,
  headBelowHeart: true,
  effort: 'active',
  breaths: 4,
  say: 'Hands and feet down, hips high; the back long before the knees straight.',
  transitions: [
    {
      to: 'plank',
      foot: 'none',
      movement: 'lower',
      hands: 'flat on the floor',
      order: ['Bring the shoulders over the hands.', 'Lower the hips into one line.'],
    },
    {
      to: 'tabletop',
      foot: 'both',
      movement: 'lower',
      hands: 'flat on the floor',
      order: ['Bend the knees and set them down under the hips.'],
    },
    {
      to: 'kneeling',
      foot: 'both',
      movement: 'lower',
      hands: 'flat on the floor, then on the thighs',
      order: ['Set the knees down.', 'Sit back on the heels.'],
    },
    {
      to: 'high-lunge',
      foot: 'front',
      movement: 'step',
      hands: 'down either side of the front foot',
      order: [
        'Step the front foot between the hands, to its mark.',
        'Come up once the legs are steady.',
      ],
    },
    {
      to: 'low-lunge',
      foot: 'front',
      movement: 'step',
      hands: 'down either side of the front foot',
      order: [
        'Step the front foot between the hands, to its mark.',
        'Lower the back knee onto its pad.',
      ],
    },
    {
      to: 'forward-fold',
      foot: 'both',
      movement: 'step',
      hands: 'on the floor, or on blocks',
      order: ['Bend the knees and look ahead.', 'Walk the feet to the hands.'],
    },
  ],
};
