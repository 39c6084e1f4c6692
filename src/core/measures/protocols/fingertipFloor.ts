import type { Protocol } from '../protocol.ts';

export const fingertipFloor = {
  id: 'fingertip-floor',
  name: 'Fingertip to floor',
  plainName: 'standing fold',
  unit: 'cm',
  errorKind: 'floor',
  sided: false,
  usual: [-25, 45],
  possible: [-45, 80],
  posture: 'standing',
  landmarks: 'middle fingertip to the floor, + above it, − below a step’s edge',
  instruments: ['tape'],
  steps: [
    'Feet side by side, knees straight, on a step if the hands pass the floor.',
    'Fold slowly and let the arms hang.',
    'Read from the fingertip to the standing height, − below it.',
  ],
  spoils: 'Bent knees, a bounce.',
  caution: 'Not with low bone density or raised eye pressure; rise slowly.',
  feeds: 'the whole fold as a trend of its own in Progress; no set-up is computed from it',
  demonstration: {
    base: 'standing',
    seenFrom: 'the side',
    pelvis: { tilt: 62, ahead: -8 },
    spine: { flexion: 26 },
    arms: 'down',
    reads: { kind: 'tape', from: 'fingertip', to: 'floor' },
  },
} as const satisfies Protocol;
