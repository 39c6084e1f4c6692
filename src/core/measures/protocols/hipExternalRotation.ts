import type { Protocol } from '../protocol.ts';

export const hipExternalRotation = {
  id: 'hip-external-rotation',
  name: 'Hip external rotation',
  plainName: 'turning the thigh out',
  unit: 'deg',
  errorKind: 'range',
  sided: true,
  usual: [25, 65],
  possible: [0, 90],
  posture: 'lying face down',
  landmarks: 'shin against straight up, knee bent 90°, shin swings inward',
  instruments: ['inclinometer', 'goniometer', 'tape'],
  steps: [
    'Face down, knee bent to a right angle.',
    'Let the shin swing across toward the other leg.',
    'Stop when the pelvis starts to roll. Read at the shin.',
  ],
  spoils: 'A pelvis that rolls; a knee that slides.',
  caution: 'Not face down in pregnancy. Not after a hip replacement until that clinic allows it.',
  feeds: 'how far thighs turn out',
  demonstration: {
    base: 'face down',
    seenFrom: 'the feet',
    measured: { rotation: 40, knee: 90 },
    reads: { kind: 'angle', at: 'knee', to: 'ankle', from: 'straight up' },
  },
} as const satisfies Protocol;
