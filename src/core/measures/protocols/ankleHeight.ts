import type { Protocol } from '../protocol.ts';

export const ankleHeight = {
  id: 'ankle-height',
  name: 'Ankle height',
  plainName: 'outer ankle bone to floor',
  unit: 'cm',
  errorKind: 'length',
  sided: false,
  usual: [5.5, 9],
  possible: [3, 13],
  posture: 'standing',
  landmarks: 'tip of the outer ankle bone to the floor',
  instruments: ['tape'],
  steps: [
    'Barefoot, weight on both feet.',
    'Read from the tip of the outer ankle bone to the floor.',
  ],
  spoils: 'A rolled-in foot.',
  caution: 'None.',
  feeds: 'the height of the leg above the mat',
  demonstration: {
    base: 'standing',
    seenFrom: 'the side',
    reads: { kind: 'tape', from: 'ankle', to: 'floor' },
    near: 'ankle',
  },
} as const satisfies Protocol;
