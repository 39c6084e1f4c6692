import type { Protocol } from '../protocol.ts';

export const staffSeatHeight = {
  id: 'staff-seat-height',
  name: 'Staff seat height',
  plainName: 'height to sit on',
  unit: 'cm',
  errorKind: 'length',
  sided: false,
  usual: [0, 25],
  possible: [0, 45],
  posture: 'seated',
  landmarks: 'top of the seat to the floor',
  instruments: ['tape'],
  steps: [
    'Sit with both legs straight ahead.',
    'Raise the seat by a blanket at a time until the low back is long without effort.',
    'Measure its height.',
  ],
  spoils: 'Bent knees, a seat that sinks.',
  caution: 'None.',
  feeds: 'a check of the seat that is computed from the leg raise',
  demonstration: {
    base: 'sitting',
    seenFrom: 'the side',
    measured: { flexion: 84 },
    other: { flexion: 84 },
    reads: { kind: 'tape', from: 'sit bone', to: 'floor' },
    thing: 'seat',
  },
} as const satisfies Protocol;
