import type { Protocol } from '../protocol.ts';

export const hipInternalRotation = {
  id: 'hip-internal-rotation',
  name: 'Hip internal rotation',
  plainName: 'turning the thigh in',
  unit: 'deg',
  errorKind: 'range',
  sided: true,
  usual: [15, 55],
  possible: [0, 80],
  posture: 'lying face down',
  landmarks: 'shin against straight up, knee bent 90°, shin swings outward',
  instruments: ['inclinometer', 'goniometer', 'tape'],
  steps: [
    'Face down, knee bent to a right angle.',
    'Let the shin fall outward, away from the other leg.',
    'Stop when the pelvis starts to roll. Read at the shin.',
  ],
  spoils: 'A pelvis that rolls; a knee that slides.',
  caution: 'Not face down in pregnancy. Not after a hip replacement until that clinic allows it.',
  feeds: 'how far thighs turn in',
  demonstration: {
    base: 'face down',
    seenFrom: 'the feet',
    measured: { rotation: -35, knee: 90 },
    reads: { kind: 'angle', at: 'knee', to: 'ankle', from: 'straight up' },
  },
} as const satisfies Protocol;
