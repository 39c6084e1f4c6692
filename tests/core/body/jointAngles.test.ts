import { Euler, Matrix4, Vector3 } from 'three';
import { describe, expect, it } from 'vitest';
import { calcHipAngles } from '../../../src/core/body/jointAngles.ts';
import {
  aboutForward,
  aboutLeft,
  aboutUp,
  compose,
  NO_ROTATION,
  type Rotation,
} from '../../../src/core/geometry/rotation.ts';
import type { Vec3 } from '../../../src/core/geometry/vector.ts';
import type { Side } from '../../../src/core/measures/protocol.ts';
import { makeRandom } from '../../support/random.ts';

const DEG = Math.PI / 180;
const S = Math.SQRT1_2;

interface Posture {
  readonly words: string;
  readonly pelvis: Rotation;
  readonly thighDown: Vec3;
  readonly kneeForward: Vec3;
  readonly side: Side;
  /** Flexion, abduction, external rotation in degrees, worked by hand. */
  readonly expected: readonly [number, number, number];
}

/** Six postures whose angles need no calculator. x = forward, y = left, z = up. */
const BY_HAND: readonly Posture[] = [
  {
    words: 'standing',
    pelvis: NO_ROTATION,
    thighDown: [0, 0, -1],
    kneeForward: [1, 0, 0],
    side: 'right',
    expected: [0, 0, 0],
  },
  {
    words: 'thigh level ahead',
    pelvis: NO_ROTATION,
    thighDown: [1, 0, 0],
    kneeForward: [0, 0, 1],
    side: 'right',
    expected: [90, 0, 0],
  },
  {
    words: 'left leg out to the side by 45°',
    pelvis: NO_ROTATION,
    thighDown: [0, S, -S],
    kneeForward: [1, 0, 0],
    side: 'left',
    expected: [0, 45, 0],
  },
  {
    words: 'right leg across by 45°',
    pelvis: NO_ROTATION,
    thighDown: [0, S, -S],
    kneeForward: [1, 0, 0],
    side: 'right',
    expected: [0, -45, 0],
  },
  {
    words: 'right foot turned out by 45°, standing',
    pelvis: NO_ROTATION,
    thighDown: [0, 0, -1],
    kneeForward: [S, -S, 0],
    side: 'right',
    expected: [0, 0, 45],
  },
  {
    words: 'leg hanging plumb from a pelvis tipped forward by 30°',
    pelvis: aboutLeft(30 * DEG),
    thighDown: [0, 0, -1],
    kneeForward: [1, 0, 0],
    side: 'left',
    expected: [30, 0, 0],
  },
];

describe('hip angles', () => {
  it.each(BY_HAND)('$words', ({ pelvis, thighDown, kneeForward, side, expected }) => {
    const angles = calcHipAngles(pelvis, thighDown, kneeForward, side);
    expect(angles.flexion / DEG).toBeCloseTo(expected[0], 6);
    expect(angles.abduction / DEG).toBeCloseTo(expected[1], 6);
    expect((angles.externalRotation ?? NaN) / DEG).toBeCloseTo(expected[2], 6);
  });

  it('agrees with three.js, Euler order YXZ, on random postures of both hips', () => {
    const random = makeRandom(7);
    const angle = (size: number): number => (2 * random() - 1) * size * DEG;
    for (let i = 0; i < 300; i += 1) {
      const side: Side = i % 2 === 0 ? 'left' : 'right';
      const outward = side === 'left' ? 1 : -1;
      const pelvis = compose(
        compose(aboutUp(angle(170)), aboutLeft(angle(80))),
        aboutForward(angle(40)),
      );
      const [flexion, abduction, external] = [angle(120), angle(80), angle(70)];
      // three.js: x = forward, y = left, z = up; flexion lifts the thigh, a turn about −y.
      const thigh = new Matrix4().makeRotationFromEuler(
        new Euler(outward * abduction, -flexion, outward * external, 'YXZ'),
      );
      const frame = new Matrix4().makeBasis(
        new Vector3(...pelvis.forward),
        new Vector3(...pelvis.left),
        new Vector3(...pelvis.up),
      );
      const world = frame.multiply(thigh);
      const column = (x: number, y: number, z: number): Vec3 =>
        new Vector3(x, y, z).applyMatrix4(world).toArray();
      const found = calcHipAngles(pelvis, column(0, 0, -1), column(1, 0, 0), side);
      expect(found.flexion).toBeCloseTo(flexion, 9);
      expect(found.abduction).toBeCloseTo(abduction, 9);
      expect(found.externalRotation).toBeCloseTo(external, 9);
    }
  });

  it('does not tell flexion from rotation where it cannot: at 90° of abduction', () => {
    const angles = calcHipAngles(NO_ROTATION, [0, 1, 0], [1, 0, 0], 'left');
    expect(angles.externalRotation).toBeNull();
  });
});
