import { compose, fromRotationVector, type Rotation } from '../geometry/rotation.ts';
import { add, type Vec3 } from '../geometry/vector.ts';

/** The parts of a pose that may be free beside pelvis and spine; metres and radians. */
export interface Parts {
  /** Along the mat from the front heel centre to the back heel, its ball or its knee. */
  readonly stance: number;
  /** Across the mat beyond what the heel line rule gives, + on the back leg's own side. */
  readonly widening: number;
  /** + to the left: inward for the front foot, outward for the back one. */
  readonly frontFootYaw: number;
  readonly backFootYaw: number;
  /** Of the back heel about the ball of its foot; 0 with the heel down. */
  readonly backHeelLift: number;
  /** Hip angles of a back leg that is lifted into the air. */
  readonly backHipFlexion: number;
  readonly backHipAbduction: number;
  readonly backHipRotation: number;
  /** Of a back knee whose foot rests on the front leg: 0 = ahead, + = out to its own side. */
  readonly backKneeOut: number;
}

export type PartId = keyof Parts;

/** The numbers a solve may change; everything else of a pose follows from them. */
export interface Posture extends Parts {
  readonly pelvisCentre: Vec3;
  readonly pelvis: Rotation;
  readonly spineFlexion: number;
  readonly spineSideBend: number;
  readonly spineRotation: number;
}

const PELVIS_AND_TRUNK = 9;

/** Pelvis and trunk are always free; of the other parts, those named. */
export const countUnknowns = (free: readonly PartId[]): number => PELVIS_AND_TRUNK + free.length;

/** A posture moved by a step of the unknowns; the pelvis turns by a rotation vector, which never locks. */
export function stepPosture(from: Posture, step: Float64Array, free: readonly PartId[]): Posture {
  const next: { -readonly [Name in keyof Posture]: Posture[Name] } = {
    ...from,
    pelvisCentre: add(from.pelvisCentre, [step[0]!, step[1]!, step[2]!]),
    pelvis: compose(fromRotationVector([step[3]!, step[4]!, step[5]!]), from.pelvis),
    spineFlexion: from.spineFlexion + step[6]!,
    spineSideBend: from.spineSideBend + step[7]!,
    spineRotation: from.spineRotation + step[8]!,
  };
  free.forEach((part, i) => {
    next[part] += step[PELVIS_AND_TRUNK + i]!;
  });
  return next;
}
