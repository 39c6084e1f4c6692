import type { Protocol } from '../protocol.ts';

export const thighGirth = {
  id: 'thigh-girth',
  name: 'Thigh girth',
  plainName: 'round the thigh',
  unit: 'cm',
  errorKind: 'length',
  sided: true,
  usual: [40, 75],
  possible: [25, 100],
  posture: 'standing',
  landmarks: 'round the thigh a hand’s breadth below the fold of the seat',
  instruments: ['tape'],
  steps: ['Weight on both feet.', 'Lay the tape level round the thigh, without pulling.'],
  spoils: 'A tape that slants or cuts in.',
  caution: 'Ask before you touch.',
  feeds: 'strap loops',
  demonstration: {
    base: 'standing',
    seenFrom: 'the front',
    arms: 'out',
    reads: { kind: 'girth', at: 'upper thigh' },
  },
} as const satisfies Protocol;
