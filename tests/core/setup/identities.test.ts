import { Matrix4, Vector3, Euler } from 'three';
import { describe, expect, it } from 'vitest';
import type { Side } from '../../../src/core/measures/protocol.ts';
import type { LandmarkCm } from '../../../src/core/skeleton/landmark.ts';
import type { SetUp } from '../../../src/core/setup/setUp.ts';
import { mirrorMeasures, REFERENCE, SUPPLE, type Measures } from '../../support/people.ts';
import { distanceCm, markOf, planPlain } from '../../support/plan.ts';

const POSE_IDS = ['warrior-two', 'triangle', 'pyramid', 'warrior-one', 'high-lunge'];

/** A body whose two sides differ in every way, one leg 2 cm longer. */
const UNEVEN: Measures = {
  ...REFERENCE,
  'trochanter-height': { left: 91, right: 89 },
  'knee-height': { left: 48, right: 47 },
  'leg-length': { left: 84, right: 82 },
  'arm-reach': { left: 62, right: 63 },
  'hip-opening': { left: 50, right: 58 },
  'hip-external-rotation': { left: 48, right: 42 },
  'straight-leg-raise': { left: 78, right: 88 },
  'trunk-rotation': { left: 40, right: 46 },
  'thigh-foot-angle': { left: 12, right: 5 },
};

const SEGMENTS: readonly (readonly [string, string, (m: Measures, side: Side) => number])[] = [
  ['hip', 'knee', (m, side) => at(m, 'trochanter-height', side) - at(m, 'knee-height', side)],
  ['knee', 'ankle', (m, side) => at(m, 'knee-height', side) - 7],
  ['heel', 'ball', () => 0.62 * 24.5],
  ['ball', 'toe', () => 0.28 * 24.5],
];

function at(measures: Measures, id: keyof Measures, side: Side): number {
  const value = measures[id]!;
  return typeof value === 'number' ? value : value[side];
}

const suffix = (side: Side): string => (side === 'left' ? 'Left' : 'Right');

describe.each(POSE_IDS)('%s', (pose) => {
  it.each(['left', 'right'] as const)(
    'mirrored input gives mirrored output, %s in front',
    (side) => {
      const other: Side = side === 'left' ? 'right' : 'left';
      const one = planPlain(UNEVEN, pose, side);
      const two = planPlain(mirrorMeasures(UNEVEN), pose, other);
      for (const [name, [x, y, z]] of Object.entries(one.landmarks)) {
        const swapped = name.replace(/Left$|Right$/, (each) =>
          each === 'Left' ? 'Right' : 'Left',
        );
        const [mx, my, mz] = markOf(two, swapped);
        expect(Math.hypot(x - mx, y + my, z - mz)).toBeLessThanOrEqual(0.01);
      }
      expect(two.settings.map(({ id, value }) => [id, value])).toEqual(
        one.settings.map(({ id, value }) => [id, value]),
      );
      expect(two.pelvis!.yawDeg).toBeCloseTo(-one.pelvis!.yawDeg, 6);
    },
  );

  it('keeps every segment’s length, legs 2 cm apart, on both sides', () => {
    for (const front of ['left', 'right'] as const) {
      const setUp = planPlain(UNEVEN, pose, front);
      expect(setUp.status).toBe('solved');
      for (const side of ['left', 'right'] as const) {
        for (const [from, to, expected] of SEGMENTS) {
          const found = distanceCm(
            markOf(setUp, from + suffix(side)),
            markOf(setUp, to + suffix(side)),
          );
          expect(Math.abs(found - expected(UNEVEN, side))).toBeLessThanOrEqual(0.05);
        }
        const arm = distanceCm(
          markOf(setUp, `shoulder${suffix(side)}`),
          markOf(setUp, `hand${suffix(side)}`),
        );
        expect(arm).toBeLessThanOrEqual(at(UNEVEN, 'arm-reach', side) + 0.05);
      }
      expect(distanceCm(markOf(setUp, 'hipLeft'), markOf(setUp, 'hipRight'))).toBeCloseTo(17, 2);
      expect(distanceCm(markOf(setUp, 'pelvisCentre'), markOf(setUp, 'chestCentre'))).toBeCloseTo(
        139 - 90,
        2,
      );
      expect(distanceCm(markOf(setUp, 'shoulderLeft'), markOf(setUp, 'shoulderRight'))).toBeCloseTo(
        36,
        2,
      );
    }
  });

  it('reports hip angles that can be rebuilt from its landmarks by another route', () => {
    for (const measures of [REFERENCE, SUPPLE, UNEVEN]) {
      const setUp = planPlain(measures, pose);
      for (const side of ['left', 'right'] as const) {
        const rebuilt = rebuildHip(setUp, side, at(measures, 'thigh-foot-angle', side));
        for (const [motion, degrees] of rebuilt) {
          const told = setUp.joints.find(
            (each) => each.joint === 'hip' && each.side === side && each.motion === motion,
          );
          if (told !== undefined) expect(told.askedDeg).toBeCloseTo(degrees, 0.9);
        }
        expect(
          rebuilt.filter(([motion]) =>
            setUp.joints.some(
              (each) => each.side === side && each.joint === 'hip' && each.motion === motion,
            ),
          ),
        ).toHaveLength(3);
      }
    }
  });

  it('says the same thing twice, byte for byte', () => {
    expect(JSON.stringify(planPlain(UNEVEN, pose))).toBe(JSON.stringify(planPlain(UNEVEN, pose)));
  });
});

const vector = (point: LandmarkCm): Vector3 => new Vector3(...point);
const between = (from: LandmarkCm, to: LandmarkCm): Vector3 => vector(to).sub(vector(from));

/**
 * Hip angles from bony points alone, with three.js: the pelvis from ASIS and sacrum, the
 * thigh from hip and knee, its turn from the shank where the knee is bent and from the
 * foot (less the thigh–foot angle) where it is straight.
 */
function rebuildHip(setUp: SetUp, side: Side, thighFootDeg: number): (readonly [string, number])[] {
  const mark = (name: string): LandmarkCm => markOf(setUp, name);
  const s = suffix(side);
  const left = between(mark('asisRight'), mark('asisLeft')).normalize();
  const middle = vector(mark('asisLeft'))
    .add(vector(mark('asisRight')))
    .multiplyScalar(0.5);
  const forward = middle.sub(vector(mark('sacrum'))).normalize();
  const up = forward.clone().cross(left);
  const pelvis = new Matrix4().makeBasis(forward, left, up);

  const thighUp = between(mark(`knee${s}`), mark(`hip${s}`)).normalize();
  const shankDown = between(mark(`knee${s}`), mark(`ankle${s}`)).normalize();
  const kneeBend = thighUp.clone().negate().angleTo(shankDown);
  const outward = side === 'left' ? 1 : -1;
  let facing: Vector3;
  if (kneeBend > 0.3) {
    facing = shankDown.clone().negate();
  } else {
    const legUp = between(mark(`ankle${s}`), mark(`hip${s}`)).normalize();
    facing = between(mark(`ball${s}`), mark(`toe${s}`)).applyAxisAngle(
      legUp,
      (-outward * thighFootDeg * Math.PI) / 180,
    );
  }
  const kneeForward = facing.addScaledVector(thighUp, -facing.dot(thighUp)).normalize();
  const thigh = new Matrix4().makeBasis(kneeForward, thighUp.clone().cross(kneeForward), thighUp);
  const euler = new Euler().setFromRotationMatrix(pelvis.transpose().multiply(thigh), 'YXZ');
  const degrees = (radians: number): number => (radians * 180) / Math.PI;
  const flexion = degrees(-euler.y);
  const abduction = degrees(outward * euler.x);
  const external = degrees(outward * euler.z);
  return [
    ['flexion', flexion],
    ['extension', -flexion],
    ['abduction', abduction],
    ['adduction', -abduction],
    ['external-rotation', external],
    ['internal-rotation', -external],
  ];
}
