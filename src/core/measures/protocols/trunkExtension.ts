import type { Protocol } from '../protocol.ts';

export const trunkExtension = {
  id: 'trunk-extension',
  name: 'Trunk extension',
  plainName: 'lifting the chest over the pelvis',
  unit: 'deg',
  errorKind: 'range',
  sided: false,
  usual: [10, 40],
  possible: [0, 70],
  posture: 'standing',
  landmarks: 'chest against pelvis',
  instruments: ['inclinometer'],
  steps: [
    'Hands on the pelvis, pelvis still.',
    'Lift the chest up and back.',
    'Read at the breast bone less the reading at the pelvis.',
  ],
  spoils: 'A pelvis that pushes forward.',
  caution: 'Low bone density or a sore low back: no end range.',
  feeds: 'standing up over a tilted pelvis',
  demonstration: {
    base: 'standing',
    seenFrom: 'the side',
    spine: { flexion: -24 },
    arms: 'beside',
    reads: { kind: 'angle', at: 'pelvis', to: 'neck', from: 'straight up' },
  },
} as const satisfies Protocol;
