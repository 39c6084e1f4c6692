import type { Protocol } from '../protocol.ts';

export const armReach = {
  id: 'arm-reach',
  name: 'Arm reach',
  plainName: 'shoulder to palm',
  unit: 'cm',
  errorKind: 'length',
  sided: true,
  usual: [50, 80],
  possible: [35, 100],
  posture: 'standing',
  landmarks: 'acromion to the centre of the palm, arm hanging',
  instruments: ['tape'],
  steps: [
    'Arm hanging straight, fingers long.',
    'Read from the outer tip of the shoulder to the centre of the palm.',
  ],
  spoils: 'A bent elbow, a dropped shoulder.',
  caution: 'None.',
  feeds: 'the height of a hand prop',
  demonstration: {
    base: 'standing',
    seenFrom: 'the side',
    reads: { kind: 'tape', from: 'acromion', to: 'palm' },
  },
} as const satisfies Protocol;
