import type { Protocol } from '../protocol.ts';

export const seatedRotationDrill = {
  id: 'seated-rotation-drill',
  name: 'Seated rotation drill',
  plainName: 'foot walked outward',
  unit: 'cm',
  errorKind: 'length',
  sided: true,
  usual: [5, 45],
  possible: [0, 70],
  posture: 'seated',
  landmarks: 'foot’s way outward along the floor until the sit bone lifts',
  instruments: ['tape'],
  steps: [
    'One leg straight; the other foot set halfway to the pelvis, knee up.',
    'Walk that foot outward, the knee falling in.',
    'Stop when the sit bone on that side begins to lift, and measure the foot’s way; note what the knee rests on.',
  ],
  spoils: 'A sit bone that has lifted already.',
  caution: 'Not with a replaced hip, nor with pain at the inside of the knee.',
  feeds: 'left against right; a clear difference asks for hip internal rotation lying face down',
  demonstration: {
    base: 'sitting',
    seenFrom: 'above',
    measured: { foot: { ahead: 38, outward: 16 } },
    other: { flexion: 90 },
    reads: { kind: 'tape', from: 'ankle start', to: 'ankle' },
  },
} as const satisfies Protocol;
