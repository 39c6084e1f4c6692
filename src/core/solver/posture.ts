import { compose, fromRotationVector, type Rotation } from '../geometry/rotation.ts';
import { add, type Vec3 } from '../geometry/vector.ts';

/** The numbers a solve may change; everything else of a pose follows from them. */
export interface Posture {
  readonly pelvisCentre: Vec3;
  readonly pelvis: Rotation;
  readonly spineFlexion: number;
  readonly spineSideBend: number;
  readonly spineRotation: number;
  /** Along the mat between heel centres. */
  readonly stance: number;
  readonly backFootYaw: number;
  /** Of the back heel about the ball of its foot; 0 with the heel down. */
  readonly backHeelLift: number;
}

/** What of a posture is held and not searched. */
export interface Held {
  readonly stance: boolean;
  readonly backFootYaw: boolean;
  readonly backHeelLift: boolean;
}

const PELVIS_AND_TRUNK = 9;

export const countUnknowns = (held: Held): number =>
  PELVIS_AND_TRUNK +
  (held.stance ? 0 : 1) +
  (held.backFootYaw ? 0 : 1) +
  (held.backHeelLift ? 0 : 1);

/** A posture moved by a step of the unknowns; the pelvis turns by a rotation vector, which never locks. */
export function stepPosture(from: Posture, step: Float64Array, held: Held): Posture {
  let next = PELVIS_AND_TRUNK;
  return {
    pelvisCentre: add(from.pelvisCentre, [step[0]!, step[1]!, step[2]!]),
    pelvis: compose(fromRotationVector([step[3]!, step[4]!, step[5]!]), from.pelvis),
    spineFlexion: from.spineFlexion + step[6]!,
    spineSideBend: from.spineSideBend + step[7]!,
    spineRotation: from.spineRotation + step[8]!,
    stance: held.stance ? from.stance : from.stance + step[next++]!,
    backFootYaw: held.backFootYaw ? from.backFootYaw : from.backFootYaw + step[next++]!,
    backHeelLift: held.backHeelLift ? from.backHeelLift : from.backHeelLift + step[next]!,
  };
}
