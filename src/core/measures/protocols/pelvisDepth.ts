import type { Protocol } from '../protocol.ts';

export const pelvisDepth = {
  id: 'pelvis-depth',
  name: 'Pelvis depth',
  plainName: 'front hip bone to sacrum',
  unit: 'cm',
  errorKind: 'length',
  sided: false,
  usual: [11, 19],
  possible: [7, 27],
  posture: 'standing',
  landmarks: 'ASIS level to the sacrum',
  instruments: ['tape'],
  steps: [
    'Hold one book at the front hip bones and one at the sacrum.',
    'Measure between the books, level.',
  ],
  spoils: 'Books that are not parallel.',
  caution: 'Ask before touching.',
  feeds: 'the back of the pelvis, lying heights',
  demonstration: {
    base: 'standing',
    seenFrom: 'the side',
    arms: 'forward',
    reads: { kind: 'tape', from: 'asis', to: 'sacrum' },
  },
} as const satisfies Protocol;
