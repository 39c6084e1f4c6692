import type { Protocol } from '../protocol.ts';

export const kneeHeight = {
  id: 'knee-height',
  name: 'Knee height',
  plainName: 'outer knee line to floor',
  unit: 'cm',
  errorKind: 'length',
  sided: true,
  usual: [37, 58],
  possible: [25, 75],
  posture: 'standing',
  landmarks: 'outer knee joint line to the floor',
  instruments: ['tape'],
  steps: [
    'Barefoot, knees straight and easy.',
    'Find the soft gap at the outer side of the knee.',
    'Read straight down to the floor.',
  ],
  spoils: 'A bent knee, the kneecap taken for the joint line.',
  caution: 'None.',
  feeds: 'where the leg divides into thigh and shank',
  demonstration: {
    base: 'standing',
    seenFrom: 'the side',
    reads: { kind: 'tape', from: 'knee', to: 'floor' },
  },
} as const satisfies Protocol;
