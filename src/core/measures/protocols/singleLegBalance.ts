import type { Protocol } from '../protocol.ts';

export const singleLegBalance = {
  id: 'single-leg-balance',
  name: 'Single-leg balance',
  plainName: 'seconds on one leg',
  unit: 's',
  errorKind: 'balance',
  sided: true,
  usual: [3, 45],
  possible: [0, 45],
  posture: 'standing',
  landmarks: 'seconds from lifting the foot until it or a hand touches down',
  instruments: ['stopwatch'],
  steps: [
    'Bare feet, eyes open, one hand a finger’s breadth over a wall.',
    'Lift the other foot to the height of the ankle bone.',
    'Stop at a touch, a hop, or 45 seconds.',
  ],
  spoils: 'A foot that leans on the other leg.',
  caution: 'Always with a wall within reach. Not with dizziness today.',
  feeds: 'which balances, with what support',
  demonstration: {
    base: 'standing',
    seenFrom: 'the side',
    other: { flexion: 55, knee: 80 },
    reads: null,
    thing: 'wall',
  },
} as const satisfies Protocol;
