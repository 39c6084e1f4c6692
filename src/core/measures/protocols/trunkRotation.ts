import type { Protocol } from '../protocol.ts';

export const trunkRotation = {
  id: 'trunk-rotation',
  name: 'Trunk rotation',
  plainName: 'turning the ribs',
  unit: 'deg',
  errorKind: 'range',
  sided: true,
  usual: [25, 70],
  possible: [5, 100],
  posture: 'standing',
  landmarks: 'stick across the shoulders against the pelvis',
  instruments: ['goniometer', 'photo'],
  steps: [
    'Feet straight, pelvis held still by two hands or a wall.',
    'A stick across the shoulders; turn.',
    'Read the stick against the pelvis.',
  ],
  spoils: 'A pelvis that turns too.',
  caution: 'Low bone density: no end range.',
  feeds: 'the spine’s share of a turn',
  demonstration: {
    base: 'standing',
    seenFrom: 'above',
    spine: { turn: 42 },
    reads: { kind: 'angle', at: 'chest', to: 'other acromion', from: 'across the pelvis' },
    thing: 'stick',
  },
} as const satisfies Protocol;
