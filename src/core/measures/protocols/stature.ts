import type { Protocol } from '../protocol.ts';

export const stature = {
  id: 'stature',
  name: 'Height',
  plainName: 'height',
  unit: 'cm',
  errorKind: 'length',
  sided: false,
  usual: [145, 195],
  possible: [100, 230],
  posture: 'standing',
  landmarks: 'crown of the head to the floor',
  instruments: ['tape'],
  steps: [
    'Barefoot, heels and back against the wall.',
    'Lay a book flat on the head against the wall and mark its lower edge.',
    'Read from the floor to the mark.',
  ],
  spoils: 'Shoes, a lifted chin, hair tied high.',
  caution: 'None.',
  feeds: 'every length that is not measured',
  demonstration: {
    base: 'standing',
    seenFrom: 'the side',
    reads: { kind: 'tape', from: 'crown', to: 'floor' },
    thing: 'wall',
  },
} as const satisfies Protocol;
