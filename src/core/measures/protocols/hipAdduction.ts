import type { Protocol } from '../protocol.ts';

export const hipAdduction = {
  id: 'hip-adduction',
  name: 'Hip adduction',
  plainName: 'leg across',
  unit: 'deg',
  errorKind: 'range',
  sided: true,
  usual: [10, 40],
  possible: [0, 60],
  posture: 'lying on the back',
  landmarks: 'thigh against the line square to the front hip bones',
  instruments: ['goniometer'],
  steps: [
    'Lift the other leg out of the way.',
    'Slide the straight leg across.',
    'Stop when the pelvis moves.',
  ],
  spoils: 'A pelvis that follows.',
  caution: 'Not after a hip replacement until that clinic allows it.',
  feeds: 'twists and crossings',
  demonstration: {
    base: 'on the back',
    seenFrom: 'above',
    measured: { abduction: -22 },
    other: { flexion: 70, abduction: 15 },
    reads: { kind: 'angle', at: 'hip', to: 'knee', from: 'leg line' },
  },
} as const satisfies Protocol;
