import type { Protocol } from '../protocol.ts';

export const hipOpening = {
  id: 'hip-opening',
  name: 'Hip opening',
  plainName: 'how far the knees fall out',
  unit: 'deg',
  errorKind: 'range',
  sided: true,
  usual: [30, 80],
  possible: [5, 95],
  posture: 'lying on the back',
  landmarks: 'thigh line against straight up as seen from the feet, soles together',
  instruments: ['inclinometer', 'phone', 'tape'],
  steps: [
    'Soles together, heels two hand-widths from the seat, pelvis flat.',
    'Let the knees fall out by their own weight.',
    'Hold the inclinometer facing the feet, its edge along the thigh as seen from there; 0° is straight up, 90° is the floor line.',
  ],
  spoils: 'A pelvis that rolls with the knee; pressing the knee down.',
  caution:
    'Not after a hip replacement until that clinic allows it. No long flat lying late in pregnancy.',
  feeds: 'how far the pelvis can turn in open poses',
  demonstration: {
    base: 'soles together',
    seenFrom: 'the feet',
    reads: { kind: 'angle', at: 'hip', to: 'knee', from: 'straight up' },
  },
} as const satisfies Protocol;
