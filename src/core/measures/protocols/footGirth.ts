import type { Protocol } from '../protocol.ts';

export const footGirth = {
  id: 'foot-girth',
  name: 'Foot girth',
  plainName: 'round the foot',
  unit: 'cm',
  errorKind: 'length',
  sided: true,
  usual: [20, 29],
  possible: [15, 36],
  posture: 'seated',
  landmarks: 'round the middle of the foot, over the arch',
  instruments: ['tape'],
  steps: ['Foot hanging free.', 'Lay the tape round the arch and the highest point of the instep.'],
  spoils: 'Weight on the foot.',
  caution: 'None.',
  feeds: 'strap loops',
  demonstration: {
    base: 'standing',
    seenFrom: 'the side',
    reads: { kind: 'girth', at: 'arch' },
    near: 'ankle',
  },
} as const satisfies Protocol;
