import type { Protocol } from '../protocol.ts';

export const thighFootAngle = {
  id: 'thigh-foot-angle',
  name: 'Thigh-foot angle',
  plainName: 'how the foot sits under the knee',
  unit: 'deg',
  errorKind: 'range',
  sided: true,
  usual: [-5, 25],
  possible: [-30, 45],
  posture: 'lying face down',
  landmarks: 'foot line against thigh line, knee bent 90°, from above',
  instruments: ['goniometer', 'photo'],
  steps: [
    'Face down, knee bent to a right angle, sole level.',
    'Look down along the shin.',
    'Read the foot line against the thigh line; toes out is positive.',
  ],
  spoils: 'A foot that is twisted by hand.',
  caution: 'Not face down in pregnancy.',
  feeds: 'how a straight leg’s foot points',
  demonstration: {
    base: 'face down',
    seenFrom: 'above',
    measured: { knee: 90, toeOut: 18 },
    reads: { kind: 'angle', at: 'heel', to: 'toe', from: 'thigh line' },
  },
} as const satisfies Protocol;
