import { describe, expect, it } from 'vitest';
import { Euler, PerspectiveCamera, Vector3 } from 'three';
import {
  readPhotoAngle,
  readPhotoLength,
  type PhotoFrame,
  type Pixel,
} from '../../../src/core/photo/photoReading.ts';
import { makeRandom } from '../../support/random.ts';

/** A drawn person in a plane, metres: what is true of it, the test alone knows. */
interface Scene {
  readonly hip: Vector3;
  readonly ankle: Vector3;
  readonly reference: Vector3;
  readonly plumb: readonly [Vector3, Vector3];
  readonly stick: readonly [Vector3, Vector3];
  readonly angle: number;
  readonly length: number;
  readonly distance: number;
  readonly width: number;
  readonly fov: number;
}

const rad = (deg: number): number => (deg * Math.PI) / 180;

const turned = (length: number, deg: number): Vector3 =>
  new Vector3(length * Math.cos(rad(deg)), length * Math.sin(rad(deg)), 0);

/** Twenty lying people with a leg raised: other angles, sizes, places, lenses and pictures. */
const SCENES: readonly Scene[] = Array.from({ length: 20 }, (_, i) => {
  const angle = 20 + 6 * i;
  const length = 0.7 + 0.012 * i;
  const hip = new Vector3(-0.2 + 0.02 * (i % 5), -0.45 + 0.03 * (i % 4), 0);
  const ankle = hip.clone().add(turned(length, angle));
  // A stick lies beside the leg, more or less along it.
  const along = (share: number, aside: number): Vector3 =>
    hip
      .clone()
      .lerp(ankle, share)
      .add(turned(aside, angle + 90));
  const half = turned(0.5, angle - 10 + 5 * (i % 5));
  return {
    hip,
    ankle,
    reference: hip.clone().add(new Vector3(length, 0, 0)),
    plumb: [new Vector3(-0.35, -0.5, 0), new Vector3(-0.35, 0.5, 0)],
    stick: [along(0.5, 0.1).sub(half), along(0.5, 0.1).add(half)],
    angle,
    length,
    distance: 3 + 0.1 * (i % 6),
    width: [800, 1200, 1600, 3000][i % 4]!,
    fov: 44 + 2 * (i % 4),
  };
});

interface Camera {
  readonly roll: number;
  readonly yaw: number;
  readonly pitch: number;
}

/** Pixels of a scene as three.js sees it, the camera turned about the body's middle. */
function photograph(scene: Scene, { roll, yaw, pitch }: Camera, jitter: () => number) {
  const { width, fov, distance } = scene;
  const height = (width * 3) / 4;
  const camera = new PerspectiveCamera(fov, width / height, 0.1, 20);
  const turn = new Euler(rad(pitch), rad(yaw), 0, 'YXZ');
  camera.position.copy(new Vector3(0, 0, distance).applyEuler(turn));
  camera.lookAt(0, 0, 0);
  camera.rotateZ(rad(roll));
  camera.updateMatrixWorld();
  camera.updateProjectionMatrix();
  const px = (point: Vector3): Pixel => {
    const { x, y } = point.clone().project(camera);
    const by = width / 800;
    return [((x + 1) / 2) * width + by * jitter(), ((1 - y) / 2) * height + by * jitter()];
  };
  const frame: PhotoFrame = {
    width,
    height,
    line: { kind: 'plumb', ends: [px(scene.plumb[0]), px(scene.plumb[1])] },
    scale: { ends: [px(scene.stick[0]), px(scene.stick[1])], cm: 100 },
  };
  const hip = px(scene.hip);
  const ankle = px(scene.ankle);
  const reference = px(scene.reference);
  return { frame, hip, ankle, reference };
}

const none = (): number => 0;
const quantile = (values: readonly number[], share: number): number =>
  [...values].sort((a, b) => a - b)[Math.floor(share * values.length)]!;

describe('angles and lengths off a picture, projected by three.js', () => {
  it.each(SCENES.map((scene) => [scene.angle, scene] as const))(
    'reads %d° within 0.5° and its length within 1 % with the camera square, rolled 5°',
    (_, scene) => {
      for (const roll of [-5, 0, 5]) {
        const { frame, hip, ankle, reference } = photograph(
          scene,
          { roll, yaw: 0, pitch: 0 },
          none,
        );
        const byMarks = readPhotoAngle(frame, { ray: [hip, ankle], against: [hip, reference] });
        const toUp = readPhotoAngle(frame, { ray: [hip, ankle], against: 'up' });
        expect(Math.abs(byMarks.value - scene.angle)).toBeLessThan(0.5);
        expect(Math.abs(toUp.value - Math.abs(90 - scene.angle))).toBeLessThan(0.5);
        const length = readPhotoLength(frame, [hip, ankle])!;
        expect(Math.abs(length.value / (100 * scene.length) - 1)).toBeLessThan(0.01);
      }
    },
  );

  // Marks within ± 2 px at 800 px, roll ± 5°, camera turned ± 10° both ways; evenly spread.
  it('tells an error that covers the truth in 90 to 99 of 100, and stays useful', () => {
    const random = makeRandom(4711);
    const evenly = (most: number): number => most * (2 * random() - 1);
    const covered = { marks: 0, up: 0, length: 0 };
    const told = { angle: [] as number[], length: [] as number[] };
    const repeats = 50;
    for (const scene of SCENES) {
      for (let i = 0; i < repeats; i += 1) {
        const camera = { roll: evenly(5), yaw: evenly(10), pitch: evenly(10) };
        const { frame, hip, ankle, reference } = photograph(scene, camera, () => evenly(2));
        const marks = readPhotoAngle(frame, { ray: [hip, ankle], against: [hip, reference] });
        const up = readPhotoAngle(frame, { ray: [hip, ankle], against: 'up' });
        const length = readPhotoLength(frame, [hip, ankle])!;
        covered.marks += Number(Math.abs(marks.value - scene.angle) <= marks.error95);
        covered.up += Number(Math.abs(up.value - Math.abs(90 - scene.angle)) <= up.error95);
        covered.length += Number(Math.abs(length.value - 100 * scene.length) <= length.error95);
        told.angle.push(marks.error95, up.error95);
        told.length.push((100 * length.error95) / length.value);
      }
    }
    const total = SCENES.length * repeats;
    for (const count of Object.values(covered)) {
      expect(count / total).toBeGreaterThanOrEqual(0.9);
      expect(count / total).toBeLessThanOrEqual(0.99);
    }
    expect(quantile(told.angle, 0.5)).toBeLessThanOrEqual(4);
    expect(quantile(told.length, 0.5)).toBeLessThanOrEqual(3);
  });

  it('says nothing of lengths without a known one, and doubts an unseen roll more', () => {
    const [scene] = SCENES;
    const { frame, hip, ankle } = photograph(scene!, { roll: 0, yaw: 0, pitch: 0 }, none);
    expect(readPhotoLength({ ...frame, scale: null }, [hip, ankle])).toBeNull();
    const angle = { ray: [hip, ankle], against: 'up' } as const;
    const seen = readPhotoAngle(frame, angle);
    const unseen = readPhotoAngle({ ...frame, line: null }, angle);
    expect(unseen.error95).toBeGreaterThan(seen.error95);
    expect(readPhotoAngle(frame, angle)).toEqual(seen);
  });

  it('takes a floor line for a plumb line turned by a right angle', () => {
    const [scene] = SCENES;
    const { frame, hip, ankle, reference } = photograph(
      scene!,
      { roll: 4, yaw: 0, pitch: 0 },
      none,
    );
    const floor = { ...frame, line: { kind: 'floor', ends: [hip, reference] } } as const;
    const angle = { ray: [hip, ankle], against: 'up' } as const;
    expect(readPhotoAngle(floor, angle).value).toBeCloseTo(readPhotoAngle(frame, angle).value, 6);
  });
});
