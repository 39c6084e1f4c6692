import { convexHull } from '../geometry/polygon.ts';
import { add, normalise, scale, subtract, type Vec3 } from '../geometry/vector.ts';
import type { SetUp } from '../setup/setUp.ts';
import type { Point, Shape } from './shapes.ts';
import { depthOf, toElevation, type View } from './view.ts';

/** What a figure is drawn from: its joint centres, and what a hand leans on; `lowBack` bows its back. */
export type Drawn = Pick<SetUp, 'landmarks' | 'side' | 'settings'>;

/** A ball of flesh round a point of the skeleton, cm. */
interface Ball {
  readonly at: Vec3;
  readonly radius: number;
}

/** A part of the body: rows of balls; each row is joined to the next by its hull. */
interface FigurePart {
  readonly name: string;
  readonly body: 'trunk' | 'leg' | 'arm';
  /** For limbs: the side they are on. */
  readonly side: 'Left' | 'Right' | null;
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

const hangsDown = (shoulder: Vec3, hand: Vec3): boolean =>
  shoulder[2] - hand[2] > Math.abs(shoulder[0] - hand[0]);

/** A point of the back between pelvis and chest; straight, unless it is known how far the back bows. */
function alongBack({ landmarks }: Drawn, share: number): Vec3 {
  const { pelvisCentre, chestCentre, lowBack } = landmarks;
  const straight = along(pelvisCentre!, chestCentre!, share);
  if (lowBack === undefined) return straight;
  const bow = subtract(lowBack, along(pelvisCentre!, chestCentre!, 0.5));
  return add(straight, scale(bow, 4 * share * (1 - share)));
}

function buildParts(setUp: Drawn, soleUp: Vec3): FigurePart[] {
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
  const shoulders = Math.hypot(...subtract(mark('shoulderLeft'), mark('shoulderRight'))) / 2 / size;
  const hips = Math.hypot(...subtract(mark('hipLeft'), mark('hipRight'))) / 2 / size;
  const waistLeft = normalise(add(chestLeft, pelvisLeft));

  const atWall = setUp.settings.some((each) => each.id === 'wall-ahead');

  const limbs = (['Left', 'Right'] as const).flatMap((side): FigurePart[] => {
    const [hip, knee, ankle] = [mark(`hip${side}`), mark(`knee${side}`), mark(`ankle${side}`)];
    const [heel, arch, toe] = [mark(`heel${side}`), mark(`ball${side}`), mark(`toe${side}`)];
    const [shoulder, elbow] = [mark(`shoulder${side}`), mark(`elbow${side}`)];
    const [wrist, hand] = [mark(`wrist${side}`), mark(`hand${side}`)];
    const lift = (point: Vec3, cm: number): Vec3 => add(point, scale(soleUp, cm));
    return [
      {
        name: `leg${side}`,
        body: 'leg',
        side,
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
        body: 'leg',
        side,
        rows: [
          [ball(lift(heel, 3), 3), ball(ankle, 3.1)],
          [ball(lift(arch, 1.9), 1.9)],
          [ball(lift(along(arch, toe, 0.85), 1.3), 1.3)],
        ],
      },
      {
        name: `arm${side}`,
        body: 'arm',
        side,
        rows: [
          [ball(shoulder, 4.3)],
          [ball(along(shoulder, elbow, 0.4), 3.8)],
          [ball(elbow, 3)],
          [ball(along(elbow, wrist, 0.3), 3)],
          [ball(wrist, 2.1)],
          [ball(hand, 2.3)],
          // A hand that bears on a prop or a wall ends at its palm; a free one shows its fingers.
          [ball(along(wrist, hand, hangsDown(shoulder, hand) || atWall ? 1.1 : 1.9), 1.5)],
        ],
      },
    ];
  });
  return [
    ...limbs,
    {
      name: 'trunk',
      body: 'trunk',
      side: null,
      rows: [
        pair(pelvis, pelvisLeft, hips - 1.2, 8.2),
        pair(alongBack(setUp, 0.18), pelvisLeft, hips - 2.2, 8),
        pair(alongBack(setUp, 0.44), waistLeft, hips - 4.4, 7.4),
        pair(alongBack(setUp, 0.72), chestLeft, shoulders * 0.36, 8.2),
        pair(along(pelvis, chest, 0.95), chestLeft, shoulders - 3.5, 4.6),
      ],
    },
    {
      name: 'head',
      body: 'trunk',
      side: null,
      rows: [
        [ball(chest, 6)],
        [ball(mark('neck'), 4.2)],
        [ball(along(mark('neck'), mark('head'), 0.65), 5.7)],
        [ball(along(mark('neck'), mark('head'), 1.2), 8.1)],
      ],
    },
  ];
}

function depthOfPart(view: View, part: FigurePart): number {
  const balls = part.rows.flat();
  return balls.reduce((sum, each) => sum + depthOf(view, each.at), 0) / balls.length;
}

function hullsOf(view: View, part: FigurePart): Point[][] {
  const circles = part.rows.map((row) => row.flatMap((each) => circlePoints(view, each)));
  return circles.slice(1).map((circle, i) => convexHull([...circles[i]!, ...circle]));
}

/**
 * Which layer a part is drawn in, back to front. Trunk, head and the legs that the eye
 * sees as one silhouette melt into the middle layer; a limb behind it is paler, and an
 * arm that hangs keeps its own outline before it.
 */
function findLayer(view: View, setUp: Drawn, part: FigurePart, isOpen: boolean): string {
  const middle = depthOf(view, setUp.landmarks.pelvisCentre!);
  const behind = depthOfPart(view, part) < middle;
  if (part.body === 'trunk') return 'middle';
  if (part.body === 'leg') return isOpen || !behind ? 'middle' : 'far-leg';
  const shoulder = setUp.landmarks[`shoulder${part.side ?? ''}`]!;
  const hand = setUp.landmarks[`hand${part.side ?? ''}`]!;
  const hangs = hangsDown(shoulder, hand);
  if (isOpen && !hangs) return 'middle';
  // A hand beside the front foot is before or behind that leg.
  const frontHeel = setUp.landmarks[setUp.side === 'left' ? 'heelLeft' : 'heelRight']!;
  return depthOf(view, hand) < depthOf(view, frontHeel) ? 'far-arm' : 'near-arm';
}

const LAYERS = ['far-leg', 'far-arm', 'middle', 'near-arm'] as const;

/**
 * The body from the side. Each layer is drawn twice, first its outline and then its
 * flesh, so that its hulls melt into one shape.
 *
 * @param view from where the body is seen
 * @param setUp joint centres, and what a hand leans on
 * @param isOpen whether the view looks at the chest, so that both legs lie side by side
 * @param soleUp unit vector from the soles into the feet
 * @returns shapes, back to front
 */
export function drawFigure(
  view: View,
  setUp: Drawn,
  isOpen: boolean,
  soleUp: Vec3 = [0, 0, 1],
): Shape[] {
  const parts = buildParts(setUp, soleUp);
  return LAYERS.flatMap((layer) => {
    const hulls = parts
      .filter((part) => findLayer(view, setUp, part, isOpen) === layer)
      .flatMap((part) => hullsOf(view, part));
    const tone = layer.startsWith('far') ? 'far' : 'near';
    const shape =
      (role: string) =>
      (points: readonly Point[]): Shape => ({ kind: 'polygon', role: `${role} ${tone}`, points });
    return [...hulls.map(shape('body-outline')), ...hulls.map(shape('body-flesh'))];
  });
}
