import type { Protocol } from '../protocol.ts';

export const footWidth = {
  id: 'foot-width',
  name: 'Foot width',
  plainName: 'foot width',
  unit: 'cm',
  errorKind: 'length',
  sided: false,
  usual: [7, 12],
  possible: [4, 16],
  posture: 'standing',
  landmarks: 'across the balls of the foot',
  instruments: ['tape'],
  steps: [
    'Stand on paper with weight on both feet.',
    'Mark both sides at the widest place and measure across.',
  ],
  spoils: 'A slanted pencil.',
  caution: 'None.',
  feeds: 'footprints and the base of support',
  demonstration: {
    base: 'standing',
    seenFrom: 'the front',
    reads: { kind: 'tape', from: 'ball inner', to: 'ball outer' },
    near: 'ankle',
  },
} as const satisfies Protocol;
