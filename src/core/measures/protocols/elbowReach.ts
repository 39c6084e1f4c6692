import type { Protocol } from '../protocol.ts';

export const elbowReach = {
  id: 'elbow-reach',
  name: 'Elbow reach',
  plainName: 'shoulder to elbow',
  unit: 'cm',
  errorKind: 'length',
  sided: true,
  usual: [27, 43],
  possible: [20, 55],
  posture: 'standing',
  landmarks: 'acromion to the tip of the bent elbow',
  instruments: ['tape'],
  steps: [
    'Elbow bent to a right angle, upper arm hanging.',
    'Read from the outer tip of the shoulder to the tip of the elbow.',
  ],
  spoils: 'A lifted shoulder.',
  caution: 'None.',
  feeds: 'forearm on a block or on the thigh',
  demonstration: {
    base: 'standing',
    seenFrom: 'the side',
    reads: { kind: 'tape', from: 'acromion', to: 'elbow' },
  },
} as const satisfies Protocol;
