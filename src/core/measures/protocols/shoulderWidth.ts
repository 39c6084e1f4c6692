import type { Protocol } from '../protocol.ts';

export const shoulderWidth = {
  id: 'shoulder-width',
  name: 'Shoulder width',
  plainName: 'shoulder to shoulder',
  unit: 'cm',
  errorKind: 'length',
  sided: false,
  usual: [28, 46],
  possible: [20, 60],
  posture: 'standing',
  landmarks: 'acromion to acromion',
  instruments: ['tape'],
  steps: ['Arms hanging.', 'Measure straight across the back between the outer tips.'],
  spoils: 'A tape that follows the back.',
  caution: 'None.',
  feeds: 'where the hands come down',
  demonstration: {
    base: 'standing',
    seenFrom: 'the front',
    reads: { kind: 'tape', from: 'acromion', to: 'other acromion' },
  },
} as const satisfies Protocol;
