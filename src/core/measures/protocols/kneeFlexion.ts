import type { Protocol } from '../protocol.ts';

export const kneeFlexion = {
  id: 'knee-flexion',
  name: 'Knee flexion',
  plainName: 'heel to seat',
  unit: 'deg',
  errorKind: 'range',
  sided: true,
  usual: [115, 155],
  possible: [60, 170],
  posture: 'lying face down',
  landmarks: 'shin against thigh',
  instruments: ['goniometer', 'tape'],
  steps: ['Face down.', 'Bend the knee, heel toward the seat.', 'Stop when the pelvis lifts.'],
  spoils: 'A pelvis that lifts.',
  caution: 'Not face down in pregnancy.',
  feeds: 'deep bends and kneeling',
  demonstration: {
    base: 'face down',
    seenFrom: 'the side',
    measured: { knee: 128 },
    reads: { kind: 'angle', at: 'knee', to: 'ankle', from: 'thigh line' },
  },
} as const satisfies Protocol;
