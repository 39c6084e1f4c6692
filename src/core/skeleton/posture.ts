import { compose, fromRotationVector, type Rotation } from '../geometry/rotation.ts';
import { add, type Vec3 } from '../geometry/vector.ts';

/**
 * The parts of a pose that may be free beside pelvis and spine, in the order of the solver.
 */
const PARTS = [
  // Along the mat from the front heel centre to the back heel, its ball or its knee.
  'stance',
  // Across the mat beyond what the heel line rule gives, + on the back leg's own side.
  'widening',
  // + to the left: inward for the front foot, outward for the back one.
  'frontFootYaw',
  'backFootYaw',
  // Of the back heel about the ball of its foot; 0 with the heel down.
  'backHeelLift',
  // Hip angles of a back leg that is lifted into the air.
  'backHipFlexion',
  'backHipAbduction',
  'backHipRotation',
  // Of a back knee whose foot rests on the front leg: 0 = ahead, + = out to its own side.
  'backKneeOut',
  // Height of the ankle whose sole rests on the front leg.
  'backSoleHeight',
  // Of a kneeling back shin from upright, its foot against a wall behind.
  'backShinLean',
  // Of the front knee out of the plane of hip, ankle and foot, + inward; 0 unless it is pushed.
  'frontKneeDrift',
] as const;

export type PartId = (typeof PARTS)[number];

/** Metres and radians. */
export type Parts = Readonly<Record<PartId, number>>;

/** How the chest lies against the pelvis, radians; see bendSpine in skeleton.ts. */
export interface Spine {
  readonly flexion: number;
  readonly sideBend: number;
  readonly rotation: number;
}

/** The numbers a solve may change; everything else of a pose follows from them. */
export interface Posture {
  readonly pelvisCentre: Vec3;
  readonly pelvis: Rotation;
  readonly spine: Spine;
  readonly parts: Parts;
}

const PELVIS = 6;
const PELVIS_AND_TRUNK = 9;

/**
 * Pelvis and trunk are always free; of the other parts, those named.
 *
 * @param free the parts that are searched
 * @returns the length of a step
 */
export const countUnknowns = (free: readonly PartId[]): number => PELVIS_AND_TRUNK + free.length;

const isZero = (step: Float64Array, at: number): boolean =>
  step[at] === 0 && step[at + 1] === 0 && step[at + 2] === 0;

/**
 * A posture moved by a step of the unknowns; the pelvis turns by a rotation vector, which
 * never locks. What does not move stays the same object, so that it need not be rebuilt.
 *
 * @param step one number for each unknown, metres and radians
 * @param free the parts that are searched
 * @returns a new posture
 */
export const stepPosture = (
  { pelvisCentre, pelvis, spine, parts }: Posture,
  step: Float64Array,
  free: readonly PartId[],
): Posture => ({
  pelvisCentre: isZero(step, 0) ? pelvisCentre : add(pelvisCentre, [step[0]!, step[1]!, step[2]!]),
  pelvis: isZero(step, 3)
    ? pelvis
    : compose(fromRotationVector([step[3]!, step[4]!, step[5]!]), pelvis),
  spine: isZero(step, PELVIS)
    ? spine
    : {
        flexion: spine.flexion + step[6]!,
        sideBend: spine.sideBend + step[7]!,
        rotation: spine.rotation + step[8]!,
      },
  parts: stepParts(parts, step, free),
});

function stepParts(from: Parts, step: Float64Array, free: readonly PartId[]): Parts {
  let moves = false;
  for (let i = PELVIS_AND_TRUNK; i < step.length; i += 1) if (step[i] !== 0) moves = true;
  if (!moves) return from;
  const next: { -readonly [Name in PartId]: number } = { ...from };
  for (let i = 0; i < free.length; i += 1) next[free[i]!] += step[PELVIS_AND_TRUNK + i]!;
  return next;
}

/**
 * A posture with some of its parts as they are given.
 *
 * @param posture metres and radians, solver frame
 * @param parts to be set
 * @returns a new posture
 */
export const withParts = (posture: Posture, parts: Partial<Parts>): Posture => ({
  ...posture,
  parts: { ...posture.parts, ...parts },
});

const SPINE = ['flexion', 'sideBend', 'rotation'] as const satisfies readonly (keyof Spine)[];

/**
 * A posture whose parts that are not free are those of another one.
 *
 * @param posture metres and radians, solver frame
 * @param from the posture that has them
 * @param free the parts that are searched
 * @returns a new posture
 */
export function takeFixedParts(posture: Posture, from: Posture, free: readonly PartId[]): Posture {
  const parts: { -readonly [Name in PartId]: number } = { ...posture.parts };
  for (const part of PARTS) if (!free.includes(part)) parts[part] = from.parts[part];
  return { ...posture, parts };
}

/**
 * The most that two postures differ in anything, radians or metres; pelvis axes by their ends.
 *
 * @param a one posture
 * @param b the other
 * @returns radians or metres
 */
export function measureApart(a: Posture, b: Posture): number {
  let most = 0;
  const compare = (one: number, other: number): void => {
    most = Math.max(most, Math.abs(one - other));
  };
  for (let i = 0; i < 3; i += 1) {
    compare(a.pelvisCentre[i]!, b.pelvisCentre[i]!);
    compare(a.pelvis.left[i]!, b.pelvis.left[i]!);
    compare(a.pelvis.up[i]!, b.pelvis.up[i]!);
  }
  for (const turn of SPINE) compare(a.spine[turn], b.spine[turn]);
  for (const part of PARTS) compare(a.parts[part], b.parts[part]);
  return most;
}
