import type { Protocol } from '../protocol.ts';

export const ankleDorsiflexionBent = {
  id: 'ankle-dorsiflexion-bent',
  name: 'Ankle dorsiflexion, knee bent',
  plainName: 'knee over toes',
  unit: 'deg',
  errorKind: 'ankle',
  sided: true,
  usual: [25, 55],
  possible: [5, 70],
  posture: 'standing',
  landmarks: 'shin against straight up, heel down',
  instruments: ['inclinometer', 'tape'],
  steps: [
    'Lunge with the foot pointing at the wall, heel down.',
    'Bring the knee forward over the second toe.',
    'Read along the shin when the heel is about to lift.',
  ],
  spoils: 'A heel that lifts, an arch that rolls in.',
  caution: 'A hand at the wall.',
  feeds: 'front shin and chair',
  demonstration: {
    base: 'standing',
    seenFrom: 'the side',
    pelvis: { down: 14, ahead: -8 },
    measured: { foot: { ahead: 12 } },
    other: { foot: { ahead: -45 } },
    arms: 'forward',
    reads: { kind: 'angle', at: 'ankle', to: 'knee', from: 'straight up' },
    thing: 'wall',
  },
} as const satisfies Protocol;
