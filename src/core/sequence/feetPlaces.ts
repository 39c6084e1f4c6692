import { SIDES, type Side } from '../measures/protocol.ts';
import type { AnyPose } from '../poses/anyPose.ts';
import type { PoseDefinition } from '../poses/poseDefinition.ts';
import type { SetUp } from '../setup/setUp.ts';

/** Where a foot, its ball or its knee stands on the mat. */
export interface FootPlace {
  /** What is on the floor. */
  readonly part: 'foot' | 'ball' | 'knee';
  /** Toward the mat's front edge, cm: of the heel, the ball or the knee. */
  readonly x: number;
  /** Toward the mat's left edge, cm. */
  readonly y: number;
  /** Where the toes point from the mat's front edge, + to the left, degrees. */
  readonly turnDeg: number;
}

/** Both feet in one frame; null = it is lifted, or has no place of its own. */
export type FeetPlaces = Readonly<Record<Side, FootPlace | null>>;

export const NO_FEET: FeetPlaces = { left: null, right: null };

/** Lengths that feet are estimated from, cm. */
export interface Build {
  /** Hip to ankle. */
  readonly legCm: number;
  /** Between the heels of feet next to each other. */
  readonly heelsApartCm: number;
}

/** Of a body that is not measured. Our choice. */
export const USUAL_BUILD: Build = { legCm: 78, heelsApartCm: 16 };

const putTogether = ({ heelsApartCm }: Build): FeetPlaces => ({
  left: { part: 'foot', x: 0, y: heelsApartCm / 2, turnDeg: 0 },
  right: { part: 'foot', x: 0, y: -heelsApartCm / 2, turnDeg: 0 },
});

/** What of the back leg stands on the floor; null = it is lifted. */
function findBackPart({ backContact }: PoseDefinition): FootPlace['part'] | null {
  switch (backContact) {
    case 'flat':
      return 'foot';
    case 'ball':
      return 'ball';
    case 'knee-toes-tucked':
    case 'knee-foot-flat':
    case 'shin-on-wall':
    case 'shin-leaning-on-wall':
      return 'knee';
    case 'lifted':
    case 'on-front-leg':
      return null;
  }
}

/**
 * Whether a pose stands on both feet next to each other.
 *
 * @param pose the pose's data
 * @returns false on one foot
 */
export const standsTogether = (pose: PoseDefinition): boolean =>
  !('rule' in pose.stance) && pose.stance.kind === 'none' && findBackPart(pose) !== null;

const POINTS = { foot: 'heel', ball: 'ball', knee: 'knee' } as const;

/**
 * Where the feet of a solved set-up stand.
 *
 * @param setUp with landmarks, cm, in its own frame
 * @param pose the pose's data, with the level's changes
 * @returns in the set-up's frame; no feet when nothing was solved
 */
export function findFeetPlaces(
  { landmarks, side: frontSide }: Pick<SetUp, 'landmarks' | 'side'>,
  pose: PoseDefinition,
): FeetPlaces {
  const placeOf = (side: Side): FootPlace | null => {
    const part = side === frontSide ? 'foot' : findBackPart(pose);
    const suffix = side === 'left' ? 'Left' : 'Right';
    if (part === null) return null;
    const point = landmarks[`${POINTS[part]}${suffix}`];
    const [heel, toe] = [landmarks[`heel${suffix}`], landmarks[`toe${suffix}`]];
    if (point === undefined || heel === undefined || toe === undefined) return null;
    const turn = (Math.atan2(toe[1] - heel[1], toe[0] - heel[0]) * 180) / Math.PI;
    return { part, x: point[0], y: point[1], turnDeg: part === 'knee' ? 0 : turn };
  };
  return { left: placeOf('left'), right: placeOf('right') };
}

/** Feet of a back leg, where nothing was solved, degrees out. Our choice. */
const USUAL_BACK_TURN_DEG = { foot: 70, ball: 0, knee: 0 } as const;

/**
 * Where the feet of a pose stand on average: for poses that are only passed through, and for
 * flows without a person.
 *
 * @param any a pose of any kind
 * @param side of the front leg
 * @param build of the person
 * @returns in a frame of its own, the front heel at the origin
 */
export function estimateFeetPlaces(any: AnyPose, side: Side, build: Build): FeetPlaces {
  if (any.kind === 'lying') return NO_FEET;
  if (any.kind === 'linking') return any.pose.feet === 'together' ? putTogether(build) : NO_FEET;
  const { pose } = any;
  if (standsTogether(pose)) return putTogether(build);
  const stance = pose.starts[0]!.stanceShare * build.legCm;
  const part = findBackPart(pose);
  const out = side === 'left' ? 1 : -1;
  const front: FootPlace = { part: 'foot', x: 0, y: 0, turnDeg: 0 };
  if (pose.origin === 'mid-stance') {
    const half = stance / 2;
    const foot = (x: number): FootPlace => ({ part: 'foot', x, y: 0, turnDeg: 90 });
    return { left: foot(-half), right: foot(half) };
  }
  const back: FootPlace | null =
    part === null
      ? null
      : {
          part,
          x: -stance,
          y: 0,
          turnDeg: pose.family === 'open' ? -out * USUAL_BACK_TURN_DEG[part] : 0,
        };
  return side === 'left' ? { left: front, right: back } : { left: back, right: front };
}

/** How far feet move from one place to the next. */
export interface FeetMove {
  /** Of both feet together, cm. */
  readonly cm: number;
  /** Of both feet together, degrees. */
  readonly turnDeg: number;
}

/**
 * Between two directions, the short way round.
 *
 * @param from degrees
 * @param to degrees
 * @returns 0 to 180 degrees
 */
export const turnBetween = (from: number, to: number): number =>
  Math.abs(((((to - from) % 360) + 540) % 360) - 180);

/** From one heel to the other, in the mat's directions; a lifted foot is at the standing one. */
const separation = ({ left, right }: FeetPlaces): readonly [number, number] =>
  left === null || right === null ? [0, 0] : [left.x - right.x, left.y - right.y];

/**
 * How far the feet have to move: by how much the one stands elsewhere, seen from the other.
 *
 * @param from in a frame of its own
 * @param to in a frame of its own
 * @returns no move where a pose has no feet on the mat
 */
export function calcFeetMove(from: FeetPlaces, to: FeetPlaces): FeetMove {
  const hasFeet = (feet: FeetPlaces): boolean => feet.left !== null || feet.right !== null;
  if (!hasFeet(from) || !hasFeet(to)) return { cm: 0, turnDeg: 0 };
  const [a, b] = [separation(from), separation(to)];
  const turns = SIDES.map((side) => {
    const [was, is] = [from[side], to[side]];
    return was === null || is === null ? 0 : turnBetween(was.turnDeg, is.turnDeg);
  });
  return {
    cm: Math.hypot(b[0] - a[0], b[1] - a[1]),
    turnDeg: turns.reduce((sum, each) => sum + each, 0),
  };
}
