import type { Vec3 } from './vector.ts';

/** A rotation by its three columns: where the forward, left and up axes go. */
export interface Rotation {
  readonly forward: Vec3;
  readonly left: Vec3;
  readonly up: Vec3;
}

export const NO_ROTATION: Rotation = { forward: [1, 0, 0], left: [0, 1, 0], up: [0, 0, 1] };

/**
 * Components given in the rotated frame, expressed in the world.
 *
 * @param r any rotation
 * @param a any vector
 * @returns in the world
 */
export function toWorld(r: Rotation, a: Vec3): Vec3 {
  return [
    r.forward[0] * a[0] + r.left[0] * a[1] + r.up[0] * a[2],
    r.forward[1] * a[0] + r.left[1] * a[1] + r.up[1] * a[2],
    r.forward[2] * a[0] + r.left[2] * a[1] + r.up[2] * a[2],
  ];
}

/**
 * first · second: `second` is applied in the frame that `first` made.
 *
 * @param first the frame
 * @param second the turn in it
 * @returns the frame that both make
 */
export const compose = (first: Rotation, second: Rotation): Rotation => ({
  forward: toWorld(first, second.forward),
  left: toWorld(first, second.left),
  up: toWorld(first, second.up),
});

/**
 * A turn about the forward axis; positive = the left side up.
 *
 * @param angleRad radians, by the right-hand rule
 * @returns the rotation
 */
export const aboutForward = (angleRad: number): Rotation => {
  const c = Math.cos(angleRad);
  const s = Math.sin(angleRad);
  return { forward: [1, 0, 0], left: [0, c, s], up: [0, -s, c] };
};

/**
 * Positive = forward rim down.
 *
 * @param angleRad radians, by the right-hand rule
 * @returns the rotation
 */
export const aboutLeft = (angleRad: number): Rotation => {
  const c = Math.cos(angleRad);
  const s = Math.sin(angleRad);
  return { forward: [c, 0, -s], left: [0, 1, 0], up: [s, 0, c] };
};

/**
 * Positive = toward the left.
 *
 * @param angleRad radians, by the right-hand rule
 * @returns the rotation
 */
export const aboutUp = (angleRad: number): Rotation => {
  const c = Math.cos(angleRad);
  const s = Math.sin(angleRad);
  return { forward: [c, s, 0], left: [-s, c, 0], up: [0, 0, 1] };
};

export interface YawTiltList {
  readonly yaw: number;
  readonly tilt: number;
  readonly list: number;
}

/**
 * R = Rz(yaw) · Ry(tilt) · Rx(list), the pelvis order of docs/numbers.md.
 *
 * @returns the rotation
 */
export const fromYawTiltList = ({ yaw, tilt, list }: YawTiltList): Rotation =>
  compose(compose(aboutUp(yaw), aboutLeft(tilt)), aboutForward(list));

/**
 * Inverse of {@link fromYawTiltList}; at tilt ± 90° the list is taken as 0.
 *
 * @param r any rotation
 * @returns radians
 */
export function toYawTiltList(r: Rotation): YawTiltList {
  const sinTilt = Math.max(-1, Math.min(1, -r.forward[2]));
  const tilt = Math.asin(sinTilt);
  if (1 - Math.abs(sinTilt) < 1e-9) {
    return { yaw: Math.atan2(-r.left[0], r.left[1]), tilt, list: 0 };
  }
  return {
    yaw: Math.atan2(r.forward[1], r.forward[0]),
    tilt,
    list: Math.atan2(r.left[2], r.up[2]),
  };
}

/**
 * Exponential map: a turn about the vector's direction by its length, in radians.
 *
 * @param v axis times angle, radians
 * @returns the rotation
 */
export function fromRotationVector(v: Vec3): Rotation {
  const angle = Math.sqrt(v[0] * v[0] + v[1] * v[1] + v[2] * v[2]);
  const a = angle < 1e-8 ? 1 - (angle * angle) / 6 : Math.sin(angle) / angle;
  const b = angle < 1e-4 ? 0.5 - (angle * angle) / 24 : (1 - Math.cos(angle)) / (angle * angle);
  const [x, y, z] = v;
  return {
    forward: [1 - b * (y * y + z * z), a * z + b * x * y, -a * y + b * x * z],
    left: [-a * z + b * x * y, 1 - b * (x * x + z * z), a * x + b * y * z],
    up: [a * y + b * x * z, -a * x + b * y * z, 1 - b * (x * x + y * y)],
  };
}
