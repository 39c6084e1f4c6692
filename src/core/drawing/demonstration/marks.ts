import { scale, type Vec3 } from '../../geometry/vector.ts';
import type { BodyPoint, Demonstration } from '../../measures/demonstration.ts';
import type { LandmarkCm } from '../../skeleton/landmark.ts';
import type { Demonstrated } from '../../skeleton/poseDemonstration.ts';
import { line, type Point, type Shape } from '../shapes.ts';
import { toElevation, type View } from '../view.ts';

/** Of a landmark's dot: on a whole body, and seen near, where it must not hide what it marks; mm. */
export const DOT = { whole: 1.7, near: 0.7 } as const;
const TICK = 2.6;
/** An arc stands this far from its corner, an inclinometer this long on its bone. */
const ARC_SHARE = 0.42;
const INSTRUMENT = { length: 13, width: 4.5 } as const;
const WALL_FROM_TOES = 8;
const SEAT_HALF = 17;

const dot = (centre: Point): Shape => ({
  kind: 'circle',
  role: 'landmark',
  centre,
  radius: DOT.whole,
});

const plus = ([x, y]: Point, [dx, dy]: Point, by = 1): Point => [x + by * dx, y + by * dy];

function unitBetween(from: Point, to: Point): Point {
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
  const size = Math.hypot(dx, dy);
  return size === 0 ? [0, 0] : [dx / size, dy / size];
}

/** A tape from point to point, with a tick across each end. */
function drawTape(from: Point, to: Point): Shape[] {
  const [ux, uy] = unitBetween(from, to);
  const across: Point = [-uy, ux];
  const tick = (at: Point): Shape => line('tape', plus(at, across, TICK), plus(at, across, -TICK));
  return [line('tape', from, to), tick(from), tick(to), dot(from), dot(to)];
}

/** A box laid along a bone, a little off it, as an inclinometer lies. */
function drawInstrument(at: Point, to: Point): Shape[] {
  const along = unitBetween(at, to);
  const across: Point = [-along[1], along[0]];
  const middle = plus(plus(at, [to[0] - at[0], to[1] - at[1]], 0.62), across, -6.5);
  const corner = (a: number, b: number): Point =>
    plus(plus(middle, along, (a * INSTRUMENT.length) / 2), across, (b * INSTRUMENT.width) / 2);
  return [
    {
      kind: 'polygon',
      role: 'instrument',
      points: [corner(-1, -1), corner(1, -1), corner(1, 1), corner(-1, 1)],
    },
    { kind: 'circle', role: 'instrument', centre: middle, radius: 1.2 },
  ];
}

const toDeg = ([x, y]: Point): number => (Math.atan2(y, x) * 180) / Math.PI;

/** Where an angle is counted from, as a direction on the page. */
function findReference(
  from: 'straight up' | 'leg line' | 'thigh line' | 'across the pelvis',
  view: View,
  { pelvis, points }: Demonstrated,
): Point {
  const project = (direction: Vec3): Point => {
    const [x, y] = toElevation(view, direction);
    const size = Math.hypot(x, y);
    return size === 0 ? [0, -1] : [x / size, y / size];
  };
  switch (from) {
    case 'straight up':
      return [0, -1];
    case 'leg line':
      return project(scale(pelvis.up, -1));
    case 'across the pelvis':
      return project(pelvis.left);
    case 'thigh line': {
      const [hip, knee] = [toElevation(view, points.hip), toElevation(view, points.knee)];
      return unitBetween(hip, knee);
    }
  }
}

/**
 * What is read off the body: a tape, a girth, or an angle with its instrument.
 *
 * @param demo how the measure looks
 * @param view from where the body is seen
 * @param body in its posture, cm
 * @returns shapes, mm at 1:10
 */
export function drawReading(demo: Demonstration, view: View, body: Demonstrated): Shape[] {
  const { reads } = demo;
  if (reads === null) return [];
  const at = (name: BodyPoint): Point => toElevation(view, body.points[name]);
  switch (reads.kind) {
    case 'tape': {
      const from = at(reads.from);
      return drawTape(from, reads.to === 'floor' ? [from[0], 0] : at(reads.to));
    }
    case 'girth': {
      const [x, y] = at(reads.at);
      const half = demo.near === undefined ? 9 : 5;
      return demo.near === undefined
        ? [line('tape', [x - half, y + 1], [x, y + 2.4], [x + half, y + 1]), dot([x, y + 2.4])]
        : [line('tape', [x - 1, y - half * 1.4], [x + 1, y + 1]), dot([x, y - half / 2])];
    }
    case 'angle': {
      const [corner, end] = [at(reads.at), at(reads.to)];
      const length = Math.hypot(end[0] - corner[0], end[1] - corner[1]);
      const reference = findReference(reads.from, view, body);
      const radius = length * ARC_SHARE;
      return [
        line('plumb', corner, plus(corner, reference, length)),
        line('bone', corner, end),
        {
          kind: 'arc',
          role: 'angle',
          centre: corner,
          radius,
          fromDeg: toDeg(reference),
          toDeg: toDeg(unitBetween(corner, end)),
        },
        ...drawInstrument(corner, end),
        dot(corner),
        dot(end),
      ];
    }
  }
}

/**
 * The part that moves, between its two landmarks.
 *
 * @param demo how the measure looks
 * @param view from where the body is seen
 * @param body in its posture, cm
 * @returns none where no angle is read
 */
export function drawLimb(demo: Demonstration, view: View, body: Demonstrated): Shape[] {
  const { reads } = demo;
  const { points } = body;
  if (reads?.kind !== 'angle') return [];
  const [corner, end] = [toElevation(view, points[reads.at]), toElevation(view, points[reads.to])];
  return [line('bone', corner, end), dot(corner), dot(end)];
}

/**
 * Wall, seat or stick.
 *
 * @param demo how the measure looks
 * @param view from where the body is seen
 * @param body in its posture, cm
 * @returns none where nothing is needed
 */
export function drawThing(demo: Demonstration, view: View, body: Demonstrated): Shape[] {
  const { landmarks, points } = body;
  if (demo.thing === undefined) return [];
  switch (demo.thing) {
    case 'wall': {
      // Stature is taken with the heels at the wall; a lunge and a balance have it before them.
      const behind = demo.reads?.kind === 'tape';
      const xs = Object.values(landmarks).map((each) => toElevation(view, each)[0]);
      const x = behind ? Math.min(...xs) - 8 : Math.max(...xs) + WALL_FROM_TOES;
      return [line('wall', [x, 0], [x, -toHeight(points.crown) - 4])];
    }
    case 'seat': {
      const [x, y] = toElevation(view, points['sit bone']);
      return [
        {
          kind: 'polygon',
          role: 'prop',
          points: [
            [x - SEAT_HALF, y],
            [x + SEAT_HALF, y],
            [x + SEAT_HALF, 0],
            [x - SEAT_HALF, 0],
          ],
        },
      ];
    }
    case 'stick': {
      const left = toElevation(view, points['other acromion']);
      const right = toElevation(view, points.acromion);
      const along = unitBetween(right, left);
      return [line('stick', plus(right, along, -12), plus(left, along, 12))];
    }
  }
}

const toHeight = (point: LandmarkCm): number => point[2];
