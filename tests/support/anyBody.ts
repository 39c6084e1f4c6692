import fc from 'fast-check';
import type { Measures } from './people.ts';

/** A pair of sides around a middle, each its own. */
const twice = (low: number, high: number, apart: number) =>
  fc
    .tuple(range(low, high), range(-apart, apart), range(-apart, apart))
    .map(([middle, left, right]) => ({ left: middle + left, right: middle + right }));
const range = (min: number, max: number) => fc.double({ min, max, noNaN: true });

/** Made-up bodies in the plausible bands, each side its own, legs up to 2 cm apart. */
export const anyBody: fc.Arbitrary<Measures> = fc
  .record({
    stature: range(150, 192),
    legShare: range(0.5, 0.545),
    unequal: range(-1, 1),
    ankle: range(6, 8),
    footShare: range(0.14, 0.16),
    'hip-bone-width': range(20, 27),
    shoulderShare: range(0.8, 0.83),
    'shoulder-width': range(32, 42),
    armShare: range(0.35, 0.39),
    'hip-flexion': twice(105, 140, 5),
    'straight-leg-raise': twice(60, 115, 6),
    'hip-extension': twice(10, 28, 3),
    'hip-extension-bent-knee': twice(3, 9, 2),
    'hip-abduction': twice(32, 58, 4),
    'hip-opening': twice(35, 75, 5),
    'hip-external-rotation': twice(30, 60, 5),
    'hip-internal-rotation': twice(20, 45, 5),
    'ankle-dorsiflexion-bent': twice(35, 48, 2),
    'ankle-dorsiflexion-straight': twice(26, 42, 2),
    'trunk-rotation': twice(35, 60, 5),
    'trunk-extension': range(15, 30),
    'trunk-side-bend': twice(20, 38, 3),
    'knee-flexion': twice(130, 158, 3),
    'thigh-foot-angle': twice(-3, 16, 4),
  })
  .map(({ legShare, unequal, ankle, footShare, shoulderShare, armShare, ...ranges }) => {
    const leg = ranges.stature * legShare;
    const trochanter = { left: leg + unequal, right: leg - unequal };
    return {
      ...ranges,
      'trochanter-height': trochanter,
      'knee-height': { left: trochanter.left * 0.53, right: trochanter.right * 0.53 },
      'leg-length': { left: trochanter.left * 0.92, right: trochanter.right * 0.92 },
      'ankle-height': ankle,
      'foot-length': ranges.stature * footShare,
      'shoulder-height': ranges.stature * shoulderShare,
      'arm-reach': ranges.stature * armShare,
    };
  });
