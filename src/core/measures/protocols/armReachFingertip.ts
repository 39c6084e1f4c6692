import type { Protocol } from '../protocol.ts';

export const armReachFingertip = {
  id: 'arm-reach-fingertip',
  name: 'Arm reach to the fingertip',
  plainName: 'shoulder to fingertip',
  unit: 'cm',
  errorKind: 'length',
  sided: true,
  usual: [58, 92],
  possible: [40, 115],
  posture: 'standing',
  landmarks: 'acromion to the tip of the middle finger, arm hanging',
  instruments: ['tape'],
  steps: [
    'Arm hanging straight, fingers long.',
    'Read from the outer tip of the shoulder to the tip of the middle finger.',
  ],
  spoils: 'A bent elbow, a dropped shoulder.',
  caution: 'None.',
  feeds: 'fingertips on the floor or on a prop',
  demonstration: {
    base: 'standing',
    seenFrom: 'the side',
    reads: { kind: 'tape', from: 'acromion', to: 'fingertip' },
  },
} as const satisfies Protocol;
