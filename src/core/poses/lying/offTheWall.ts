import type { TransitionDefinition } from '../transition.ts';

/** How the forms with a foot on the wall are left. */
export const OFF_THE_WALL: TransitionDefinition = {
  to: 'rest',
  foot: 'both',
  movement: 'lower',
  hands: 'on the floor',
  order: [
    'Bend both knees and take the feet off the wall.',
    'Roll to one side, then onto the back.',
  ],
};
