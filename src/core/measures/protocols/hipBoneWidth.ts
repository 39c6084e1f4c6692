import type { Protocol } from '../protocol.ts';

export const hipBoneWidth = {
  id: 'hip-bone-width',
  name: 'Hip bone width',
  plainName: 'between the front hip bones',
  unit: 'cm',
  errorKind: 'length',
  sided: false,
  usual: [18, 29],
  possible: [12, 38],
  posture: 'standing',
  landmarks: 'ASIS to ASIS',
  instruments: ['tape'],
  steps: [
    'Ask before touching, or let the person find the points.',
    'Hold the tape straight between the two front hip bone points.',
  ],
  spoils: 'A tape that follows the belly.',
  caution: 'Ask before touching.',
  feeds: 'the distance between the hip centres',
  demonstration: {
    base: 'standing',
    seenFrom: 'the front',
    arms: 'out',
    reads: { kind: 'tape', from: 'asis', to: 'other asis' },
  },
} as const satisfies Protocol;
