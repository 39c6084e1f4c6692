import type { Protocol } from '../protocol.ts';

export const legLength = {
  id: 'leg-length',
  name: 'Leg length',
  plainName: 'leg length, lying',
  unit: 'cm',
  errorKind: 'length',
  sided: true,
  usual: [70, 105],
  possible: [50, 130],
  posture: 'lying on the back',
  landmarks: 'front hip bone point (ASIS) to the tip of the inner ankle bone',
  instruments: ['tape'],
  steps: [
    'Legs straight and hip width apart, pelvis level.',
    'Find the front hip bone point with the thumb, from below.',
    'Run the tape down the inside of the knee to the tip of the inner ankle bone.',
  ],
  spoils: 'A tilted pelvis, a slack tape, the thumb above the point.',
  caution: 'Late in pregnancy keep the time on the back short.',
  feeds: 'the leg-length stance; the difference between the legs',
  demonstration: {
    base: 'on the back',
    seenFrom: 'above',
    reads: { kind: 'tape', from: 'asis', to: 'ankle' },
  },
} as const satisfies Protocol;
