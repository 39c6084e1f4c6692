import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';

/** A place on a picture, pixels from its left and top edge. */
export type Pixel = readonly [number, number];

/** What a picture is read by. */
export interface PhotoFrame {
  readonly width: number;
  readonly height: number;
  /** Two places on a line that is upright or level in the room; null = the picture's own edge is trusted. */
  readonly line: {
    readonly kind: 'plumb' | 'floor';
    readonly ends: readonly [Pixel, Pixel];
  } | null;
  /** Two places whose distance is known, in the plane of what is read. */
  readonly scale: { readonly ends: readonly [Pixel, Pixel]; readonly cm: number } | null;
}

/** The angle between two rays, each from a place to another; `up` = straight up in the room. */
export interface PhotoAngle {
  readonly ray: readonly [Pixel, Pixel];
  readonly against: readonly [Pixel, Pixel] | 'up';
}

export interface PhotoValue {
  readonly value: number;
  /** 95 of 100 such readings lie within this of the truth. */
  readonly error95: number;
}

/** A hand places a landmark within this of where it belongs, on a picture shown 800 pixels wide. Our choice. */
const PLACING_PX = 2;
const SHOWN_WIDTH = 800;
/** A camera held by hand looks at most this far past the square, up or down and left or right. Our choice. */
const CAMERA_TURN_DEG = 10;
/** A picture whose line is trusted unseen may be rolled by this much. Our choice. */
const UNSEEN_ROLL_DEG = 3;
/** Focal length as a share of the picture's longer edge: a usual phone's. Our choice. */
const FOCAL_SHARE = 0.8;
/** Made-up repeats, and their seed: the same marks give the same error. */
const DRAWS = 600;
const SEED = 800;
const NINETY_FIVE = 0.95;
const DEG = 180 / Math.PI;

type Vector = readonly [number, number];

const minus = (a: Vector, b: Vector): Vector => [a[0] - b[0], a[1] - b[1]];

/** One way in which the picture may have come about. */
interface Take {
  /** A landmark as the hand may have meant it. */
  readonly place: (pixel: Pixel) => Pixel;
  readonly yaw: number;
  readonly pitch: number;
  /** Only for a picture without a line. */
  readonly roll: number;
}

const AS_PLACED: Take = { place: (pixel) => pixel, yaw: 0, pitch: 0, roll: 0 };

/**
 * Where a pixel lies on the plane of the body, for a camera that looks at it turned by yaw
 * and pitch. The plane's unit is the distance to its middle; + is right and down.
 */
function toPlane({ width, height }: PhotoFrame, { place, yaw, pitch }: Take, pixel: Pixel): Vector {
  const focal = FOCAL_SHARE * Math.max(width, height);
  const [u, v] = place(pixel);
  const ray = [(u - width / 2) / focal, (v - height / 2) / focal, 1] as const;
  const [cy, sy, cp, sp] = [Math.cos(yaw), Math.sin(yaw), Math.cos(pitch), Math.sin(pitch)];
  const right = [cy, 0, -sy] as const;
  const down = [sy * sp, cp, cy * sp] as const;
  const normal = [sy * cp, -sp, cy * cp] as const;
  const along = ray[0] * normal[0] + ray[1] * normal[1] + ray[2] * normal[2];
  const t = normal[2] / along;
  const point = [t * ray[0], t * ray[1], t * ray[2] - 1] as const;
  return [
    point[0] * right[0] + point[1] * right[1] + point[2] * right[2],
    point[0] * down[0] + point[1] * down[1] + point[2] * down[2],
  ];
}

/** Straight up in the room, on the plane. */
function findUp(frame: PhotoFrame, take: Take): Vector {
  if (frame.line === null) return [Math.sin(take.roll), -Math.cos(take.roll)];
  const [a, b] = frame.line.ends.map((each) => toPlane(frame, take, each));
  const [x, y] = minus(b!, a!);
  const upright: Vector = frame.line.kind === 'plumb' ? [x, y] : [y, -x];
  return upright[1] > 0 ? [-upright[0], -upright[1]] : upright;
}

function calcAngle(frame: PhotoFrame, { ray, against }: PhotoAngle, take: Take): number {
  const direction = ([from, to]: readonly [Pixel, Pixel]): Vector =>
    minus(toPlane(frame, take, to), toPlane(frame, take, from));
  const a = direction(ray);
  const b = against === 'up' ? findUp(frame, take) : direction(against);
  const cross = a[0] * b[1] - a[1] * b[0];
  const dot = a[0] * b[0] + a[1] * b[1];
  return Math.abs(Math.atan2(cross, dot)) * DEG;
}

function calcLength(
  frame: PhotoFrame,
  ends: readonly [Pixel, Pixel],
  scale: NonNullable<PhotoFrame['scale']>,
  take: Take,
): number {
  const distance = ([from, to]: readonly [Pixel, Pixel]): number =>
    Math.hypot(...minus(toPlane(frame, take, to), toPlane(frame, take, from)));
  return (distance(ends) / distance(scale.ends)) * scale.cm;
}

/** What 95 of 100 made-up repeats stay within: other hands, another turn of the camera. */
function findError(frame: PhotoFrame, value: number, read: (take: Take) => number): number {
  const random = xoroshiro128plus(SEED);
  const evenly = (most: number): number => most * (2 * uniformFloat64(random) - 1);
  const placing = (PLACING_PX * frame.width) / SHOWN_WIDTH;
  const misses = Array.from({ length: DRAWS }, () => {
    // A landmark that serves twice is misplaced once.
    const placed = new Map<Pixel, Pixel>();
    const place = (pixel: Pixel): Pixel => {
      const known = placed.get(pixel);
      if (known !== undefined) return known;
      const meant: Pixel = [pixel[0] + evenly(placing), pixel[1] + evenly(placing)];
      placed.set(pixel, meant);
      return meant;
    };
    const take: Take = {
      place,
      yaw: evenly(CAMERA_TURN_DEG) / DEG,
      pitch: evenly(CAMERA_TURN_DEG) / DEG,
      roll: evenly(UNSEEN_ROLL_DEG) / DEG,
    };
    return Math.abs(read(take) - value);
  }).sort((a, b) => a - b);
  return misses[Math.floor(NINETY_FIVE * DRAWS)]!;
}

/**
 * An angle read off a picture, degrees, with what placing the marks and an unknown turn of
 * the camera may make of it.
 *
 * @param frame the straightened picture
 * @param angle the marks that make it
 * @returns value and error
 */
export function readPhotoAngle(frame: PhotoFrame, angle: PhotoAngle): PhotoValue {
  const value = calcAngle(frame, angle, AS_PLACED);
  return { value, error95: findError(frame, value, (take) => calcAngle(frame, angle, take)) };
}

/**
 * A length read off a picture, cm; null while no known length sets its scale.
 *
 * @param frame the straightened picture
 * @param ends the two marks
 * @returns value and error
 */
export function readPhotoLength(
  frame: PhotoFrame,
  ends: readonly [Pixel, Pixel],
): PhotoValue | null {
  const { scale } = frame;
  if (scale === null) return null;
  const value = calcLength(frame, ends, scale, AS_PLACED);
  return {
    value,
    error95: findError(frame, value, (take) => calcLength(frame, ends, scale, take)),
  };
}
