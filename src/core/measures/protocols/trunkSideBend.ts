import type { Protocol } from '../protocol.ts';

export const trunkSideBend = {
  id: 'trunk-side-bend',
  name: 'Trunk side bend',
  plainName: 'bending sideways',
  unit: 'deg',
  errorKind: 'range',
  sided: true,
  usual: [15, 45],
  possible: [0, 70],
  posture: 'standing',
  landmarks: 'spine line against straight up',
  instruments: ['inclinometer', 'goniometer'],
  steps: [
    'Back against a wall, feet hip width.',
    'Slide the hand down the thigh.',
    'Read at the breast bone.',
  ],
  spoils: 'A hip that pushes out.',
  caution: 'None.',
  feeds: 'side bends',
  demonstration: {
    base: 'standing',
    seenFrom: 'the front',
    spine: { sideBend: 30 },
    reads: { kind: 'angle', at: 'pelvis', to: 'neck', from: 'straight up' },
  },
} as const satisfies Protocol;
