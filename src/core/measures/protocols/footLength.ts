import type { Protocol } from '../protocol.ts';

export const footLength = {
  id: 'foot-length',
  name: 'Foot length',
  plainName: 'foot length',
  unit: 'cm',
  errorKind: 'length',
  sided: false,
  usual: [20, 30],
  possible: [14, 38],
  posture: 'standing',
  landmarks: 'back of the heel to the longest toe',
  instruments: ['tape'],
  steps: [
    'Stand on paper with weight on both feet.',
    'Mark the heel and the longest toe with an upright pencil.',
    'Measure between the marks.',
  ],
  spoils: 'A slanted pencil, curled toes.',
  caution: 'None.',
  feeds: 'footprints, the base of support, heel to ankle',
  demonstration: {
    base: 'standing',
    seenFrom: 'the side',
    reads: { kind: 'tape', from: 'heel', to: 'toe' },
    near: 'ankle',
  },
} as const satisfies Protocol;
