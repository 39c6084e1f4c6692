import type { Protocol } from '../protocol.ts';

export const hipAbduction = {
  id: 'hip-abduction',
  name: 'Hip abduction',
  plainName: 'leg out to the side',
  unit: 'deg',
  errorKind: 'range',
  sided: true,
  usual: [20, 65],
  possible: [5, 90],
  posture: 'lying on the back',
  landmarks: 'thigh against the line square to the front hip bones',
  instruments: ['inclinometer', 'goniometer', 'tape'],
  steps: [
    'Legs straight, pelvis square.',
    'Slide one leg out along the floor, toes to the ceiling.',
    'Stop when the far hip bone moves.',
  ],
  spoils: 'A pelvis that follows, toes that turn out.',
  caution: 'None.',
  feeds: 'the back leg in open poses',
  demonstration: {
    base: 'on the back',
    seenFrom: 'above',
    measured: { abduction: 40 },
    reads: { kind: 'angle', at: 'hip', to: 'knee', from: 'leg line' },
  },
} as const satisfies Protocol;
