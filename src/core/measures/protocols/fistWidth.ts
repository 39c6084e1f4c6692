import type { Protocol } from '../protocol.ts';

export const fistWidth = {
  id: 'fist-width',
  name: 'Fist width',
  plainName: 'own fist across',
  unit: 'cm',
  errorKind: 'length',
  sided: false,
  usual: [7, 11],
  possible: [5, 14],
  posture: 'standing',
  landmarks: 'across the knuckles of a closed fist',
  instruments: ['tape'],
  steps: ['Make an easy fist.', 'Measure across the four knuckles.'],
  spoils: 'A fist pressed flat.',
  caution: 'None.',
  feeds: 'feet two fists apart',
  demonstration: {
    base: 'standing',
    seenFrom: 'the side',
    arms: 'forward',
    reads: { kind: 'tape', from: 'knuckles inner', to: 'knuckles outer' },
    near: 'palm',
  },
} as const satisfies Protocol;
