import type { Protocol } from '../protocol.ts';

export const straightLegRaise = {
  id: 'straight-leg-raise',
  name: 'Straight-leg raise',
  plainName: 'straight leg up',
  unit: 'deg',
  errorKind: 'range',
  sided: true,
  usual: [45, 115],
  possible: [15, 150],
  posture: 'lying on the back',
  landmarks: 'straight leg against the floor',
  instruments: ['inclinometer', 'tape', 'phone'],
  steps: [
    'One leg flat on the floor, both knees straight.',
    'Raise the other leg until the first firm resistance.',
    'Read along the shin.',
  ],
  spoils: 'A knee that bends, a pelvis that tucks.',
  caution:
    'Tingling, burning or pain below the knee is a nerve sign: stop and do not record it. Not with sciatica.',
  feeds: 'folds, pyramid, triangle',
  demonstration: {
    base: 'on the back',
    seenFrom: 'the side',
    measured: { flexion: 72 },
    reads: { kind: 'angle', at: 'hip', to: 'ankle', from: 'leg line' },
  },
} as const satisfies Protocol;
