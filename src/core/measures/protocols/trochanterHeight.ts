import type { Protocol } from '../protocol.ts';

export const trochanterHeight = {
  id: 'trochanter-height',
  name: 'Hip height',
  plainName: 'outer hip bone (trochanter) to floor',
  unit: 'cm',
  errorKind: 'length',
  sided: true,
  usual: [70, 105],
  possible: [50, 130],
  posture: 'standing',
  landmarks: 'greater trochanter to the floor',
  instruments: ['tape'],
  steps: [
    'Barefoot, weight on both feet.',
    'Turn the leg in and out to find the outer hip bone under your fingers.',
    'Read straight down to the floor.',
  ],
  spoils: 'Weight on one leg, a tape that leans.',
  caution: 'None.',
  feeds: 'thigh and shank together',
  demonstration: {
    base: 'standing',
    seenFrom: 'the side',
    reads: { kind: 'tape', from: 'trochanter', to: 'floor' },
  },
} as const satisfies Protocol;
