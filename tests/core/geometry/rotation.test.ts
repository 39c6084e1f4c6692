import { Euler, Matrix4, Quaternion, Vector3 } from 'three';
import { describe, expect, it } from 'vitest';
import {
  convexHull,
  writeDistancesInside,
  findCorners,
  type Point2,
} from '../../../src/core/geometry/polygon.ts';
import {
  compose,
  fromRotationVector,
  fromYawTiltList,
  toWorld,
  toYawTiltList,
} from '../../../src/core/geometry/rotation.ts';
import { turnAbout, type Vec3 } from '../../../src/core/geometry/vector.ts';
import { makeRandom } from '../../support/random.ts';

const random = makeRandom(11);
const angle = (size: number): number => (2 * random() - 1) * size;

function expectClose(a: Vec3, b: Vec3): void {
  for (let i = 0; i < 3; i += 1) expect(a[i]).toBeCloseTo(b[i]!, 9);
}

describe('rotations against three.js', () => {
  it('composes yaw, tilt and list as Rz · Ry · Rx and takes them apart again', () => {
    for (let i = 0; i < 200; i += 1) {
      const parts = { yaw: angle(3), tilt: angle(1.5), list: angle(1.5) };
      const ours = fromYawTiltList(parts);
      const theirs = new Matrix4().makeRotationFromEuler(
        new Euler(parts.list, parts.tilt, parts.yaw, 'ZYX'),
      );
      const v: Vec3 = [angle(1), angle(1), angle(1)];
      expectClose(toWorld(ours, v), new Vector3(...v).applyMatrix4(theirs).toArray());
      const back = toYawTiltList(ours);
      expect(back.yaw).toBeCloseTo(parts.yaw, 9);
      expect(back.tilt).toBeCloseTo(parts.tilt, 9);
      expect(back.list).toBeCloseTo(parts.list, 9);
    }
  });

  it('turns by a rotation vector as a quaternion does, also by next to nothing', () => {
    for (const size of [2, 1e-3, 1e-6, 1e-10, 0]) {
      const axis = new Vector3(angle(1), angle(1), angle(1)).normalize();
      const ours = fromRotationVector(axis.clone().multiplyScalar(size).toArray());
      const v: Vec3 = [angle(1), angle(1), angle(1)];
      const turned = new Vector3(...v).applyQuaternion(
        new Quaternion().setFromAxisAngle(axis, size),
      );
      expectClose(toWorld(ours, v), turned.toArray());
      expectClose(turnAbout(v, axis.toArray(), size), turned.toArray());
    }
  });

  it('is undone by its transpose', () => {
    const turned = fromYawTiltList({ yaw: 0.7, tilt: -0.4, list: 0.2 });
    const { forward, left, up } = turned;
    const transposed = {
      forward: [forward[0], left[0], up[0]],
      left: [forward[1], left[1], up[1]],
      up: [forward[2], left[2], up[2]],
    } as const;
    const none = compose(turned, transposed);
    expectClose(none.forward, [1, 0, 0]);
    expectClose(none.up, [0, 0, 1]);
  });
});

describe('base polygon', () => {
  const square: readonly Point2[] = [
    [0, 0],
    [4, 0],
    [4, 2],
    [0, 2],
  ];

  it('drops inner and repeated points', () => {
    expect(convexHull([...square, [2, 1], [4, 2], [2, 0]])).toEqual(square);
  });

  it('measures inside every edge as positive and outside as negative, by the corner it starts from', () => {
    const points: readonly Point2[] = [[2, 1], ...square];
    const corners = findCorners(points);
    const distances = (point: Point2): number[] => {
      const into = new Float64Array(points.length + 1);
      writeDistancesInside(points, corners, point, into, 1);
      return [...into.slice(1)];
    };
    expect(distances([1, 1.5])).toEqual([Infinity, 1.5, 3, 0.5, 1]);
    expect(distances([5, 1])).toEqual([Infinity, 1, -1, 1, 5]);
  });
});
