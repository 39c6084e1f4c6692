import type { Protocol } from '../protocol.ts';

export const wristSpan = {
  id: 'wrist-span',
  name: 'Wrist span',
  plainName: 'wrist to wrist',
  unit: 'cm',
  errorKind: 'length',
  sided: false,
  usual: [105, 160],
  possible: [75, 190],
  posture: 'standing',
  landmarks: 'wrist crease to wrist crease, arms straight out',
  instruments: ['tape'],
  steps: [
    'Arms out at shoulder height, palms forward.',
    'Measure across the chest between the wrist creases.',
  ],
  spoils: 'Arms that sag or reach.',
  caution: 'None.',
  feeds: 'the wrists-over-heels stance',
  demonstration: {
    base: 'standing',
    seenFrom: 'the front',
    arms: 'out',
    reads: { kind: 'tape', from: 'wrist', to: 'other wrist' },
  },
} as const satisfies Protocol;
