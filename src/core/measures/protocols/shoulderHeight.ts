import type { Protocol } from '../protocol.ts';

export const shoulderHeight = {
  id: 'shoulder-height',
  name: 'Shoulder height',
  plainName: 'shoulder to floor',
  unit: 'cm',
  errorKind: 'length',
  sided: false,
  usual: [115, 165],
  possible: [80, 195],
  posture: 'standing',
  landmarks: 'acromion to the floor',
  instruments: ['tape'],
  steps: [
    'Arms hanging, shoulders easy.',
    'Read from the outer tip of the shoulder blade straight down.',
  ],
  spoils: 'Shrugged shoulders, a tape that follows the arm.',
  caution: 'None.',
  feeds: 'trunk length',
  demonstration: {
    base: 'standing',
    seenFrom: 'the side',
    reads: { kind: 'tape', from: 'acromion', to: 'floor' },
  },
} as const satisfies Protocol;
