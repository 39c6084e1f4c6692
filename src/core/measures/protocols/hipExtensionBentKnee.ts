import type { Protocol } from '../protocol.ts';

export const hipExtensionBentKnee = {
  id: 'hip-extension-bent-knee',
  name: 'Hip extension, knee bent',
  plainName: 'leg behind, knee bent',
  unit: 'deg',
  errorKind: 'range',
  sided: true,
  usual: [0, 30],
  possible: [-20, 45],
  posture: 'lying face down',
  landmarks: 'thigh against the trunk line, knee bent 90°',
  instruments: ['inclinometer'],
  steps: [
    'Face down, knee bent to a right angle.',
    'Lift the thigh.',
    'Stop when the front hip bone leaves the floor.',
  ],
  spoils: 'A low back that arches.',
  caution: 'Not face down in pregnancy. Not after a hip replacement until that clinic allows it.',
  feeds: 'kneeling lunges',
  demonstration: {
    base: 'face down',
    seenFrom: 'the side',
    measured: { flexion: -14, knee: 90 },
    reads: { kind: 'angle', at: 'hip', to: 'knee', from: 'leg line' },
  },
} as const satisfies Protocol;
