import { convexHull } from '../geometry/polygon.ts';
import { add, normalise, scale, subtract, type Vec3 } from '../geometry/vector.ts';
import type { SetUp } from '../setup/setUp.ts';
import type { Point, Shape } from './shapes.ts';
import { depthOf, toElevation, type View } from './view.ts';

/** A ball of flesh round a point of the skeleton, cm. */
interface Ball {
  readonly at: Vec3;
  readonly radius: number;
}

/** A part of the body: rows of balls; each row is joined to the next by its hull. */
interface Part {
  readonly name: string;
  readonly rows: readonly (readonly Ball[])[];
}

/** Flesh is drawn for a body this tall and scaled to the person's. Our drawing choice. */
const DRAWN_FOR_TRUNK_CM = 50;
const CIRCLE_POINTS = 28;

const along = (from: Vec3, to: Vec3, share: number): Vec3 =>
  add(from, scale(subtract(to, from), share));

function circlePoints(view: View, { at, radius }: Ball): Point[] {
  const [cx, cy] = toElevation(view, at);
  return Array.from({ length: CIRCLE_POINTS }, (_, i) => {
    const angle = (2 * Math.PI * i) / CIRCLE_POINTS;
    return [cx + radius * Math.cos(angle), cy + radius * Math.sin(angle)] as const;
  });
}

function buildParts(setUp: SetUp): Part[] {
  const mark = (name: string): Vec3 => setUp.landmarks[name]!;
  const pelvis = mark('pelvisCentre');
  const chest = mark('chestCentre');
  const size = Math.hypot(...subtract(chest, pelvis)) / DRAWN_FOR_TRUNK_CM;
  const ball = (at: Vec3, radius: number): Ball => ({ at, radius: radius * size });
  const chestLeft = normalise(subtract(mark('shoulderLeft'), mark('shoulderRight')));
  const pelvisLeft = normalise(subtract(mark('hipLeft'), mark('hipRight')));
  const pair = (centre: Vec3, left: Vec3, half: number, radius: number): Ball[] => [
    ball(add(centre, scale(left, half * size)), radius),
    ball(add(centre, scale(left, -half * size)), radius),
  ];
  const waistLeft = normalise(add(chestLeft, pelvisLeft));

  const limbs = (['Left', 'Right'] as const).flatMap((side): Part[] => {
    const [hip, knee, ankle] = [mark(`hip${side}`), mark(`knee${side}`), mark(`ankle${side}`)];
    const [heel, arch, toe] = [mark(`heel${side}`), mark(`ball${side}`), mark(`toe${side}`)];
    const [shoulder, elbow] = [mark(`shoulder${side}`), mark(`elbow${side}`)];
    const [wrist, hand] = [mark(`wrist${side}`), mark(`hand${side}`)];
    const lift = (point: Vec3, cm: number): Vec3 => add(point, [0, 0, cm]);
    return [
      {
        name: `leg${side}`,
        rows: [
          [ball(hip, 8.4)],
          [ball(along(hip, knee, 0.45), 7.4)],
          [ball(knee, 5.1)],
          [ball(along(knee, ankle, 0.3), 5.3)],
          [ball(along(knee, ankle, 0.6), 4.2)],
          [ball(ankle, 3.1)],
        ],
      },
      {
        name: `foot${side}`,
        rows: [
          [ball(lift(heel, 3), 3), ball(ankle, 3.1)],
          [ball(lift(arch, 1.9), 1.9)],
          [ball(lift(along(arch, toe, 0.85), 1.3), 1.3)],
        ],
      },
      {
        name: `arm${side}`,
        rows: [
          [ball(shoulder, 4.3)],
          [ball(along(shoulder, elbow, 0.4), 3.8)],
          [ball(elbow, 3)],
          [ball(along(elbow, wrist, 0.3), 3)],
          [ball(wrist, 2.1)],
          [ball(hand, 2.3)],
          [ball(along(wrist, hand, 1.9), 1.5)],
        ],
      },
    ];
  });
  return [
    ...limbs,
    {
      name: 'trunk',
      rows: [
        pair(pelvis, pelvisLeft, 7.5, 8.6),
        pair(along(pelvis, chest, 0.18), pelvisLeft, 6.5, 8.6),
        pair(along(pelvis, chest, 0.44), waistLeft, 4.4, 8.2),
        pair(along(pelvis, chest, 0.74), chestLeft, 6.6, 8.8),
        pair(along(pelvis, chest, 0.94), chestLeft, 10.5, 5.6),
      ],
    },
    {
      name: 'head',
      rows: [
        [ball(chest, 5.2)],
        [ball(mark('neck'), 4.3)],
        [ball(along(mark('neck'), mark('head'), 0.7), 6.4)],
        [ball(along(mark('neck'), mark('head'), 1.25), 8.4)],
      ],
    },
  ];
}

/** The middle of a part decides what it covers. */
function depthOfPart(view: View, part: Part): number {
  const balls = part.rows.flat();
  return balls.reduce((sum, each) => sum + depthOf(view, each.at), 0) / balls.length;
}

function hullsOf(view: View, part: Part): Point[][] {
  const circles = part.rows.map((row) => row.flatMap((each) => circlePoints(view, each)));
  return circles.slice(1).map((circle, i) => convexHull([...circles[i]!, ...circle]));
}

/**
 * The body from the side, farthest part first. Each part is drawn twice, first its
 * outline and then its flesh, so that the hulls of one part melt into one shape.
 */
export function drawFigure(view: View, setUp: SetUp): Shape[] {
  const middle = depthOf(view, setUp.landmarks.pelvisCentre!);
  const sorted = buildParts(setUp)
    .map((part) => ({ part, depth: depthOfPart(view, part) }))
    .sort((a, b) => a.depth - b.depth);
  return sorted.flatMap(({ part, depth }) => {
    const place = part.name !== 'trunk' && part.name !== 'head' && depth < middle ? 'far' : 'near';
    const hulls = hullsOf(view, part);
    const shape =
      (role: string) =>
      (points: readonly Point[]): Shape => ({
        kind: 'polygon',
        role: `${role} ${place}`,
        points,
      });
    return [...hulls.map(shape('body-outline')), ...hulls.map(shape('body-flesh'))];
  });
}
