import type { Protocol } from '../protocol.ts';

export const hipExtension = {
  id: 'hip-extension',
  name: 'Hip extension',
  plainName: 'leg behind, knee straight',
  unit: 'deg',
  errorKind: 'range',
  sided: true,
  usual: [0, 40],
  possible: [-15, 50],
  posture: 'lying face down',
  landmarks: 'thigh against the trunk line, knee straight',
  instruments: ['inclinometer'],
  steps: [
    'Face down, pelvis heavy.',
    'Lift one straight leg.',
    'Stop when the front hip bone leaves the floor.',
  ],
  spoils: 'A low back that arches.',
  caution: 'Not face down in pregnancy. Not after a hip replacement until that clinic allows it.',
  feeds: 'the back leg of warriors and lunges',
  demonstration: {
    base: 'face down',
    seenFrom: 'the side',
    measured: { flexion: -18 },
    reads: { kind: 'angle', at: 'hip', to: 'knee', from: 'leg line' },
  },
} as const satisfies Protocol;
