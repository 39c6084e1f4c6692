import type { Protocol } from '../protocol.ts';

export const ankleDorsiflexionStraight = {
  id: 'ankle-dorsiflexion-straight',
  name: 'Ankle dorsiflexion, knee straight',
  plainName: 'calf stretch',
  unit: 'deg',
  errorKind: 'ankle',
  sided: true,
  usual: [18, 45],
  possible: [0, 60],
  posture: 'standing',
  landmarks: 'shin against straight up, knee straight, heel down',
  instruments: ['inclinometer'],
  steps: [
    'Step one foot back, toes straight, knee straight, heel down.',
    'Lean forward until the heel is about to lift.',
    'Read along the shin.',
  ],
  spoils: 'A foot that turns out, a heel that lifts.',
  caution: 'A hand at the wall.',
  feeds: 'the back heel in pyramid',
  demonstration: {
    base: 'standing',
    seenFrom: 'the side',
    pelvis: { down: 12, ahead: 0 },
    measured: { foot: { ahead: -46 } },
    other: { foot: { ahead: 20 } },
    arms: 'forward',
    reads: { kind: 'angle', at: 'ankle', to: 'knee', from: 'straight up' },
    thing: 'wall',
  },
} as const satisfies Protocol;
