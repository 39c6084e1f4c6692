import type { Protocol } from '../protocol.ts';

export const hipFlexion = {
  id: 'hip-flexion',
  name: 'Hip flexion',
  plainName: 'knee to chest',
  unit: 'deg',
  errorKind: 'range',
  sided: true,
  usual: [95, 150],
  possible: [60, 170],
  posture: 'lying on the back',
  landmarks: 'thigh against the trunk line',
  instruments: ['inclinometer', 'goniometer', 'phone'],
  steps: [
    'One leg flat on the floor.',
    'Draw the other knee toward the chest, knee bent.',
    'Stop when the flat thigh lifts. Read along the thigh.',
  ],
  spoils: 'A low back that rounds, a flat leg that lifts.',
  caution:
    'Not after a hip replacement until that clinic allows it. A pinch at the front ends the test.',
  feeds: 'lunges and bent front legs',
  demonstration: {
    base: 'on the back',
    seenFrom: 'the side',
    measured: { flexion: 115, knee: 120 },
    reads: { kind: 'angle', at: 'hip', to: 'knee', from: 'leg line' },
  },
} as const satisfies Protocol;
